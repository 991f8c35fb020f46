package bucina.core.sums;

import bucina.core.dress.Preparation;
import bucina.core.explain.Explain;
import bucina.core.plan.Fastener;
import bucina.core.rivet.Candidate;
import bucina.core.rivet.HeadStyle;
import bucina.core.rivet.RivetSize;
import bucina.core.rule.Level;
import bucina.core.stack.Solution;
import bucina.core.stack.Solver;
import java.util.List;
import java.util.Locale;

/** A solid rivet in a stack. */
final class RivetSum implements Sum {

    private static final List<String> HEADS = List.of("flush", "universal", "reduced flush");
    private static final List<String> DRESS = List.of("as the sheets need", "dimple all", "countersink");

    @Override
    public About about() {
        return new About(
                "rivet",
                Family.FASTEN,
                "Solid rivet",
                "Which length does this stack take, how is the squeezer set, and how does the head come out?");
    }

    @Override
    public List<Ask> asks(Bench bench) {
        return List.of(
                Ask.choice("head", "Head", HEADS),
                Ask.length("diameter", "Diameter", "3/32"),
                Ask.length("layers", "Sheets, head side first", ".025,.032"),
                Ask.choice("dress", "Dimple or cut", DRESS),
                Ask.line("hole", "Hole, if not the usual", ""),
                Ask.line("coupon", "Your coupon's Ge", ""));
    }

    @Override
    public Answer answer(Figures f) {
        HeadStyle head = f.is("head", "universal")
                ? HeadStyle.UNIVERSAL
                : f.is("head", "flush") ? HeadStyle.FLUSH : HeadStyle.REDUCED;
        RivetSize size = f.bench().catalogue().rivet(head, f.over0("diameter"));
        Preparation asked = !head.flush()
                ? Preparation.NONE
                : f.is("dress", "dimple all")
                        ? Preparation.DIMPLE
                        : f.is("dress", "countersink") ? Preparation.COUNTERSINK : Preparation.AUTO;
        Solution s = new Solver(f.bench().catalogue(), f.rules())
                .solve(
                        new Fastener.SolidRivet(head, "AD", size.dash()),
                        asked,
                        f.maybe("hole"),
                        f.list("layers"),
                        f.maybe("coupon"));
        Answer.Maker out = new Answer.Maker()
                .section(s)
                .findings(s.faults(), f.shown())
                .lines(new Explain(f.rules(), f.shown()).stack(s, List.of()));
        out.note(Level.NOTE, "The kit's drawing governs; nothing here is an approval. Eye and hearing protection on.");
        out.heads(
                "Stocked",
                "Length " + f.shown().symbol(),
                "Stands proud, D",
                "Head across, D",
                "Grade",
                "Process minimum");
        s.choice()
                .ifPresent(c -> c.candidates().stream()
                        .filter(k -> k.protrusion() > 0.3 && k.protrusion() < 3.2)
                        .forEach(k -> row(f, k, out)));
        return out.answer();
    }

    private static void row(Figures f, Candidate c, Answer.Maker out) {
        out.row(
                c.designation().code(),
                f.figure(c.length()),
                String.format(Locale.ROOT, "%.2f", c.protrusion()),
                String.format(Locale.ROOT, "%.2f", c.headAcross()),
                c.grade().code(),
                c.reachesProcessMinimum() ? "reached" : "not reached");
    }
}
