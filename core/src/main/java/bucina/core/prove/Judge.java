package bucina.core.prove;

import bucina.core.log.Seen;
import bucina.core.log.Verdict;
import bucina.core.log.Work;
import bucina.core.material.Material;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.Sentence;
import bucina.core.rule.RuleKey;
import bucina.core.rule.RuleSet;
import bucina.core.rule.ShopSchool;
import java.util.List;
import java.util.Optional;

/*
 * Design. The head itself is judged by the first line of a table that holds, what is seen beside it one by one; the
 * worst verdict wins. Limits are inclusive: on the limit passes.
 */

/** Judges one fastener by what was measured and seen, under both schools. */
public final class Judge {

    /** A feeler of .002 in that enters so far round, percent, is a loose head. */
    private static final double LOOSE = 40;

    private static final Length THICK_CLAD = Length.in(.063);

    private final RuleSet rules;

    public Judge(RuleSet rules) {
        this.rules = rules;
    }

    /** What kind of head it is. */
    public enum Head {
        UNIVERSAL,
        FLUSH,
        BLIND;

        /** True if a defect can be seen at such a head. */
        public boolean shows(Seen.What what) {
            return switch (what) {
                case CRACK, FOLD, OFFSET, DISH -> this != BLIND;
                case PROUD, BELOW -> this != UNIVERSAL;
                case ROCKS, MANDREL -> this == BLIND;
                case HEAD_GAP, SHEET_GAP, CUT -> true;
            };
        }
    }

    /** What it was set with. */
    public enum By {
        SQUEEZER("close the squeezer to its gap once more"),
        GUN("once more, lightly, with the gun");

        private final String words;

        By(String words) {
            this.words = words;
        }
    }

    /**
     * What is judged.
     *
     * @param head      what kind
     * @param shank     D, over 0
     * @param measured  the shop head; empty of pulled rivets and of a head that was only looked at
     * @param hits      how often it was set again already, at least 0
     * @param seen      defects
     * @param by        tool; empty where nobody knows
     * @param material  of the sheet under the head; empty where nobody knows. 2024 and 7075 sheet count as clad
     * @param thickness of that sheet; empty where nobody knows
     */
    public record Subject(
            Head head,
            Length shank,
            Optional<Work.Reading> measured,
            int hits,
            List<Seen> seen,
            Optional<By> by,
            Optional<Material> material,
            Optional<Length> thickness) {
        public Subject {
            seen = List.copyOf(seen);
            if (hits < 0) {
                throw new InputException("a head was set again 0 times or more, was " + hits);
            }
            for (Seen s : seen) {
                check(head, s);
            }
        }

        private static void check(Head head, Seen s) {
            if (!head.shows(s.what())) {
                String other =
                        switch (s.what()) {
                            case PROUD, BELOW -> "a universal head stands on the sheet: say it of a flush one";
                            case ROCKS, MANDREL -> "a solid rivet has none: say it of a pulled one, as --head blind";
                            default -> "a pulled rivet has no shop head: say rocks, mandrel or head-gap";
                        };
                throw new InputException(s.what().code() + " does not go with this head; " + other);
            }
        }
    }

    /** A verdict with its reason. */
    public record Said(Verdict verdict, Sentence why) {

        private Said worse(Said other) {
            return other.verdict.compareTo(verdict) > 0 ? other : this;
        }
    }

    /**
     * Both schools.
     *
     * @param process   process specification
     * @param gauge     shop gauge
     * @param governing the school of the rule set in force
     */
    public record Judgement(Said process, Said gauge, ShopSchool governing) {

        /** What counts here. */
        public Said said() {
            return governing == ShopSchool.PROCESS ? process : gauge;
        }
    }

    /** Judges under both schools. */
    public Judgement of(Subject subject) {
        return new Judgement(
                under(subject, RuleKey.PROCESS_HEIGHT, "process specification"),
                under(subject, RuleKey.GAUGE_HEIGHT_LEAST, "shop gauge"),
                rules.shopSchool());
    }

    private Said under(Subject s, RuleKey height, String school) {
        Said worst = shape(s, height, school);
        for (Seen seen : s.seen) {
            worst = worst.worse(beside(s, seen));
        }
        return worst;
    }

    /** The head itself: the first line of the table that holds. */
    private Said shape(Subject s, RuleKey heightKey, String school) {
        Optional<Seen> bad = s.seen.stream().filter(x -> shape(x.what())).findFirst();
        if (bad.isPresent()) {
            return say(
                    Verdict.REPLACE, Sentence.of(upper(bad.get().what().words()) + ": no measure makes up for that."));
        }
        if (s.head == Head.BLIND || s.measured.isEmpty()) {
            return say(Verdict.LEAVE, Sentence.of("Nothing was seen that speaks against it."));
        }
        Length across = s.measured.get().diameter();
        Length high = s.measured.get().height();
        Length least = rules.times(RuleKey.PROCESS_DIAMETER, s.shank);
        Length low = rules.times(heightKey, s.shank);
        if (across.atLeast(least) && high.atLeast(low)) {
            return say(
                    Verdict.LEAVE,
                    Sentence.of("{} × {} is within {} × {} (" + school + ").", across, high, least, low));
        }
        Length half = rules.times(RuleKey.GAUGE_HEIGHT, s.shank);
        if (high.compareTo(half) > 0 && !high.same(half)) {
            Length then = across.times(Math.sqrt(high.per(half)));
            if (then.atLeast(least)) {
                return again(s, across, high, half, then);
            }
        }
        String why = high.atLeast(low) ? " and has not the metal for it" : ", set too flat";
        return say(
                Verdict.REPLACE,
                Sentence.of(
                        "{} × {} is outside {} × {} (" + school + ")" + why
                                + ": replace it with the length the stack takes.",
                        across,
                        high,
                        least,
                        low));
    }

