package ration.desktop.signoff;

import java.util.List;
import java.util.Optional;
import ration.answer.assess.Assessment;
import ration.answer.signoff.Requirement;
import ration.record.acceptance.SignOff;
import ration.record.file.DocumentMark;
import ration.verdict.check.Verdict;

/** What the card says of the packet. */
record PacketWords(Assessment a, List<Requirement> all) {

    String open() {
        long points = all.stream().filter(Requirement::open).count();
        long accepted =
                all.stream().filter(r -> r.open() && r.accepted().isPresent()).count();
        return points + (points == 1 ? " open item" : " open items")
                + (accepted > 0 ? ", " + accepted + " of them accepted as is" : "") + ".";
    }

    /** Of the document as it is. */
    String mark() {
        return DocumentMark.of(a.project());
    }

    /** The packet given out last. */
    Optional<SignOff.Issued> issued() {
        return a.project().signOff().last();
    }

    String last() {
        return issued().map(i -> "Last packet " + i.on() + ", mark " + i.mark() + ", " + i.file()
                        + (i.mark().equals(mark()) ? ": the document is as it was then." : "."))
                .orElse("No packet issued yet.");
    }

    /** Tests asked for that show nothing yet. */
    long toRun() {
        return a.program().tests().stream()
                .filter(p -> p.wanted().asked() && p.verdict() == Verdict.NOT_SHOWN)
                .count();
    }

    String cards() {
        return "Write cards for the " + toRun() + (toRun() == 1 ? " test" : " tests") + " still to run";
    }
}
