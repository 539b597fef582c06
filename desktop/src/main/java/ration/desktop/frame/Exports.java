package ration.desktop.frame;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.MalformedInputException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.ThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import javafx.application.Platform;
import ration.aircraft.model.FuelSystem;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.answer.assess.Comparison;
import ration.answer.fault.FaultAnswer;
import ration.answer.fault.HiddenSearch;
import ration.answer.measure.Job;
import ration.answer.measure.MeasureNext;
import ration.answer.plan.Plan;
import ration.answer.proof.Touched;
import ration.base.quantity.UnitSystem;
import ration.desktop.build.BuildPage;
import ration.desktop.hangar.HangarPage;
import ration.desktop.runs.RunsPage;
import ration.desktop.session.KnownFailures;
import ration.desktop.session.LongWork;
import ration.desktop.session.Message;
import ration.desktop.session.ProblemReport;
import ration.desktop.session.Session;
import ration.desktop.signoff.SignOffPage;
import ration.desktop.style.Tokens;
import ration.desktop.upkeep.UpkeepPage;
import ration.desktop.vapor.SoakPane;
import ration.publish.export.DrawingPdf;
import ration.publish.export.EpanetInp;
import ration.publish.export.MatrixCsv;
import ration.publish.export.MeasuringPdf;
import ration.publish.export.PictureSvg;
import ration.publish.export.PlanFiles;
import ration.publish.export.PrintedSheets;
import ration.publish.export.ReadingsPdf;
import ration.publish.export.UpkeepFiles;
import ration.publish.export.WorkReport;
import ration.publish.packet.Packet;
import ration.record.acceptance.SignOff;
import ration.record.file.DocumentMark;
import ration.record.file.FileTrouble;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.record.file.SafeWrite;
import ration.record.project.Edit;
import ration.record.project.Project;
import ration.record.upkeep.Entry;

/** Files beside the document: tables read and written, drawings and sheets written. */
final class Exports implements RunsPage.Files, HangarPage.Files, SoakPane.Logs, SignOffPage.Papers {

    private static final System.Logger LOG = System.getLogger("ration");

    /** Larger tables than this are no runs sheet. */
    private static final long MOST_BYTES = 4_000_000;
    /** A day of ten readings a second is smaller. */
    private static final long MOST_LOG = 64L << 20;

    private final Session session;
    private final FileDialogs dialogs;
    private final ThreadPoolExecutor writer = writer();
    private Path lastIssued;

    Exports(Session session, FileDialogs dialogs) {
        this.session = session;
        this.dialogs = dialogs;
    }

    @Override
    public void readTable(Consumer<String> text) {
        dialogs.toOpen(FileDialogs.Kind.TABLE).ifPresent(path -> {
            try {
                if (Files.size(path) > MOST_BYTES) {
                    session.trouble(path.getFileName() + " is too large for a line sheet. Not read.");
                    return;
                }
                text.accept(Files.readString(path));
            } catch (MalformedInputException e) {
                session.trouble(path.getFileName() + " is not UTF-8 text. Save it as CSV, UTF-8.");
            } catch (IOException e) {
                session.trouble(path.getFileName() + " cannot be read: " + e.getMessage());
            }
        });
    }

    @Override
    public void open(Consumer<SoakPane.Text> then) {
        dialogs.toOpen(FileDialogs.Kind.TABLE).ifPresent(path -> read(path, then));
    }

    @Override
    public void read(Path path, Consumer<SoakPane.Text> then) {
        try {
            if (Files.size(path) > MOST_LOG) {
                session.trouble(
                        path.getFileName() + " is larger than 64 MB and was not read. Write every tenth reading.");
                return;
            }
            then.accept(new SoakPane.Text(path.getFileName().toString(), () -> text(path)));
        } catch (IOException e) {
            session.trouble(path.getFileName() + " cannot be read: " + FileTrouble.why(path, e) + ".");
        }
    }

    /** UTF-8, or Latin-1 as old loggers write it. */
    private static String text(Path path) {
        byte[] bytes;
        try {
            bytes = Files.readAllBytes(path);
        } catch (IOException e) {
            throw new UncheckedIOException("It cannot be read: " + FileTrouble.why(path, e) + ".", e);
        }
        try {
            return StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(java.nio.ByteBuffer.wrap(bytes))
                    .toString();
        } catch (java.nio.charset.CharacterCodingException e) {
            return new String(bytes, StandardCharsets.ISO_8859_1);
        }
    }

    @Override
    public void writeTable(String suggested, String text) {
        write(suggested, FileDialogs.Kind.TABLE, now -> utf8(text));
    }

    @Override
    public void choose(Consumer<Path> then) {
        dialogs.toOpen(FileDialogs.Kind.ANY).ifPresent(then);
    }

