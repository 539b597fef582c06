package ration.desktop.frame;

import java.util.List;
import javafx.scene.Scene;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.Region;
import javafx.scene.transform.Scale;
import ration.desktop.control.Scroll;
import ration.desktop.session.Home;
import ration.desktop.style.Tokens;

/**
 * How large the window's text is. Text and pictures grow by one factor, so that nothing is cut off that was not before;
 * where the window is too small for all of it, it scrolls. Kept for the next start.
 */
final class TextSize {

    /** In percent. */
    static final List<Integer> SIZES = List.of(100, 125, 150, 175);

    private static final String CHOICE = "text-size";
    /** What the pages are laid out in at least, as large as the window usually is. */
    private static final double WIDTH = 1280;

    private static final double HEIGHT = 760;
    /** Of menus and tooltips, which stand in windows of their own, pixels. */
    private static final double USUAL = 12;

    private final Scene scene;
    private final Region root;
    private final Home home;
    private int percent = 100;

    TextSize(Scene scene, Region root, Home home) {
        this.scene = scene;
        this.root = root;
        this.home = home;
        SIZES.stream()
                .filter(s -> home.choice(CHOICE).equals(String.valueOf(s)))
                .findFirst()
                .ifPresent(this::show);
    }

    /** In percent of the usual. */
    int percent() {
        return percent;
    }

    void larger() {
        step(1);
    }

    void smaller() {
        step(-1);
    }

    void usual() {
        choose(100);
    }

    private void step(int by) {
        int at = SIZES.indexOf(percent) + by;
        choose(SIZES.get(Math.max(0, Math.min(SIZES.size() - 1, at))));
    }

    private void choose(int size) {
        if (size != percent) {
            show(size);
            home.keepChoice(CHOICE, String.valueOf(size));
        }
    }

    private void show(int size) {
        percent = size;
        if (scene.getRoot() != root) {
            ((Grown) ((ScrollPane) scene.getRoot()).getContent()).release();
        }
        root.getTransforms().clear();
        if (size == 100) {
            scene.setRoot(root);
        } else {
            // a scene lets its root go only for another one
            scene.setRoot(new Region());
            Grown grown = new Grown(root, size / 100.0);
            ScrollPane scroll = new Scroll(grown);
            scroll.setId("text-size");
            scroll.setFitToWidth(true);
            scroll.setFitToHeight(true);
            scroll.setFocusTraversable(false);
            scroll.getStyleClass().add("plain-scroll");
            scene.setRoot(scroll);
        }
        colors();
    }

    /** The style sheets of the scheme, with menus and tooltips as large as the rest. */
    void colors() {
        List<String> sheets = new java.util.ArrayList<>(Tokens.sheets());
        if (percent != 100) {
            sheets.add("data:text/css;charset=UTF-8,.context-menu,.tooltip{-fx-font-size:" + USUAL * percent / 100
                    + "px;}");
        }
        scene.getStylesheets().setAll(sheets);
    }

    /** A node drawn larger, laid out in what room is left by that, and in the usual room at least. */
    private static final class Grown extends Region {

        private final Region inside;
        private final double by;

        Grown(Region inside, double by) {
            this.inside = inside;
            this.by = by;
            inside.getTransforms().setAll(new Scale(by, by));
            getChildren().add(inside);
        }

        void release() {
            getChildren().clear();
        }

        @Override
        protected double computeMinWidth(double height) {
            return WIDTH * by;
        }

        @Override
        protected double computeMinHeight(double width) {
            return HEIGHT * by;
        }

        @Override
        protected double computePrefWidth(double height) {
            return WIDTH * by;
        }

        @Override
        protected double computePrefHeight(double width) {
            return HEIGHT * by;
        }

        @Override
        protected void layoutChildren() {
            inside.resizeRelocate(0, 0, getWidth() / by, getHeight() / by);
        }
    }
}