    private static Said again(Subject s, Length across, Length high, Length half, Length then) {
        if (s.hits > 0) {
            return say(
                    Verdict.REPLACE,
                    Sentence.of("{} × {}, set once more already: the head has hardened.", across, high));
        }
        String how = s.by.map(b -> b.words).orElse("squeezer to its gap, or the gun lightly");
        return say(
                Verdict.AGAIN,
                Sentence.of(
                        "{} × {} has the metal, {} across at {} high: " + how + "; the head hardens, so once only.",
                        across,
                        high,
                        then,
                        half));
    }

    private static boolean shape(Seen.What what) {
        return switch (what) {
            case CRACK, FOLD, OFFSET, DISH -> true;
            case HEAD_GAP, SHEET_GAP, PROUD, BELOW, CUT, ROCKS, MANDREL -> false;
        };
    }

    private Said beside(Subject s, Seen seen) {
        return switch (seen.what()) {
            case CRACK, FOLD, OFFSET, DISH ->
                say(Verdict.REPLACE, Sentence.of(upper(seen.what().words()) + "."));
            case HEAD_GAP -> gap(s, seen);
            case SHEET_GAP ->
                say(Verdict.REPLACE, Sentence.of("A gap between the sheets: pull them together, then replace it."));
            case PROUD ->
                s.head == Head.BLIND
                        ? say(Verdict.REPLACE, Sentence.of("A pulled rivet that stands proud: replace it."))
                        : height(seen, RuleKey.HEAD_PROUD, "proud");
            case BELOW -> height(seen, RuleKey.HEAD_BELOW, "below the sheet");
            case CUT -> cut(s, seen.size().orElseThrow());
            case ROCKS, MANDREL ->
                say(Verdict.REPLACE, Sentence.of(upper(seen.what().words()) + ": replace it."));
        };
    }

    private static Said gap(Subject s, Seen seen) {
        if (s.head == Head.BLIND) {
            return say(Verdict.REPLACE, Sentence.of("A gap under the head of a pulled rivet: replace it."));
        }
        if (seen.shank()) {
            return say(Verdict.REPLACE, Sentence.of("The feeler under the head reaches the shank: replace it."));
        }
        String round = "%.0f %% of the way round".formatted(seen.percent());
        return seen.percent() >= LOOSE
                ? say(Verdict.REPLACE, Sentence.of("The feeler enters " + round + ", 40 % or more: replace it."))
                : say(Verdict.LEAVE, Sentence.of("The feeler enters " + round + ", under 40 %, not to the shank."));
    }

    private Said height(Seen seen, RuleKey key, String where) {
        Length most = rules.length(key);
        Length is = seen.size().orElseThrow();
        return is.atMost(most)
                ? say(Verdict.LEAVE, Sentence.of("{} " + where + ", up to {} is left.", is, most))
                : say(
                        Verdict.ASK,
                        Sentence.of("{} " + where + ", over {} (typical, the drawing governs): ask.", is, most));
    }

    /** How deep a cut may be blended, by the sheet: of clad 2024 and 7075 a share of its thickness. */
    private static Said cut(Subject s, Length deep) {
        Optional<Double> share = s.material.flatMap(m -> s.thickness.flatMap(t -> share(m, t)));
        if (share.isEmpty()) {
            return say(
                    Verdict.ASK,
                    Sentence.of("A cut {} deep in sheet that is bare or not known: no depth is tabulated, ask.", deep));
        }
        Length t = s.thickness.orElseThrow();
        Length most = t.times(share.get() / 100);
        String percent = share.get() == Math.rint(share.get())
                ? String.valueOf(share.get().intValue())
                : String.valueOf(share.get());
        String sheet = s.material.orElseThrow().code() + " clad";
        return deep.atMost(most)
                ? say(
                        Verdict.LEAVE,
                        Sentence.of(
                                "A cut {} deep is within " + percent + " % of {} (" + sheet
                                        + "): leave it, blended and primed.",
                                deep,
                                t))
                : say(
                        Verdict.ASK,
                        Sentence.of(
                                "A cut {} deep is over {}, " + percent + " % of {} (" + sheet + "): ask.",
                                deep,
                                most,
                                t));
    }

    /** Percent of the thickness; empty for sheet of which none is tabulated. */
    private static Optional<Double> share(Material material, Length thickness) {
        double thin =
                switch (material.alloy()) {
                    case "2024" -> 5;
                    case "7075" -> 4;
                    default -> 0;
                };
        return thin == 0 ? Optional.empty() : Optional.of(thickness.atLeast(THICK_CLAD) ? 2.5 : thin);
    }

    private static Said say(Verdict verdict, Sentence why) {
        return new Said(verdict, why);
    }

    private static String upper(String words) {
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }
}
