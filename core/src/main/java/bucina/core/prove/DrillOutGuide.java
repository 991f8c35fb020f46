package bucina.core.prove;

import bucina.core.measure.InputException;
import bucina.core.measure.Sentence;
import bucina.core.plan.Fastener;
import bucina.core.stack.Derivation;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.List;

/**
 * How what is in a hole is drilled out, as it is shown at the step.
 *
 * @param title    which fastener of which hole
 * @param steps    in order; none where nothing is tabulated for it
 * @param warnings what speaks against it, or why there are no steps; may be empty
 */
public record DrillOutGuide(String title, List<Sentence> steps, List<String> warnings) {

    /** Said wherever something is drilled out. */
    public static final String CAUTION =
            "Eye protection on. The kit's drawing governs; nothing here is an approval: where"
                    + " the hole is worse afterwards, stop and ask.";

    public DrillOutGuide {
        steps = List.copyOf(steps);
        warnings = List.copyOf(warnings);
    }

    /** Of the fastener that the plan has in a hole. */
    public static DrillOutGuide of(Derivation derivation, HoleReading hole) {
        List<Sentence> steps = new ArrayList<>();
        List<String> warnings = new ArrayList<>();
        try {
            steps.addAll(Mending.drillOut(derivation, hole).steps());
        } catch (InputException e) {
            String why = e.getMessage();
            warnings.add(Character.toUpperCase(why.charAt(0)) + why.substring(1) + ".");
        }
        if (hole.solution().fastener() instanceof Fastener.PulledRivet r && r.stainless()) {
            warnings.add("Stainless: it is nearly impossible to drill out.");
        }
        return new DrillOutGuide(
                "Drill out " + hole.label() + ", " + hole.solution().called(), steps, warnings);
    }
}
