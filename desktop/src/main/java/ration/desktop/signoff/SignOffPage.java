package ration.desktop.signoff;

import java.time.LocalDate;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import ration.answer.assess.Comparison;
import ration.answer.proof.TestProgram;
import ration.answer.signoff.Requirement;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.LivePage;
import ration.desktop.control.RowBox;
import ration.desktop.control.Scroll;
import ration.desktop.control.Ui;
import ration.desktop.session.LongWork;
import ration.desktop.session.Session;
import ration.desktop.style.NotchBar;
import ration.verdict.check.Verdict;
import ration.verdict.words.Term;

/** Every requirement, worst first; beside it the point picked, and the packet. */
public final class SignOffPage extends LivePage {

    /** What the page asks of the window. */
    public interface Papers {
        /** The packet as PDF, noted in the document once it is written. */
        void packet();

        /** Blank cards of what is still to run. */
        void testCards();

        /** Compares with the document as it was when the last packet was given out. */
        void sinceLastPacket(Consumer<Comparison> then);
    }

    private static final double[] WIDE = {238, 84, 76, 76, 76, 122, 76};
    /** In a small window; since when it is so stands on the card. */
    private static final double[] SMALL = {160, 52, 66, 66, 68, 112, 1};

    private final Session session;
    private final VBox rows = new ColumnBox();
    private final ToggleGroup filter = new ToggleGroup();
    private final Map<Verdict, ToggleButton> chips = new EnumMap<>(Verdict.class);
    private final ToggleButton allChip = new ToggleButton("All");
    private final Label basis = Ui.label("", "soft");
    private final PointCard card;
    private final PacketCard packet;
    private final ScrollPane scroll = new Scroll();
    private final LongWork proving;
    private Optional<Comparison> compared = Optional.empty();
    private String picked = "";

    /** @param today the day written on an acceptance */
    public SignOffPage(Session session, Papers papers, Supplier<LocalDate> today, Consumer<String> openTest) {
        super(session, "signoff-page", "Sign-off page");
        this.session = session;
        proving = session.whileOpen().work("requirements");
        card = new PointCard(session, today, openTest);
        packet = new PacketCard(session, papers, c -> {
            compared = Optional.of(c);
            update();
        });
        HBox head = new RowBox(6, Ui.label("Sign-off", "page-title"), allChip);
        allChip.setId("filter-all");
        chip(allChip);
        for (Verdict v : RequirementTable.ORDER) {
            ToggleButton b = new ToggleButton(v.word());
            b.setId(RequirementTable.chipId(v));
            chip(b);
            chips.put(v, b);
            head.getChildren().add(b);
        }
        allChip.setSelected(true);
        basis.setMinWidth(0);
        head.getChildren().addAll(Ui.spring(), basis);
        head.setAlignment(Pos.CENTER_LEFT);
        head.getStyleClass().add("page-head");
        setTop(head);
        rows.setPadding(new Insets(0, 12, 8, 12));
        rows.setId("requirements");
        rows.addEventFilter(KeyEvent.KEY_PRESSED, e -> Ui.walk(rows, e));
        scroll.setContent(rows);
        scroll.setFitToWidth(true);
        scroll.setFocusTraversable(false);
        scroll.setMinWidth(0);
        setCenter(scroll);
        setRight(Ui.side(new ColumnBox(card, packet), 286));
    }

    private void chip(ToggleButton b) {
        b.getStyleClass().add("chip");
        b.setToggleGroup(filter);
        b.setMinWidth(Region.USE_PREF_SIZE);
        b.setOnAction(e -> {
            b.setSelected(true);
            compared = Optional.empty();
            update();
        });
    }

    @Override
    public void arrive() {
        rows.getChildren().stream()
                .filter(Button.class::isInstance)
                .findFirst()
                .ifPresent(javafx.scene.Node::requestFocus);
    }

