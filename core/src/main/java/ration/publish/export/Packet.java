package ration.publish.export;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import ration.aircraft.condition.Attitude;
import ration.aircraft.model.Field;
import ration.aircraft.model.FieldSheet;
import ration.aircraft.model.Item;
import ration.aircraft.model.Run;
import ration.aircraft.plumbing.SheetColumn;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.answer.assess.Comparison;
import ration.answer.assess.Ledger;
import ration.answer.assess.StartingCase;
import ration.answer.drawdown.Flight;
import ration.answer.drawdown.FlightEvent;
import ration.answer.drawdown.FlightRun;
import ration.answer.drawdown.FlightTable;
import ration.answer.drawdown.UsualFlight;
import ration.answer.fault.FaultAnswer;
import ration.answer.fault.FaultSearch;
import ration.answer.signoff.Requirement;
import ration.base.quantity.Dimension;
import ration.base.quantity.UnitSystem;
import ration.base.task.Task;
import ration.publish.paper.Pages;
import ration.publish.paper.Pages.Column;
import ration.publish.paper.PdfSheet;
import ration.record.evidence.HangarTest;
import ration.record.evidence.Inputs;
import ration.record.evidence.Named;
import ration.record.evidence.Readout;
import ration.record.evidence.Standing;
import ration.record.file.ProjectFile;
import ration.record.project.Plate;
import ration.record.project.Project;
import ration.record.upkeep.Due;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/**
 * All of an aircraft's fuel system in one document for the inspector, made from the document alone: open points first,
 * predicted and measured never in one column, what is stale struck but legible with its cause. Black and greys,
 * PDF/A-2b.
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

    private static final int CASES = 24;

    private final Assessment assessment;
    private final Project project;
    private final UnitSystem units;
    private final LocalDate today;
    private final Task task;
    private Pages pages;

    private Packet(Assessment assessment, UnitSystem units, LocalDate today, Task task) {
        this.assessment = assessment;
        project = assessment.project();
        this.units = units;
        this.today = today;
        this.task = task;
    }

    /** The mark of a document: a digest of its content, in four groups of four. */
    public static String mark(Project p) {
        try {
            byte[] digest = MessageDigest.getInstance("SHA-256")
                    .digest(ProjectFile.text(p.with(p.signOff().unissued())).getBytes(StandardCharsets.UTF_8));
            return HexFormat.of().formatHex(digest).substring(0, 16).replaceAll("(.{4})(?=.)", "$1 ");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("Every Java has SHA-256", e);
        }
    }

    /**
     * The packet; empty once it was stopped.
     *
     * @param today printed on it, and the day upkeep is asked for
     */
    public static Optional<byte[]> of(Assessment a, Paper paper, UnitSystem units, LocalDate today, Task task)
            throws IOException {
        return of(a, paper, units, today, task, Optional.empty());
    }

    /**
     * The same, told against the document as it was when an earlier packet was given out.
     *
     * @param before that document; empty where there is none
     */
    public static Optional<byte[]> of(
            Assessment a, Paper paper, UnitSystem units, LocalDate today, Task task, Optional<Assessment> before)
            throws IOException {
        Packet packet = new Packet(a, units, today, task);
        String title = a.project().name() + ", fuel system packet";
        try (PdfSheet pdf = new PdfSheet(title, paper.width, paper.height, true)) {
            packet.pages = new Pages(pdf, paper.width, paper.height);
            PacketFigures figures = new PacketFigures(pdf, packet.pages, a, units, task);
            List<Section> sections = new ArrayList<>(List.of(
                    packet::cover,
                    () -> packet.since(before),
                    () -> packet.drawing(pdf),
                    packet::measured,
                    packet::cases,
                    figures::budget,
                    packet::compliance,
                    packet::tests));
            sections.addAll(figures.sections());
            sections.addAll(List.of(packet::faults, packet::flight, packet::upkeep));
            for (int i = 0; i < sections.size(); i++) {
                if (task.cancelled().getAsBoolean()) {
                    return Optional.empty();
                }
                sections.get(i).write();
                task.progress().accept((i + 1.0) / sections.size());
            }
            packet.pages.finish(a.project().name(), mark(a.project()));
            pdf.lasting(title);
            return Optional.of(pdf.bytes());
        }
    }

    /** One part of it. */
    interface Section {
        void write() throws IOException;
    }

    private void cover() throws IOException {
        pages.page(project.name(), "document ID " + mark(project) + ", printed " + today);
        pages.text("Fuel system packet, for the inspector", 10, false);
        pages.space(8);
        pages.facts(Stream.of(Plate.Field.values())
                .map(f -> new String[] {
                    f.label(),
                    project.plate().get(f).isEmpty()
                            ? "not entered"
                            : project.plate().get(f)
                })
                .toList());
        pages.facts(List.of(
                new String[] {"Engine", project.brief().engine()},
                new String[] {"Feed", project.brief().delivery().label()},
                new String[] {"Fuel", project.brief().fuel().label()},
                new String[] {"Basis", project.brief().choices().basis().label()}));
        List<Ledger.Entry> ledger = Ledger.of(assessment, units).entries();
        pages.table(
                List.of(
                        new Column<Ledger.Entry>("Figure", 0.16, Ledger.Entry::title),
                        new Column<>("Is", 0.13, Ledger.Entry::figure),
                        new Column<>("Needs", 0.16, Ledger.Entry::need),
                        new Column<>("State", 0.12, e -> e.verdict().word()),
                        new Column<>("Where", 0.43, Ledger.Entry::detail)),
                ledger);
        List<Finding> open = open();
        List<Due> due = due();
        pages.section("Open items", open.size() + due.size() + " open. The signatures below do not cover them");
        List<String[]> points = new ArrayList<>();
        open.forEach(f -> points.add(new String[] {
            f.verdict().word(),
            f.title() + said(f),
            f.remedy().isEmpty() ? f.detail().in(units) : f.remedy()
        }));
        due.forEach(d -> points.add(new String[] {
            d.verdict().word(),
            d.part().name() + ": " + d.left(),
            d.part().life().ends().word()
        }));
        if (points.isEmpty()) {
            pages.text("None.", 9, false);
        } else {
            pages.table(
                    List.of(
                            new Column<String[]>("State", 0.12, p -> p[0]),
                            new Column<>("What is open", 0.36, p -> p[1]),
                            new Column<>("What closes it", 0.38, p -> p[2]),
                            new Column<>("Closed, by", 0.14, p -> "________")),
                    points);
        }
        pages.section("What this is, and is not", "");
        pages.text(
                "Contents: the builder's measurements and how each was taken; results computed from them; tests"
                        + " run on the aircraft and the configuration each applies to."
                        + " Predicted and measured are never mixed. It is not an approval, an airworthiness"
                        + " certificate, a flight permit or a design review. Regulations are cited from"
                        + " memory: check the text before relying on it. A prediction without"
                        + " its test is Not shown.",
                8.5,
                false);
        pages.section("Signatures", "each states what was inspected, on its date. Open items stay open");
        pages.signature("Builder", "I took these measurements, ran these tests as written, and know the open items.");
        pages.signature("Test witness", "I was present at the tests listed with my name.");
        pages.signature(
                "Inspector", "I reviewed this packet, the aircraft and the open items. Open items remain open.");
    }

    /** What changed since the last packet: mark against mark, in words, with what that did. */
    private void since(Optional<Assessment> before) throws IOException {
        if (before.isEmpty()) {
            return;
        }
        Comparison c = Comparison.of(before.get(), assessment, units);
        pages.section(
                "Since the packet with document ID " + mark(before.get().project()),
                c.changes().isEmpty() ? "no change" : c.changes().size() + " changes");
        for (String w : c.changes()) {
            pages.text(w, 8.5, false);
        }
        pages.table(
                List.of(
                        new Column<Comparison.Figure>("Figure", 0.2, Comparison.Figure::title),
                        new Column<>(
                                "Then", 0.3, f -> f.before() + " " + f.was().word()),
                        new Column<>("Now", 0.3, f -> f.after() + " " + f.is().word())),
                c.ledger());
        for (Comparison.Ended e : c.ended()) {
            pages.text(
                    "No longer valid: " + e.title() + ": "
                            + String.join("; ", e.causes().stream().limit(3).toList()),
                    8.5,
                    true);
        }
    }

    private List<Finding> open() {
        return assessment.findings().stream()
                .filter(f -> f.verdict() == Verdict.FAILS || f.verdict() == Verdict.NOT_SHOWN)
                .toList();
    }

    /** Whose hand it is in, and an acceptance; neither closes it. */
    private String said(Finding f) {
        return project.signOff()
                        .point(f.id())
                        .map(p -> ", owner " + p.owner() + (p.note().isBlank() ? "" : ": " + p.note()))
                        .orElse("")
                + project.signOff()
                        .accepted(f.id())
                        .map(x -> ", accepted as is by " + x.name() + " " + x.on())
                        .orElse("");
    }

    private List<Due> due() {
        return Due.falling(project.upkeep(), today).stream()
                .filter(d -> d.verdict() == Verdict.FAILS || d.verdict() == Verdict.NOT_SHOWN)
                .toList();
    }

    private void drawing(PdfSheet pdf) throws IOException {
        for (Attitude a : List.of(
                Attitude.ofDegrees("Level", 0, 0), project.brief().envelope().climbing())) {
            Optional<CaseAnswer> look = assessment.look(StartingCase.of(project).with(a));
            if (look.isPresent()) {
                pages.page("Drawing, " + a.name(), look.get().label(project.system(), units));
                pages.picture(PrintedSheets.drawing(assessment, look.get(), units, pdf.measure()));
            }
        }
        pages.section("Lines", "");
        pages.table(
                List.of(
                        new Column<Run>("Line", 0.1, Run::name),
                        new Column<>("From", 0.19, r -> SheetColumn.FROM.text(project.system(), r)),
                        new Column<>("To", 0.19, r -> SheetColumn.TO.text(project.system(), r)),
                        new Column<>("Size", 0.18, r -> r.size().label()),
                        new Column<>("Length", 0.1, r -> SheetColumn.LENGTH.text(project.system(), r)),
                        new Column<>("Bends", 0.14, r -> SheetColumn.BENDS.text(project.system(), r)),
                        new Column<>("Sleeve", 0.1, r -> SheetColumn.SLEEVE.text(project.system(), r))),
                project.system().runs());
    }

    private void measured() throws IOException {
        record Row(Item item, Field field) {}
        List<Row> rows = new ArrayList<>();
        for (Item item : project.system().items()) {
            FieldSheet.of(item).forEach(f -> rows.add(new Row(item, f)));
        }
        pages.page("Measurements", rows.size() + " values, each with its source");
        pages.table(
                List.of(
                        new Column<Row>("Item", 0.26, r -> r.item().name()),
                        new Column<>("Figure", 0.36, r -> r.field().label()),
                        new Column<>(
                                "Is",
                                0.18,
                                r -> r.field().get().apply(r.item()).quantity().shown()),
                        new Column<>(
                                "By", 0.2, r -> r.field().get().apply(r.item()).by())),
                rows);
    }

    private void cases() throws IOException {
        List<CaseAnswer.Setting> near = assessment.nearest(CASES);
        List<CaseAnswer> worst = near.stream()
                .map(CaseAnswer.Setting::condition)
                .flatMap(c -> assessment.look(c).stream())
                .toList();
        pages.page(
                "Flow cases",
                "the " + worst.size() + " of " + assessment.cases().size() + " nearest to failing");
        pages.table(
                List.of(
                        new Column<CaseAnswer>("Case", 0.5, c -> c.label(project.system(), units)),
                        new Column<>(
                                "Available flow",
                                0.16,
                                c -> units.text(c.capacity().inletFlow(), Dimension.FLOW)),
                        new Column<>(
                                "Open-line flow",
                                0.14,
                                c -> units.text(c.openLine().inletFlow(), Dimension.FLOW)),
                        new Column<>("Margin", 0.1, c -> UnitSystem.figure(c.margin(), 2) + "\u00d7"),
                        new Column<>("State", 0.1, c -> c.verdict().word())),
                worst);
    }

    /** Predicted and measured never share a column; what no longer counts is struck with its cause beside it. */
    private void compliance() throws IOException {
        List<Requirement> rows = Requirement.of(assessment, units);
        pages.page("Compliance table", rows.size() + " requirements; regulations cited from memory: check the text");
        pages.table(
                List.of(
                        new Column<Requirement>("Requirement", 0.22, Requirement::title),
                        new Column<>("Basis", 0.22, Requirement::basis),
                        new Column<>(
                                "Needs",
                                0.13,
                                r -> (r.side().isEmpty() || !r.finding().id().startsWith("flow.") ? "" : r.side() + " ")
                                        + r.needs()),
                        new Column<>("Predicted", 0.11, r -> r.predicted().isEmpty() ? "see finding" : r.predicted()),
                        new Column<>("Measured", 0.12, r -> r.measured().isEmpty() ? "no test required" : r.measured()),
                        new Column<>("Valid since", 0.1, Requirement::since),
                        new Column<>(
                                "State",
                                0.1,
                                r -> r.verdict().word() + (r.accepted().isPresent() ? ", accepted" : ""))),
                rows,
                Requirement::struck);
        List<Requirement> accepted =
                rows.stream().filter(r -> r.accepted().isPresent()).toList();
        if (!accepted.isEmpty()) {
            pages.section("Accepted as is", "by the inspector. Acceptance does not change the verdict");
            pages.table(
                    List.of(
                            new Column<Requirement>("Requirement", 0.24, Requirement::title),
                            new Column<>("State", 0.1, r -> r.verdict().word()),
                            new Column<>(
                                    "Inspector, date",
                                    0.2,
                                    r -> r.accepted().get().name() + ", "
                                            + r.accepted().get().on()),
                            new Column<>("Reason", 0.28, r -> r.accepted().get().reason()),
                            new Column<>(
                                    "When accepted",
                                    0.18,
                                    r -> r.acceptedOtherwise()
                                            ? "different then: "
                                                    + r.accepted().get().as()
                                            : "as now")),
                    accepted);
        }
    }

    private Standing standing(HangarTest t) {
        return Standing.of(t, project.asBuilt());
    }

    private void tests() throws IOException {
        pages.page("Tests", project.tests().size() + " records. Struck through: no longer valid, reason given");
        if (project.tests().isEmpty()) {
            pages.text("No tests recorded: nothing verified by measurement.", 9, false);
        } else {
            pages.table(
                    List.of(
                            new Column<HangarTest>("Test", 0.2, t -> Named.of(project.system(), t)),
                            new Column<>("Date, by", 0.16, t -> t.by().date() + " " + t.by().who()),
                            new Column<>("With", 0.14, t -> t.by().instrument()),
                            new Column<>("Figures", 0.28, this::figures),
                            new Column<>("Valid", 0.22, this::counts)),
                    project.tests(),
                    t -> t.progress().done() && !standing(t).counts());
            rested();
        }
    }

    /** What each record rested on when it was done, line by line; who saw it, and the files beside it. */
    private void rested() throws IOException {
        for (HangarTest t : project.tests()) {
            if (t.progress().done() && !t.work().onTank()) {
                HangarTest.Beside b = t.by().beside();
                pages.text(
                        Named.of(project.system(), t) + ", " + t.by().date()
                                + (b.witness().isBlank() ? "" : ", witness " + b.witness())
                                + (b.calibration().isBlank() ? "" : ", instrument " + b.calibration()) + ": valid for",
                        8,
                        true);
                pages.text(
                        String.join(
                                "; ",
                                t.by().inputs().lines().entrySet().stream()
                                        .map(e -> Named.line(project.system(), e.getKey()) + " " + e.getValue())
                                        .toList()),
                        7,
                        false);
                for (HangarTest.Photo p : b.photos()) {
                    pages.text("Attached: " + p.file() + ", SHA-256 " + p.sha256(), 7, false);
                }
            }
        }
    }

    private String counts(HangarTest t) {
        Standing standing = standing(t);
        return standing.counts()
                ? "yes"
                : "no: "
                        + (standing.changes().isEmpty()
                                ? standing.words()
                                : String.join(
                                        "; ",
                                        standing.changes().stream()
                                                .limit(3)
                                                .map(Inputs.Change::words)
                                                .toList()));
    }

    private String figures(HangarTest t) {
        return t.work()
                .as(
                        d -> {
                            String at = "pitch " + d.pitch().quantity().shown() + ", tilt "
                                    + d.tilt().quantity().shown();
                            return d.stayed().isEmpty()
                                    ? at + ": nothing yet"
                                    : at + ": "
                                            + d.stayed().stream()
                                                    .map(v -> units.text(v, Dimension.VOLUME))
                                                    .collect(Collectors.joining(", "))
                                            + " unusable";
                        },
                        f -> f.points().size() + " pours, "
                                + units.text(f.total(f.points().size()), Dimension.VOLUME) + ", pitch "
                                + f.pitch().quantity().shown(),
                        top -> top.metered()
                                .map(m -> units.text(top.before().si() + m.si(), Dimension.VOLUME) + " in all")
                                .orElse("not finished"),
                        sheet -> Readout.lines(sheet, project.system(), units));
    }

    private void faults() throws IOException {
        if (assessment.basis().isEmpty()) {
            return;
        }
        List<FaultAnswer> all = FaultSearch.of(assessment, units, share -> {}, task.cancelled());
        List<FaultAnswer> harm =
                all.stream().filter(f -> f.verdict() != Verdict.HOLDS).toList();
        pages.page(
                "Single failures",
                all.size() + " failures; " + (all.size() - harm.size()) + " with flow still at demand are not listed");
        pages.table(
                List.of(
                        new Column<FaultAnswer>(
                                "Failure", 0.3, f -> f.part() + " " + ration.answer.fault.Catalogue.words(f.fault())),
                        new Column<>(
                                "Flow remaining",
                                0.1,
                                f -> Double.isNaN(f.share()) ? "" : UnitSystem.figure(f.share(), 2) + "\u00d7"),
                        new Column<>(
                                "Time to low flow",
                                0.12,
                                f -> Double.isNaN(f.minutes())
                                        ? ""
                                        : Double.isInfinite(f.minutes())
                                                ? "no end"
                                                : f.minutes() == 0
                                                        ? "immediately"
                                                        : UnitSystem.figure(f.minutes(), 1) + " min"),
                        new Column<>(
                                "Indication",
                                0.2,
                                f -> f.seen().isEmpty() ? "" : f.seen().get(0).what()),
                        new Column<>("Pilot action", 0.16, f -> f.wayOut()
                                .map(FaultAnswer.WayOut::does)
                                .orElse("none")),
                        new Column<>("State", 0.12, f -> f.verdict().word())),
                harm);
    }

    private void flight() throws IOException {
        if (assessment.basis().isEmpty()) {
            return;
        }
        Optional<String> refusal = FlightRun.refusal(project.system(), UsualFlight.meant(project));
        pages.page("Flight", project.flight().isPresent() ? "as planned" : "a usual flight; none was planned");
        if (refusal.isPresent()) {
            pages.text("Not shown: " + refusal.get(), 9, false);
            return;
        }
        Flight f = FlightRun.of(assessment, UsualFlight.meant(project));
        pages.text(
                "Lands at " + FlightTable.clock(f.landing().minutes()) + " with "
                        + units.text(Math.max(0, f.landing().usable()), Dimension.VOLUME) + " usable, needs "
                        + units.text(f.landing().needs(), Dimension.VOLUME) + ": "
                        + f.verdict().word() + ". Fuel exhaustion "
                        + FlightTable.clock(f.reached().endurance()) + "."
                        + (f.trouble().isEmpty() ? "" : " Not shown: " + f.trouble()),
                9,
                true);
        pages.space(6);
        pages.table(
                List.of(
                        new Column<FlightEvent>("Time", 0.12, e -> FlightTable.clock(e.minutes())),
                        new Column<>("Event", 0.5, FlightEvent::words),
                        new Column<>(
                                "Fuel remaining",
                                0.38,
                                e -> String.join(
                                        ", ",
                                        project.system().tanks().stream()
                                                .map(t -> t.name() + " "
                                                        + units.text(
                                                                f.at(e.minutes())
                                                                        .tank(t.id()),
                                                                Dimension.VOLUME))
                                                .toList()))),
                f.events());
    }

    private void upkeep() throws IOException {
        List<Due> all = Due.of(project.upkeep(), today);
        pages.page(
                "Maintenance", "airframe " + UnitSystem.figure(project.upkeep().hours(), 1) + " h, on " + today);
        if (all.isEmpty()) {
            pages.text("No tracked parts entered.", 9, false);
            return;
        }
        pages.table(
                List.of(
                        new Column<Due>("Part", 0.26, d -> d.part().name()),
                        new Column<>("Installed", 0.16, d -> d.part()
                                .fitted()
                                .map(x -> x.on() + ", " + UnitSystem.figure(x.hours(), 1) + " h")
                                .orElse("unknown")),
                        new Column<>("Interval", 0.2, d -> d.part().life().words()),
                        new Column<>("Remaining", 0.16, Due::left),
                        new Column<>("Reference", 0.12, d -> d.part().paper()),
                        new Column<>("State", 0.1, d -> d.verdict().word())),
                all);
        pages.section("Log", project.upkeep().log().size() + " entries");
        pages.table(
                List.of(
                        new Column<ration.record.upkeep.Entry>("No.", 0.06, e -> String.valueOf(e.number())),
                        new Column<>(
                                "Entry",
                                0.94,
                                e -> ration.record.upkeep.Upkeep.logbook(e)
                                        + (project.upkeep().corrected(e) ? " (corrected)" : ""))),
                project.upkeep().log());
    }
}
