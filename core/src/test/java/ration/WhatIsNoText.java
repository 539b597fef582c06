package ration;

import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.Callable;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseAnswer;
import ration.answer.assess.StartingCase;
import ration.answer.assess.TankAnswer;
import ration.answer.fault.FaultAnswer;
import ration.answer.find.Explanation;
import ration.answer.find.NextReading;
import ration.answer.find.PracticeCase;
import ration.answer.find.Rig;
import ration.answer.find.Search;
import ration.answer.proof.TestProgram;
import ration.answer.proof.Wanted;
import ration.answer.remedy.Remedies;
import ration.answer.remedy.Remedy;
import ration.answer.signoff.Requirement;
import ration.base.quantity.UnitSystem;
import ration.base.task.Task;
import ration.record.evidence.HangarTest;
import ration.record.evidence.Standing;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.record.project.Project;
import ration.record.reading.Reading;
import ration.verdict.check.Finding;

/** Everything that the program says of a document except what is text: verdicts, figures, ids, files. */
public final class WhatIsNoText implements Callable<Map<String, String>> {

    private final String document;
    private final Map<String, String> all = new LinkedHashMap<>();

    public WhatIsNoText(String document) {
        this.document = document;
    }

    /** A text, for who wants to see that it is another. */
    public static String words(String document) {
        return Systems.assessed(document).findings().get(0).title();
    }

    @Override
    public Map<String, String> call() throws ProjectFileException {
        Project project = Systems.demo(document);
        Assessment a = Systems.assessed(document);
        answers(a);
        tests(a);
        failures();
        search(a);
        remedies(a);
        files(project);
        return all;
    }

    private void put(String key, Object... values) {
        String text = List.of(values).toString();
        for (int n = 1; all.putIfAbsent(n == 1 ? key : key + " " + n, text) != null; n++) {}
    }

    private void answers(Assessment a) {
        for (CaseAnswer c : a.cases()) {
            put(
                    "case " + c.condition().handles(),
                    c.verdict(),
                    c.judged(),
                    c.capacity().usable() ? c.capacity().inletFlow() : Double.NaN,
                    c.pumps().running());
        }
        for (TankAnswer t : a.tanks()) {
            put("tank " + t.tank().id(), t.unusable(), t.full(), t.source(), t.verdict());
        }
        put("vapor", a.vapor().map(v -> v.degrees()), a.hotFuel().map(v -> v.degrees()));
        put("open", a.open(), a.flowVerdict());
        for (Finding f : a.findings()) {
            put("finding " + f.id(), f.item(), f.verdict(), f.ratio(), Requirement.found(f));
        }
    }

    private void tests(Assessment a) {
        for (TestProgram.Proof p : a.program().tests()) {
            put(
                    "test " + p.wanted().key(),
                    p.wanted().asked(),
                    p.counts(),
                    p.verdict(),
                    p.record().map(HangarTest::id));
        }
        for (Wanted w : TestProgram.wanted(a.project())) {
            put(
                    "rests " + w.key(),
                    Standing.restsOn(a.project().asBuilt(), w.subject(), w.begun())
                            .lines());
        }
        for (HangarTest t : a.project().tests()) {
            Standing s = Standing.of(t, a.project().asBuilt());
            put("record " + t.id(), s.state());
        }
        for (Requirement r : Requirement.of(a, UnitSystem.US)) {
            put(
                    "requirement " + r.id(),
                    r.verdict(),
                    r.ratio(),
                    r.open(),
                    r.struck(),
                    r.outdated(),
                    r.acceptedOtherwise(),
                    r.accepted().isPresent(),
                    r.point().isPresent());
        }
    }

    private void failures() {
        for (FaultAnswer f : Systems.faults(document)) {
            put(
                    "failure " + f.fault().kind() + " " + f.fault().item() + " "
                            + f.fault().port(),
                    f.harm(),
                    f.group(),
                    f.verdict(),
                    f.share(),
                    f.minutes(),
                    f.lead(),
                    f.seen().size(),
                    f.wayOut().map(w -> w.share()));
        }
    }

    private void search(Assessment a) {
        for (PracticeCase c : PracticeCase.of(a.project())) {
            Search search = Search.of(a, List.of());
            List<NextReading> next = search.next(StartingCase.of(a.project()));
            for (NextReading n : next) {
                put("reading " + n.asked().place() + " " + n.asked().what(), n.minutes(), n.left());
            }
            Rig rig = Rig.with(a, c.hidden(), 7);
            List<Reading> taken =
                    next.stream().limit(4).map(n -> rig.read(n.asked())).toList();
            for (Explanation e : search.with(taken).explanations()) {
                put("cause " + e.kind() + " " + e.fault(), e.belief(), e.likely(), e.ruledOut());
            }
        }
    }

    private void remedies(Assessment a) {
        for (Remedy r : Remedies.of(a, Task.QUIET)) {
            put("remedy", r.after().verdict(), r.after().ratio());
        }
    }

    private void files(Project project) throws ProjectFileException {
        String text = ProjectFile.text(project);
        put("file", text);
        put("read again", ProjectFile.text(ProjectFile.read(text.getBytes(StandardCharsets.UTF_8), document)));
    }
}
