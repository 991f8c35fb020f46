package bucina.core.sums;

import bucina.core.blind.BlindRivet;
import bucina.core.dress.Preparation;
import bucina.core.explain.Explain;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.plan.Fastener;
import bucina.core.rule.Level;
import bucina.core.stack.Solution;
import bucina.core.stack.Solver;
import java.util.List;
import java.util.Optional;

/** A pulled rivet in a stack. */
final class PulledSum implements Sum {

    @Override
    public About about() {
        return new About(
                "pulled",
                Family.FASTEN,
                "Pulled rivet",
                "Which pulled rivet grips this stack, and how much room does it need behind?");
    }

    @Override
    public List<Ask> asks(Bench bench) {
        return List.of(
                Ask.choice("family", "Family", List.of("iso15977", "iso15978", "structural-16")),
                new Ask("diameter", "Body", Ask.Kind.LINE, List.of(), "3.2 mm", "3.2"),
                new Ask("layers", "Sheets, head side first", Ask.Kind.LINE, List.of(), ".032, .063", "0.8, 1.6"),
                Ask.line("room", "Free behind the stack", ""));
    }

    @Override
    public Answer answer(Figures f) {
        Fastener.PulledRivet rivet = new Fastener.PulledRivet(f.text("family"), f.over0("diameter"), false);
        Preparation asked = rivet.flush() ? Preparation.AUTO : Preparation.NONE;
        Solution s = new Solver(f.bench().catalogue(), f.rules())
                .solve(new Solver.Ask(
                        rivet,
                        asked,
                        Optional.empty(),
                        f.list("layers"),
                        Optional.empty(),
                        f.maybe("room"),
                        Optional.empty()));
        if (s.blind().isEmpty()) {
            throw new InputException(
                    s.faults().isEmpty()
                            ? rivet.name() + " is not in the catalogue"
                            : s.faults().getFirst().message().in(f.shown()));
        }
        Answer.Maker out = new Answer.Maker()
                .section(s)
                .findings(s.faults(), f.shown())
                .lines(new Explain(f.rules(), f.shown()).stack(s, List.of()));
        out.note(
                Level.NOTE,
                "Typical figures: the maker's table governs. Eye protection; count the spent mandrels out of the bay.");
        Length grip = s.grip();
        String unit = f.shown().symbol();
        out.heads("Rivet", "Grip from " + unit, "to " + unit, "Stands behind " + unit, "Grips this");
        for (BlindRivet c : s.blind().get().candidates()) {
            out.row(
                    c.name(),
                    f.figure(c.gripMin()),
                    f.figure(c.gripMax()),
                    c.standsBehind(grip).map(f::figure).orElse("maker's"),
                    c.grips(grip) ? "yes" : "no");
        }
        return out.answer();
    }
}