    @Override
    public void testCards() {
        Assessment a = assessment();
        if (a.program().tests().stream().allMatch(p -> p.counts() || !p.wanted().asked())) {
            session.say("All tests are done: no cards to print.");
            return;
        }
        write(named("cards"), FileDialogs.Kind.PDF, now -> ration.publish.export.TestCards.of(a, now.units()));
    }

    @Override
    public void print() {
        write(named("runs"), FileDialogs.Kind.PDF, now -> PrintedSheets.runsPdf(now.assessment()));
    }

    /** The sheet a layout is measured by, of one that is not in the document yet. */
    void measuringSheet(String title, FuelSystem system) {
        write(
                title.toLowerCase(java.util.Locale.ROOT).replaceAll("[^a-z0-9]+", "-") + "-measuring",
                FileDialogs.Kind.PDF,
                now -> MeasuringPdf.of(title, system, now.units()));
    }

    /** The few readings that would settle an answer. */
    void readings(MeasureNext m, List<Job> read) {
        write(named("readings"), FileDialogs.Kind.PDF, now -> ReadingsPdf.of(now.assessment(), m, read, now.units()));
    }

    /** All steps of the guide with what the document misses. */
    void guide() {
        write(
                named("guide"),
                FileDialogs.Kind.PDF,
                now -> ration.publish.export.GuidePdf.of(now.assessment(), now.units()));
    }

    /** The sheet the document is measured by. */
    void measuringSheet() {
        write(
                named("measuring"),
                FileDialogs.Kind.PDF,
                now -> MeasuringPdf.of(now.project().name(), now.project().system(), now.units()));
    }

    /** Gauge card and dipstick strip of a tank. */
    void gaugeCard(String tank) {
        assessment()
                .tank(tank)
                .ifPresent(t -> write(
                        named("gauge-" + tank),
                        FileDialogs.Kind.PDF,
                        now -> ration.publish.export.GaugeCard.pdf(now.project(), t, now.units())));
    }

    /** Every drain in walk-round order, to tick off. */
    void samplingCard() {
        write(named("sampling"), FileDialogs.Kind.PDF, now -> ration.publish.export.SamplingPdf.of(now.project()));
    }

    /** When to switch to what. */
    void switchingCard(ration.answer.drawdown.Flight flight) {
        write(
                named("switching"),
                FileDialogs.Kind.PDF,
                now -> ration.publish.export.SwitchingPdf.of(now.project(), flight, now.units()));
    }

    /** The packet for the inspector; made beside the window, which can stop it. */
    void packet(LongWork work) {
        dialogs.toSave(named("packet"), FileDialogs.Kind.PDF).ifPresent(chosen -> {
            Path path = chosen.toString().endsWith(".pdf") ? chosen : Path.of(chosen + ".pdf");
            Assessment a = assessment();
            UnitSystem units = session.units().get();
            Optional<Path> earlier = asLastIssued();
            Optional<Path> document = Optional.ofNullable(session.file().get());
            KnownFailures known = session.knownFailures();
            Optional<List<FaultAnswer>> failures =
                    known.singles(a.project(), units).map(KnownFailures.Singles::answers);
            Optional<HiddenSearch> hidden = known.hidden(a.project(), units);
            work.start(
                    task -> {
                        try {
                            return Packet.of(
                                    a,
                                    Packet.Paper.LETTER,
                                    units,
                                    java.time.LocalDate.now(),
                                    task,
                                    new Packet.Given(earlier.flatMap(Exports::assessed), failures, hidden, document));
                        } catch (IOException e) {
                            throw new java.io.UncheckedIOException(e);
                        }
                    },
                    made -> made.ifPresent(bytes -> issued(path, bytes, a.project())),
                    session::trouble);
        });
    }

    @Override
    public void packet() {
        packet(session.opening());
    }

    /** Writes a packet, the document as it was then beside it, and notes it: the next one is compared with it. */
    private void issued(Path path, byte[] bytes, Project made) {
        String mark = DocumentMark.of(made);
        Path then = asIssued(path, mark);
        try {
            SafeWrite.derived(path, bytes);
            ProjectFile.save(made, then);
            lastIssued = then;
            SignOff.Issued packet = new SignOff.Issued(
                    java.time.LocalDate.now(), mark, path.getFileName().toString());
            session.apply(Edit.of("Note a packet", p -> p.with(p.signOff().with(packet))));
            session.done("Written: " + path.getFileName() + ", and beside it " + then.getFileName()
                    + ", the document as it is now, to compare with later.");
        } catch (IOException e) {
            session.trouble(path.getFileName() + " cannot be written: " + FileTrouble.why(path, e)
                    + ". Choose another place; nothing is lost in the window.");
        } catch (ProjectFileException e) {
            session.trouble(e.fullText());
        }
    }

