package ration.publish.packet;

import java.io.IOException;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import ration.aircraft.model.Tank;
import ration.answer.assess.Assessment;
import ration.answer.assess.TankAnswer;
import ration.answer.fault.FaultAnswer;
import ration.answer.fault.HiddenSearch;
import ration.base.quantity.UnitSystem;
import ration.base.task.Task;
import ration.publish.paper.Pages;
import ration.publish.paper.PdfSheet;
import ration.record.file.DocumentMark;
import ration.record.project.Plate;
import ration.record.project.Project;

/**
 * All of an aircraft's fuel system in one document for the inspector: open points first, then what was drawn, measured,
 * computed, tested and kept. Black and greys, PDF/A-2a, tagged.
 */
public final class Packet {

    /** US letter and A4, standing, points. */
    public enum Paper {
        LETTER(612, 792),
        A4(595.276, 841.89);

        private final double width;
        private final double height;

        Paper(double width, double height) {
            this.width = width;
            this.height = height;
        }
    }

    private Packet() {}

    /**
     * The packet; empty once it was stopped.
     *
     * @param today printed on it, and the day upkeep is asked for
     */
    public static Optional<byte[]> of(Assessment a, Paper paper, UnitSystem units, LocalDate today, Task task)
            throws IOException {
        return of(a, paper, units, today, task, Given.NOTHING);
    }

    /**
     * What is there already.
     *
     * @param before the document as it was when an earlier packet was given out; empty where there is none
     * @param failures of every part, of this assessment and in these units; empty where they were not run
     * @param hidden one that waits and one more, the same
     * @param document the file on whose side attached files stand; empty where it was never saved
     */
    public record Given(
            Optional<Assessment> before,
            Optional<List<FaultAnswer>> failures,
            Optional<HiddenSearch> hidden,
            Optional<Path> document) {

        public static final Given NOTHING =
                new Given(Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty());

        public static Given before(Optional<Assessment> before) {
            return new Given(before, Optional.empty(), Optional.empty(), Optional.empty());
        }

        public Given at(Path document) {
            return new Given(before, failures, hidden, Optional.of(document));
        }
    }

    /** The same, told against an earlier packet; failures that are known are not run again. */
    public static Optional<byte[]> of(
            Assessment a, Paper paper, UnitSystem units, LocalDate today, Task task, Given given) throws IOException {
        String title = a.project().name() + ", fuel system packet";
        try (PdfSheet pdf = new PdfSheet(title, paper.width, paper.height, true)) {
            Pages pages = new Pages(pdf, paper.width, paper.height);
            Dossier d = new Dossier(a, units, today, task, given);
            List<Pages.Part> parts = parts(pages, d);
            for (int i = 0; i < parts.size(); i++) {
                if (task.cancelled().getAsBoolean()) {
                    return Optional.empty();
                }
                d.begin((double) i / parts.size(), 1.0 / parts.size());
                parts.get(i).write();
                task.progress().accept((i + 1.0) / parts.size());
            }
            if (task.cancelled().getAsBoolean()) {
                return Optional.empty();
            }
            pages.finish(identity(a.project(), today));
            pdf.lasting(title);
            return Optional.of(pdf.bytes());
        }
    }

    private static List<Pages.Part> parts(Pages pages, Dossier d) {
        List<Pages.Part> all = new ArrayList<>();
        all.add(new CoverSheet(pages, d)::write);
        all.add(new DrawingSheet(pages, d)::write);
        for (Tank t : d.system().tanks()) {
            Optional<TankAnswer> answer = d.assessment().tank(t.id());
            all.add(
                    answer.isPresent()
                            ? new TankSheet(pages, d, answer.get())::write
                            : () -> TankSheet.unanswered(pages, d, t));
        }
        all.add(new GaugeSheet(pages, d)::write);
        all.add(new LinesSheet(pages, d)::write);
        all.add(new FlowSheet(pages, d)::write);
        all.add(new VaporSheet(pages, d)::write);
        all.add(new FailuresSheet(pages, d)::write);
        all.add(new FlightSheet(pages, d)::write);
        all.add(new ComplianceSheet(pages, d)::write);
        all.add(new RecordsSheet(pages, d)::write);
        all.add(new BuildSheet(pages, d)::write);
        all.add(new MaintenanceSheet(pages, d)::write);
        all.add(new EvidenceSheet(pages, d)::write);
        return all;
    }

    private static Pages.Identity identity(Project p, LocalDate today) {
        return new Pages.Identity(
                p.name(),
                Stream.concat(
                                Stream.of(
                                                Plate.Field.REGISTRATION,
                                                Plate.Field.SERIAL,
                                                Plate.Field.BUILDER,
                                                Plate.Field.ENGINE_MODEL)
                                        .map(f -> p.plate().get(f).isEmpty()
                                                ? ""
                                                : f.label().toLowerCase(java.util.Locale.ROOT) + " "
                                                        + p.plate().get(f))
                                        .filter(s -> !s.isEmpty()),
                                Stream.of(p.brief().engine()))
                        .collect(Collectors.joining("   ")),
                "Fuel system packet. Basis: " + p.brief().choices().basis().label(),
                "document ID " + DocumentMark.of(p) + ", " + today);
    }
}
