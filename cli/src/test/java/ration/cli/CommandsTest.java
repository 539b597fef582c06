package ration.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.PrintWriter;
import java.io.StringWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.LineSize;
import ration.aircraft.model.Run;
import ration.aircraft.model.Tank;
import ration.answer.assess.Assessment;
import ration.base.quantity.Measured;
import ration.base.quantity.Unit;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.record.project.Project;

class CommandsTest {

    @TempDir
    Path folder;

    private final StringWriter out = new StringWriter();
    private final StringWriter err = new StringWriter();

    private int run(String... args) {
        out.getBuffer().setLength(0);
        err.getBuffer().setLength(0);
        return Main.run(new PrintWriter(out), new PrintWriter(err), args);
    }

    private Path saved(Project project) throws ProjectFileException {
        Path file = folder.resolve("test.ration");
        ProjectFile.save(project, file);
        return file;
    }

    /** A document that is read while the command line comes up gives the same answer, and the same complaint, once. */
    @Test
    void whatIsReadAheadIsReadAlike() throws Exception {
        String there = saved(ProjectFile.demo("brindle-a2")).toString();
        Files.writeString(folder.resolve("torn.ration"), "{\"format\": ");
        String torn = folder.resolve("torn.ration").toString();
        for (String file : List.of(there, torn, folder.resolve("none.ration").toString(), "tansy", folder.toString())) {
            int code = run("upkeep", file);
            String said = out.toString();
            String complained = err.toString();
            Documents.begin(file);
            assertThat(run("upkeep", file)).isEqualTo(code);
            assertThat(out).hasToString(said);
            assertThat(err).hasToString(complained);
        }
        Documents.begin(torn);
        assertThat(run("upkeep", there)).as("another than was begun").isNotEqualTo(2);
    }

    /** What a command makes never stands in place of a document, whatever the document is called. */
    @Test
    void nothingIsWrittenOverADocument() throws Exception {
        Path d = saved(ProjectFile.demo("corrie-b1"));
        byte[] before = Files.readAllBytes(d);
        Path disguised = Files.write(folder.resolve("drawing.pdf"), before);
        Path fresh = folder.resolve("new.ration");
        for (Path target : List.of(d, disguised, fresh)) {
            for (List<String> command : List.of(
                    List.of("report", d.toString(), target.toString()),
                    List.of("rig", d.toString(), "--out", target.toString()),
                    List.of("tests", d.toString(), "--cards", target.toString()))) {
                assertThat(run(command.toArray(String[]::new)))
                        .as(command.toString())
                        .isEqualTo(2);
                assertThat(err.toString())
                        .contains(target.toString(), "cannot be written", "name another file")
                        .doesNotContain("Exception");
            }
        }
        assertThat(run("export", d.toString(), disguised.toString())).isEqualTo(2);
        assertThat(Files.readAllBytes(d)).isEqualTo(before);
        assertThat(Files.readAllBytes(disguised)).isEqualTo(before);
        assertThat(fresh).doesNotExist();
    }

    /** A writer that takes so many characters, and then no more: a disk that is full. */
    private static Writer full(int takes) {
        return new Writer() {
            private int left = takes;

            @Override
            public void write(char[] some, int from, int many) throws IOException {
                left -= many;
                if (left < 0) {
                    throw new IOException("No space left on device");
                }
            }

            @Override
            public void flush() {}

            @Override
            public void close() {}
        };
    }

    @Test
    void thePlanOfABuildIsListedAsTextTableCalendarAndJson() throws IOException {
        assertThat(run("plan", "brindle", "--on", "2026-12-01")).isEqualTo(1);
        assertThat(out.toString())
                .contains("steps done, ", "Can be done today", "On order", "waits for ", "not before 20")
                .doesNotContain("NaN");
        assertThat(run("plan", "brindle", "--json")).isEqualTo(1);
        JsonNode steps = Json.MAPPER.readTree(out.toString()).get("steps");
        assertThat(steps)
                .anyMatch(s -> s.get("step").asText().equals("part:lift")
                        && s.get("state").asText().equals("ordered")
                        && s.get("expected").asText().startsWith("20"));
        assertThat(run("plan", "brindle", "--ics")).isEqualTo(1);
        assertThat(out.toString()).startsWith("BEGIN:VCALENDAR").contains("Lift pump expected");
        Path list = folder.resolve("list.pdf");
        assertThat(run("plan", "brindle", "--csv", "--list", list.toString())).isEqualTo(1);
        assertThat(out.toString()).startsWith("step,name,stage").contains("joint:r1.start");
        assertThat(Files.readAllBytes(list)).startsWith("%PDF".getBytes(StandardCharsets.US_ASCII));
    }

