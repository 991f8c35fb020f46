package bucina.core.log;

import bucina.core.measure.InputException;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * How bolts were tightened.
 *
 * @param torque set without the drag, in-lb, over 0
 * @param drag   running drag measured, in-lb, at least 0
 */
public record Tightened(double torque, double drag) {

    private static final double MOST = 10_000;
    private static final Pattern TYPED =
            Pattern.compile("(\\d{1,5}(?:[.,]\\d{1,3})?)(?:\\s*\\+\\s*(\\d{1,5}(?:[.,]\\d{1,3})?))?(?:\\s*in-lb)?");

    public Tightened {
        if (!(torque > 0 && torque < MOST)) {
            throw new InputException("a torque is over 0 in-lb, like 60, was " + torque);
        }
        if (!(drag >= 0 && drag < MOST)) {
            throw new InputException("running drag is 0 in-lb or more, like 8, was " + drag);
        }
    }

    /** What the wrench was set to, in-lb. */
    public double total() {
        return torque + drag;
    }

    /** The torque without the drag, in words: {@code 60 in-lb}. */
    public String torqueWords() {
        return figure(torque) + " in-lb";
    }

    /**
     * Reads torque and drag as people write them: {@code 60 + 8}, or {@code 60} where the nut does not drag.
     *
     * @param drags true if the nut drags while it runs down: then the drag must be said, if only as 0
     * @throws InputException if it is none, with an example
     */
    public static Tightened parse(String typed, boolean drags) {
        Matcher m = TYPED.matcher(typed.strip());
        if (!m.matches()) {
            throw new InputException(
                    "torque and running drag are written in in-lb like 60 + 8, were \"" + typed.strip() + "\"");
        }
        if (m.group(2) == null && drags) {
            throw new InputException("the running drag is not given: measure it while the nut runs down and write it "
                    + "behind the torque, " + m.group(1) + " + 8, or + 0 if there is none");
        }
        return new Tightened(number(m.group(1)), m.group(2) == null ? 0 : number(m.group(2)));
    }

    private static double number(String text) {
        return Double.parseDouble(text.replace(',', '.'));
    }

    /** In words: {@code 60 + 8 drag = 68 in-lb}. */
    public String words() {
        return figure(torque) + " + " + figure(drag) + " drag = " + figure(total()) + " in-lb";
    }

    private static String figure(double inLb) {
        return inLb == Math.rint(inLb) ? String.valueOf((long) inLb) : String.valueOf(inLb);
    }
}
