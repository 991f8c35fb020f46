package bucina.desk.cli;

import bucina.core.dress.Preparation;
import bucina.core.measure.Length;
import bucina.core.plan.Fastener;
import bucina.core.rivet.Candidate;
import bucina.core.rivet.HeadStyle;
import bucina.core.rivet.RivetChoice;
import bucina.core.rivet.RivetDesignation;
import bucina.core.rivet.RivetSize;
import bucina.core.rivet.ShopHeadLimits;
import bucina.core.rule.Finding;
import bucina.core.stack.Solution;
import bucina.core.stack.Solver;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** {@code calc rivet}: the length of a solid rivet in a stack. */
@Command(
        name = "rivet",
        mixinStandardHelpOptions = true,
        description = "Length of a solid rivet for a stack, with every stocked length graded.")
final class CalcRivetCommand implements Callable<Integer> {

    @Mixin
    private Common common;

    @Option(names = "--head", required = true, description = "flush, universal or reduced.")
    private String head;

    @Option(names = "--diameter", required = true, description = "Nominal shank: 3/32, -3, .094 ...")
    private String diameter;

    @Option(names = "--layers", required = true, description = "Thicknesses, head side first: .025,.032")
    private String layers;

    @Option(
            names = "--prep",
            description = "none, csk, dimple, or auto: each sheet as calc dress says. Flush without it is csk.")
    private @Nullable String prep;

    @Option(names = "--hole", description = "Hole as drilled: #40, .098 ... Without it the catalogue's.")
    private String hole;

    @Option(
            names = "--effective-grip",
            description = "Your own effective grip from a coupon, in place of the estimate.")
    private String coupon;

    @Override
    public Integer call() {
        HeadStyle style = style(head);
        Preparation preparation = preparation(prep, head, style);
        Length d = common.shank(diameter);
        RivetSize size = common.catalogue().rivet(style, d);
        Optional<Length> drilled =
                Optional.ofNullable(hole).map(h -> common.lengths().parsePositive(h, "--hole"));
        drilled.filter(h -> !h.atLeast(size.shank())).ifPresent(h -> {
            throw Common.wrong("--hole " + common.show(h) + " is smaller than the shank of " + common.show(size.shank())
                    + ": final drill is " + size.drill() + " (" + common.show(size.hole()) + ")");
        });
        Solution solution = new Solver(common.catalogue(), common.catalogue().rules())
                .solve(
                        new Fastener.SolidRivet(style, "AD", size.dash()),
                        preparation,
                        drilled,
                        common.lengths().parseList(layers, "--layers"),
                        Optional.ofNullable(coupon).map(c -> common.lengths().parsePositive(c, "--effective-grip")));
        RivetChoice choice = solution.choice().orElseThrow();
        List<Finding> faults = solution.faults();
        ObjectNode tree = tree(choice, faults);
        ArrayNode dressed = tree.putArray("layers");
        solution.dressing().plies().forEach(p -> dressed.add(p.dress().name().toLowerCase(Locale.ROOT)));
        common.answer(tree, lines(choice, faults));
        return choice.pick().usable() ? Common.exit(faults) : Cli.FINDINGS;
    }

    /** Reads {@code --head}. */
    static HeadStyle style(String head) {
        return switch (head) {
            case "flush" -> HeadStyle.FLUSH;
            case "universal" -> HeadStyle.UNIVERSAL;
            case "reduced" -> HeadStyle.REDUCED;
            default -> throw Common.wrong("--head \"" + head + "\" is not known: write flush, universal or reduced");
        };
    }

    /** Reads {@code --prep}; flush without it is countersunk. */
    static Preparation preparation(@Nullable String prep, String head, HeadStyle style) {
        String asked = prep == null ? style.flush() ? "csk" : "none" : prep;
        Preparation preparation =
                switch (asked) {
                    case "none" -> Preparation.NONE;
                    case "csk" -> Preparation.COUNTERSINK;
                    case "dimple" -> Preparation.DIMPLE;
                    case "auto" -> Preparation.AUTO;
                    default ->
                        throw Common.wrong("--prep \"" + asked + "\" is not known: write none, csk, dimple or auto");
                };
        check(style, head, preparation, asked);
        return preparation;
    }

