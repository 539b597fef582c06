package ration.desktop.frame;

import java.nio.file.Path;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import javafx.application.Platform;
import javafx.collections.ListChangeListener;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCodeCombination;
import javafx.scene.input.KeyCombination;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.stage.Stage;
import ration.aircraft.condition.Condition;
import ration.answer.fault.FaultAnswer;
import ration.answer.guide.StepState;
import ration.desktop.control.Arriving;
import ration.desktop.control.QuantityField;
import ration.desktop.control.RowBox;
import ration.desktop.control.Sheet;
import ration.desktop.control.Ui;
import ration.desktop.control.WhyEvent;
import ration.desktop.layout.LayoutActions;
import ration.desktop.session.Home;
import ration.desktop.session.Message;
import ration.desktop.session.Painted;
import ration.desktop.session.Session;
import ration.desktop.start.StartPage;
import ration.desktop.style.Tokens;
import ration.record.project.Pattern;
import ration.record.project.Project;

/** The window: strip, rail, page, conditions; the document's commands and the keys that work everywhere. */
public final class MainWindow {

    static final double WIDTH = 1280;
    static final double HEIGHT = 800;
    private static final double LEAST_WIDTH = 1000;
    private static final double LEAST_HEIGHT = 640;
    /** A tenth of what a document may hold in one text. */
    private static final int MOST_TEXT = 20_000;

    private final Stage stage;
    private final Session session;
    private final BorderPane content = new BorderPane();
    private final StackPane root = new StackPane();
    private final MessageBar messages = new MessageBar();
    private final Rail rail;
    private final LedgerBar ledger;
    /** Under the page: the conditions it is looked at in. */
    private final BorderPane middle = new BorderPane();

    private Pages pages;
    private final Exports exports;
    private final KeysCard keys = new KeysCard(this::hideKeys);
    private final TermsCard terms = new TermsCard(this::hideTerms);
    private Node beforeTerms;
    private final WhyCard why;
    private final HeldKey held = new HeldKey();
    /** Whether a key was pressed last: then what takes the focus is scrolled to; under a mouse nothing may move. */
    private boolean byKey = true;

    private final OpeningCard openingCard;
    private final Documents documents;
    private final TextSize textSize;
    private Page page = Page.LAYOUT;
    /** Whether the guide, or measuring, stands where the page would. */
    private boolean guided;