    @Test
    void lostOutputIsTold() {
        for (List<String> command : List.of(
                List.of("check", "demo"),
                List.of("solve", "demo"),
                List.of("diff", "corrie-b1", "tansy-l3"),
                List.of("upkeep", "demo"),
                List.of("rig", "demo", "--seconds", "5"),
                List.of("--help"))) {
            StringWriter said = new StringWriter();
            assertThat(Main.run(new PrintWriter(full(40)), new PrintWriter(said), command.toArray(String[]::new)))
                    .as(command.toString())
                    .isEqualTo(2);
            assertThat(said.toString()).contains("output incomplete");
        }
    }

    @Test
    void whatTheParsersFindIsSaidInOurWords() throws IOException {
        assertThat(run("upkeep", "demo", "--on", "3/9/26")).isEqualTo(2);
        assertThat(err.toString()).contains("is not a date. Use 2026-03-09").doesNotContain("Exception");
        assertThat(run("export", "demo", "/")).isEqualTo(2);
        assertThat(err.toString()).contains("name a target that ends in").doesNotContain("because");
        String text = ProjectFile.text(ration.record.project.Project.empty());
        for (String spoilt : List.of(
                text.replace("Ration", "Ra\ntion").replaceFirst("\"name\"", "\"na\nme\""),
                text.substring(0, text.length() / 2),
                text + "x",
                text.replaceFirst("\"version\" : 2", "\"version\" : two"),
                text.replaceFirst("\"version\"", "\"format\""))) {
            Path file = Files.writeString(folder.resolve("spoilt.ration"), spoilt);
            assertThat(run("check", file.toString())).isEqualTo(2);
            assertThat(err.toString())
                    .contains("spoilt.ration is damaged")
                    .doesNotContainPattern("(?i)unquoted|token|json|duplicate|jackson|exception|parser|reader");
        }
    }

    @Test
    void explainedIsJsonWhereThatIsAskedFor() throws IOException {
        run("check", "corrie-b1", "--json", "--explain=Flow margin");
        JsonNode figures = new ObjectMapper().readTree(out.toString()).get("figures");
        assertThat(figures)
                .hasSizeGreaterThan(0)
                .allMatch(f ->
                        !f.get("figure").asText().isEmpty() && f.get("lines").size() > 1);
    }

    /** The script that starts the program hands on every command there is, and tells of it. */
    @Test
    void everyCommandIsHandedOnByTheScript() throws IOException {
        String script = Files.readString(Path.of("..", "ration"));
        String handed = script.lines()
                .filter(l -> l.strip().startsWith("check|"))
                .findFirst()
                .orElseThrow();
        assertThat(Main.commands()).isNotEmpty().allSatisfy(c -> {
            assertThat(List.of(handed.strip().split("[|)]"))).contains(c);
            assertThat(script).contains("./ration " + c + " ");
        });
        String installed = Files.readString(Path.of("..", "tools", "image", "ration"));
        String there = installed
                .lines()
                .filter(l -> l.strip().startsWith("check|"))
                .findFirst()
                .orElseThrow();
        String manual = Files.readString(Path.of("..", "tools", "image", "ration.1"));
        assertThat(Main.commands()).allSatisfy(c -> {
            assertThat(List.of(there.strip().split("[|)]"))).contains(c);
            assertThat(manual).contains(".B " + c);
        });
    }

