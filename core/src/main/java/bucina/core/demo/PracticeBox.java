package bucina.core.demo;

import bucina.core.material.Material;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.panel.Panel;
import bucina.core.panel.PanelPlan;
import bucina.core.panel.RibPlan;
import bucina.core.panel.Ribs;
import bucina.core.plan.Build;
import bucina.core.plan.Fastener;
import bucina.core.plan.Hand;
import bucina.core.plan.Id;
import bucina.core.rivet.HeadStyle;
import bucina.core.rule.RuleSet;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * The third demonstration, a practice box of the Dunlin in plain steps of making: nothing, a skin on a spar, the skin
 * below on the same spar, and a rib that lies on both.
 */
public final class PracticeBox {

    private static final Fastener RIVET = new Fastener.SolidRivet(HeadStyle.UNIVERSAL, "AD", 3);

    private PracticeBox() {}

    /** The box, made step by step as a builder makes it in the window. */
    public static Build build(RuleSet rules) {
        Build empty = new Build("Dunlin practice box", "Dunlin", rules, 1, List.of(), List.of(), Map.of());
        Build upper = Panel.add(empty, skin("Box, upper skin"));
        Id.Assembly box = upper.assemblies().getFirst().id();
        Build both = Panel.add(upper, skin("Box, lower skin"), new Panel.Place(Optional.of(box), Optional.empty()));
        return Ribs.add(both, box, rib(both)).checked();
    }

    private static PanelPlan skin(String name) {
        PanelPlan.Flange flange = new PanelPlan.Flange(Length.in(.75), Length.in(.040));
        return new PanelPlan(
                name,
                Hand.NONE,
                Unit.INCH,
                name.contains("upper") ? "from above, outside" : "from below, outside",
                "outboard",
                "forward",
                new PanelPlan.Sheet(Outline.rectangle(Point.in(0, 0), Point.in(12, 8)), Length.in(.025)),
                Material.parse("2024-T3"),
                List.of(new PanelPlan.Spar("Box spar", Length.in(7), Length.in(7), flange)),
                List.of(),
                List.of(),
                RIVET,
                "",
                Length.in(1));
    }

    private static RibPlan rib(Build build) {
        List<RibPlan.On> on = build.faces().stream()
                .map(f -> new RibPlan.On(f.face().id(), Length.in(.4), Length.in(6.2), false))
                .toList();
        return new RibPlan(
                "Box rib",
                Material.parse("6061-T4"),
                new PanelPlan.Flange(Length.in(.64), Length.in(.032)),
                List.of(Length.in(6)),
                on,
                Optional.of(new RibPlan.Web(Length.in(5.8), Length.in(3), 1, Length.in(1.5))),
                RIVET,
                "",
                Length.in(1));
    }
}
