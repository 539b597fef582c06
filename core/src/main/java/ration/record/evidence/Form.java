package ration.record.evidence;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import ration.aircraft.model.Fitout;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Header;
import ration.aircraft.model.Item;
import ration.aircraft.model.PortRef;
import ration.aircraft.model.Run;
import ration.aircraft.model.VentPlenum;
import ration.aircraft.plumbing.Portname;
import ration.base.quantity.Unit;
import ration.physics.breathing.SamplingCard;

/**
 * What a kind of test asks: figures entered once, figures of each repeat, what is looked at piece by piece. One method
 * of {@link Forms} a kind.
 *
 * @param once figures entered once
 * @param each figures of a repeat, or of a piece
 * @param pieces whether its rows are repeats, or one a piece of the layout
 * @param grades what a piece or the whole may be seen to be; empty where figures tell
 * @param least repeats that are usual
 */
public record Form(List<Ask> once, List<Ask> each, Pieces pieces, List<Grade> grades, int least) {

    public Form {
        once = List.copyOf(once);
        each = List.copyOf(each);
        grades = List.copyOf(grades);
    }

    /** What its rows are. */
    public enum Pieces {
        NONE,
        REPEATS,
        JOINTS,
        FORWARD_JOINTS,
        RUNS,
        VENTS,
        DRAINS,
        SEAMS,
        START,
        TANKS,
        BENCH,
        ASSEMBLY,
        CLEAN
    }

    /**
     * A figure asked for.
     *
     * @param key stable, as in the file
     * @param label for eyes
     * @param unit meant where none is written
     * @param least SI
     * @param most SI
     * @param needed whether the test says nothing without it
     */
    public record Ask(String key, String label, Unit unit, double least, double most, boolean needed) {

        /** Throws with a sentence where a figure cannot be. */
        public void check(double si) {
            if (!(si >= least - 1e-12 && si <= most + 1e-12)) {
                String range = least > 0 && figure(least).equals(figure(0))
                        ? " must be above 0, up to "
                        : " lies between " + figure(least) + " and ";
                throw new IllegalArgumentException(label + range + figure(most) + ".");
            }
        }

        private String figure(double si) {
            return ration.base.quantity.UnitSystem.figure(unit.fromSi(si), unit.decimals() > 1 ? 1 : 0)
                    + (unit == Unit.ONE ? "" : " " + unit.symbol());
        }
    }

    /** Of a kind; empty of those that have a form of their own. */
    public static Optional<Form> of(TestKind kind) {
        return Forms.of(kind);
    }

    /** What is looked at, id and name, in the order of the layout; nothing where rows are repeats. */
    public Map<String, String> pieces(FuelSystem system) {
        Map<String, String> all = new LinkedHashMap<>();
        switch (pieces) {
            case JOINTS -> {
                joints(system, all, false);
                system.tanks().stream()
                        .filter(t -> t.fitout().has(Fitout.Piece.ACCESS_PLATE))
                        .forEach(t -> all.put(t.id() + PLATE, "Access plate of " + t.name()));
                system.cappedPorts().forEach(p -> all.put(p + CAP, "Cap or plug, " + Portname.text(system, p)));
            }
            case FORWARD_JOINTS -> joints(system, all, true);
            case RUNS ->
                system.runs()
                        .forEach(r -> all.put(r.id(), r.name() + ", " + r.size().shortName()));
            case VENTS -> {
                system.tanks().stream()
                        .filter(t -> t.vent().isPresent())
                        .forEach(t -> all.put(t.id(), "Vent of " + t.name()));
                system.all(VentPlenum.class).forEach(p -> all.put(p.id(), p.name()));
                system.all(Header.class).forEach(h -> all.put(h.id(), "Vent of " + h.name()));
            }
            case DRAINS -> SamplingCard.of(system).forEach(d -> all.put(d.item(), d.name()));
            case SEAMS -> all.put("seams", "Seams, fittings, cap and plates");
            case START -> all.put("start", "The engine");
            case TANKS -> system.tanks().forEach(t -> all.put(t.id(), t.name()));
            case BENCH -> {
                all.put("leak", "No leak, at its working pressure");
                all.put("works", "Does what it is bought for");
            }
            case ASSEMBLY -> {
                all.put("fasteners", "Its own fasteners: length and grip right, none left over");
                all.put("seals", "Seals new and lightly greased; none on a flare");
                all.put("way", "The right way round: arrow, ports, handle on its positions");
                all.put("torque", "Torqued as listed, each marked");
                all.put("plans", "As the plans show, or the reason noted");
            }
            case CLEAN -> {
                all.put("flushed", "Flushed through an open plate, no particles");
                all.put("dry", "Dry inside: no water, no cloth, no tool");
                all.put("drained", "First fuel drained until clean");
                all.put("filter", "Strainer or filter behind it opened and clean");
            }
            case NONE, REPEATS -> {
                // nothing of the layout
            }
        }
        return all;
    }

    private static final String PLATE = ".plate";
    private static final String CAP = ".cap";

    /** Joints of every run; those forward of the firewall alone, where one is laid out. */
    private static void joints(FuelSystem system, Map<String, String> all, boolean forward) {
        List<Run> runs = new ArrayList<>(system.runs());
        for (Run r : runs) {
            for (PortRef end : List.of(r.from(), r.to())) {
                if (!forward || inFront(system, end)) {
                    all.put(
                            r.id() + (end.equals(r.from()) ? ".start" : ".end"),
                            r.name() + " at " + lower(Portname.text(system, end)));
                }
            }
        }
    }

    private static String lower(String name) {
        return name.isEmpty() ? name : name.substring(0, 1).toLowerCase(Locale.ROOT) + name.substring(1);
    }

    private static boolean inFront(FuelSystem system, PortRef port) {
        return system.firewall().isEmpty()
                || system.point(port)
                        .map(p -> p.x() <= system.firewall().get().station().si() + 1e-9)
                        .orElse(true);
    }

    /** The piece of a system with this id: an item where there is one. */
    public static Optional<Item> item(FuelSystem system, String piece) {
        return system.item(
                piece.endsWith(CAP)
                        ? piece.substring(0, piece.lastIndexOf('.', piece.length() - CAP.length() - 1))
                        : piece.replaceAll("\\.(start|end|plate)$", ""));
    }
}
