package bucina.core.explain;

import bucina.core.bolt.BoltChoice;
import bucina.core.bolt.BoltThread;
import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.Unit;
import bucina.core.plan.Fastener;
import bucina.core.stack.Bolted;
import bucina.core.stack.Solution;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** Why a bolt, its washers and its torque are what they are. */
final class ExplainBolt {

    private static final String RULES =
            "grip not under stack + washers under head − p; C not under grip; length not under C + nut + p";

    private final Unit unit;

    ExplainBolt(Unit unit) {
        this.unit = unit;
    }

    List<Why> of(Fastener.Hardware h, Solution solution, Bolted bolt) {
        List<Why> numbers = new ArrayList<>();
        numbers.add(new Why(
                "Use",
                solution.designation().orElse(h.name()),
                bolt.nut().isPresent() ? RULES : "",
                bolt.nut()
                        .map(n -> "nut " + n.name() + ", " + figure(n.height()))
                        .orElse(""),
                bolt.thread().source(),
                bolt.fit().map(f -> fits(f, solution)).orElseGet(() -> misfit(bolt))));
        bolt.fit()
                .ifPresent(f -> numbers.add(new Why(
                        "Washers",
                        bolt.washers().isEmpty() ? "none" : bolt.washers(),
                        "one under the part that turns",
                        "",
                        "AN960 / NAS1149, AN970",
                        String.format(Locale.ROOT, "%.1f threads show beyond the nut.", f.showing()))));
        numbers.add(torque(bolt));
        bolt.secured()
                .ifPresent(s -> numbers.add(
                        new Why("Then", s.code(), "", "", "the designation", "After the torque and its stripe.")));
        return numbers;
    }

    private String misfit(Bolted bolt) {
        return bolt.choice()
                .map(c -> "It does not fit this stack with up to " + BoltChoice.WASHERS_MOST + " washers. "
                        + c.why().in(unit))
                .orElse("A drilled shank takes a slotted nut and a cotter. The catalogue has none of this thread: say "
                        + "which under Change, such as castle:.25");
    }

    private String fits(BoltChoice.Fit fit, Solution solution) {
        return "Grip " + LengthFormat.decimal(fit.bolt().grip(), unit, 4) + " for a stack of "
                + LengthFormat.decimal(solution.grip(), unit, 4)
                + (fit.full() ? ": the shank fills the whole joint." : ": up to one turn of thread lies in the joint.");
    }

    private static Why torque(Bolted bolt) {
        BoltThread.Torque t = bolt.torque();
        return new Why(
                "Torque",
                bolt.torqueWords(),
                "table + running drag",
                Math.round(t.low()) + " to " + Math.round(t.high()) + " in-lb, dry",
                bolt.thread().source(),
                bolt.drags()
                        ? "A self-locking nut drags: measure it while it runs down and add it."
                        : "To the low figure, on to the next slot, not past the high one, then the cotter.");
    }

    private String figure(Length length) {
        return LengthFormat.figure(length, unit, 4);
    }
}
