package bucina.core.dress;

import bucina.core.material.Material;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.Sentence;
import bucina.core.rule.CountersinkSchool;
import bucina.core.rule.RuleSet;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What is done to every sheet of a stack, head side first.
 *
 * @param plies one for each sheet, in order
 */
public record Dressing(List<Ply> plies) {

    /**
     * One sheet of the stack.
     *
     * @param thickness over 0
     * @param dress     what is done to it
     * @param reason    why, one sentence
     */
    public record Ply(Length thickness, Dress dress, Sentence reason) {
        public Ply {
            if (!thickness.positive()) {
                throw new InputException("a layer must be thicker than 0, was " + thickness);
            }
        }
    }

    public Dressing {
        plies = List.copyOf(plies);
    }

    /** Plain holes all the way. */
    public static Dressing plain(List<Length> layers) {
        return new Dressing(layers.stream()
                .map(t -> new Ply(t, Dress.PLAIN, Sentence.of("A protruding head wants a plain hole.")))
                .toList());
    }

    /** Every sheet dimpled, as the plan asks; a sheet that is not dimpled cold is {@link Dress#IMPOSSIBLE}. */
    public static Dressing dimpled(List<Length> layers, RuleSet rules) {
        return dimpled(layers, List.of(), rules);
    }

    /** Likewise, with the material of each layer; none where it is not known. */
    public static Dressing dimpled(List<Length> layers, List<Material> materials, RuleSet rules) {
        List<Ply> plies = new ArrayList<>();
        for (Length t : layers) {
            ColdLimit cold = cold(materials, plies.size(), rules);
            plies.add(
                    cold.allows(t)
                            ? new Ply(t, Dress.DIMPLE, Sentence.of("The plan dimples every sheet."))
                            : new Ply(
                                    t, Dress.IMPOSSIBLE, Sentence.of("{} is " + cold.words() + ".", t, cold.limit())));
        }
        return new Dressing(plies);
    }

    private static ColdLimit cold(List<Material> materials, int layer, RuleSet rules) {
        return ColdLimit.of(layer < materials.size() ? Optional.of(materials.get(layer)) : Optional.empty(), rules);
    }

    /** The first sheet countersunk, as the plan asks, whatever its thickness; the rest plain. */
    public static Dressing countersunk(List<Length> layers) {
        List<Ply> plies = new ArrayList<>();
        for (Length t : layers) {
            plies.add(
                    plies.isEmpty()
                            ? new Ply(
                                    t,
                                    Dress.COUNTERSINK,
                                    Sentence.of("The plan countersinks the sheet under the head."))
                            : new Ply(t, Dress.PLAIN, Sentence.of("Under a countersunk sheet.")));
        }
        return new Dressing(plies);
    }

    /**
     * Worked out: the first sheet that the school lets take the head (or the nest) is countersunk, thinner ones above
     * it are dimpled, all
     * below stays plain. A sheet that can be neither is {@link Dress#IMPOSSIBLE}.
     */
    public static Dressing workOut(List<Length> layers, FlushHead head, RuleSet rules) {
        return workOut(layers, List.of(), head, rules);
    }

    /** Likewise, with the material of each layer; none where it is not known. */
    public static Dressing workOut(List<Length> layers, List<Material> materials, FlushHead head, RuleSet rules) {
        CountersinkSchool school = rules.countersinkSchool();
        List<Ply> plies = new ArrayList<>();
        Length dimpled = Length.ZERO;
        boolean taken = false;
        for (Length t : layers) {
            Length depth = head.height().plus(head.extraDepth(dimpled));
            ColdLimit cold = cold(materials, plies.size(), rules);
            if (taken) {
                plies.add(new Ply(t, Dress.PLAIN, Sentence.of("The sheet above takes the head.")));
            } else if (school.allows(depth, t)) {
                taken = true;
                plies.add(new Ply(
                        t,
                        Dress.COUNTERSINK,
                        Sentence.of(
                                (dimpled.positive() ? "Nest" : "Head") + " {} deep fits in {} (" + school.word() + ").",
                                depth,
                                t)));
            } else if (cold.allows(t)) {
                dimpled = dimpled.plus(t);
                plies.add(new Ply(
                        t,
                        Dress.DIMPLE,
                        Sentence.of(
                                "{} is too thin for a " + (plies.isEmpty() ? "head" : "nest") + " {} deep ("
                                        + school.word() + ").",
                                t,
                                depth)));
            } else {
                plies.add(new Ply(
                        t,
                        Dress.IMPOSSIBLE,
                        Sentence.of(
                                "{} is too thin for {} deep (" + school.word() + ") and " + cold.words() + ".",
                                t,
                                depth,
                                cold.limit())));
                taken = true;
            }
        }
        return new Dressing(plies);
    }

    /** Thickness of the whole stack: the grip G. */
    public Length grip() {
        return plies.stream().map(Ply::thickness).reduce(Length.ZERO, Length::plus);
    }

    /** True if the last sheet is dimpled, so that the shop head sits on the dimple's rim. */
    public boolean dimpledThrough() {
        return !plies.isEmpty() && plies.getLast().dress() == Dress.DIMPLE;
    }

    /** True if any sheet can be neither dimpled nor countersunk. */
    public boolean impossible() {
        return plies.stream().anyMatch(p -> p.dress() == Dress.IMPOSSIBLE);
    }
}
