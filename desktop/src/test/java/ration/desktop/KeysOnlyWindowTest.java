package ration.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BooleanSupplier;
import javafx.scene.Node;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;
import ration.aircraft.model.CheckBlock;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Header;
import ration.aircraft.model.Item;
import ration.aircraft.model.Pump;
import ration.aircraft.model.Regulator;
import ration.aircraft.model.Run;
import ration.aircraft.model.Strainer;
import ration.aircraft.model.Tank;
import ration.aircraft.model.Tee;
import ration.aircraft.model.VentPlenum;
import ration.record.project.Project;
import ration.verdict.check.Verdict;

/**
 * From the empty sheet, by keys alone: a gravity airframe with two outlets a tank, and a collector sump with shared
 * vents.
 */
class KeysOnlyWindowTest extends WindowHarness {

    private int pressed;

    private void press(KeyCode... codes) {
        pressed += codes.length;
        keys(codes);
    }

    /** A key that opens the chooser, letters that find, and Enter; then it has come to pass. */
    private void choose(KeyCode key, String letters, BooleanSupplier done) {
        until(this::keysAreHeard);
        press(key);
        until(() -> robot.lookup("#chooser").query().isVisible());
        List<KeyCode> word = new ArrayList<>(letters.toUpperCase(java.util.Locale.ROOT)
                .chars()
                .mapToObj(c -> c == ' '
                        ? KeyCode.SPACE
                        : Character.isDigit(c)
                                ? KeyCode.valueOf("DIGIT" + (char) c)
                                : KeyCode.valueOf(String.valueOf((char) c)))
                .toList());
        word.add(KeyCode.ENTER);
        pressed += word.size();
        inOneGo(word);
        until(done);
        until(() -> !robot.lookup("#chooser").query().isVisible());
    }

    /** Somebody has the focus, and not the chooser that was just shut. */
    private boolean keysAreHeard() {
        Node owner = node("#schematic").getScene().getFocusOwner();
        for (Node n = owner; n != null; n = n.getParent()) {
            if (!n.isVisible()) {
                return false;
            }
        }
        return owner != null;
    }

    private FuelSystem system() {
        return session.project().system();
    }

    private void go(String letters, Item item) {
        choose(KeyCode.F, letters, () -> session.picked().get().equals(item.id()));
    }

    private Run between(Item from, Item to) {
        return system().runs().stream()
                .filter(r -> r.from().item().equals(from.id()) && r.to().item().equals(to.id()))
                .findFirst()
                .orElseThrow();
    }

    private void goTo(Run run) {
        go(run.name().toLowerCase(java.util.Locale.ROOT) + (run.name().length() == 2 ? " " : ""), run);
    }

    private <T extends Item> List<T> all(Class<T> kind) {
        return system().all(kind).toList();
    }

    private void empty() {
        robot.interact(() -> session.show(Project.empty(), null));
        focusDrawing();
        pressed = 0;
    }

    /** Second outlet, a tee that joins it, vent and drain of the picked tank. */
    private void fitOut(Tank tank, Item fed) {
        choose(KeyCode.O, "add outlet", () -> system().tanks().stream()
                .anyMatch(t -> t.id().equals(tank.id()) && t.outlets().size() == 2));
        press(KeyCode.V);
        until(() -> system().item(tank.id())
                .flatMap(i -> i.only(Tank.class))
                .orElseThrow()
                .vent()
                .isPresent());
        press(KeyCode.D);
        until(() -> system().item(tank.id())
                .flatMap(i -> i.only(Tank.class))
                .orElseThrow()
                .drain()
                .isPresent());
        int tees = all(Tee.class).size();
        goTo(between(tank, fed));
        choose(KeyCode.B, "outlet 2", () -> all(Tee.class).size() == tees + 1);
    }

