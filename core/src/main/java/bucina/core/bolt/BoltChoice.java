package bucina.core.bolt;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.Sentence;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * Every bolt with its washers that fits a stack, best first. With C the stack and all washers and p one turn of the
 * thread: grip ≥ stack + washers under
 * the head − p, C ≥ grip, length ≥ C + nut + p. More than three threads showing ranks lower.
 *
 * @param asked the joint
 * @param fits  those that fit: a shank that fills the whole joint first, then three threads showing or fewer, then
 *     fewest washers, then fewest threads showing
 * @param why   what decided, or what fails
 */
public record BoltChoice(Joint asked, List<Fit> fits, Sentence why) {

    /** Washers tried on one bolt. */
    public static final int WASHERS_MOST = 3;

    private static final double SHOWING_MOST = 3;
    /** After the dash: no hole for a cotter, as a self-locking nut wants it. */
    private static final String UNDRILLED = "A";

    /** Which part the wrench turns; a washer lies under it. */
    public enum Turn {
        NUT,
        HEAD;

        /**
         * Reads {@code nut} or {@code head}.
         *
         * @throws InputException if it is neither
         */
        public static Turn parse(String text) {
            return switch (text) {
                case "nut" -> NUT;
                case "head" -> HEAD;
                default -> throw new InputException("\"" + text + "\" is nothing that is turned: write nut or head");
            };
        }
    }

    /**
     * A bolted joint.
     *
     * @param layers thicknesses, at least one, each over 0
     * @param drag   running drag measured on the nut, in-lb, 0 or more
     */
    public record Joint(BoltThread thread, List<Length> layers, Nut nut, Turn turn, double drag) {
        public Joint {
            layers = List.copyOf(layers);
            if (!(drag >= 0 && drag < 10_000)) {
                throw new InputException("The drag is " + drag + " in-lb: it is 0 or more, like 8");
            }
        }

        /** Thickness of the stack. */
        public Length stack() {
            return layers.stream().reduce(Length.ZERO, Length::plus);
        }

        /** Torque to set, with the drag added; a slotted nut has none. */
        public BoltThread.Torque torque() {
            return (nut.kind().shear() ? thread.shear() : thread.tension())
                    .plus(nut.kind().slotted() ? 0 : drag);
        }

        /** What to know when it is tightened, one sentence each. */
        public List<String> notes() {
            List<String> notes = new ArrayList<>();
            if (nut.kind().slotted()) {
                notes.add("A slotted nut wants a drilled bolt: torque to the low figure, on to the next slot, not past "
                        + "the high one, then the cotter. It has no running drag"
                        + (drag > 0 ? "; what was given is not added." : "."));
            } else if (drag == 0) {
                notes.add("A self-locking nut drags: measure it while it runs down and add it to the figure.");
            }
            if (turn == Turn.HEAD) {
                notes.add("The figures are for turning the nut: turning the head, the friction under it adds; measure "
                        + "it and add it too.");
            }
            return notes;
        }
    }

    /**
     * A bolt and where its washers go.
     *
     * @param bolt    with its suffix: {@code A} where no cotter goes through it
     * @param showing threads beyond the nut
     * @param full    true if the shank fills the whole joint; false if up to one turn of thread lies in it
     */
    public record Fit(
            BoltThread.Bolt bolt, List<Washer> underHead, List<Washer> underNut, double showing, boolean full) {

        public Fit {
            underHead = List.copyOf(underHead);
            underNut = List.copyOf(underNut);
        }

        /** How many washers. */
        public int washers() {
            return underHead.size() + underNut.size();
        }
    }

    public BoltChoice {
        fits = List.copyOf(fits);
    }

    /** Tries every bolt of the thread with up to {@value #WASHERS_MOST} washers. */
    public static BoltChoice of(Joint joint, List<Washer> washers) {
        List<Fit> fits = allFits(washers, joint);
        fits.sort(Comparator.comparing((Fit f) -> !f.full)
                .thenComparing(f -> f.showing > SHOWING_MOST + 1e-9)
                .thenComparing(Fit::washers)
                .thenComparing(f -> f.underHead.size())
                .thenComparing(Fit::showing)
                .thenComparing(f -> f.bolt.length()));
        return new BoltChoice(joint, fits, fits.isEmpty() ? none(joint, washers) : chosen(joint, fits.getFirst()));
    }

