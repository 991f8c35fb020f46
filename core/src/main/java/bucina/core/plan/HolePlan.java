package bucina.core.plan;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;

/**
 * What the drawing says about the holes of a group, beside the fastener.
 *
 * @param present  diameter they have now, before final drilling; empty if not known
 * @param hold     what the drawing says about keeping them open
 * @param until    what a hold by the drawing waits for, {@code the fairing is fitted}; not blank where {@code hold}
 *     is OPEN
 * @param dieAngle angle of the dimple dies planned, degrees, 60 to 150; empty for the dies that belong to the head
 * @param wet      true if the fasteners are set wet, with sealant
 * @param headWhy  why the heads are on the side they are, as the builder says; may be empty
 * @param under    sheets of the face that come to lie over the holes and are not joined by them
 * @param with     the kind of tool that the builder wants them set with, where it reaches; empty for what comes first
 */
public record HolePlan(
        Optional<Length> present,
        Hold hold,
        String until,
        Optional<Integer> dieAngle,
        boolean wet,
        String headWhy,
        Set<Id.Layer> under,
        Optional<Tool.Kind> with) {

    /** Set dry. */
    public HolePlan(Optional<Length> present, Hold hold, String until, Optional<Integer> dieAngle) {
        this(present, hold, until, dieAngle, false, "", Set.of(), Optional.empty());
    }

    private static final int LONGEST = 400;

    /** The drawing says nothing. */
    public static final HolePlan NONE = new HolePlan(Optional.empty(), Hold.AUTO, "", Optional.empty());

    public HolePlan {
        Objects.requireNonNull(hold, "hold");
        Objects.requireNonNull(until, "until");
        check(present, hold, until, dieAngle);
        under = Set.copyOf(under);
        if (headWhy.length() > LONGEST || headWhy.contains("{}")) {
            throw new InputException(
                    "a reason for the side of the heads has up to " + LONGEST + " characters, had " + headWhy.length());
        }
    }

    private static void check(Optional<Length> present, Hold hold, String until, Optional<Integer> dieAngle) {
        if (present.isPresent() && !present.get().positive()) {
            throw new InputException("the present hole must be over 0, was " + present.get());
        }
        if (hold == Hold.OPEN && until.isBlank()) {
            throw new InputException(
                    "holes held open by the drawing need a word what for, such as \"until the fairing is fitted\"");
        }
        if (dieAngle.isPresent() && !(dieAngle.get() >= 60 && dieAngle.get() <= 150)) {
            throw new InputException(
                    "the angle of dimple dies must be 60 to 150 degrees like 100, was " + dieAngle.get());
        }
    }

    /** The same with another reason for the side of the heads. */
    public HolePlan because(String reason) {
        return new HolePlan(present, hold, until, dieAngle, wet, reason, under, with);
    }

    /** The same with other holes at present, and other dies. */
    public HolePlan with(Optional<Length> holes, Optional<Integer> dies) {
        return new HolePlan(holes, hold, until, dies, wet, headWhy, under, with);
    }

    /** The same set wet, or dry. */
    public HolePlan with(boolean sealant) {
        return new HolePlan(present, hold, until, dieAngle, sealant, headWhy, under, with);
    }

    /** The same with another hold. */
    public HolePlan with(Hold next, String word) {
        return new HolePlan(present, next, word, dieAngle, wet, headWhy, under, with);
    }

    /** The same under other sheets. */
    public HolePlan under(Set<Id.Layer> sheets) {
        return new HolePlan(present, hold, until, dieAngle, wet, headWhy, sheets, with);
    }

    /** The same set with another kind of tool. */
    public HolePlan setWith(Optional<Tool.Kind> kind) {
        return new HolePlan(present, hold, until, dieAngle, wet, headWhy, under, kind);
    }
}
