package bucina.core.bend;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;

/**
 * Flutes that straighten a flange whose hole line is bowed: an estimate to sneak up on, then measured again.
 *
 * @param excess         how much too long the flange's free edge is, 8 s f / c
 * @param takeUp         what one flute of the wished depth takes up, about π² d² / (4 w)
 * @param count          how many flutes, 0 for a straight flange
 * @param depthEach      depth of each, so that together they take the excess up; 0 where there is none
 * @param residualSagitta bow that stays because the formula takes a flute for longer than its true arc is; 0 or more
 */
public record Flutes(Length excess, Length takeUp, int count, Length depthEach, Length residualSagitta) {

    private static final int STEPS = 256;

    /**
     * Flutes for a measured bow.
     *
     * @param sagitta bow of the hole line over the chord, 0 or more and under half the chord
     * @param chord   over 0
     * @param flange  height of the flange from the hole line to the free edge, over 0
     * @param depth   wished, over 0
     * @param width   of a flute, over 0
     */
    public static Flutes of(Length sagitta, Length chord, Length flange, Length depth, Length width) {
        positive(chord, "chord", "12");
        positive(flange, "flange height", ".75");
        positive(depth, "flute depth", ".08");
        positive(width, "flute width", ".35");
        if (!sagitta.atLeast(Length.ZERO) || sagitta.times(2).atLeast(chord)) {
            throw new InputException("The bow is " + sagitta + " over a chord of " + chord
                    + ": it is 0 or more and under half the chord, like .1 over 12");
        }
        Length excess = sagitta.times(8).times(flange.per(chord));
        Length takeUp = width.times(Math.pow(Math.PI * depth.per(width), 2) / 4);
        double needed = Math.ceil(excess.per(takeUp) - 1e-9);
        if (needed > 10_000) {
            throw new InputException("It would take " + (long) needed + " flutes of " + depth
                    + ": take deeper ones, like .08 deep and .35 wide");
        }
        int count = (int) needed;
        if (count == 0) {
            return new Flutes(excess, takeUp, 0, Length.ZERO, Length.ZERO);
        }
        if (!width.times(count).atMost(chord)) {
            throw new InputException(
                    count + " flutes of " + width + " take " + width.times(count) + ", more than the chord of " + chord
                            + " holds: take deeper or narrower ones, or ease the bow first");
        }
        Length each = width.times(Math.sqrt(4 * excess.per(width) / (count * Math.PI * Math.PI)));
        Length left = excess.minus(arcExcess(each, width).times(count));
        return new Flutes(
                excess, takeUp, count, each, left.times(chord.per(flange) / 8).max(Length.ZERO));
    }

    /**
     * True arc of a flute less its width; the flute is one wave of a cosine, and the sum over a whole wave converges at
     * once.
     */
    static Length arcExcess(Length depth, Length width) {
        double slope = Math.PI * depth.per(width);
        double sum = 0;
        for (int i = 0; i < STEPS; i++) {
            double s = slope * Math.sin(2 * Math.PI * i / STEPS);
            sum += Math.sqrt(1 + s * s) - 1;
        }
        return width.times(sum / STEPS);
    }

    private static void positive(Length value, String what, String example) {
        if (!value.positive()) {
            throw new InputException("The " + what + " is " + value + ": it is over 0, like " + example);
        }
    }
}