    /** Everything that ships is named with its license and its version. */
    @Test
    void everyLibraryStandsInTheListOfLicenses() throws IOException {
        String list = Files.readString(Path.of("..", "docs", "licenses.md"));
        for (String one : List.of(
                "com.fasterxml.jackson.databind.ObjectMapper",
                "com.fasterxml.jackson.core.JsonParser",
                "com.fasterxml.jackson.annotation.JsonProperty",
                "picocli.CommandLine",
                "org.apache.commons.csv.CSVFormat",
                "org.apache.pdfbox.pdmodel.PDDocument",
                "org.apache.fontbox.ttf.TrueTypeFont",
                "org.apache.xmpbox.XMPMetadata",
                "biweekly.Biweekly",
                "org.hipparchus.util.FastMath",
                "org.locationtech.jts.geom.Geometry")) {
            String jar;
            try {
                jar = Path.of(Class.forName(one)
                                .getProtectionDomain()
                                .getCodeSource()
                                .getLocation()
                                .toURI())
                        .getFileName()
                        .toString();
            } catch (ClassNotFoundException | java.net.URISyntaxException e) {
                throw new AssertionError(
                        one + " does not ship any more: take it off this list and out of the table", e);
            }
            String name = jar.replaceAll("-[0-9.]+\\.jar$", "");
            String version = jar.replaceAll(".*-([0-9.]+)\\.jar$", "$1");
            assertThat(list.lines().filter(l -> l.contains(name)).toList())
                    .as(jar)
                    .anyMatch(l -> l.contains("| " + version + " |"));
        }
    }

    /** What the demo's cards say to do: a tube, a tank five inches up, a placard, and caps that breathe too. */
    private static Project fixed(Project demo) {
        FuelSystem s = demo.system();
        s = s.change("r3", Run.class, r -> r.resized(LineSize.parse("3/8 x 0.035 tube")));
        s = s.change("fuselage", Tank.class, t -> t.raised(Unit.INCH.toSi(5)));
        for (String tank : List.of("upper", "fuselage")) {
            s = s.change(
                    tank,
                    Tank.class,
                    t -> t.with(t.fitout().with(ration.aircraft.model.Fitout.Piece.SECOND_AIR, true)));
        }
        return demo.with(
                s.change("upper", Tank.class, t -> t.withUnusable(Measured.of(1.4, Unit.GALLON, "drain test"))));
    }

    /**
     * The program as text and JSON, cards on paper, and what a change would end; a test that was not run leaves the
     * exit code at 1.
     */
    @Test
    void testsSayWhatIsAskedAndHowItStands() throws IOException {
        assertThat(run("tests", "corrie-b1")).isEqualTo(1);
        assertThat(out.toString())
                .contains(
                        "Nose-up flow, FUSELAGE",
                        "needs 22.8 gph, computed 19.0 gph",
                        "Next: Drain test of Upper tank");
        Path cards = folder.resolve("cards.pdf");
        assertThat(run("tests", "tansy-l3", "--json", "--cards", cards.toString()))
                .isEqualTo(1);
        JsonNode tests = new ObjectMapper().readTree(out.toString()).get("tests");
        assertThat(tests)
                .anyMatch(t -> t.get("test").asText().equals("pump-flow.boost.selector:LEFT")
                        && t.get("verdict").asText().equals("not-shown")
                        && t.get("computed").asText().endsWith("gph"));
        assertThat(Files.size(cards)).isGreaterThan(10_000);
        assertThat(run("tests", "corrie-b1", "--touch", "upper")).isZero();
        assertThat(out.toString()).contains(" invalidates ", "Drain test of Upper tank", "Nose-up flow, UPPER");
        assertThat(run("tests", "corrie-b1", "--touch", "nothing")).isEqualTo(2);
        assertThat(err.toString()).contains("There are: ");
    }

    /**
     * Compared with what its cards say to do: changes in words, fewer findings Short; the other way round some got
     * worse.
     */
    @Test
    void diffSaysWhatChangedAndWhatItDid() throws Exception {
        Project demo = ProjectFile.demo(ProjectFile.DEMO);
        Project bare = demo.withTests(demo.tests().subList(0, 4));
        Path before = folder.resolve("before.ration");
        ProjectFile.save(bare, before);
        Path better = saved(fixed(bare));
        assertThat(run("diff", before.toString(), better.toString())).isZero();
        assertThat(out.toString())
                .contains(
                        "R3: size was 5/16, now 3/8", "Ledger", "Fails \u2192 Holds", "Tests no longer valid\n  none");
        assertThat(run("diff", better.toString(), before.toString(), "--json")).isEqualTo(1);
        JsonNode json = new ObjectMapper().readTree(out.toString());
        assertThat(json.get("ledger")).hasSize(4);
        assertThat(json.get("findings").findValuesAsText("after")).contains("fails");
        assertThat(run("diff", "demo", folder.resolve("none.ration").toString()))
                .isEqualTo(2);
    }

