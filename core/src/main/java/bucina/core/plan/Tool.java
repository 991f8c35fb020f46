package bucina.core.plan;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import java.util.List;
import java.util.Objects;

/**
 * A tool of the builder's own in the tool crib.
 *
 * @param id    its id
 * @param kind  what it is
 * @param name  as it is called in the shop, not blank
 * @param sizes the figures of its kind, each over 0; of a step drill its steps from the tip; none where the builder
 *     says that there is no tool of the kind
 */
public record Tool(Id.Tool id, Kind kind, String name, List<Length> sizes) implements Kept {

    /** Kinds of tool. */
    public enum Kind {
        /** Steps from the tip. */
        STEP_DRILL("step-drill"),
        /** Squeezes rivets over an edge. */
        YOKE("yoke", "throat", "clear radius"),
        /** A set on one side, a bar on the other. */
        GUN_AND_BAR("gun-and-bar", "clear radius"),
        /** Pulls blind rivets. */
        PULLED_GUN("pulled-gun", "clear radius"),
        /** Pulls blind rivets where a gun does not fit. */
        HAND_PULLER("hand-puller", "clear radius"),
        /** Dimples in the open sheet. */
        C_FRAME("c-frame", "throat", "clear radius"),
        /** Dimple dies in a squeezer. */
        YOKE_DIES("yoke-dies", "throat", "clear radius"),
        /** Dies cut down at one side. */
        REDUCED_DIES("reduced-dies", "throat", "clear radius"),
        /** A flat bar with a die in it, for tight places. */
        FLAT_BAR("flat-bar", "clear radius"),
        /** Countersinks to a set depth. */
        STOP_CAGE("stop-cage", "clear radius"),
        /** Countersinks by hand, led by the hole. */
        PILOTED_CUTTER("piloted-cutter", "clear radius"),
        /** A plate under flush heads; the set comes straight down on the tails from behind. */
        BACK_RIVET("back-rivet-set", "plate radius", "clear radius"),
        /** A thin nose that carries a pulled-rivet gun past what stands no higher than it is long. */
        NOSE_EXTENSION("nose-extension", "length", "clear radius"),
        /** Lets a pulled-rivet gun lean up to 15 to 20 degrees away from what stands close on one side. */
        WEDGE("wedge", "room to lean", "clear radius"),
        /** Turns a nut or a bolt from the side: its handle swings. */
        WRENCH("wrench", "thickness", "length", "clear radius"),
        /** Turns a nut or a bolt from over it. */
        SOCKET("socket", "length", "clear radius");

        private final String code;
        private final List<String> figures;

        Kind(String code, String... figures) {
            this.code = code;
            this.figures = List.of(figures);
        }

        /** What its sizes are, in order; empty for a step drill, which has as many as it has steps. */
        public List<String> figures() {
            return figures;
        }

        /** True if it is used over an edge, as far in as its throat is deep. */
        public boolean throat() {
            return figures.contains("throat");
        }

        /** In plain words, {@code gun and bar}. */
        public String word() {
            return code.replace('-', ' ');
        }

        /** The word in files. */
        public String code() {
            return code;
        }
    }

    /** How far in from an edge it reaches; without a throat as far as one likes. */
    public Length throat() {
        return kind.throat() ? sizes.getFirst() : Length.nm(1e15);
    }

    /** What it needs clear round the hole. */
    public Length clear() {
        return sizes.getLast();
    }

    /** What it needs over the sheet, for those that may stand under something; else as much as there is. */
    public Length height() {
        return kind == Kind.WRENCH || kind == Kind.SOCKET ? sizes.getFirst() : Length.nm(1e15);
    }

    /** How far from the hole anything can be in its way at all. */
    public Length span() {
        return switch (kind) {
            case WRENCH -> sizes.get(1);
            case WEDGE, BACK_RIVET -> sizes.stream().reduce(Length.ZERO, Length::max);
            default -> clear();
        };
    }

    private static String none(Kind kind) {
        return "no " + kind.word();
    }

    /** Says that there is no tool of a kind. */
    static Tool none(Id.Tool id, Kind kind) {
        return new Tool(id, kind, none(kind), List.of());
    }

    /** True where there is no tool of the kind. */
    public boolean lacking() {
        return sizes.isEmpty();
    }

    public Tool {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(kind, "kind");
        Names.check("a tool", name);
        sizes = List.copyOf(sizes);
        boolean none = sizes.isEmpty() && kind != Kind.STEP_DRILL && name.equals(none(kind));
        if (sizes.isEmpty() && !none || !sizes.stream().allMatch(Length::positive)) {
            throw new InputException(
                    "a tool has sizes over 0, such as the steps of a step drill from its tip: 1/8, 3/16");
        }
        if (!none && !kind.figures.isEmpty() && sizes.size() != kind.figures.size()) {
            throw new InputException("a " + kind.code + " has " + String.join(" and ", kind.figures) + ", was given "
                    + sizes.size() + " figures");
        }
    }

    @Override
    public String called() {
        return "tool " + name;
    }
}
