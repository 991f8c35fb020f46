package bucina.core.sums;

import bucina.core.dress.ColdLimit;
import bucina.core.dress.FlushHead;
import bucina.core.dress.Nest;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.rivet.HeadStyle;
import bucina.core.rivet.RivetSize;
import bucina.core.rule.CountersinkSchool;
import bucina.core.rule.Level;
import bucina.core.rule.RuleKey;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** A countersink for a head, or the nest for the dimpled sheets above it. */
final class NestSum implements Sum {

    @Override
    public About about() {
        return new About(
                "nest",
                Family.FASTEN,
                "Countersink and nest",
                "How wide and how deep is the countersink that takes this head, or the dimpled skin above it?");
    }

    @Override
    public List<Ask> asks(Bench bench) {
        return List.of(
                Ask.choice("head", "Head", heads(bench)),
                Ask.length("skin", "Dimpled above (0: none)", ".032"),
                Ask.length("sub", "Sheet that is cut", ".063"),
                Ask.line("hole", "Hole, if not the usual", ""),
                Ask.choice(
                        "school",
                        "School",
                        Arrays.stream(CountersinkSchool.values())
                                .map(CountersinkSchool::code)
                                .toList()));
    }

    /** Every flush head of the catalogue, rivets first. */
    static List<String> heads(Bench bench) {
        List<String> heads = new ArrayList<>();
        bench.catalogue().rivets().stream().filter(s -> s.head().flush()).forEach(s -> heads.add(name(s)));
        bench.catalogue().screws().forEach(s -> heads.add("#" + s.size() + " screw"));
        return heads;
    }

    private static String name(RivetSize s) {
        return s.head().standard() + " -" + s.dash();
    }

    /** A head, the usual hole for it, and where its figures are from. */
    record Head(FlushHead cone, Length hole, String source) {}

    /** The head that is picked. */
    static Head head(Figures f) {
        for (RivetSize s : f.bench().catalogue().rivets()) {
            if (s.head() != HeadStyle.UNIVERSAL && f.is("head", name(s))) {
                return new Head(FlushHead.of100(s.headDiameter(), s.headHeight()), s.hole(), s.source());
            }
        }
        return f.bench().catalogue().screws().stream()
                .filter(s -> f.is("head", "#" + s.size() + " screw"))
                .findFirst()
                .map(s -> new Head(s.head(), s.hole(), s.source()))
                .orElseThrow(() -> new InputException("Head: \"" + f.text("head") + "\" is not in the catalogue"));
    }

    @Override
    public Answer answer(Figures f) {
        Head head = head(f);
        Length skin = f.signed("skin").stream().reduce(Length.ZERO, Length::plus);
        CountersinkSchool school = Arrays.stream(CountersinkSchool.values())
                .filter(s -> f.is("school", s.code()))
                .findFirst()
                .orElseThrow();
        Nest nest = new Nest(head.cone, skin, f.over0("sub"), f.maybe("hole").orElse(head.hole), school);
        Answer.Maker out = new Answer.Maker();
        lines(out, f, nest, head, skin, school);
        judge(nest, out, f, school);
        cold(f, out);
        out.note(
                Level.NOTE,
                "Set the stop cage on scrap, creep up, try a dimpled coupon in it. Too shallow is mended, too deep "
                        + "is not.");
        return out.answer(NestPicture.of(f, nest));
    }

    private static void cold(Figures f, Answer.Maker out) {
        f.signed("skin").stream()
                .filter(t -> !ColdLimit.of(Optional.empty(), f.rules()).allows(t))
                .findFirst()
                .ifPresent(t -> out.note(
                        Level.ERROR,
                        "A dimpled sheet of " + f.fine(t) + " is over "
                                + f.fine(f.rules().length(RuleKey.COLD_DIMPLE_MOST))
                                + ", the most that is dimpled cold."));
    }

    private static void judge(Nest nest, Answer.Maker out, Figures f, CountersinkSchool school) {
        if (nest.comesOut()) {
            out.note(
                    Level.ERROR,
                    "The cutter goes " + f.fine(nest.cutterDepth()) + " deep to reach that hole and comes out below "
                            + f.fine(nest.sub()) + ". Dimple it, or take a reduced or protruding head.");
        } else if (nest.fits() && nest.knifeEdge(f.rules())) {
            out.note(
                    Level.WARNING,
                    f.fine(nest.land()) + " of land is left under the cone: a knife edge. Cut it clamped to a backing "
                            + "piece with the pilot hole in it.");
        } else if (!nest.fits()) {
            out.note(
                    Level.ERROR,
                    f.fine(nest.sub()) + " does not take " + f.fine(nest.judgedDepth()) + " (" + school.word()
                            + "): it would leave a knife edge. Dimple it, or take a reduced or protruding head.");
        } else if (school == CountersinkSchool.FULL
                && nest.sub().minus(nest.judgedDepth()).atMost(nest.sub().times(0.15))) {
            out.note(Level.WARNING, "Near the limit: cut it clamped to a backing piece with the pilot hole in it.");
        }
    }

    private static void lines(
            Answer.Maker out, Figures f, Nest nest, Head head, Length skin, CountersinkSchool school) {
        out.line(
                "Across the top",
                f.fine(nest.diameter()),
                "Dcsk = Dhead + 2 ts (1 − sin θ) / cos θ",
                f.figure(head.cone.diameter()) + " + 0.728 × " + f.figure(skin) + " = " + f.figure(nest.diameter()),
                head.source,
                "θ is 50°. The underside of a dimple is the cone offset by the sheet.");
        out.line(
                "Cutter depth",
                f.fine(nest.cutterDepth()),
                "(Dcsk − Dh) / (2 tan θ)",
                "(" + f.figure(nest.diameter()) + " − " + f.figure(nest.hole())
                        + ") / 2.384 = "
                        + f.figure(nest.cutterDepth()),
                head.source,
                "From the surface down to the hole.");
        out.line(
                "Judged depth",
                f.fine(nest.judgedDepth()),
                "head height + 0.364 ts / tan θ",
                f.figure(head.cone.height()) + " + "
                        + f.figure(nest.extraDepth())
                        + " = " + f.figure(nest.judgedDepth()),
                f.source(RuleKey.COUNTERSINK_SCHOOL),
                "School: " + school.word() + ".");
        out.line("Deeper than the head", f.fine(nest.extraDepth()), "0.364 ts / tan θ", "", head.source, "");
    }
}