    /** The document as it was when the last packet was given out: written in this session, or beside the document. */
    private Optional<Path> asLastIssued() {
        Optional<SignOff.Issued> last = session.project().signOff().last();
        if (last.isPresent()
                && lastIssued != null
                && Files.isRegularFile(lastIssued)
                && lastIssued
                        .getFileName()
                        .toString()
                        .contains(last.get().mark().replace(" ", ""))) {
            return Optional.of(lastIssued);
        }
        return last.filter(l -> session.file().get() != null)
                .map(l -> asIssued(session.file().get().resolveSibling(l.file()), l.mark()))
                .filter(Files::isRegularFile);
    }

    private static Optional<Assessment> assessed(Path file) {
        try {
            return Optional.of(Assessment.of(ProjectFile.open(file)));
        } catch (ProjectFileException e) {
            // without it the packet says nothing of what changed; the document itself is whole
            return Optional.empty();
        }
    }

    /** The name carries the mark, so that no other document is ever written over. */
    private static Path asIssued(Path packet, String mark) {
        return packet.resolveSibling(
                packet.getFileName().toString().replaceAll("\\.pdf$", "") + "-" + mark.replace(" ", "") + ".ration");
    }

    @Override
    public void sinceLastPacket(Consumer<Comparison> then) {
        if (session.project().signOff().last().isEmpty()) {
            session.say("No packet was given out yet.");
            return;
        }
        asLastIssued()
                .or(() -> dialogs.toOpen(FileDialogs.Kind.DOCUMENT))
                .ifPresent(path -> session.compare(path, then));
    }

    /** What falls due: as a calendar, or as tables of the parts or the log. */
    void upkeep(UpkeepPage.Paper paper, java.time.LocalDate today) {
        Project p = session.project();
        if (paper == UpkeepPage.Paper.PREFLIGHT) {
            write(
                    named("preflight"),
                    FileDialogs.Kind.PDF,
                    now -> ration.publish.export.PreflightPdf.of(now.assessment(), now.units()));
            return;
        }
        write(
                named("upkeep"),
                paper == UpkeepPage.Paper.CALENDAR ? FileDialogs.Kind.CALENDAR : FileDialogs.Kind.TABLE,
                now -> utf8(
                        switch (paper) {
                            case CALENDAR -> UpkeepFiles.calendar(p, today);
                            case PARTS -> UpkeepFiles.parts(p, today);
                            case LOG, PREFLIGHT -> UpkeepFiles.log(p);
                        }));
    }

    /** The build as a list to print, a table, or a calendar of deliveries. */
    void build(BuildPage.Paper paper) {
        LocalDate today = LocalDate.now();
        write(
                named("build"),
                switch (paper) {
                    case LIST -> FileDialogs.Kind.PDF;
                    case TABLE -> FileDialogs.Kind.TABLE;
                    case CALENDAR -> FileDialogs.Kind.CALENDAR;
                },
                now -> {
                    Project p = now.assessment().project();
                    Plan plan = Plan.of(p, now.assessment().program(), today);
                    return switch (paper) {
                        case LIST -> PlanFiles.pdf(p, plan);
                        case TABLE -> utf8(PlanFiles.csv(plan));
                        case CALENDAR -> utf8(PlanFiles.calendar(p, plan));
                    };
                });
    }

    /** What was done in one act, to sign. */
    void work(java.util.List<Entry> entries, java.util.List<Touched.Again> again) {
        write(
                named("work-report"),
                FileDialogs.Kind.PDF,
                now -> WorkReport.of(
                        now.assessment().project(), now.assessment().program(), entries, again));
    }

    void drawingPdf() {
        look(l -> write(
                named("drawing"),
                FileDialogs.Kind.PDF,
                now -> DrawingPdf.of(now.assessment(), l, now.units(), LocalDate.now())));
    }

    void drawingSvg() {
        look(l -> {
            String said = label(l);
            write(
                    named("drawing"),
                    FileDialogs.Kind.SVG,
                    now -> utf8(PictureSvg.of(
                            PrintedSheets.drawing(now.assessment(), l, now.units(), Tokens.measure()), said)));
        });
    }

    void matrix() {
        look(l -> write(
                named("matrix"), FileDialogs.Kind.TABLE, now -> utf8(MatrixCsv.of(now.assessment(), now.units()))));
    }

    void network() {
        look(l -> {
            try {
                String text = EpanetInp.of(l.capacity(), label(l));
                write(named("case"), FileDialogs.Kind.NETWORK, now -> utf8(text));
            } catch (IllegalArgumentException e) {
                session.say(e.getMessage());
            }
        });
    }

