package ration.publish.packet;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import ration.answer.assess.Asked;
import ration.answer.assess.Comparison;
import ration.answer.assess.Ledger;
import ration.publish.paper.Cell;
import ration.publish.paper.Column;
import ration.publish.paper.Pages;
import ration.record.file.DocumentMark;
import ration.record.project.Plate;
import ration.record.project.Project;
import ration.record.upkeep.Due;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/** What it is, how it stands, what is open and what closes that, what changed since, who signs. */
final class CoverSheet {

    private final Pages pages;
    private final Dossier d;
    private final Project project;

    CoverSheet(Pages pages, Dossier dossier) {
        this.pages = pages;
        d = dossier;
        project = dossier.project();
    }

    /** A row of what is open. */
    private record Open(Cell.State state, String title, String said, String closes, String page) {}

    void write() throws IOException {
        pages.page("cover", project.name(), Optional.empty(), "Fuel system packet, for the inspector");
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
        pages.beside(ledger());
        List<Open> open = open();
        int asked = d.open().size();
        int due = d.due().size();
        pages.section(
                "Open items",
                open.isEmpty()
                        ? ""
                        : asked + " open" + (due == 0 ? "" : ", " + Dossier.count(due, "part", "parts") + " due")
                                + ". The signatures below do not cover them");
        if (open.isEmpty()) {
            pages.text("None.", 8.5, false);
        } else {
            pages.table(
                    List.of(
                            Column.text("No.", o -> String.valueOf(open.indexOf(o) + 1)),
                            Column.cell("", Open::state),
                            Column.cell("What is open", o -> Cell.over(o.title(), o.said())),
                            Column.text("What closes it", Open::closes),
                            Column.cell("Page", o -> new Cell.PageOf(o.page())),
                            Column.cell("Closed, by", o -> new Cell.Blank())),
                    open);
        }
        since();
        notes();
        pages.section("Signatures", "each states what was inspected, on its date. Open items stay open", 118);
        pages.signature("Builder", "I took these measurements, ran these tests as written, and know the open items.");
        pages.signature("Test witness", "I was present at the tests listed with my name.");
        pages.signature(
                "Inspector", "I reviewed this packet, the aircraft and the open items. Open items remain open.");
    }

    private List<Pages.Part> ledger() {
        List<Pages.Part> parts = new ArrayList<>();
        for (Ledger.Entry e : Ledger.of(d.assessment(), d.units()).entries()) {
            parts.add(() ->
                    pages.figure(e.title(), e.need(), e.figure(), Cell.state(e.ratio(), e.verdict()), e.detail()));
        }
        return parts;
    }

    private List<Open> open() {
        List<Open> all = new ArrayList<>();
        for (Asked asked : d.open()) {
            Finding f = asked.finding();
            all.add(new Open(
                    Cell.state(asked.ratio(), asked.verdict()),
                    f.title(),
                    said(f),
                    asked.remedy().isEmpty() ? f.detail().in(d.units()) : asked.remedy(),
                    d.page(f)));
        }
        for (Due due : d.due()) {
            all.add(new Open(
                    Cell.state(due.verdict() == Verdict.FAILS ? 0.5 : Finding.MISSED, due.verdict()),
                    due.part().name() + ": " + due.left(),
                    "",
                    due.part().life().ends().word(),
                    MaintenanceSheet.KEY));
        }
        return all;
    }

    /** Whose hand it is in, and an acceptance; neither closes it. */
    private String said(Finding f) {
        List<String> words = new ArrayList<>();
        project.signOff()
                .point(f.id())
                .ifPresent(p -> words.add("owner " + p.owner() + (p.note().isBlank() ? "" : ": " + p.note())));
        project.signOff().accepted(f.id()).ifPresent(x -> words.add("accepted as is by " + x.name() + " " + x.on()));
        return String.join(", ", words);
    }

    /** What changed since the last packet: mark against mark, in words, with what that did. */
    private void since() throws IOException {
        if (d.before().isEmpty()) {
            return;
        }
        Comparison c = Comparison.of(d.before().get(), d.assessment(), d.units());
        pages.section(
                "Since the packet with document ID "
                        + DocumentMark.of(d.before().get().project()),
                c.changes().isEmpty() ? "no change" : Dossier.count(c.changes().size(), "change", "changes"));
        for (String w : c.changes()) {
            pages.text(w, 8, false);
        }
        pages.table(
                List.of(
                        Column.strong("Figure", Comparison.Figure::title),
                        Column.text("Then", f -> f.before() + " " + f.was().word()),
                        Column.text("Now", f -> f.after() + " " + f.is().word())),
                c.ledger());
        for (Comparison.Ended e : c.ended()) {
            pages.text(
                    "No longer valid: " + e.title() + ": "
                            + String.join("; ", e.causes().stream().limit(3).toList()),
                    8,
                    true);
        }
    }

    private void notes() throws IOException {
        pages.section("How to read it", "", 80);
        pages.beside(List.of(
                () -> column(
                        "This packet is",
                        "The builder's measurements and how each was taken; what is computed from them; tests run"
                                + " on the aircraft and the configuration each applies to. Predicted and measured"
                                + " are never mixed."),
                () -> column(
                        "It is not",
                        "An approval, an airworthiness certificate, a flight permit or a design review."
                                + " Regulations are cited from memory: check the text before relying on it. A"
                                + " prediction without its test is Not shown."),
                this::legend));
    }

    private void column(String head, String words) throws IOException {
        pages.text(head, 8, true);
        pages.text(words, 8, false);
    }

    private void legend() throws IOException {
        pages.text("How a verdict is drawn", 8, true);
        pages.table(
                List.of(Column.<Cell.State>cell("", s -> s), Column.text("", CoverSheet::means)),
                List.of(
                        Cell.state(1.4, Verdict.HOLDS),
                        Cell.state(1 + Verdict.THIN_SHARE / 2, Verdict.THIN),
                        Cell.state(0.6, Verdict.FAILS),
                        Cell.state(Finding.MISSED, Verdict.NOT_SHOWN)));
    }

    private static String means(Cell.State s) {
        return switch (s.verdict()) {
            case HOLDS -> "beyond the limit";
            case THIN -> "by little";
            case FAILS -> "below the limit";
            case NOT_SHOWN -> "no proof yet";
        };
    }
}