    private static List<Fit> allFits(List<Washer> washers, Joint joint) {
        List<Fit> fits = new ArrayList<>();
        List<List<Washer>> sets = sets(washers);
        for (BoltThread.Bolt bolt : joint.thread.bolts()) {
            for (List<Washer> head : sets) {
                for (List<Washer> nut : sets) {
                    if (head.size() + nut.size() <= WASHERS_MOST && !(joint.turn == Turn.NUT ? nut : head).isEmpty()) {
                        fit(joint, bolt, head, nut).ifPresent(fits::add);
                    }
                }
            }
        }
        return fits;
    }

    /** The best; empty if none fits. */
    public Optional<Fit> best() {
        return fits.stream().findFirst();
    }

    private static Optional<Fit> fit(Joint joint, BoltThread.Bolt bolt, List<Washer> head, List<Washer> nut) {
        Length p = joint.thread.pitch();
        Length under = thick(head);
        Length c = joint.stack().plus(under).plus(thick(nut));
        boolean shank = bolt.grip().atLeast(joint.stack().plus(under).minus(p));
        boolean seats = c.atLeast(bolt.grip());
        boolean shows = bolt.length().atLeast(c.plus(joint.nut.height()).plus(p));
        return shank && seats && shows
                ? Optional.of(new Fit(
                        new BoltThread.Bolt(
                                bolt.designation() + (joint.nut.kind().slotted() ? "" : UNDRILLED),
                                bolt.grip(),
                                bolt.length()),
                        head,
                        nut,
                        bolt.length().minus(c).minus(joint.nut.height()).per(p),
                        bolt.grip().atLeast(joint.stack().plus(under))))
                : Optional.empty();
    }

    private static Length thick(List<Washer> washers) {
        return washers.stream().map(Washer::thickness).reduce(Length.ZERO, Length::plus);
    }

    /** Every choice of up to three washers, whatever their order. */
    private static List<List<Washer>> sets(List<Washer> washers) {
        List<List<Washer>> sets = new ArrayList<>(List.of(List.of()));
        for (int from = 0, size = 1; size <= WASHERS_MOST; size++) {
            int to = sets.size();
            for (int i = from; i < to; i++) {
                List<Washer> so = sets.get(i);
                int first = so.isEmpty() ? 0 : washers.indexOf(so.getLast());
                for (Washer next : washers.subList(first, washers.size())) {
                    List<Washer> more = new ArrayList<>(so);
                    more.add(next);
                    sets.add(List.copyOf(more));
                }
            }
            from = to;
        }
        return sets;
    }

    private static Sentence chosen(Joint joint, Fit fit) {
        Length under = thick(fit.underHead);
        Length c = joint.stack().plus(under).plus(thick(fit.underNut));
        return Sentence.of(
                "Stack {}, with washers {}. "
                        + (fit.full
                                ? "The shank of {} fills the whole joint (at least {})"
                                : "The shank of {} leaves up to one turn of thread in the joint of {}")
                        + ", the nut seats before the shank ends, and "
                        + String.format(Locale.ROOT, "%.1f", fit.showing) + " threads show.",
                joint.stack(),
                c,
                fit.bolt.grip(),
                joint.stack().plus(under));
    }

    /** Names the demand that the nearest bolt fails. */
    private static Sentence none(Joint joint, List<Washer> washers) {
        Length p = joint.thread.pitch();
        Length thinnest = washers.stream()
                .map(Washer::thickness)
                .min(Comparator.naturalOrder())
                .orElse(Length.ZERO);
        Length thickest = washers.stream()
                .map(Washer::thickness)
                .max(Comparator.naturalOrder())
                .orElse(Length.ZERO);
        List<BoltThread.Bolt> bolts = joint.thread.bolts();
        BoltThread.Bolt first = bolts.getFirst();
        BoltThread.Bolt last = bolts.getLast();
        Length stack = joint.stack();
        if (stack.plus(thickest.times(WASHERS_MOST)).minus(first.grip()).nanometres() < 0) {
            return Sentence.of(
                    "The nut would run onto the shank: the shortest bolt, " + first.designation()
                            + ", has a grip of {}, and stack and three "
                            + "washers make {}. Fill the joint, or take a screw.",
                    first.grip(),
                    stack.plus(thickest.times(WASHERS_MOST)));
        }
        if (!last.grip().atLeast(stack.minus(p))) {
            return Sentence.of(
                    "The stack of {} is thicker than the longest bolt in the catalogue, " + last.designation()
                            + " with a grip of {}, fills.",
                    stack,
                    last.grip());
        }
        Length room = first.length().minus(first.grip());
        return Sentence.of(
                "No thread would show: a bolt of this thread has {} beyond its grip, and the thinnest washer of {}, "
                        + "the nut of {} and one turn of "
                        + "{} take more. Take a lower nut.",
                room,
                thinnest,
                joint.nut.height(),
                p);
    }
}