    @Override
    protected void refresh() {
        TestProgram program = session.shown().get().assessment().program();
        if (!program.worked()) {
            basis.setText("Working out what the tests show.");
            proving.start(
                    task -> {
                        program.work();
                        return program;
                    },
                    worked -> update(),
                    session::trouble);
            return;
        }
        Optional<Verdict> only = chips.entrySet().stream()
                .filter(e -> e.getValue().isSelected())
                .map(Map.Entry::getKey)
                .findFirst();
        RequirementTable table = new RequirementTable(
                Requirement.of(
                        session.shown().get().assessment(), session.units().get()),
                only);
        allChip.setText(table.allChip());
        chips.forEach((v, b) -> b.setText(table.chip(v)));
        basis.setText("basis: " + session.project().brief().choices().basis().label());
        Optional<String> focused = rows.getChildren().stream()
                .filter(javafx.scene.Node::isFocused)
                .map(javafx.scene.Node::getId)
                .findFirst();
        rows.getChildren().clear();
        if (compared.isPresent()) {
            rows.getChildren().add(new ComparisonView(compared.get(), () -> {
                compared = Optional.empty();
                update();
            }));
        } else {
            rows.getChildren().add(head());
            table.rows().forEach(r -> rows.getChildren().add(row(r)));
            if (table.all().isEmpty()) {
                rows.getChildren().add(Ui.wrapped("No requirements: the layout is empty.", "soft"));
            }
        }
        focused.flatMap(id -> rows.getChildren().stream()
                        .filter(n -> id.equals(n.getId()))
                        .findFirst())
                .ifPresent(javafx.scene.Node::requestFocus);
        card.show(table.row(picked));
        packet.show(table.all());
    }

    private static final int BASIS = 1;

    private static HBox head() {
        HBox box = new RowBox(6);
        String[] heads = {"Requirement", "Basis", "Needs", "Predicted", "Measured", "Status", "Valid since"};
        for (int i = 0; i < heads.length; i++) {
            Label l = Ui.label(heads[i], "soft");
            l.setAlignment(i > 1 && i < 5 ? Pos.CENTER_RIGHT : Pos.CENTER_LEFT);
            box.getChildren().add(wide(i == BASIS ? new RowBox(Ui.term(Term.FROM_MEMORY, l)) : l, i));
        }
        box.setPadding(new Insets(6, 8, 4, 8));
        return box;
    }

    private Button row(Requirement r) {
        RequirementTable.Cells cells = RequirementTable.cells(r);
        NotchBar bar = new NotchBar(34, 8);
        bar.show(r.ratio(), r.verdict());
        Label verdict = Ui.label("", "verdict");
        Ui.verdict(verdict, r.verdict());
        VBox state = new ColumnBox(new RowBox(6, bar, verdict));
        state.setAlignment(Pos.CENTER_LEFT);
        if (!cells.hand().isEmpty()) {
            state.getChildren().add(Ui.wrapped(cells.hand(), "soft"));
        }
        VBox name = new ColumnBox(
                Ui.wrapped(cells.title(), "bold"),
                Ui.wrapped(cells.words().text(), cells.words().style()));
        HBox box = new RowBox(
                6,
                wide(name, 0),
                wide(Ui.wrapped(cells.basis(), "soft"), 1),
                right(cells.needs(), 2),
                right(cells.predicted(), 3),
                right(cells.measured(), 4),
                wide(state, 5),
                wide(label(cells.since()), 6));
        box.setAlignment(Pos.CENTER_LEFT);
        Button row = Ui.button("", cells.id(), () -> {
            picked = r.id();
            update();
        });
        row.setGraphic(box);
        row.getStyleClass().setAll("button", "fault-row");
        if (r.id().equals(picked)) {
            row.getStyleClass().add("fault-picked");
        }
        row.setMaxWidth(Double.MAX_VALUE);
        row.setAccessibleText(cells.spoken());
        return row;
    }

    private static Label label(RequirementTable.Cell cell) {
        return Ui.label(cell.text(), cell.style());
    }

    private static Region wide(Region r, int column) {
        return Ui.wide(r, WIDE[column], SMALL[column]);
    }

    private static Region right(RequirementTable.Cell cell, int column) {
        Label l = label(cell);
        l.setAlignment(Pos.CENTER_RIGHT);
        l.setMaxWidth(Double.MAX_VALUE);
        return wide(l, column);
    }
}