    private Assessment assessment() {
        return session.shown().get().assessment();
    }

    /** With the case looked at, or a word on why there is none. */
    private void look(Consumer<CaseAnswer> then) {
        session.shown()
                .get()
                .look()
                .ifPresentOrElse(then, () -> session.say("Nothing is computed yet: nothing to write."));
    }

    private String label(CaseAnswer l) {
        return session.project().name() + ", "
                + l.label(session.project().system(), session.units().get());
    }

    private String named(String what) {
        return session.project().name().toLowerCase(java.util.Locale.ROOT).replaceAll("[^a-z0-9]+", "-") + "-" + what;
    }

    /** Makes what is written. */
    @FunctionalInterface
    interface Making {
        byte[] of(Now now) throws IOException;
    }

    private static byte[] utf8(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    /** The document as it was when it was asked for: what is written behind the window knows no later edit. */
    record Now(Project project, Assessment assessment, UnitSystem units) {

        /** With the assessment of this very document, should the window still show that of the one before an edit. */
        Now whole() {
            return assessment.project() == project ? this : new Now(project, Assessment.of(project), units);
        }
    }

    void write(String suggested, FileDialogs.Kind kind, Making making) {
        dialogs.toSave(suggested, kind).ifPresent(chosen -> {
            Now now = new Now(session.project(), assessment(), session.units().get());
            written(chosen.toString().endsWith(kind.ending()) ? chosen : Path.of(chosen + kind.ending()), making, now);
        });
    }

    /**
     * Behind the window, one after the other; a window that closes waits for the last. A file is there whole or as it
     * was.
     */
    private void written(Path path, Making making, Now now) {
        put(path, () -> making.of(now.whole()));
    }

    /** Behind the window too: the system's dialog has its own life. */
    private void print(Path pdf) {
        writer.execute(() -> {
            Runnable said;
            try {
                said = switch (Printing.print(pdf, dialogs)) {
                    case PRINTED -> () -> session.done("Sent to the printer: " + pdf.getFileName());
                    case LEFT -> () -> {};
                    case NO_PRINTER ->
                        () -> session.trouble("No printer is set up on this machine. " + pdf.getFileName()
                                + " is written: print it elsewhere at actual size, not fitted to the page.");
                };
            } catch (IOException e) {
                said = () -> session.trouble(pdf.getFileName() + " was not printed: " + FileTrouble.why(pdf, e) + ".");
            } catch (RuntimeException | Error e) {
                LOG.log(System.Logger.Level.WARNING, "Not printed", e);
                said = () -> session.trouble(pdf.getFileName() + " was not printed: " + e.getMessage());
            }
            Platform.runLater(said);
        });
    }

    /** What is written, made behind the window. */
    @FunctionalInterface
    private interface Made {
        byte[] bytes() throws IOException;
    }

    private void put(Path path, Made made) {
        Path[] open = session.file().get() == null
                ? new Path[0]
                : new Path[] {session.file().get()};
        writer.execute(() -> {
            String said = "";
            try {
                SafeWrite.derived(path, made.bytes(), open);
            } catch (IOException e) {
                said = path.getFileName() + " cannot be written: " + FileTrouble.why(path, e)
                        + ". Choose another place; nothing is lost in the window.";
            } catch (RuntimeException | Error e) {
                LOG.log(System.Logger.Level.WARNING, "Not written", e);
                said = path.getFileName() + " was not written: " + e.getMessage();
            }
            String trouble = said;
            Platform.runLater(() -> {
                if (trouble.isEmpty() && path.toString().endsWith(FileDialogs.Kind.PDF.ending())) {
                    session.done(
                            "Written: " + path.getFileName(),
                            new Message.Offer("Print it\u2026", "message-print", () -> print(path)));
                } else if (trouble.isEmpty()) {
                    session.done("Written: " + path.getFileName());
                } else {
                    session.trouble(trouble);
                }
            });
        });
    }

    /** A report of a problem, without asking for any assessment: it may be the assessment that fails. */
    void problem(Optional<Project> document) {
        dialogs.toSave(named("problem.zip"), FileDialogs.Kind.ZIP).ifPresent(chosen -> {
            Path path = chosen.toString().endsWith(".zip") ? chosen : Path.of(chosen + ".zip");
            put(path, () -> ProblemReport.of(session.home(), document));
        });
    }

    private static ThreadPoolExecutor writer() {
        ThreadPoolExecutor one = new ThreadPoolExecutor(
                1, 1, 1, TimeUnit.SECONDS, new LinkedBlockingQueue<>(), r -> new Thread(r, "writing"));
        one.allowCoreThreadTimeOut(true);
        return one;
    }
}
