package ration.desktop.signoff;

import java.time.LocalDate;
import java.util.EnumMap;
import java.util.List;
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
import ration.assess.Comparison;
import ration.check.Verdict;
import ration.desktop.control.LivePage;
import ration.desktop.control.Ui;
import ration.desktop.session.LongWork;
import ration.desktop.session.Session;
import ration.desktop.style.NotchBar;
import ration.proof.Programme;
import ration.signoff.Requirement;

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
    private static final int LONGEST = 12;

    private final Session session;
    private final VBox rows = new VBox();
    private final ToggleGroup filter = new ToggleGroup();
    private final Map<Verdict, ToggleButton> chips = new EnumMap<>(Verdict.class);
    private final ToggleButton allChip = new ToggleButton("All");
    private final Label basis = Ui.label("", "soft");
    private final PointCard card;
    private final PacketCard packet;
    private final ScrollPane scroll = new ScrollPane();
    private final LongWork proving = new LongWork("requirements");
    private Optional<Comparison> compared = Optional.empty();
    private String picked = "";

    /** @param today the day written on an acceptance */
    public SignOffPage(Session session, Papers papers, Supplier<LocalDate> today) {
        super(session, "signoff-page", "Sign-off page");
        this.session = session;
        card = new PointCard(session, today);
        packet = new PacketCard(session, papers, c -> {
            compared = Optional.of(c);
            refresh();
        });
        HBox head = new HBox(6, Ui.label("Sign-off", "page-title"), allChip);
        allChip.setId("filter-all");
        chip(allChip);
        for (Verdict v : List.of(Verdict.SHORT, Verdict.NOT_SHOWN, Verdict.THIN, Verdict.HOLDS)) {
            ToggleButton b = new ToggleButton();
            b.setId("filter-" + v.name().toLowerCase(java.util.Locale.ROOT).replace('_', '-'));
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
        setRight(Ui.side(new VBox(card, packet), 286));
    }

    private void chip(ToggleButton b) {
        b.getStyleClass().add("chip");
        b.setToggleGroup(filter);
        b.setMinWidth(Region.USE_PREF_SIZE);
        b.setOnAction(e -> {
            b.setSelected(true);
            compared = Optional.empty();
            refresh();
        });
    }

    @Override
    public void arrive() {
        rows.getChildren().stream().filter(Button.class::isInstance).findFirst().ifPresent(javafx.scene.Node::requestFocus);
    }

    @Override
    protected void refresh() {
        Programme programme = session.shown().get().assessment().programme();
        if (!programme.worked()) {
            proving.start(task -> {
                programme.work();
                return programme;
            }, worked -> update(), session::say);
            return;
        }
        List<Requirement> all = Requirement.of(session.shown().get().assessment(), session.units().get());
        allChip.setText("All " + all.size());
        chips.forEach((v, b) -> b.setText(v.word() + " " + all.stream().filter(r -> r.verdict() == v).count()));
        basis.setText("basis: " + session.project().brief().choices().basis().label());
        Optional<Verdict> only = chips.entrySet().stream().filter(e -> e.getValue().isSelected()).map(Map.Entry::getKey).findFirst();
        Optional<String> focused = rows.getChildren().stream().filter(javafx.scene.Node::isFocused).map(javafx.scene.Node::getId).findFirst();
        rows.getChildren().clear();
        if (compared.isPresent()) {
            rows.getChildren().add(new ComparisonView(compared.get(), () -> {
                compared = Optional.empty();
                refresh();
            }));
        } else {
            rows.getChildren().add(head());
            all.stream().filter(r -> only.map(v -> r.verdict() == v).orElse(true)).forEach(r -> rows.getChildren().add(row(r)));
            if (all.isEmpty()) {
                rows.getChildren().add(Ui.wrapped("Nothing is asked of an empty sheet.", "soft"));
            }
        }
        focused.flatMap(id -> rows.getChildren().stream().filter(n -> id.equals(n.getId())).findFirst()).ifPresent(javafx.scene.Node::requestFocus);
        card.show(all.stream().filter(r -> r.id().equals(picked)).findFirst());
        packet.show(all);
    }

    private static HBox head() {
        HBox box = new HBox(6);
        String[] heads = {"Requirement", "Basis", "Needs", "Predicted", "Measured", "State", "Stands since"};
        for (int i = 0; i < heads.length; i++) {
            Label l = Ui.label(heads[i], "soft");
            l.setAlignment(i > 1 && i < 5 ? Pos.CENTER_RIGHT : Pos.CENTER_LEFT);
            box.getChildren().add(Ui.wide(l, WIDE[i]));
        }
        box.setPadding(new Insets(6, 8, 4, 8));
        return box;
    }

    private Button row(Requirement r) {
        Label words = Ui.label(r.words(), r.since().equals("stale") ? "wrong-text" : "soft");
        VBox name = new VBox(Ui.label(r.title(), "bold"), words);
        NotchBar bar = new NotchBar(34, 8);
        bar.show(r.ratio(), r.verdict());
        Label verdict = Ui.label("", "verdict");
        Ui.verdict(verdict, r.verdict());
        VBox state = new VBox(new HBox(6, bar, verdict));
        state.setAlignment(Pos.CENTER_LEFT);
        if (r.accepted().isPresent()) {
            state.getChildren().add(Ui.label(r.acceptedOtherwise() ? "accepted otherwise" : "accepted as found", "soft"));
        } else {
            r.point().filter(p -> !p.owner().isBlank()).ifPresent(p -> state.getChildren().add(Ui.label("with " + p.owner(), "soft")));
        }
        Label measured = right(r.measured(), r.struck() ? "struck" : r.measured().equals("not run") ? "soft" : "bold");
        HBox box = new HBox(6, Ui.wide(name, WIDE[0]), Ui.wide(Ui.label(brief(r.basis()), "soft"), WIDE[1]), right(r.needs(), "soft", WIDE[2]), right(r.predicted(), "plain-text",
                WIDE[3]), Ui.wide(measured, WIDE[4]), Ui.wide(state, WIDE[5]), Ui.wide(Ui.label(r.since(), r.since().equals("stale") ? "wrong-text" : "soft"), WIDE[6]));
        box.setAlignment(Pos.CENTER_LEFT);
        Button row = Ui.button("", "requirement-" + r.id().replaceAll("[^A-Za-z0-9]+", "-").toLowerCase(java.util.Locale.ROOT), () -> {
            picked = r.id();
            refresh();
        });
        row.setGraphic(box);
        row.getStyleClass().setAll("button", "fault-row");
        if (r.id().equals(picked)) {
            row.getStyleClass().add("fault-picked");
        }
        row.setMaxWidth(Double.MAX_VALUE);
        row.setAccessibleText(r.title() + ", " + r.verdict().word() + (r.needs().isEmpty() ? "" : ", needs " + r.needs()) + (r.predicted().isEmpty() ? "" : ", predicted " + r.predicted())
                + (r.measured().isEmpty() ? "" : ", measured " + r.measured() + (r.struck() ? ", which no longer counts" : "")) + ", stands since " + r.since());
        return row;
    }

    /** A figure, or a short word; a sentence stands in the words. */
    private static Label right(String text, String style) {
        Label l = Ui.label(text.length() > LONGEST ? "see text" : text.isEmpty() ? "n/a" : text, text.isEmpty() || text.length() > LONGEST ? "soft" : style);
        l.setAlignment(Pos.CENTER_RIGHT);
        l.setMaxWidth(Double.MAX_VALUE);
        return l;
    }

    private static Region right(String text, String style, double wide) {
        return Ui.wide(right(text, style), wide);
    }

    private static String brief(String basis) {
        String first = basis.replaceAll("^14 CFR ", "").replaceAll("[;:(,].*", "").strip();
        return first.startsWith("Common practice") ? "practice" : first.replace(" before 2017", "");
    }
}