    @Test
    void checkSaysShortByExitCodeAndWords() throws ProjectFileException {
        Project demo = ProjectFile.demo(ProjectFile.DEMO);
        assertThat(run("check", "demo")).isEqualTo(1);
        assertThat(out.toString())
                .contains(
                        "Ledger",
                        "Flow margin",
                        "Fails",
                        "Takeoff run 12\u00b0, 0.25 g forward, FUSELAGE",
                        "Climb 17\u00b0, FUSELAGE",
                        "Not shown",
                        "does not approve flight",
                        "from memory");
        int code = run("check", saved(fixed(demo)).toString());
        assertThat(code).as(out.toString()).isZero();
        assertThat(out.toString()).contains("Holds").doesNotContain("Fails ");
    }

    /** Single failures: words by group, an object a fault in JSON with null for what has no end or is not known. */
    @Test
    void faultsAreTold() throws IOException {
        assertThat(run("faults", "tansy-l3")).isEqualTo(1);
        assertThat(out.toString())
                .contains(
                        "No pilot action",
                        "Strainer clogged",
                        "Flow still meets demand",
                        "Engine pump inoperative",
                        "does not approve flight");
        assertThat(run("faults", "tansy-l3", "--json")).isEqualTo(1);
        JsonNode faults = new ObjectMapper().readTree(out.toString());
        assertThat(faults).allSatisfy(f -> assertThat(f.fieldNames())
                .toIterable()
                .containsExactly(
                        "fault",
                        "item",
                        "kind",
                        "case",
                        "flowShare",
                        "minutesToShort",
                        "seen",
                        "leadMinutes",
                        "wayOut",
                        "verdict",
                        "why"));
        JsonNode clogged = null;
        for (JsonNode f : faults) {
            clogged = f.path("fault").asText().equals("outlet-clogged:left.outlet=shut") ? f : clogged;
        }
        assertThat(clogged).isNotNull();
        assertThat(clogged.path("wayOut").path("does").asText()).isEqualTo("RIGHT");
        assertThat(clogged.path("minutesToShort").asDouble(-1)).isZero();
        assertThat(run("solve", "tansy-l3", "--case", "level, left", "--fault", "outlet-clogged:left.outlet=shut"))
                .isIn(0, 1);
    }

    /** A flight drawn down: words, time series and events, a rule that is none or cannot be followed. */
    @Test
    void aFlightIsFlown() throws IOException {
        assertThat(run("fly", "tansy-l3")).isZero();
        assertThat(out.toString())
                .contains(
                        "Tansy L3, flight: Holds",
                        "lands 3:45 with 6.6 gal usable",
                        "switch RIGHT",
                        "does not clear you to fly");
        assertThat(run("fly", "tansy-l3", "--plan", "hand")).isEqualTo(1);
        assertThat(out.toString()).contains("fuel starvation on LEFT");
        assertThat(run("fly", "tansy-l3", "--plan", "clock", "--json")).isZero();
        JsonNode flight = new ObjectMapper().readTree(out.toString());
        assertThat(flight.path("rule").asText()).isEqualTo("clock");
        assertThat(flight.path("onBoth").isNull()).isTrue();
        assertThat(flight.path("series"))
                .hasSizeGreaterThan(225)
                .allSatisfy(s -> assertThat(s.path("tanks").size()).isEqualTo(2));
        assertThat(flight.path("events"))
                .anySatisfy(e -> assertThat(e.path("kind").asText()).isEqualTo("lands"));
        assertThat(run("fly", "tansy-l3", "--csv")).isZero();
        assertThat(out.toString()).startsWith("minutes,phase,selector");
        assertThat(run("fly", "tansy-l3", "--plan", "luck")).isEqualTo(2);
        assertThat(err.toString()).contains("--plan takes hand, clock, quantity, both or balance");
        assertThat(run("fly", "tansy-l3", "--plan", "both")).isEqualTo(2);
        assertThat(err.toString()).contains("has no BOTH");
    }

