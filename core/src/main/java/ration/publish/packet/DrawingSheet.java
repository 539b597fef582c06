package ration.publish.packet;

import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import ration.aircraft.condition.Attitude;
import ration.aircraft.model.EngineInlet;
import ration.aircraft.model.Item;
import ration.aircraft.model.Run;
import ration.aircraft.plumbing.SheetColumn;
import ration.answer.assess.CaseAnswer;
import ration.answer.assess.StartingCase;
import ration.base.geometry.Point3;
import ration.base.quantity.Dimension;
import ration.base.quantity.Unit;
import ration.base.quantity.UnitSystem;
import ration.physics.flow.PathStep;
import ration.publish.export.PrintedSheets;
import ration.publish.paper.Column;
import ration.publish.paper.Pages;

/** The system at its true heights in the case that governs, its lines as bought, its heights. */
final class DrawingSheet {

    static final String KEY = "drawing";

    private final Pages pages;
    private final Dossier d;

    DrawingSheet(Pages pages, Dossier dossier) {
        this.pages = pages;
        d = dossier;
    }

    void write() throws IOException {
        Optional<CaseAnswer> look = d.assessment().governing().or(() -> d.assessment()
                .look(StartingCase.of(d.project())
                        .with(d.project().brief().envelope().climbing())));
        String where =
                look.map(l -> l.label(d.system(), d.units())).orElse("not drawn: the layout is not computed yet");
        pages.page(KEY, "Drawing", Optional.empty(), where);
        if (look.isPresent()) {
            pages.picture(PrintedSheets.drawing(
                    d.assessment(), look.get(), d.units(), pages.sheet().measure()));
            pages.note("Heights are true in this attitude; sideways is order, not distance.");
        }
        lines(look);
        heights(look);
    }

    private void lines(Optional<CaseAnswer> look) throws IOException {
        if (d.system().runs().isEmpty()) {
            return;
        }
        Map<String, Double> lost = new LinkedHashMap<>();
        look.filter(l -> l.demand().usable()).ifPresent(l -> {
            for (PathStep s : l.demand().path()) {
                lost.merge(s.item(), s.loss() / l.demand().weight(), Double::sum);
            }
        });
        pages.section(
                "Lines",
                "lengths in " + d.lengthUnit() + "; lost: " + d.lengthUnit()
                        + " of fuel at the engine's demand, this case");
        pages.table(
                List.of(
                        Column.strong("Line", Run::name),
                        Column.text(
                                "From, to",
                                r -> SheetColumn.FROM.text(d.system(), r) + " to "
                                        + SheetColumn.TO.text(d.system(), r)),
                        Column.text("Size as bought", r -> r.size().label()),
                        Column.figure("Bore", r -> bore(r.size().bore())),
                        Column.figure(
                                "Length",
                                r -> r.length().map(m -> d.length(m.si())).orElse("by its points")),
                        Column.text("Bends and fittings", r -> SheetColumn.BENDS.text(d.system(), r)),
                        Column.figure("Lost", r -> lost.containsKey(r.id()) ? d.length(lost.get(r.id())) : "no flow"),
                        Column.text("By", r -> r.length().map(m -> m.by()).orElse("points"))),
                d.system().runs());
    }

    /** To a thousandth of an inch, or a tenth of a millimeter. */
    private String bore(double m) {
        Unit unit = d.units().unit(Dimension.LENGTH);
        return UnitSystem.figure(unit.fromSi(m), d.units() == UnitSystem.US ? 3 : 1) + " " + unit.symbol();
    }

    /** A measured place. */
    private record Spot(String name, Point3 at, String by) {}

    private void heights(Optional<CaseAnswer> look) throws IOException {
        Optional<EngineInlet> inlet = d.system().inlet();
        List<Spot> spots = spots();
        if (spots.isEmpty()) {
            return;
        }
        Point3 zero = inlet.map(i -> i.place().point()).orElse(new Point3(0, 0, 0));
        Attitude flown = look.map(l -> l.condition().attitude()).orElse(d.parked());
        Point3 level = new Point3(0, 0, 1);
        pages.section(
                "Heights and places",
                d.lengthUnit() + "; heights over "
                        + inlet.map(i -> "the engine inlet").orElse("the datum") + "; tanks on their own pages");
        pages.table(
                List.of(
                        Column.strong("Place", Spot::name),
                        Column.figure("FS", s -> d.length(s.at().x())),
                        Column.figure("BL", s -> d.length(s.at().y())),
                        Column.figure("WL", s -> d.length(s.at().z())),
                        Column.figure("Level", s -> d.length(over(s, zero, level))),
                        Column.figure(
                                flown.name(),
                                s -> d.length(over(s, zero, flown.gravity().up()))),
                        Column.figure(
                                "Parked",
                                s -> d.length(over(s, zero, d.parked().gravity().up()))),
                        Column.text("By", Spot::by)),
                spots);
    }

    private static double over(Spot s, Point3 zero, Point3 up) {
        return s.at().minus(zero).dot(up);
    }

    /** Of every item but tanks: where it is, and where its lines bend. */
    private List<Spot> spots() {
        List<Spot> all = new ArrayList<>();
        for (Item item :
                Stream.concat(d.parts().stream(), d.system().runs().stream()).toList()) {
            for (Placed p : Placed.of(item)) {
                all.add(new Spot(p.named(item), p.at(), p.by()));
            }
        }
        return all;
    }
}