    @Test
    void aGravityAirframeWithTwoOutletsATank() {
        empty();
        choose(KeyCode.A, "tank", () -> system().tanks().size() == 1);
        Tank first = system().tanks().get(0);
        goTo(system().runs().get(0));
        choose(KeyCode.I, "sel", () -> system().selectors().size() == 1);
        goTo(between(system().selectors().get(0), system().inlet().orElseThrow()));
        choose(KeyCode.I, "str", () -> all(Strainer.class).size() == 1);
        go("tank", first);
        fitOut(first, system().selectors().get(0));
        go("sel", system().selectors().get(0));
        choose(KeyCode.A, "tank", () -> system().tanks().size() == 2);
        Tank second = system().tanks().get(1);
        go(second.name().toLowerCase(java.util.Locale.ROOT), second);
        fitOut(second, system().selectors().get(0));
        System.out.println("Two outlets a tank, by keys: " + pressed);
        until(() -> session.shown().get().project() == session.project()
                && session.shown().get().assessment().governing().isPresent());
        assertThat(system().openPorts()).isEmpty();
        assertThat(system().tanks())
                .allMatch(t -> t.outlets().size() == 2
                        && t.vent().isPresent()
                        && t.drain().isPresent());
        assertThat(pressed).isLessThan(140);
    }

    @Test
    void aCollectorSumpWithTwinPumpsAndSharedVents() {
        empty();
        press(KeyCode.RIGHT);
        go("carb", system().inlet().orElseThrow());
        choose(
                KeyCode.O,
                "rail",
                () -> system().inlet().orElseThrow().style() == ration.aircraft.model.EngineInlet.Style.RAIL);
        choose(KeyCode.A, "header", () -> all(Header.class).size() == 1);
        goTo(between(all(Header.class).get(0), system().inlet().orElseThrow()));
        choose(KeyCode.I, "block", () -> all(CheckBlock.class).size() == 1);
        CheckBlock block = all(CheckBlock.class).get(0);
        goTo(between(all(Header.class).get(0), block));
        choose(KeyCode.B, "block open", () -> all(Tee.class).size() == 1);
        for (Item from : List.<Item>of(all(Tee.class).get(0))) {
            int n = 0;
            while (n < 2) {
                int pumps = n;
                Run line = system().runs().stream()
                        .filter(r -> r.from().item().equals(from.id())
                                && r.to().item().equals(block.id()))
                        .findFirst()
                        .orElseThrow();
                goTo(line);
                choose(KeyCode.I, "module", () -> all(Pump.class).size() == pumps + 1);
                n++;
            }
        }
        Header header = all(Header.class).get(0);
        go("header", header);
        choose(KeyCode.A, "tank", () -> system().tanks().size() == 1);
        go("header", header);
        choose(KeyCode.O, "inlet", () -> all(Header.class).get(0).inlets().size() == 2);
        choose(KeyCode.A, "tank", () -> system().tanks().size() == 2);
        go("carb", system().inlet().orElseThrow());
        int runs = system().runs().size();
        press(KeyCode.R);
        until(() -> node("#chooser").isVisible());
        press(KeyCode.ENTER);
        until(() -> system().runs().size() == runs + 1);
        goTo(system().runs().stream()
                .filter(r ->
                        r.from().item().equals(system().inlet().orElseThrow().id()))
                .findFirst()
                .orElseThrow());
        choose(KeyCode.I, "bypass", () -> all(Regulator.class).size() == 1);
        for (Tank t : system().tanks()) {
            go(t.name().toLowerCase(java.util.Locale.ROOT), t);
            press(KeyCode.V);
            until(() -> system().item(t.id())
                    .flatMap(i -> i.only(Tank.class))
                    .orElseThrow()
                    .vent()
                    .isPresent());
        }
        choose(KeyCode.O, "plenum", () -> all(VentPlenum.class).size() == 1);
        System.out.println("Collector sump with shared vents, by keys: " + pressed);
        until(() -> session.shown().get().project() == session.project()
                && !session.shown().get().assessment().findings().isEmpty());
        assertThat(system().tanks())
                .allMatch(t -> t.fitout().vent().flatMap(v -> v.to()).isPresent());
        assertThat(session.shown().get().assessment().flowVerdict()).isNotEqualTo(Verdict.HOLDS);
        assertThat(pressed).isLessThan(200);
    }
}