    /** Readings in, cause out: ranked, with what to read next; a wrong row is named. */
    @Test
    void readingsAreExplained() throws IOException {
        Path table = Files.createTempFile("readings", ".csv");
        Files.writeString(
                table,
                "place,quantity,value,unit,error,state\nservo,pressure,0,psi,1,\"level, left, engine pump alone\"\n");
        assertThat(run("find", "tansy-l3", table.toString())).isZero();
        assertThat(out.toString())
                .contains(
                        "likely causes",
                        "Engine pump inoperative",
                        "about ",
                        "Next reading",
                        "common practice, no source");
        assertThat(run("find", "tansy-l3", table.toString(), "--json")).isZero();
        JsonNode found = new ObjectMapper().readTree(out.toString());
        double sum = 0;
        for (JsonNode e : found.path("explanations")) {
            sum += e.path("belief").asDouble();
        }
        assertThat(sum).isBetween(0.999999, 1.000001);
        assertThat(found.path("next").get(0).path("suspectsLeft").asDouble())
                .isLessThan(found.path("suspects").asDouble());
        Files.writeString(table, "place,quantity,value,unit,error,state\nrudder,pressure,0,psi,1,\n");
        assertThat(run("find", "tansy-l3", table.toString())).isEqualTo(2);
        assertThat(err.toString()).contains("Row 1", "no part");
        assertThat(run("find", "tansy-l3", "no-such-table.csv")).isEqualTo(2);
        Files.delete(table);
    }

    /** The program plays the aircraft: the same lines for the same seed, to a file; a fault that is none is named. */
    @Test
    void theAircraftIsPlayed() throws IOException {
        assertThat(run("rig", "brindle-a2", "--seconds", "2", "--seed", "5")).isZero();
        String first = out.toString();
        assertThat(first.lines().toList().get(0)).isEqualTo("# ration readings 1");
        assertThat(first).contains("carburettor.pressure", "hull.contents");
        Path file = Files.createTempFile("rig", ".txt");
        assertThat(run("rig", "brindle-a2", "--seconds", "2", "--seed", "5", "--out", file.toString()))
                .isZero();
        assertThat(Files.readString(file)).isEqualToNormalizingNewlines(first);
        assertThat(run("rig", "brindle-a2", "--seconds", "1", "--fault", "hidden", "--seed", "2"))
                .isZero();
        assertThat(run("rig", "brindle-a2", "--fault", "luck:hull")).isEqualTo(2);
        assertThat(err.toString()).contains("is not a known failure");
        assertThat(run("rig", "brindle-a2", "--seconds", "0")).isEqualTo(2);
        Files.delete(file);
    }

    /**
     * From a figure down to the inputs and how they were measured; one figure by its name; a name that is none is told.
     */
    @Test
    void figuresAreExplained() {
        assertThat(run("check", "demo", "--explain")).isEqualTo(1);
        assertThat(out.toString())
                .contains(
                        "Flow margin: 1.125 = 15.46 gph \u00f7 13.75 gph",
                        "Power 150 hp, maker",
                        "Lost in Selector",
                        "Rated loss 0.045 psi, bench",
                        "Unusable fuel, Upper tank: 1.318 gal = 1.235 gal");
        assertThat(run("check", "demo", "--explain=demand")).isEqualTo(1);
        assertThat(out.toString()).startsWith("Demand: 13.75 gph").doesNotContain("Flow margin");
        assertThat(run("check", "demo", "--explain=luck")).isEqualTo(2);
        assertThat(err.toString()).contains("no figure named \u201cluck\u201d", "Flow margin");
    }

