package bucina.core.stack;

import bucina.core.bolt.BoltChoice;
import bucina.core.catalogue.Catalogue;
import bucina.core.dress.Dressing;
import bucina.core.measure.Length;
import bucina.core.measure.Sentence;
import bucina.core.plan.Fastener;
import bucina.core.rule.EdgeRule;
import bucina.core.rule.Finding;
import bucina.core.rule.Level;
import bucina.core.rule.RuleCode;
import bucina.core.rule.RuleSet;
import java.util.List;
import java.util.Optional;

/** Works out stacks that bolts, screws and rivet nuts go through. */
final class BoltSolver {

    private final Catalogue catalogue;
    private final RuleSet rules;

    BoltSolver(Catalogue catalogue, RuleSet rules) {
        this.catalogue = catalogue;
        this.rules = rules;
    }

    /** A bolt is checked against its stack; other hardware goes in as it is called for. */
    Solution hardware(Fastener.Hardware h, Solver.Ask ask) {
        Optional<Bolted> bolt = Bolted.of(h, ask.layers(), catalogue);
        return plain(
                h, ask, h.hole(), bolt, bolt.flatMap(b -> misfit(h, b)).stream().toList());
    }

    /** A rivet nut: its grip range holds the stack, or it does not. */
    Solution rivetNut(Fastener.RivetNut nut, Solver.Ask ask) {
        Length grip = Dressing.plain(ask.layers()).grip();
        boolean wrong = !ask.layers().isEmpty() && !nut.holds(grip);
        Finding fault = Solver.fault(
                RuleCode.NO_LENGTH_DOES,
                Level.ERROR,
                "maker's grip range",
                Sentence.of(
                        nut.name() + " holds {} to {}; the stack is {}: it spins, or does not clamp.",
                        nut.least(),
                        nut.most(),
                        grip),
                "Take the rivet nut of the grip range that the stack is in.");
        return plain(nut, ask, nut.hole(), Optional.empty(), wrong ? List.of(fault) : List.of());
    }

    private Solution plain(
            Fastener fastener, Solver.Ask ask, Length hole, Optional<Bolted> bolt, List<Finding> faults) {
        return new Solution(
                fastener,
                ask.drilled().orElse(hole),
                Dressing.plain(ask.layers()),
                Optional.empty(),
                Optional.empty(),
                bolt,
                new Solution.Heads(fastener.shank(), fastener.shank(), Optional.empty()),
                EdgeRule.of(rules, fastener.shank(), fastener.flush()),
                faults);
    }

    private static Optional<Finding> misfit(Fastener.Hardware h, Bolted bolt) {
        if (!bolt.fault().isEmpty()) {
            return Optional.of(Solver.fault(
                    RuleCode.BOLT_NUT,
                    Level.WARNING,
                    "nut catalogue",
                    Sentence.of(h.name() + ": " + bolt.fault() + ". Grip and torque are not judged."),
                    "Say which nut it takes, by its name or by kind and height."));
        }
        if (bolt.fit().isPresent() || bolt.choice().isEmpty()) {
            return Optional.empty();
        }
        BoltChoice choice = bolt.choice().get();
        Sentence message = choice.best()
                .map(best -> Sentence.of(
                        h.name() + " does not fit a stack of {} with up to " + BoltChoice.WASHERS_MOST
                                + " washers: the nut runs onto the shank, or thread lies in the joint, or none shows. "
                                + best.bolt().designation() + " does, with a grip of {}.",
                        choice.asked().stack(),
                        best.bolt().grip()))
                .orElse(choice.why());
        return Optional.of(Solver.fault(
                RuleCode.BOLT_GRIP,
                Level.WARNING,
                "AN bolt grips; AC 43.13-1B",
                message,
                "Compare with the drawing, then take the bolt whose shank fills the joint."));
    }
}
