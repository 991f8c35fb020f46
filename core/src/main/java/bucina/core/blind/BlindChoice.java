package bucina.core.blind;

import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.Sentence;
import bucina.core.measure.Unit;
import java.util.List;
import java.util.Optional;

/**
 * Which pulled rivet goes into a stack.
 *
 * @param grip       thickness of the stack
 * @param rivet      the length to use; empty if none does
 * @param cutTo      length to cut it to so that it clears; empty if it goes in as it is
 * @param why        why this one, or why none and what would do
 * @param candidates every length of the family and diameter
 */
public record BlindChoice(
        Length grip, Optional<BlindRivet> rivet, Optional<Length> cutTo, Sentence why, List<BlindRivet> candidates) {

    /**
     * Chooses: of the lengths whose grip range holds the stack the shorter that clears the room behind; where none
     * clears as it is, one cut
     * shorter as far as its range allows.
     *
     * @param candidates lengths, short to long, at least one
     * @param grip       over 0
     * @param room       what is free behind the stack; empty if there is room enough
     */
    public static BlindChoice of(List<BlindRivet> candidates, Length grip, Optional<Length> room) {
        List<BlindRivet> gripping =
                candidates.stream().filter(c -> c.grips(grip)).toList();
        if (gripping.isEmpty()) {
            return new BlindChoice(grip, Optional.empty(), Optional.empty(), none(candidates, grip), candidates);
        }
        Optional<BlindRivet> clear =
                gripping.stream().filter(c -> clears(c, grip, room)).findFirst();
        if (clear.isPresent()) {
            return clearing(clear, grip, candidates);
        }
        return cut(candidates, gripping.getFirst(), grip, room.orElseThrow());
    }

    private static BlindChoice clearing(Optional<BlindRivet> clear, Length grip, List<BlindRivet> candidates) {
        BlindRivet c = clear.get();
        return new BlindChoice(
                grip,
                clear,
                Optional.empty(),
                Sentence.of(c.name() + " grips {} to {}; the stack is {}.", c.gripMin(), c.gripMax(), grip),
                candidates);
    }

    /**
     * What to call a length at the bench: {@code Ø3.2 L8}, {@code Ø3.2 L8 cut}, {@code grip 3}; diameter and length in
     * mm.
     */
    public String bench(BlindRivet c, Length diameter) {
        return c.length().map(l -> "Ø" + figure(diameter) + " L" + figure(l)).orElse(c.name())
                + (cutTo.isPresent() ? " cut" : "");
    }

    private static String figure(Length length) {
        return LengthFormat.exact(length, Unit.MM).replace(" mm", "");
    }

    /** True if the room is known to be enough; where the maker's figure is not known, only no room given will do. */
    private static boolean clears(BlindRivet c, Length grip, Optional<Length> room) {
        return room.isEmpty()
                || c.needsBehind(grip).filter(n -> n.atMost(room.get())).isPresent();
    }

    private static BlindChoice cut(List<BlindRivet> candidates, BlindRivet c, Length grip, Length room) {
        Optional<Length> needs = c.needsBehind(grip);
        if (needs.isEmpty()) {
            return unknown(grip, c, room, candidates);
        }
        Length off = needs.get().minus(room);
        Length spare = c.gripMax().minus(grip);
        if (off.atMost(spare)) {
            return cutTo(c, off, grip, needs, room, candidates);
        }
        return neither(grip, c, needs, room, candidates);
    }

    private static BlindChoice neither(
            Length grip, BlindRivet c, Optional<Length> needs, Length room, List<BlindRivet> candidates) {
        return new BlindChoice(
                grip,
                Optional.empty(),
                Optional.empty(),
                Sentence.of(
                        c.name() + " needs {} behind, {} are free, and cut shorter it would no "
                                + "longer grip {}: use a solid rivet or a screw, or make room.",
                        needs.get(),
                        room,
                        grip),
                candidates);
    }

    private static BlindChoice cutTo(
            BlindRivet c, Length off, Length grip, Optional<Length> needs, Length room, List<BlindRivet> candidates) {
        Length to = c.length().orElseThrow().minus(off);
        return new BlindChoice(
                grip,
                Optional.of(c),
                Optional.of(to),
                Sentence.of(
                        c.name() + " needs {} behind and {} are free: cut it to {}; it then grips " + "up to {}.",
                        needs.get(),
                        room,
                        to,
                        c.gripMax().minus(off)),
                candidates);
    }

    private static BlindChoice unknown(Length grip, BlindRivet c, Length room, List<BlindRivet> candidates) {
        return new BlindChoice(
                grip,
                Optional.empty(),
                Optional.empty(),
                Sentence.of(
                        c.name() + " grips {}, but how far it stands behind is the maker's "
                                + "figure: look it up against the {} that are free.",
                        grip,
                        room),
                candidates);
    }

    private static Sentence none(List<BlindRivet> candidates, Length grip) {
        BlindRivet first = candidates.getFirst();
        BlindRivet last = candidates.getLast();
        if (!grip.atLeast(first.gripMin())) {
            Length missing = first.gripMin().minus(grip);
            return first.length()
                    .map(l -> Sentence.of(
                            "The stack of {} is thinner than any length grips: the least is {} (" + first.name()
                                    + "). A washer of {} "
                                    + "behind, or " + first.name() + " cut to {}, would do.",
                            grip,
                            first.gripMin(),
                            missing,
                            l.minus(missing)))
                    .orElseGet(() -> Sentence.of(
                            "The stack of {} is thinner than any grip: the least is {} (" + first.name()
                                    + "). A washer of {} would do.",
                            grip,
                            first.gripMin(),
                            missing));
        }
        if (!grip.atMost(last.gripMax())) {
            return Sentence.of(
                    "The stack of {} is thicker than any length grips: the most is {} (" + last.name()
                            + "). Look for a longer one in the maker's " + "table, or use a bolt.",
                    grip,
                    last.gripMax());
        }
        BlindRivet next = candidates.stream()
                .filter(c -> !c.gripMax().atMost(grip))
                .findFirst()
                .orElse(last);
        return Sentence.of(
                "The stack of {} lies between two grip ranges: " + next.name()
                        + " begins at {}. A washer of {} would do.",
                grip,
                next.gripMin(),
                next.gripMin().minus(grip));
    }
}