    @Test
    void checkPrintsTheSameFiguresAsJson() throws IOException, ProjectFileException {
        Assessment assessment = Assessment.of(ProjectFile.demo(ProjectFile.DEMO));
        assertThat(run("check", "demo", "--json")).isEqualTo(1);
        JsonNode root = new ObjectMapper().readTree(out.toString());
        assertThat(root.path("cases").size()).isEqualTo(assessment.cases().size());
        for (int i = 0; i < assessment.cases().size(); i++) {
            assertThat(root.path("cases").path(i).path("margin").asDouble())
                    .isCloseTo(assessment.cases().get(i).margin(), Offset.offset(1e-12));
            assertThat(root.path("cases").path(i).path("mass_residual_m3_s").asDouble())
                    .isLessThan(1e-9);
        }
        assertThat(root.path("format").asInt()).isEqualTo(2);
        assertThat(root.path("ledger").path(0).path("verdict").asText()).isEqualTo("fails");
        assertThat(root.path("findings").path(0).path("verdict").asText()).isEqualTo("fails");
    }

    /** Unusable fuel, vapor and what is open stand beside the flow margin, in words and as JSON. */
    @Test
    void theWholeLedgerIsPrinted() throws IOException {
        run("check", "brindle-a2");
        assertThat(out.toString())
                .contains("Unusable", "1.99 gal", "Vapor", "13.5 \u00b0F", "Low point without a drain, Standby pump");
        assertThat(run("check", "brindle-a2", "--json")).isEqualTo(1);
        JsonNode ledger = new ObjectMapper().readTree(out.toString()).path("ledger");
        assertThat(ledger)
                .extracting(e -> e.path("verdict").asText())
                .containsExactly("holds", "holds", "thin", "fails");
    }

    @Test
    void aFileThatCannotBeUsedIsToldOnStandardError() throws IOException, ProjectFileException {
        assertThat(run("check", folder.resolve("none.ration").toString())).isEqualTo(2);
        assertThat(err.toString()).contains("No file");
        assertThat(out.toString()).isEmpty();
        Path broken = Files.writeString(folder.resolve("broken.ration"), "{\"format\":\"ration\",");
        assertThat(run("check", broken.toString())).isEqualTo(2);
        assertThat(err.toString()).contains("damaged").contains("broken.ration");
        Project noInlet = ProjectFile.demo(ProjectFile.DEMO);
        Path half = saved(noInlet.with(noInlet.system().minus("carburettor", "r4")));
        assertThat(run("check", half.toString())).isEqualTo(2);
        assertThat(err.toString()).contains("no engine inlet");
    }

    @Test
    void proveComparesTheOwnCases() throws IOException {
        assertThat(run("prove")).isZero();
        assertThat(out.toString()).contains("ok     c01", "ok     c20", "10 of 10", "laminar throughout");
        assertThat(run("prove", "--json")).isZero();
        JsonNode cases = new ObjectMapper().readTree(out.toString()).path("cases");
        assertThat(cases.size()).isEqualTo(10);
        cases.forEach(
                c -> assertThat(c.path("reference_law_difference").asDouble()).isLessThan(1e-4));
    }

    @Test
    void proveReadsAnyFolderAndFailsOnADifference() throws IOException {
        String c01 = new String(
                getClass().getResourceAsStream("/reference/network/c01.json").readAllBytes(),
                java.nio.charset.StandardCharsets.UTF_8);
        Files.writeString(folder.resolve("good.json"), c01);
        Files.writeString(folder.resolve("timing.json"), "{\"rows\":[]}");
        assertThat(run("prove", folder.toString())).isZero();
        assertThat(out.toString()).contains("1 of 1");
        Files.writeString(folder.resolve("other.json"), c01.replace("\"length_m\": 1.8", "\"length_m\": 1.9"));
        assertThat(run("prove", folder.toString())).isEqualTo(1);
        assertThat(out.toString()).contains("FAILS");
        Files.writeString(folder.resolve("bad.json"), "{\"nodes\": 3");
        assertThat(run("prove", folder.toString())).isEqualTo(2);
        assertThat(err.toString()).contains("bad.json is not JSON");
        assertThat(run("prove", folder.resolve("nowhere").toString())).isEqualTo(2);
    }