    /** In the colors that hold, unless others were chosen in an earlier one. */
    public MainWindow(Stage stage, Session session, FileDialogs dialogs) {
        Tokens.loadFonts();
        colors(session.home());
        this.stage = stage;
        this.session = session;
        why = new WhyCard(session);
        exports = new Exports(session, dialogs);
        openingCard = new OpeningCard(session.opening());
        documents = new Documents(session, dialogs, messages, openingCard, root);
        rail = new Rail(session, to -> documents.settled(() -> go(to)));
        ledger = new LedgerBar(session, this::showGoverning, this::showUnusable, this::showVapor, this::showFindings);
        TitleCell title = new TitleCell(
                session,
                dialogs,
                documents,
                exports,
                openingCard,
                this::showKeys,
                this::showTerms,
                this::showStart,
                this::otherColors,
                this::guide,
                this::measure,
                this::larger);
        stage.titleProperty().bind(title.windowTitle());
        HBox strip = new RowBox(title, ledger);
        strip.getStyleClass().add("strip");
        strip.setPrefHeight(LedgerBar.HEIGHT + 1);
        strip.setMinHeight(LedgerBar.HEIGHT + 1);
        HBox.setHgrow(ledger, Priority.ALWAYS);
        StackPane over = new StackPane(content, messages);
        StackPane.setAlignment(messages, Pos.BOTTOM_CENTER);
        middle.setCenter(over);
        BorderPane frame = new BorderPane();
        frame.setTop(strip);
        frame.setLeft(rail);
        frame.setCenter(middle);
        root.getChildren().addAll(frame, keys, terms, why, openingCard);
        root.addEventHandler(WhyEvent.ASKED, e -> why.show(e.why(), (Node) e.getTarget()));
        frame.disableProperty().bind(openingCard.visibleProperty());
        keys.setVisible(false);
        Scene scene = new Scene(root, WIDTH, HEIGHT);
        textSize = new TextSize(scene, root, session.home());
        textSize.colors();
        scene.addEventFilter(KeyEvent.KEY_PRESSED, this::keyPressed);
        scene.addEventFilter(KeyEvent.KEY_RELEASED, held::released);
        scene.focusOwnerProperty().addListener((o, was, now) -> {
            if (was instanceof QuantityField<?> field && field.dirty()) {
                documents.leftWrong(field);
            }
            if (now instanceof TextInputControl text) {
                bounded(text);
            }
            if (now != null && byKey) {
                Platform.runLater(() -> Ui.reveal(now));
            }
        });
        scene.addEventFilter(MouseEvent.MOUSE_PRESSED, e -> byKey = false);
        scene.addEventFilter(KeyEvent.KEY_TYPED, this::keyTyped);
        // a field takes the first to bring back what it held; one more leaves it
        root.addEventHandler(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.ESCAPE && writing()) {
                pages.page(page).arrive();
                e.consume();
            }
        });
        stage.setOnCloseRequest(e -> {
            e.consume();
            documents.settled(() -> documents.leave(() -> {
                session.giveUp();
                stage.hide();
            }));
        });
        session.messages().addListener((ListChangeListener<Message>)
                c -> messages.told(List.copyOf(session.messages()), session::dismiss));
        session.lifetime().addListener((o, was, now) -> begin());
    }

    /** With each document: its pages, at the pages.layout(). */
    private void begin() {
        why.hide();
        terms.setVisible(false);
        pages = new Pages(session, exports, new Pages.Asked() {
            @Override
            public void fault(FaultAnswer f) {
                showFault(f);
            }

            @Override
            public void look(Condition c) {
                showCase(c);
            }

            @Override
            public void test(String key) {
                go(Page.HANGAR);
                pages.hangar().pick(key);
            }

            @Override
            public void item(String id) {
                showItem(id);
            }

            @Override
            public void layOver(Path log) {
                MainWindow.this.layOver(log);
            }

            @Override
            public void missing(StepState.Missing m) {
                showMissing(m);
            }

            @Override
            public void walk() {
                measure();
            }

            @Override
            public void byCase() {
                inLine();
            }

            @Override
            public void back() {
                go(page);
            }
        });
        middle.setBottom(pages.conditions());
        go(Page.LAYOUT);
    }

    /** One size up; after the largest the usual one. */
    private void larger() {
        if (textSize.percent() == TextSize.SIZES.get(TextSize.SIZES.size() - 1)) {
            textSize.usual();
        } else {
            textSize.larger();
        }
    }

    private static final String COLORS = "colors";
    private static final String NIGHT = "night";

    /** Takes up the colors chosen in an earlier start. */
    static void colors(Home home) {
        String chosen = home.choice(COLORS);
        if (!chosen.isEmpty()) {
            Tokens.use(chosen.equals(NIGHT) ? Tokens.Scheme.NIGHT : Tokens.Scheme.DAY);
        }
    }

    /** Colors for the night, or for the day again; kept for the next start. */
    private void otherColors() {
        documents.settled(() -> {
            Tokens.Scheme other = Tokens.scheme() == Tokens.Scheme.DAY ? Tokens.Scheme.NIGHT : Tokens.Scheme.DAY;
            session.home().keepChoice(COLORS, other == Tokens.Scheme.NIGHT ? NIGHT : "day");
            show(other);
        });
    }

    /** The system shows in these colors now: so does the window, until somebody chooses others in it. */
    public void follow(Tokens.Scheme system) {
        if (system != Tokens.scheme() && session.home().choice(COLORS).isEmpty()) {
            documents.settled(() -> show(system));
        }
    }

    private void show(Tokens.Scheme colors) {
        Tokens.use(colors);
        textSize.colors();
        Page was = page;
        session.showAnew();
        rail.drawAnew();
        ledger.drawAnew();
        go(was);
    }

    public void show() {
        if (pages == null) {
            begin();
        }
        // only now, with its page in it: a scene is styled and laid out as soon as it comes into a window that stands
        stage.setScene(root.getScene());
        show(stage);
        pages.layout().focusDrawing();
    }

    /** A window of its scene's size; smaller ones than the least are not to be had. */
    static void show(Stage stage) {
        stage.show();
        // some window managers take the least size for the size wanted, so say the latter again
        double width = stage.getWidth();
        double height = stage.getHeight();
        stage.setMinWidth(LEAST_WIDTH);
        stage.setMinHeight(LEAST_HEIGHT);
        stage.setWidth(width);
        stage.setHeight(height);
        // and their answer may come later, after the size the toolkit believes to have asked for
        Painted.then(() -> {
            if (Math.abs(stage.getWidth() - LEAST_WIDTH) < 3 && width > LEAST_WIDTH) {
                stage.setWidth(width);
                stage.setHeight(height);
            }
        });
    }

    public void open(Path path) {
        documents.open(path);
    }

    /** The page to begin with, over the document that is open; whatever is chosen there leads on. */
    public void showStart() {
        StartPage start = new StartPage(session, new StartPage.Asked() {
            @Override
            public void layOut(Pattern pattern) {
                begun(() -> LayoutActions.start(session, pattern));
            }

            @Override
            public void empty() {
                begun(() -> {});
            }

            @Override
            public void demo(String name) {
                documents.openDemo(name);
            }

            @Override
            public void open() {
                documents.askOpen();
            }

            @Override
            public void open(Path recent) {
                documents.settled(() -> documents.leave(() -> documents.open(recent)));
            }

            @Override
            public void measuringSheet(Pattern pattern) {
                exports.measuringSheet(pattern.label(), pattern.project().system());
            }
        });
        page = Page.LAYOUT;
        content.setCenter(start);
        rail.current(null);
        pages.conditions().inLine(true);
        ledger.current(Page.LAYOUT);
        start.arrive();
    }

    /** In a new document, where the one that is open holds anything. */
    private void begun(Runnable then) {
        if (session.project().equals(Project.empty())) {
            then.run();
            go(Page.LAYOUT);
        } else {
            documents.settled(() -> documents.leave(() -> {
                session.show(Project.empty(), null);
                then.run();
            }));
        }
    }

    /** Offers all work that crashes left behind, and names every copy that cannot be read. */
    public void offerRecovery() {
        documents.offerRecovery();
    }

    /** Lays the table of a run log over the Vapor page. */
    private void layOver(Path log) {
        go(Page.VAPOR);
        pages.vapor().lay(log);
    }

    /** The step of the guide for the page that is shown; asked again, back to that page. */
    private void guide() {
        if (guided) {
            go(page);
            return;
        }
        guided = true;
        content.setCenter(pages.guide());
        pages.guide().show(page.step());
        pages.conditions().inLine(true);
        pages.guide().arrive();
    }

    /** One place after the other, where something is left to measure. */
    private void measure() {
        guided = true;
        content.setCenter(pages.walk());
        pages.walk().goOn();
        pages.conditions().inLine(true);
        pages.walk().arrive();
    }

    private void showMissing(StepState.Missing m) {
        switch (m.where()) {
            case AIRCRAFT -> {
                go(Page.BRIEF);
                pages.brief().pick(m.about());
            }
            case LAYOUT -> {
                showItem(m.about());
                pages.layout().focus(m.figure());
            }
            case LINES -> {
                session.picked().set(m.about());
                go(Page.RUNS);
                pages.runs().length(m.about());
            }
            case FLOW -> showGoverning();
            case VARIANTS -> go(Page.VARIANTS);
            case HANGAR -> {
                go(Page.HANGAR);
                if (!m.about().isEmpty()) {
                    pages.hangar().pick(m.about());
                }
            }
            case SIGN_OFF -> go(Page.SIGN_OFF);
        }
    }

    // pages

    private void go(Page to) {
        page = to;
        guided = false;
        Arriving view = pages.page(to);
        content.setCenter(view.node());
        rail.current(to);
        inLine();
        ledger.current(to);
        view.arrive();
    }

    private void inLine() {
        pages.conditions()
                .inLine(!page.livesByConditions() || !pages.page(page).byCase().get());
    }

    /** The case of a fault, with the fault in it. */
    private void showFault(FaultAnswer f) {
        session.look(f.condition());
        session.picked()
                .set(
                        session.project().system().item(f.fault().item()).isPresent()
                                ? f.fault().item()
                                : "");
        go(Page.LAYOUT);
    }

    private void showCase(Condition c) {
        session.look(c);
        go(Page.LAYOUT);
    }

    private void showItem(String id) {
        session.picked().set(id);
        go(Page.LAYOUT);
    }

    /** The governing case on the Flow page. */
    private void showGoverning() {
        lookAtGoverning();
        go(Page.FLOW);
    }

    /** The tank that governs, in the attitude in which most stays. */
    private void showUnusable() {
        session.shown().get().assessment().governingTank().ifPresent(t -> {
            session.look(t.predicted().attitude());
            pages.tanks().choose(t.tank().id());
        });
        go(Page.TANKS);
    }

    private void showVapor() {
        go(Page.VAPOR);
        pages.vapor().governing();
    }

    private void lookAtGoverning() {
        session.shown().get().assessment().governing().ifPresent(c -> session.look(c.condition()));
    }

    private void showFindings() {
        session.picked().set("");
        go(Page.LAYOUT);
        pages.layout().focusFindings();
    }

    // keys

    private void showKeys() {
        keys.show();
    }

    private void showTerms() {
        beforeTerms = stage.getScene().getFocusOwner();
        terms.show(page);
    }

    private void hideTerms() {
        terms.setVisible(false);
        if (beforeTerms != null && beforeTerms.getScene() != null) {
            beforeTerms.requestFocus();
        }
    }

    private void hideKeys() {
        keys.setVisible(false);
        pages.layout().focusDrawing();
    }

    /**
     * No text is longer than a document may hold: what is pasted beyond that is refused as it comes, and said. Not by a
     * formatter: a field that has one keeps Escape to itself.
     */
    private void bounded(TextInputControl text) {
        if (text.getProperties().putIfAbsent(MOST_TEXT, true) == null) {
            text.textProperty().addListener((o, was, now) -> {
                if (now != null && now.length() > MOST_TEXT) {
                    text.setText(was);
                    session.say("That text is longer than " + MOST_TEXT
                            + " letters and was not taken. Attach it as a file instead.");
                }
            });
        }
    }

    private boolean writing() {
        return stage.getScene().getFocusOwner() instanceof TextInputControl;
    }

    private void keyPressed(KeyEvent e) {
        byKey = true;
        boolean again = held.pressed(e);
        if (openingCard.isVisible()) {
            if (e.getCode() == KeyCode.ESCAPE) {
                session.opening().cancel();
            }
            e.consume();
            return;
        }
        if (again && HeldKey.once(e, writing())) {
            e.consume();
            return;
        }
        if (why.isVisible()) {
            if (e.getCode() == KeyCode.ESCAPE) {
                why.hide();
                e.consume();
            } else if (e.getCode() == KeyCode.BACK_SPACE) {
                why.back();
                e.consume();
            }
            return;
        }
        if (terms.isVisible()) {
            if (e.getCode() == KeyCode.ESCAPE || e.getCode() == KeyCode.ENTER) {
                hideTerms();
                e.consume();
            }
            return;
        }
        if (keys.isVisible()) {
            if (e.getCode() == KeyCode.ESCAPE || e.getCode() == KeyCode.ENTER) {
                hideKeys();
                e.consume();
            }
            return;
        }
        if (goes(e)) {
            return;
        }
        if (e.getCode() == KeyCode.F1) {
            documents.settled(this::guide);
            e.consume();
            return;
        }
        if (e.isShortcutDown()) {
            command(e);
        } else if (!writing() && page == Page.LAYOUT && !guided) {
            pages.layout().key(e);
        }
    }

    private void command(KeyEvent e) {
        Node owner = stage.getScene().getFocusOwner();
        boolean typing = owner instanceof QuantityField<?> field && field.dirty();
        Runnable action = null;
        if (combination(e, KeyCode.Z, true) || combination(e, KeyCode.Y, false)) {
            action = typing ? null : session::redo;
        } else if (combination(e, KeyCode.Z, false)) {
            action = typing ? null : session::undo;
        } else if (combination(e, KeyCode.L, true)) {
            action = this::otherColors;
        } else if (combination(e, KeyCode.S, true)) {
            action = documents::saveAs;
        } else if (combination(e, KeyCode.S, false)) {
            action = () -> documents.settled(documents::save);
        } else if (combination(e, KeyCode.O, false)) {
            action = documents::askOpen;
        } else if (combination(e, KeyCode.N, false)) {
            action = documents::startNew;
        } else if (combination(e, KeyCode.EQUALS, false)
                || combination(e, KeyCode.PLUS, false)
                || combination(e, KeyCode.ADD, false)) {
            action = textSize::larger;
        } else if (combination(e, KeyCode.MINUS, false) || combination(e, KeyCode.SUBTRACT, false)) {
            action = textSize::smaller;
        } else if (combination(e, KeyCode.DIGIT0, false) || combination(e, KeyCode.NUMPAD0, false)) {
            action = textSize::usual;
        } else if (combination(e, KeyCode.DIGIT1, false)) {
            action = this::showGoverning;
        } else if (combination(e, KeyCode.DIGIT2, false)) {
            action = this::showUnusable;
        } else if (combination(e, KeyCode.DIGIT3, false)) {
            action = this::showVapor;
        } else if (combination(e, KeyCode.DIGIT4, false)) {
            action = this::showFindings;
        }
        if (action != null) {
            e.consume();
            action.run();
        }
    }

    /** Pages by the key that goes to them with Alt; those that have no letter of their own by the order of the rail. */
    private static final Map<KeyCode, Page> BY_KEY = byKey();

    private static Map<KeyCode, Page> byKey() {
        Map<KeyCode, Page> all = new EnumMap<>(KeyCode.class);
        all.put(KeyCode.B, Page.BUILD);
        all.put(KeyCode.S, Page.SIGN_OFF);
        all.put(KeyCode.V, Page.VARIANTS);
        List<Page> numbered =
                Stream.of(Page.values()).filter(p -> !all.containsValue(p)).toList();
        List<List<KeyCode>> keys = List.of(
                List.of(KeyCode.DIGIT1, KeyCode.NUMPAD1),
                List.of(KeyCode.DIGIT2, KeyCode.NUMPAD2),
                List.of(KeyCode.DIGIT3, KeyCode.NUMPAD3),
                List.of(KeyCode.DIGIT4, KeyCode.NUMPAD4),
                List.of(KeyCode.DIGIT5, KeyCode.NUMPAD5),
                List.of(KeyCode.DIGIT6, KeyCode.NUMPAD6),
                List.of(KeyCode.DIGIT7, KeyCode.NUMPAD7),
                List.of(KeyCode.DIGIT8, KeyCode.NUMPAD8),
                List.of(KeyCode.DIGIT9, KeyCode.NUMPAD9),
                List.of(KeyCode.DIGIT0, KeyCode.NUMPAD0),
                List.of(KeyCode.MINUS, KeyCode.SUBTRACT),
                List.of(KeyCode.EQUALS, KeyCode.PLUS, KeyCode.ADD));
        for (int i = 0; i < numbered.size(); i++) {
            Page page = numbered.get(i);
            keys.get(i).forEach(k -> all.put(k, page));
        }
        return all;
    }

    private boolean goes(KeyEvent e) {
        Page page = BY_KEY.get(e.getCode());
        if (page != null && e.isAltDown() && !e.isShortcutDown()) {
            e.consume();
            documents.settled(() -> go(page));
            return true;
        }
        return false;
    }

    private static boolean combination(KeyEvent e, KeyCode code, boolean shift) {
        return new KeyCodeCombination(
                        code,
                        KeyCombination.SHORTCUT_DOWN,
                        shift ? KeyCombination.SHIFT_DOWN : KeyCombination.SHIFT_ANY)
                .match(e);
    }

    private void keyTyped(KeyEvent e) {
        boolean sheet = stage.getScene().getFocusOwner() instanceof Sheet<?>;
        if (writing()
                || sheet
                || pages.layout().choosing()
                || keys.isVisible()
                || terms.isVisible()
                || why.isVisible()
                || e.isShortcutDown()) {
            return;
        }
        switch (e.getCharacter()) {
            case "[" -> pages.conditions().nudge(-1, 0);
            case "]" -> pages.conditions().nudge(1, 0);
            case "," -> pages.conditions().nudge(0, -1);
            case "." -> pages.conditions().nudge(0, 1);
            case "g", "G" -> lookAtGoverning();
            case "w", "W" -> ledger.ask(page);
            case "t", "T" -> showTerms();
            case "?" -> showKeys();
            default -> {
                return;
            }
        }
        e.consume();
    }
}
