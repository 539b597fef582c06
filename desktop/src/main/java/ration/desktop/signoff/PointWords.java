package ration.desktop.signoff;

import java.time.LocalDate;
import java.util.Optional;
import ration.answer.signoff.Requirement;
import ration.record.acceptance.SignOff;
import ration.record.project.Edit;

/**
 * What the card says of the requirement picked, and what is written down of it.
 *
 * @param picked empty while none is
 */
record PointWords(Optional<Requirement> picked) {

    String title() {
        return picked.map(Requirement::title).orElse("Select a requirement");
    }

    String words() {
        return picked.map(Requirement::words).orElse("Finding, source, corrective action and owner.");
    }

    String basis() {
        return picked.map(Requirement::basis).orElse("");
    }

    String remedy() {
        return picked.map(r -> r.finding().remedy()).orElse("");
    }

    String accepted() {
        return picked.flatMap(Requirement::accepted)
                .map(a -> "Accepted as is by " + a.name() + " on " + a.on() + ": " + a.reason()
                        + (picked.get().acceptedOtherwise() ? ". The finding then was different: " + a.as() : ""))
                .orElse("");
    }

    boolean open() {
        return picked.filter(Requirement::open).isPresent();
    }

    String owner() {
        return picked.flatMap(Requirement::point).map(SignOff.Point::owner).orElse("");
    }

    String note() {
        return picked.flatMap(Requirement::point).map(SignOff.Point::note).orElse("");
    }

    /** Whether the same is picked. */
    boolean same(PointWords other) {
        return picked.map(Requirement::id).equals(other.picked.map(Requirement::id));
    }

    /** Whose hand it is in; none where nothing is picked. */
    Optional<Edit> kept(String owner, String note) {
        return picked.map(r -> {
            SignOff.Point point = new SignOff.Point(r.id(), owner.strip(), note.strip());
            return Edit.of("Note an open item", p -> p.with(p.signOff().with(point)));
        });
    }

    /**
     * That an inspector takes it as it is found; none where nothing is picked.
     *
     * @throws IllegalArgumentException with what is missing
     */
    Optional<Edit> taken(String name, String reason, LocalDate today) {
        return picked.map(r -> {
            SignOff.Accepted one = Requirement.accept(r.finding(), name.strip(), reason.strip(), today);
            return Edit.of("Accept as is", p -> p.with(p.signOff().with(one)));
        });
    }
}