    private static void check(HeadStyle style, String head, Preparation preparation, String asked) {
        if (style.flush() && preparation == Preparation.NONE) {
            throw Common.wrong("--prep none does not go with --head " + head
                    + ": a flush head wants a countersink or a dimple, as --prep csk");
        }
        if (!style.flush() && preparation != Preparation.NONE && preparation != Preparation.AUTO) {
            throw Common.wrong("--prep " + asked
                    + " does not go with --head universal: a protruding head wants a plain hole, as --prep none");
        }
    }

    private ObjectNode tree(RivetChoice choice, List<Finding> faults) {
        ObjectNode node = Common.object();
        node.set("grip", Common.length(choice.head().grip()));
        node.set("effective_grip", Common.length(choice.head().effectiveGrip()));
        node.put("effective_grip_is_estimate", choice.head().estimated());
        node.set("ideal_length", Common.length(choice.idealLength()));
        RivetChoice.Pick pick = choice.pick();
        ObjectNode picked = node.putObject("choice")
                .put(
                        "designation",
                        pick.designation().map(RivetDesignation::code).orElse(null));
        picked.set("length", Common.length(pick.length()));
        picked.put("grade", pick.grade().code());
        picked.set("cut_from", Common.length(pick.cutFrom()));
        picked.set("cut_to", Common.length(pick.cutTo()));
        picked.put("why", pick.why().in(common.unit()));
        ArrayNode candidates = node.putArray("candidates");
        for (Candidate c : choice.candidates()) {
            ObjectNode each =
                    candidates.addObject().put("designation", c.designation().code());
            each.set("length", Common.length(c.length()));
            each.put("protrusion_diameters", c.protrusion())
                    .put("head_diameter_diameters", c.headAcross())
                    .put("grade", c.grade().code())
                    .put("reaches_process_minimum", c.reachesProcessMinimum());
        }
        ShopHeadLimits limits = choice.limits();
        ObjectNode both = node.putObject("limits");
        ObjectNode process = both.putObject("process");
        process.set("dia_min", Common.length(limits.processDiameter()));
        process.set("height_min", Common.length(limits.processHeight()));
        ObjectNode gauge = both.putObject("gauge");
        gauge.set("dia", Common.length(limits.gaugeDiameter()));
        gauge.set("height", Common.length(limits.gaugeHeight()));
        gauge.set("height_min", Common.length(limits.gaugeHeightLeast()));
        both.put("governing", limits.governing().code());
        node.set("squeezer_gap", Common.length(choice.squeezerGap()));
        if (!choice.size().head().flush()) {
            node.set("squeezer_cup_depth", Common.length(choice.size().cupDepth()));
        }
        node.set("findings", common.findings(faults));
        return node;
    }

    private List<String> lines(RivetChoice choice, List<Finding> faults) {
        List<String> lines = new ArrayList<>();
        RivetChoice.Pick pick = choice.pick();
        lines.add("Use       " + pick.designation().map(RivetDesignation::code).orElse("none")
                + pick.cutTo().map(c -> ", cut to " + common.show(c)).orElse(""));
        lines.add("          " + pick.why().in(common.unit()));
        lines.add("Grip      " + common.show(choice.head().grip()) + ", effective "
                + common.show(choice.head().effectiveGrip()) + (choice.head().estimated() ? " (estimate)" : "")
                + ", ideal length " + common.show(choice.idealLength()));
        lines.add("Squeezer  " + common.show(choice.squeezerGap()) + " closed gap"
                + (choice.size().head().flush()
                        ? ""
                        : " with a cup " + common.show(choice.size().cupDepth()) + " deep (typical: measure yours)"));
        ShopHeadLimits l = choice.limits();
        lines.add("Shop head process: at least " + common.show(l.processDiameter()) + " x "
                + common.show(l.processHeight()) + "; gauge: about " + common.show(l.gaugeDiameter()) + " x "
                + common.show(l.gaugeHeight()) + "; governs: " + l.governing().word());
        lines.add("%-18s %10s %9s %9s  %s".formatted("Stocked", "length", "proud D", "head D", "grade"));
        for (Candidate c : choice.candidates()) {
            lines.add("%-18s %10s %9.2f %9.2f  %s%s"
                    .formatted(
                            c.designation().code(),
                            common.show(c.length()),
                            c.protrusion(),
                            c.headAcross(),
                            c.grade().code(),
                            c.reachesProcessMinimum() ? "" : ", under the process minimum"));
        }
        faults.forEach(f -> lines.add(common.line(f)));
        lines.add("The kit's drawing governs; nothing here is an approval.");
        return lines;
    }
}
