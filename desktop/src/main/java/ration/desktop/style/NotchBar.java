package ration.desktop.style;

import javafx.scene.AccessibleRole;
import javafx.scene.layout.Pane;
import javafx.scene.paint.Color;
import javafx.scene.shape.Line;
import javafx.scene.shape.LineTo;
import javafx.scene.shape.MoveTo;
import javafx.scene.shape.Path;
import javafx.scene.shape.Polygon;
import javafx.scene.shape.Rectangle;
import ration.publish.drawing.Ink;
import ration.publish.drawing.NotchMarks;
import ration.verdict.check.Verdict;

/**
 * Result over need on a scale from 0 to 1.5; the notch, always at two thirds, is the need. Holds is solid, Thin half as
 * high with a tick, Fails hatched and short of the notch, Not shown dotted.
 */
public final class NotchBar extends Pane {

    static final double ABOVE = 5;
    private static final double SHORT_GAP = 3;
    /** A yes-or-no check that is missed has no fill of its own; so much hatch says Fails all the same. */
    private static final double LEAST_HATCH = 0.2;

    private final double length;
    private final double height;

    public NotchBar(double length, double height) {
        this.length = length;
        this.height = height;
        setMinSize(length, height + ABOVE + 3);
        setPrefSize(length, height + ABOVE + 3);
        setMaxSize(length, height + ABOVE + 3);
        setAccessibleRole(AccessibleRole.PROGRESS_INDICATOR);
        show(0, Verdict.NOT_SHOWN);
    }

    public void show(double ratio, Verdict verdict) {
        getChildren().clear();
        double notch = Math.round(length * 2 / 3);
        Rectangle frame = new Rectangle(0.5, ABOVE + 0.5, length - 1, height - 1);
        frame.setFill(Tokens.color(Ink.PANEL));
        frame.setStroke(Tokens.color(Ink.EDGE));
        getChildren().add(frame);
        double end = Math.max(0, Math.min(1.5, ratio)) / 1.5 * length;
        Color ink = Tokens.color(Ink.INK);
        switch (verdict) {
            case NOT_SHOWN -> {
                frame.setStroke(Tokens.color(Ink.SOFT));
                frame.getStrokeDashArray().setAll(1.5, 2.0);
            }
            case FAILS -> hatch(Math.max(LEAST_HATCH * length, Math.min(end, notch - SHORT_GAP)));
            default -> fill(end, verdict);
        }
        boolean solid = verdict == Verdict.HOLDS;
        Color mark = verdict == Verdict.NOT_SHOWN ? Tokens.color(Ink.SOFT) : ink;
        if (verdict != Verdict.NOT_SHOWN) {
            Line line = new Line(notch, ABOVE + 1, notch, ABOVE + height - 1);
            line.setStrokeWidth(1.4);
            line.setStroke(solid ? Tokens.color(Ink.PANEL) : ink);
            getChildren().add(line);
        }
        double half = height < 8 ? 2.5 : 3.5;
        Polygon triangle = new Polygon(notch - half, ABOVE - half - 1, notch + half, ABOVE - half - 1, notch, ABOVE);
        triangle.setFill(mark);
        getChildren().add(triangle);
        setAccessibleText(verdict.word()
                + (verdict == Verdict.NOT_SHOWN ? "" : ", " + Math.round(ratio * 100) + " percent of what is needed"));
    }

    private void fill(double end, Verdict verdict) {
        double empty = verdict == Verdict.THIN ? height * (1 - NotchMarks.THIN) : 0;
        Rectangle bar = new Rectangle(0, ABOVE + empty, end, height - empty);
        bar.setFill(Tokens.color(verdict == Verdict.THIN ? Ink.THIN : Ink.HOLDS));
        getChildren().add(bar);
        if (verdict == Verdict.THIN) {
            Rectangle tick = new Rectangle(end - 1, ABOVE + 1, 2, height + 2);
            tick.setFill(Tokens.color(Ink.INK));
            getChildren().add(tick);
        }
    }

    private void hatch(double end) {
        if (end <= 1) {
            return;
        }
        Path stripes = new Path();
        for (double x = -height; x < end; x += 4) {
            stripes.getElements().addAll(new MoveTo(x, ABOVE + height), new LineTo(x + height, ABOVE));
        }
        stripes.setStroke(Tokens.color(Ink.RUST));
        stripes.setStrokeWidth(1.6);
        stripes.setManaged(false);
        stripes.setClip(new Rectangle(0, ABOVE, end, height));
        Rectangle outline = new Rectangle(0.5, ABOVE + 0.5, end - 1, height - 1);
        outline.setFill(null);
        outline.setStroke(Tokens.color(Ink.RUST));
        getChildren().addAll(stripes, outline);
    }
}
