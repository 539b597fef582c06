package ration.desktop.style;

import java.util.List;
import javafx.scene.AccessibleRole;
import javafx.scene.Group;
import javafx.scene.Node;
import javafx.scene.paint.Color;
import javafx.scene.shape.Circle;
import javafx.scene.shape.ClosePath;
import javafx.scene.shape.LineTo;
import javafx.scene.shape.MoveTo;
import javafx.scene.shape.Path;
import javafx.scene.shape.QuadCurveTo;
import javafx.scene.shape.Rectangle;
import javafx.scene.shape.Shape;
import javafx.scene.shape.StrokeLineCap;
import javafx.scene.shape.StrokeLineJoin;
import javafx.scene.text.Text;
import ration.publish.drawing.Ink;
import ration.publish.drawing.Mark;
import ration.publish.drawing.Mark.Spot;
import ration.publish.drawing.Picture;

/** Turns a picture into plain shapes, a group a piece. */
public final class PictureNodes {

    private PictureNodes() {}

    /** A group whose user data is the id of its item. */
    public static Group group(Picture.Piece piece) {
        Group group = new Group();
        for (Mark mark : piece.marks()) {
            group.getChildren().add(node(mark));
        }
        group.setUserData(piece.item());
        if (!piece.words().isEmpty()) {
            group.setAccessibleRole(AccessibleRole.IMAGE_VIEW);
            group.setAccessibleText(piece.words());
        }
        return group;
    }

    public static Group picture(Picture picture) {
        Group all = new Group();
        picture.pieces().forEach(p -> all.getChildren().add(group(p)));
        return all;
    }

    private static Node node(Mark mark) {
        if (mark instanceof Mark.Path path) {
            return path(path);
        }
        if (mark instanceof Mark.Disc disc) {
            return styled(new Circle(disc.centre().x(), disc.centre().y(), disc.radius()), disc.fill(), disc.pen());
        }
        if (mark instanceof Mark.Box box) {
            Rectangle r = new Rectangle(box.x(), box.y(), Math.max(0, box.width()), Math.max(0, box.height()));
            r.setArcWidth(2 * box.corner());
            r.setArcHeight(2 * box.corner());
            return styled(r, box.fill(), box.pen());
        }
        if (mark instanceof Mark.Notch notch) {
            NotchBar bar = new NotchBar(notch.width(), notch.height());
            bar.show(notch.ratio(), notch.verdict());
            bar.relocate(notch.x(), notch.y() - NotchBar.ABOVE);
            return bar;
        }
        return label((Mark.Label) mark);
    }

    private static Node label(Mark.Label label) {
        Text text = new Text(label.text());
        text.setFont(Tokens.font(label.size(), label.bold()));
        text.setFill(Tokens.color(label.ink()));
        double width =
                label.anchor() == Mark.Anchor.START ? 0 : text.getLayoutBounds().getWidth();
        text.setX(Math.round(label.x()
                - (label.anchor() == Mark.Anchor.MIDDLE ? width / 2 : label.anchor() == Mark.Anchor.END ? width : 0)));
        text.setY(Math.round(label.y()));
        return text;
    }

    private static Shape path(Mark.Path path) {
        Path shape = new Path();
        List<Spot> spots = path.spots();
        if (spots.isEmpty()) {
            return shape;
        }
        boolean thin = path.pen().width() <= 1.01 && !path.closed() && spots.size() == 2;
        double snap = thin ? 0.5 : 0;
        shape.getElements()
                .add(new MoveTo(at(spots.get(0).x(), snap), at(spots.get(0).y(), snap)));
        for (int i = 1; i < spots.size(); i++) {
            Spot s = spots.get(i);
            if (path.corner() > 0 && !path.closed() && i + 1 < spots.size()) {
                corner(shape, spots.get(i - 1), s, spots.get(i + 1), path.corner());
            } else {
                shape.getElements().add(new LineTo(at(s.x(), snap), at(s.y(), snap)));
            }
        }
        if (path.closed()) {
            shape.getElements().add(new ClosePath());
        }
        shape.setStrokeLineJoin(StrokeLineJoin.ROUND);
        shape.setStrokeLineCap(StrokeLineCap.BUTT);
        return styled(shape, path.fill(), path.pen());
    }

    private static double at(double v, double snap) {
        return snap == 0 ? v : Math.floor(v) + snap;
    }

    private static void corner(Path shape, Spot before, Spot s, Spot after, double radius) {
        double in = Math.hypot(s.x() - before.x(), s.y() - before.y());
        double out = Math.hypot(after.x() - s.x(), after.y() - s.y());
        double r = Math.min(radius, Math.min(in, out) / 2);
        shape.getElements()
                .add(new LineTo(s.x() - (s.x() - before.x()) / in * r, s.y() - (s.y() - before.y()) / in * r));
        shape.getElements()
                .add(new QuadCurveTo(
                        s.x(), s.y(), s.x() + (after.x() - s.x()) / out * r, s.y() + (after.y() - s.y()) / out * r));
    }

    private static Shape styled(Shape shape, Ink fill, Mark.Pen pen) {
        shape.setFill(fill == Ink.NONE ? null : Tokens.color(fill));
        if (pen.ink() == Ink.NONE || pen.width() == 0) {
            shape.setStroke(null);
        } else {
            Color color = Tokens.color(pen.ink());
            shape.setStroke(color);
            shape.setStrokeWidth(pen.width());
            shape.getStrokeDashArray().setAll(pen.dashes());
        }
        return shape;
    }
}
