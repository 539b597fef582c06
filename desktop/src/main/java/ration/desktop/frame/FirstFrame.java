package ration.desktop.frame;

import javafx.scene.Scene;
import javafx.scene.layout.Background;
import javafx.scene.layout.Border;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.BorderStroke;
import javafx.scene.layout.BorderStrokeStyle;
import javafx.scene.layout.BorderWidths;
import javafx.scene.layout.CornerRadii;
import javafx.scene.layout.Region;
import javafx.stage.Stage;
import ration.desktop.session.Home;
import ration.desktop.style.Tokens;
import ration.publish.drawing.Ink;

/** What stands on the screen while the window is made: its strip and its rail, empty, in the colors that hold. */
public final class FirstFrame {

    private FirstFrame() {}

    public static void show(Stage stage, Home home) {
        MainWindow.colors(home);
        Region strip = region(Ink.PANEL, new BorderWidths(0, 0, 1, 0));
        strip.setPrefHeight(LedgerBar.HEIGHT + 1);
        Region rail = region(Ink.GROUND, new BorderWidths(0, 1, 0, 0));
        rail.setPrefWidth(Rail.WIDTH);
        BorderPane frame = new BorderPane();
        frame.setBackground(Background.fill(Tokens.color(Ink.GROUND)));
        frame.setTop(strip);
        frame.setLeft(rail);
        stage.setScene(new Scene(frame, MainWindow.WIDTH, MainWindow.HEIGHT, Tokens.color(Ink.GROUND)));
        stage.setTitle("Ration");
        MainWindow.show(stage);
    }

    private static Region region(Ink ink, BorderWidths edge) {
        Region r = new Region();
        r.setBackground(Background.fill(Tokens.color(ink)));
        r.setBorder(new Border(
                new BorderStroke(Tokens.color(Ink.HAIRLINE), BorderStrokeStyle.SOLID, CornerRadii.EMPTY, edge)));
        return r;
    }
}
