package bucina.core.bend;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Where the flutes of a bowed flange go, and the hole line before and after them.
 *
 * @param flutes   how many and how deep
 * @param sagitta  bow measured
 * @param chord    over which
 * @param gaps     where each flute goes, as the middle of the space between two holes, running from one end
 * @param between  the holes on either side of each flute, counted from 1
 */
public record FluteLine(Flutes flutes, Length sagitta, Length chord, List<Length> gaps, List<Integer> between) {

    public FluteLine {
        gaps = List.copyOf(gaps);
        between = List.copyOf(between);
    }

    /**
     * Places flutes in the spaces between holes, as evenly over the bow as the spaces let.
     *
     * @param holes stations of the holes from one end of the chord, ascending, at least two
     * @param width of a flute: a space narrower than this takes none
     * @throws InputException if holes lie outside the chord or there are fewer wide spaces than flutes
     */
    public static FluteLine of(Flutes flutes, Length sagitta, Length chord, List<Length> holes, Length width) {
        if (holes.size() < 2) {
            throw new InputException("A hole line has at least two holes, was given " + holes.size()
                    + ": write stations like .5, 1.5, 2.5");
        }
        List<Integer> free = spaces(holes, chord, width);
        if (flutes.count() > free.size()) {
            throw new InputException(flutes.count() + " flutes are wanted, but only " + free.size()
                    + " spaces between holes take one " + width + " wide: make them deeper, or narrower");
        }
        List<Integer> taken = place(flutes.count(), chord, holes, free);
        return new FluteLine(
                flutes,
                sagitta,
                chord,
                taken.stream().map(i -> middle(holes, i)).toList(),
                taken);
    }

    private static List<Integer> spaces(List<Length> holes, Length chord, Length width) {
        List<Integer> free = new ArrayList<>();
        for (int i = 0; i < holes.size(); i++) {
            if (!holes.get(i).atLeast(Length.ZERO)
                    || !holes.get(i).atMost(chord)
                    || i > 0 && !holes.get(i).minus(holes.get(i - 1)).positive()) {
                throw new InputException("Hole " + (i + 1) + " is at " + holes.get(i)
                        + ": stations rise from 0 to the chord of " + chord + ", like .5, 1.5");
            }
            if (i > 0 && holes.get(i).minus(holes.get(i - 1)).atLeast(width)) {
                free.add(i);
            }
        }
        return free;
    }

    /** Each wished place takes the nearest space that leaves enough of them for the flutes after it. */
    private static List<Integer> place(int count, Length chord, List<Length> holes, List<Integer> free) {
        List<Integer> taken = new ArrayList<>();
        int from = 0;
        for (int k = 0; k < count; k++) {
            Length wished = chord.times((k + 0.5) / count);
            int last = free.size() - (count - k);
            int best = from;
            for (int i = from; i <= last; i++) {
                if (middle(holes, free.get(i))
                                .minus(wished)
                                .abs()
                                .compareTo(middle(holes, free.get(best))
                                        .minus(wished)
                                        .abs())
                        < 0) {
                    best = i;
                }
            }
            taken.add(free.get(best));
            from = best + 1;
        }
        return taken;
    }

    private static Length middle(List<Length> holes, int i) {
        return holes.get(i - 1).plus(holes.get(i)).times(0.5);
    }

    /**
     * How far the hole line is off the straight-edge at a station before anything is done: an arc through both ends.
     */
    public Length before(Length station) {
        double x = station.per(chord);
        return sagitta.times(4 * x * (1 - x));
    }

    /**
     * What is left of it: every flute bends the line back at its place, as much as it takes up at the free edge over
     * the height of the flange.
     */
    public Length after(Length station) {
        if (gaps.isEmpty()) {
            return before(station);
        }
        double kink = 8 * sagitta.per(chord) / gaps.size();
        double off = 0;
        for (Length gap : gaps) {
            double g = gap.per(chord);
            double x = station.per(chord);
            off += kink * (x <= g ? x * (1 - g) : g * (1 - x));
        }
        return before(station).minus(chord.times(off));
    }

    /** The farthest that any of these stations is off the line afterwards. */
    public Length worstAfter(List<Length> holes) {
        return holes.stream().map(h -> after(h).abs()).reduce(Length.ZERO, Length::max);
    }

    /**
     * What the flutes made so far took up against what was reckoned, from the bows measured after each round: over 1
     * they took more.
     *
     * @param bows measured, first to last
     * @param asked what each round was to take off
     * @return empty after no round
     */
    public static Optional<Double> taken(List<Length> bows, List<Length> asked) {
        double reckoned = 0;
        double got = 0;
        for (int i = 1; i < bows.size() && i <= asked.size(); i++) {
            reckoned += asked.get(i - 1).nanometres();
            got += bows.get(i - 1).minus(bows.get(i)).nanometres();
        }
        return reckoned > 0 ? Optional.of(got / reckoned) : Optional.empty();
    }
}
