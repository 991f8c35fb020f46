package bucina.core.sums;

import java.util.List;
import java.util.Optional;

/** Every sum, in the order of the list. */
public final class Sums {

    /** All of them. */
    public static final List<Sum> ALL = List.of(
            new BendSum(),
            new BracketSum(),
            new RadiusSum(),
            new TaperSum(),
            new FluteSum(),
            new CutSum(),
            new NestingSum(),
            new OpeningSum(),
            new RivetSum(),
            new PulledSum(),
            new BoltSum(),
            new GapSum(),
            new NestSum(),
            new CouponSum(),
            new RowSum(),
            new EdgeSum(),
            new WeightSum(),
            new SpareSum());

    private Sums() {}

    /** The sum with this code; empty if there is none. */
    public static Optional<Sum> of(String code) {
        return ALL.stream().filter(s -> s.code().equals(code)).findFirst();
    }
}