    @Test
    void solveGivesEveryPressureAndFlowOfACase() throws IOException, ProjectFileException {
        assertThat(run("solve", "corrie", "--case", "takeoff run, fuselage, low", "--json"))
                .isZero();
        JsonNode root = new ObjectMapper().readTree(out.toString());
        assertThat(root.path("status").asText()).isEqualTo("CONVERGED");
        assertThat(root.path("evidence").path("pressure_residual_Pa").asDouble())
                .isLessThan(1);
        double flow = root.path("inlet_m3_s").asDouble();
        assertThat(flow)
                .isCloseTo(
                        Assessment.of(ProjectFile.demo(ProjectFile.DEMO))
                                .governing()
                                .orElseThrow()
                                .capacity()
                                .inletFlow(),
                        Offset.offset(1e-12));
        assertThat(root.path("links").path("r3").path("flow_m3_s").asDouble()).isCloseTo(flow, Offset.offset(1e-9));
        assertThat(root.path("links").path("selector.upper").isMissingNode())
                .as("the port not chosen")
                .isTrue();
        assertThat(root.path("nodes").path("strainer.in").path("gauge_Pa").isNumber())
                .isTrue();
        assertThat(run("solve", "tansy", "--ask", "18 gph")).isZero();
        assertThat(out.toString()).contains("Into the engine: 18.000 gph", "Pressures, psi gauge");
        assertThat(run("solve", "corrie", "--case", "off, level", "--ask", "demand"))
                .isEqualTo(1);
        assertThat(out.toString()).contains("no supply");
        assertThat(run("solve", "corrie", "--case", "upside down")).isEqualTo(2);
        assertThat(err.toString()).contains("upside down").contains("FUSELAGE");
    }

    /** Cured, exit 0; with what is left alone something stays, exit 1. Failures are told where they are asked. */
    @Test
    void whatFailsIsCuredByTheCheapestSet() throws Exception {
        assertThat(run("improve", "corrie-b1", "--failures")).isZero();
        assertThat(out.toString())
                .contains("Line R3, 5/16 \u2192 3/8 tube", "Failures as it is: 14 of 48 Fail", "failures: 8 of 48 Fail")
                .doesNotContain("Still Fails");
        out.getBuffer().setLength(0);
        assertThat(run("improve", "brindle-a2", "--leave", "drains")).isEqualTo(1);
        assertThat(out.toString())
                .contains("Vented cap on Hull tank", "Still Fails, no change known here cures it: Low point")
                .contains("made up", "stays Not shown until its test is run");
        Path list = folder.resolve("mine.csv");
        Files.writeString(list, "part,price,hours,source\nvented-cap,12,0.5,my shop\n");
        out.getBuffer().setLength(0);
        assertThat(run(
                        "improve",
                        "brindle-a2",
                        "--json",
                        "--costs",
                        list.toString(),
                        "--hour",
                        "10",
                        "--leave",
                        "drains"))
                .isEqualTo(1);
        JsonNode set = new ObjectMapper().readTree(out.toString()).get("sets").get(0);
        assertThat(set.get("counts").asDouble()).isEqualTo(17);
        assertThat(set.get("after").get("flow").get("verdict").asText()).isEqualTo("holds");
        assertThat(run("improve", "brindle-a2", "--leave", "wings")).isEqualTo(2);
        assertThat(err.toString()).contains("wings", "mounts");
        Files.writeString(list, "part,price,hours\ncap,12,0.5\n");
        assertThat(run("improve", "brindle-a2", "--costs", list.toString())).isEqualTo(2);
        assertThat(err.toString()).contains("Row 1", "vented-cap");
    }

    @Test
    void whatToMeasureNextIsToldOfEachAnswer() throws Exception {
        assertThat(run("check", "corrie-b1", "--measure-next")).isEqualTo(1);
        assertThat(out.toString())
                .contains("Flow margin: Sure to Fail, 100 of 100: no measuring helps")
                .contains("Unusable fuel: A drain test or the manufacturer decides it")
                .contains("Fuselage tank shape, 13 figures");
        out.getBuffer().setLength(0);
        run("check", "brindle-a2", "--measure-next", "--json");
        JsonNode unusable =
                new ObjectMapper().readTree(out.toString()).get("measureNext").get(1);
        assertThat(unusable.get("of").asText()).isEqualTo("unusable");
        assertThat(unusable.get("figures").get(0).get("figure").asText()).isEqualTo("shape");
        assertThat(unusable.get("figures").get(0).get("measure").asBoolean()).isTrue();
        assertThat(unusable.get("then").get("fails").asDouble()).isPositive();
    }

