package bucina.core.plan;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;

/**
 * What is said of a part beside its name: what the stamp and the list say, where it lies, what is owed to it.
 *
 * @param number   as stamped; may be empty
 * @param aliases  other numbers and names it goes by
 * @param hand     of the part itself
 * @param called   gauge called for, over 0; empty if nobody said
 * @param measured gauge measured, over 0; empty if not measured
 * @param page     of the manual; may be empty
 * @param place    crate, shelf or bag, or whom it is with; may be empty
 * @param due      the day it is due back or due in; only of what is out or short
 * @param tasks    what is owed to it beside what its kind owes, codes or the builder's own words
 * @param waived   what its kind owes and this part does not
 * @param forGood  faces where the builder says that it is on for good
 * @param instead  the part that a bulletin puts in its place; empty while it stands for itself
 */
public record Particulars(
        String number,
        List<String> aliases,
        Hand hand,
        Optional<Length> called,
        Optional<Length> measured,
        String page,
        String place,
        Optional<LocalDate> due,
        List<String> tasks,
        Set<String> waived,
        Set<Id.Face> forGood,
        Optional<Id.Part> instead) {

    private static final int LONGEST = 120;

    /** Nothing said. */
    public static final Particulars NONE = new Particulars(
            "",
            List.of(),
            Hand.NONE,
            Optional.empty(),
            Optional.empty(),
            "",
            "",
            Optional.empty(),
            List.of(),
            Set.of(),
            Set.of(),
            Optional.empty());

    public Particulars {
        Objects.requireNonNull(hand, "hand");
        Objects.requireNonNull(due, "due");
        Objects.requireNonNull(instead, "instead");
        aliases = List.copyOf(aliases);
        tasks = List.copyOf(tasks);
        waived = Set.copyOf(waived);
        forGood = Set.copyOf(forGood);
        check("a part's number", number);
        check("a page", page);
        check("a place", place);
        aliases.forEach(a -> check("another name of a part", a));
        tasks.forEach(t -> Names.check("what is owed to a part", t));
        gauge("the gauge called for", called);
        gauge("the gauge measured", measured);
    }

    private static void check(String what, String text) {
        if (text.length() > LONGEST || text.contains("{}")) {
            throw new InputException(what + " has up to " + LONGEST + " characters and no {}, was \""
                    + text.substring(0, Math.min(30, text.length())) + "\"");
        }
    }

    private static void gauge(String what, Optional<Length> gauge) {
        if (gauge.isPresent() && !gauge.get().positive()) {
            throw new InputException(what + " must be over 0 like .032, was " + gauge.get());
        }
    }

    /** With another number, other names and another hand. */
    public Particulars stamped(String otherNumber, List<String> names, Hand otherHand) {
        return new Particulars(
                otherNumber, names, otherHand, called, measured, page, place, due, tasks, waived, forGood, instead);
    }

    /** With other gauges. */
    public Particulars withGauge(Optional<Length> calledFor, Optional<Length> asMeasured) {
        return new Particulars(
                number, aliases, hand, calledFor, asMeasured, page, place, due, tasks, waived, forGood, instead);
    }

    /** On another page of the manual. */
    public Particulars withPage(String other) {
        return new Particulars(
                number, aliases, hand, called, measured, other, place, due, tasks, waived, forGood, instead);
    }

    /** Lying somewhere else. */
    public Particulars withPlace(String other) {
        return new Particulars(
                number, aliases, hand, called, measured, page, other, due, tasks, waived, forGood, instead);
    }

    /** Due at another day. */
    public Particulars withDue(Optional<LocalDate> day) {
        return new Particulars(
                number, aliases, hand, called, measured, page, place, day, tasks, waived, forGood, instead);
    }

    /** With a task owed: put to it, or no longer waived. */
    public Particulars owing(String task) {
        List<String> more = new ArrayList<>(tasks);
        Set<String> fewer = new LinkedHashSet<>(waived);
        if (!fewer.remove(task) && !more.contains(task)) {
            more.add(task);
        }
        return withTasks(more, fewer);
    }

    /** With a task no longer owed. */
    public Particulars notOwing(String task) {
        List<String> fewer = new ArrayList<>(tasks);
        Set<String> more = new LinkedHashSet<>(waived);
        if (!fewer.remove(task)) {
            more.add(task);
        }
        return withTasks(fewer, more);
    }

    /** With other tasks put to it, and others waived. */
    public Particulars withTasks(List<String> put, Set<String> let) {
        return new Particulars(number, aliases, hand, called, measured, page, place, due, put, let, forGood, instead);
    }

    /** On for good on other faces, as the builder says. */
    public Particulars withForGood(Set<Id.Face> faces) {
        return new Particulars(
                number, aliases, hand, called, measured, page, place, due, tasks, waived, faces, instead);
    }

    /** Replaced by another part, or by none. */
    public Particulars withInstead(Optional<Id.Part> newer) {
        return new Particulars(
                number, aliases, hand, called, measured, page, place, due, tasks, waived, forGood, newer);
    }

    /** What holds of its like for the other hand: what is owed and called for, not what was found of this one. */
    Particulars forTheOtherHand() {
        Hand other = hand == Hand.LEFT ? Hand.RIGHT : hand == Hand.RIGHT ? Hand.LEFT : Hand.NONE;
        return new Particulars(
                "",
                List.of(),
                other,
                called,
                Optional.empty(),
                page,
                "",
                Optional.empty(),
                tasks,
                waived,
                Set.of(),
                Optional.empty());
    }
}
