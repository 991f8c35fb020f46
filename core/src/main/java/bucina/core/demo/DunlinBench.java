package bucina.core.demo;

import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.plan.KeptSum;
import bucina.core.plan.Tool;
import bucina.core.plan.Workshop;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** The sums and the tool kept with the Dunlin's stabilator. */
final class DunlinBench {

    private DunlinBench() {}

    /** What lies on the bench beside it: a clip to bend, the flutes of a nose rib, the angle to cut, a step drill. */
    static Build beside(Build build, Id.Part rib) {
        long id = build.nextId();
        Workshop shop = Workshop.NONE
                .with(clip(id))
                .with(flutes(id, rib))
                .with(new KeptSum(new Id.Sum(id + 2), "cut", "Angle and strip", Optional.empty(), Unit.INCH, Map.of()))
                .withTools(stepDrill(id));
        return build.withWorkshop(shop, id + 4).checked();
    }

    private static List<Tool> stepDrill(long id) {
        return List.of(new Tool(
                new Id.Tool(id + 3),
                Tool.Kind.STEP_DRILL,
                "Bench step drill",
                List.of(
                        Length.fraction(3, 16),
                        Length.fraction(1, 4),
                        Length.fraction(5, 16),
                        Length.fraction(3, 8),
                        Length.fraction(7, 16),
                        Length.fraction(1, 2),
                        Length.fraction(9, 16),
                        Length.fraction(5, 8),
                        Length.fraction(3, 4))));
    }

    private static KeptSum flutes(long id, Id.Part rib) {
        return new KeptSum(
                new Id.Sum(id + 1),
                "flute",
                "Nose rib 2, lower flange",
                Optional.of(rib),
                Unit.INCH,
                Map.of(
                        "chord",
                        "8.4",
                        "bow",
                        ".07, .02",
                        "flange",
                        ".64",
                        "holes",
                        ".6, 1.5, 2.4, 3.3, 4.2, 5.1, 6.0, 6.9, 7.8",
                        "depth",
                        ".035",
                        "width",
                        ".32"));
    }

    private static KeptSum clip(long id) {
        return new KeptSum(
                new Id.Sum(id),
                "bracket",
                "Hinge rib clip",
                Optional.empty(),
                Unit.INCH,
                Map.of(
                        "material",
                        "2024-T3",
                        "thickness",
                        ".040",
                        "radius",
                        ".190",
                        "base",
                        "2.6, 1.8",
                        "flanges",
                        "1: .75, 90\n2: .75, 90",
                        "holes",
                        "1: .8, .47, #30\n1: 1.9, .47, #30\n2: .9, .47, #30\nbase: 1.1, 1.1, #11",
                        "grain",
                        "not marked"));
    }
}