    @Test
    void aVariantIsCheckedAndComparedByItsName() throws Exception {
        Path file = folder.resolve("two.ration");
        ration.record.project.Project p = ProjectFile.demo("corrie-b1");
        ProjectFile.save(
                ration.record.project.VariantEdits.keep(
                                "Wider lines",
                                x -> x.with(x.system()
                                        .change(
                                                "r3",
                                                ration.aircraft.model.Run.class,
                                                r -> r.resized(
                                                        ration.aircraft.model.LineSize.parse("3/8 x 0.035 tube")))))
                        .change()
                        .apply(p),
                file);
        assertThat(run("check", file.toString(), "--variant", "Wider lines")).isEqualTo(1);
        assertThat(out.toString()).contains("Corrie B1, Wider lines", "1.29\u00d7");
        out.getBuffer().setLength(0);
        run("diff", file.toString(), file + "#Wider lines");
        assertThat(out.toString()).contains("1.12\u00d7", "1.29\u00d7", "R3");
        assertThat(run("check", file + "#Header tank")).isEqualTo(2);
        assertThat(err.toString()).contains("no variant is called", "Wider lines");
    }

    @Test
    void hosesAreOrdered() throws Exception {
        assertThat(run("hoses", "tansy-l3")).isZero();
        assertThat(out.toString())
                .contains("R8", "seat to seat 15 5/8 in", "45\u00b0", "clocking 194\u00b0", "clocking free");
        out.getBuffer().setLength(0);
        assertThat(run("hoses", "tansy-l3", "--json")).isZero();
        JsonNode hoses = new ObjectMapper().readTree(out.toString()).get("hoses");
        assertThat(hoses).hasSize(4);
        assertThat(hoses.get(3).get("clockingDegrees").asDouble()).isBetween(193.0, 195.0);
        ration.record.project.Project p = ProjectFile.demo("tansy-l3");
        ration.aircraft.model.Run r8 =
                (ration.aircraft.model.Run) p.system().item("r8").orElseThrow();
        Path file = folder.resolve("short.ration");
        ProjectFile.save(
                p.with(p.system()
                        .replace(r8.withLength(
                                ration.base.quantity.Measured.of(2, ration.base.quantity.Unit.INCH, "tape")))),
                file);
        out.getBuffer().setLength(0);
        assertThat(run("hoses", file.toString())).isEqualTo(1);
        assertThat(out.toString()).contains("no hose left");
    }

    @Test
    void exportWritesByTheNameOfItsTarget() throws IOException {
        for (String name :
                new String[] {"case.inp", "case.svg", "case.pdf", "cases.csv", "runs.csv", "runs.pdf", "measuring.pdf"
                }) {
            Path target = folder.resolve(name);
            assertThat(run("export", "tansy", target.toString())).as(name + err).isZero();
            assertThat(Files.size(target)).isGreaterThan(1000);
        }
        assertThat(run("export", "tansy", folder.resolve("case.dwg").toString()))
                .isEqualTo(2);
        assertThat(err.toString()).contains("case.dwg").contains(".inp, .svg, .pdf or .csv");
        assertThat(run("export", "tansy", folder.resolve("none/case.svg").toString()))
                .isEqualTo(2);
        assertThat(err.toString()).contains("cannot be written: its folder does not exist");
        Path taken = Files.createDirectory(folder.resolve("taken.svg"));
        assertThat(run("export", "tansy", taken.toString())).isEqualTo(2);
        assertThat(err.toString()).contains("it is a folder");
    }

    @Test
    void helpNamesTheCommandsAndTheCaution() {
        assertThat(run("--help")).isZero();
        assertThat(out.toString()).contains("ration demo", "ration check", "ration prove", "does not approve flight");
        assertThat(run()).isZero();
        assertThat(run("check")).isEqualTo(2);
        assertThat(run("fly")).isEqualTo(2);
    }
}
