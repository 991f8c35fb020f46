package bucina.core.stack;

import bucina.core.dress.Dressing;
import bucina.core.dress.FlushHead;
import bucina.core.dress.Nest;
import bucina.core.measure.Length;
import bucina.core.measure.Sentence;
import bucina.core.rule.Finding;
import bucina.core.rule.Level;
import bucina.core.rule.RuleCode;
import bucina.core.rule.RuleKey;
import bucina.core.rule.RuleSet;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * How the sheets of one stack are dressed for one head, and what is wrong with that. The same for every kind of rivet.
 */
record DressCheck(RuleSet rules, Optional<FlushHead> cone, Length hole) {

    /** What is done to each sheet. */
    Dressing dress(Solver.Ask ask) {
        if (cone.isEmpty()) {
            return Dressing.plain(ask.layers());
        }
        return switch (ask.asked()) {
            case AUTO -> Dressing.workOut(ask.layers(), ask.materials(), cone.get(), rules);
            case DIMPLE -> Dressing.dimpled(ask.layers(), ask.materials(), rules);
            case COUNTERSINK -> Dressing.countersunk(ask.layers());
            case NONE -> Dressing.plain(ask.layers());
        };
    }

    /**
     * What is wrong with it.
     *
     * @param way what to use instead where a sheet can be neither dimpled nor countersunk
     */
    List<Finding> faults(Dressing dressing, String way) {
        List<Finding> faults = new ArrayList<>();
        Length dimpled = Length.ZERO;
        for (Dressing.Ply ply : dressing.plies()) {
            switch (ply.dress()) {
                case IMPOSSIBLE ->
                    faults.add(finding(
                            RuleCode.DRESS_IMPOSSIBLE,
                            RuleKey.COLD_DIMPLE_MOST,
                            ply.thickness(),
                            Optional.empty(),
                            ply.reason(),
                            way));
                case DIMPLE -> dimpled = dimpled.plus(ply.thickness());
                case COUNTERSINK -> cut(ply, dimpled, faults);
                case PLAIN -> {}
            }
        }
        return faults;
    }

    private void cut(Dressing.Ply ply, Length dimpled, List<Finding> faults) {
        Length sheet = ply.thickness();
        FlushHead head = cone.orElseThrow();
        if (!head.nestDiameter(dimpled).minus(hole).positive()) {
            return;
        }
        Nest nest = new Nest(head, dimpled, sheet, hole, rules.countersinkSchool());
        if (!nest.school().allows(nest.judgedDepth(), sheet)) {
            tooDeep(faults, nest, sheet);
        } else if (nest.comesOut()) {
            comesOut(faults, nest, sheet);
        } else if (nest.knifeEdge(rules)) {
            knifeEdge(faults, nest, sheet);
        }
    }

    private void knifeEdge(List<Finding> faults, Nest nest, Length sheet) {
        faults.add(new Finding(
                RuleCode.KNIFE_EDGE,
                Level.NOTE,
                Finding.Place.NONE,
                Optional.of(nest.land()),
                Optional.of(rules.length(RuleKey.COUNTERSINK_LAND)),
                rules.rule(RuleKey.COUNTERSINK_LAND).source(),
                Sentence.of(
                        "The cone leaves {} of land in a sheet of {}: a knife edge, allowed by the school.",
                        nest.land(),
                        sheet),
                Sentence.of("Clamp a backing piece behind, with the pilot hole in it.")));
    }

    private void comesOut(List<Finding> faults, Nest nest, Length sheet) {
        faults.add(finding(
                RuleCode.COUNTERSINK_COMES_OUT,
                RuleKey.COUNTERSINK_SCHOOL,
                nest.cutterDepth(),
                Optional.of(sheet),
                Sentence.of(
                        "The cutter goes {} deep to reach the hole of {} and comes out below a sheet of {}.",
                        nest.cutterDepth(),
                        hole,
                        sheet),
                "Drill to final size first, dimple this sheet, or use a reduced or protruding head."));
    }

    private void tooDeep(List<Finding> faults, Nest nest, Length sheet) {
        faults.add(finding(
                RuleCode.COUNTERSINK_TOO_DEEP,
                RuleKey.COUNTERSINK_SCHOOL,
                nest.judgedDepth(),
                Optional.of(sheet),
                Sentence.of(
                        "The head is {} high, too deep for a sheet of {} ("
                                + nest.school().word() + "): the edge turns to a knife and the hole grows.",
                        nest.judgedDepth(),
                        sheet),
                "Dimple this sheet, or use a reduced or protruding head."));
    }

    private Finding finding(
            RuleCode rule, RuleKey key, Length measured, Optional<Length> required, Sentence says, String remedy) {
        return new Finding(
                rule,
                Level.ERROR,
                Finding.Place.NONE,
                Optional.of(measured),
                required,
                rules.rule(key).source(),
                says,
                Sentence.of(remedy));
    }
}
