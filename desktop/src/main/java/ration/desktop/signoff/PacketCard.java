package ration.desktop.signoff;

import java.util.List;
import java.util.function.Consumer;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.VBox;
import ration.answer.assess.Comparison;
import ration.answer.signoff.Requirement;
import ration.desktop.control.ColumnBox;
import ration.desktop.control.Ui;
import ration.desktop.session.Session;

/** The packet: what it is, its mark, the last one given out, what changed since. */
final class PacketCard extends ColumnBox {

    private final Session session;
    private final Label open = Ui.wrapped("");
    private final Label mark = Ui.label("", "figure");
    private final Label last = Ui.wrapped("", "soft");
    private final Button since;
    private final Button cards;

    PacketCard(Session session, SignOffPage.Papers papers, Consumer<Comparison> compared) {
        this.session = session;
        setSpacing(6);
        getStyleClass().add("card-body");
        mark.setId("packet-mark");
        last.setId("packet-last");
        Button write = Ui.button("Write packet (PDF)", "packet-write", papers::packet, "big-button", "filled");
        write.setMaxWidth(Double.MAX_VALUE);
        cards = Ui.button("Test cards", "packet-cards", papers::testCards);
        cards.setMaxWidth(Double.MAX_VALUE);
        since = Ui.button("What changed since the last packet", "packet-since", () -> papers.sinceLastPacket(compared));
        since.setMaxWidth(Double.MAX_VALUE);
        VBox caution = new ColumnBox(Ui.wrapped(
                "The packet holds what the builder measured and what follows from it. It approves nothing."
                        + " Prove flow and unusable fuel on this aircraft,"
                        + " on the ground, before flight. Any layout change invalidates the tests that depend on it.",
                "soft"));
        caution.getStyleClass().add("caution");
        getChildren()
                .addAll(
                        Ui.label("Packet", "page-title"),
                        open,
                        Ui.label("Document ID", "soft"),
                        mark,
                        last,
                        write,
                        cards,
                        since,
                        caution);
    }

    void show(List<Requirement> all) {
        PacketWords words = new PacketWords(session.shown().get().assessment(), all);
        open.setText(words.open());
        mark.setText(words.mark());
        last.setText(words.last());
        since.setDisable(words.issued().isEmpty());
        cards.setText(words.cards());
        cards.setDisable(words.toRun() == 0);
    }
}
