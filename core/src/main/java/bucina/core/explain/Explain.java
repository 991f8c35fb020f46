package bucina.core.explain;

import bucina.core.blind.BlindChoice;
import bucina.core.dress.Dressing;
import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.Unit;
import bucina.core.plan.Fastener;
import bucina.core.rivet.RivetChoice;
import bucina.core.rivet.RivetSize;
import bucina.core.rule.Rule;
import bucina.core.rule.RuleKey;
import bucina.core.rule.RuleSet;
import bucina.core.stack.HoleReading;
import bucina.core.stack.Solution;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/** The numbers of one hole, each with its formula, values, rule and source. Pure. */
public final class Explain {

    private final RuleSet rules;
    private final Unit unit;

    public Explain(RuleSet rules, Unit unit) {
        this.rules = rules;
        this.unit = unit;
    }

    /** Every number of a hole, in the order they are read. */
    public List<Why> hole(HoleReading reading) {
        List<Why> numbers = new ArrayList<>(stack(
                reading.solution(), reading.layers().stream().map(l -> l.name()).toList()));
        reading.nearestEdge().ifPresent(i -> numbers.add(edge(reading, i)));
        return numbers;
    }

    /** Every number of a stack. */
    public List<Why> stack(Solution solution, List<String> names) {
        List<Why> numbers = new ArrayList<>();
        numbers.add(grip(solution, names));
        if (solution.choice().isPresent()) {
            RivetChoice choice = solution.choice().get();
            numbers.add(use(choice));
            if (choice.head().estimated()) {
                numbers.add(effectiveGrip(choice));
            }
            numbers.add(shopHead(choice));
            numbers.add(gap(choice));
        } else if (solution.blind().isPresent()) {
            pulled(solution, solution.blind().get(), numbers);
        } else if (solution.fastener() instanceof Fastener.Hardware h) {
            hardware(numbers, h, solution);
        } else if (solution.fastener() instanceof Fastener.RivetNut n) {
            rivetNut(numbers, n, solution);
        }
        numbers.add(hole(solution));
        return numbers;
    }

    private void hardware(List<Why> numbers, Fastener.Hardware h, Solution solution) {
        if (solution.bolt().isEmpty()) {
            numbers.add(new Why(
                    "Use",
                    h.name(),
                    "",
                    "",
                    "the drawing's callout",
                    "Length and washers are as the drawing gives them."));
            return;
        }
        numbers.addAll(new ExplainBolt(unit).of(h, solution, solution.bolt().get()));
    }

    private void rivetNut(List<Why> numbers, Fastener.RivetNut nut, Solution solution) {
        numbers.add(new Why(
                "Use",
                nut.name(),
                "G from least to most",
                "G = " + figure(solution.grip()) + ", " + figure(nut.least()) + " to " + figure(nut.most()),
                "maker's grip range",
                nut.holds(solution.grip())
                        ? "A drop of thread lock keeps it from turning."
                        : "The stack is outside its grip range: it spins, or does not clamp."));
        numbers.add(new Why(
                "Stroke",
                show(nut.stroke()),
                "",
                "",
                "maker's figure",
                "Set the tool to it and try it on a coupon of the same stack."));
    }

    private Why grip(Solution solution, List<String> names) {
        String sum = solution.dressing().plies().stream()
                .map(p -> figure(p.thickness()))
                .collect(Collectors.joining(" + "));
        List<String> plies = dressing(solution, names);
        return new Why(
                "Grip G",
                show(solution.grip()),
                "G = Σt, sheets under the hole, head side first",
                "G = " + sum + " = " + figure(solution.grip()),
                "derived from the outlines that cover the hole's centre",
                String.join("\n", plies));
    }

    private List<String> dressing(Solution solution, List<String> names) {
        List<String> plies = new ArrayList<>();
        for (int i = 0; i < solution.dressing().plies().size(); i++) {
            Dressing.Ply ply = solution.dressing().plies().get(i);
            String name = i < names.size() ? names.get(i) : "Layer " + (i + 1);
            plies.add(name + ": " + ply.dress().word() + ". " + ply.reason().in(unit));
        }
        return plies;
    }

    private void pulled(Solution solution, BlindChoice blind, List<Why> numbers) {
        String lengths = blind.candidates().stream()
                .map(c -> c.name() + ": " + show(c.gripMin()) + " to " + show(c.gripMax()))
                .collect(Collectors.joining("\n"));
        String source = blind.candidates().getFirst().source();
        numbers.add(new Why(
                "Use",
                solution.designation().orElse("none")
                        + blind.cutTo().map(c -> ", cut to " + show(c)).orElse(""),
                "the shorter length whose grip range holds G and which clears what stands behind",
                "G = " + figure(blind.grip()),
                source,
                blind.why().in(unit) + "\n" + lengths));
        blind.rivet()
                .flatMap(r -> r.needsBehind(blind.grip())
                        .map(n -> new Why(
                                "Needs behind",
                                show(n),
                                "L − G + mandrel head",
                                r.length().map(this::figure).orElse("") + " − " + figure(blind.grip())
                                        + " + "
                                        + r.mandrel().map(this::figure).orElse("") + " = " + figure(n),
                                r.source(),
                                "An unset body stands behind the stack, and the mandrel head beyond "
                                        + "it: that sum must be free.")))
                .ifPresent(numbers::add);
        solution.punchFirst(rules)
                .ifPresent(p -> numbers.add(new Why(
                        "Punch first",
                        show(p),
                        "hole − " + rules.rule(RuleKey.PUNCH_UNDER).value(),
                        figure(solution.hole()) + " − " + figure(rules.length(RuleKey.PUNCH_UNDER)) + " = " + figure(p),
                        rules.rule(RuleKey.PUNCH_UNDER).source(),
                        "Dimpling stretches the rim and may crack it. Punch under size, dimple, then clear to "
                                + show(solution.hole()) + ".")));
    }

    private Why use(RivetChoice choice) {
        RivetChoice.Pick pick = choice.pick();
        String value = pick.designation().map(d -> d.code()).orElse("none")
                + pick.cutTo().map(c -> ", cut to " + show(c)).orElse("");
        String table = choice.candidates().stream()
                .map(c -> c.designation().dash() + " " + c.grade().code())
                .collect(Collectors.joining(", "));
        return new Why(
                "Use",
                value,
                "nearest good length to Ge + 1.5 D; good: head at 0.5 D high is 1.4 D or more across, protrusion "
                        + "1.8 D at most",
                "Ge + 1.5 D = " + figure(choice.head().effectiveGrip()) + " + 1.5 × "
                        + figure(choice.size().shank()) + " = " + figure(choice.idealLength()),
                choice.size().source(),
                pick.why().in(unit) + "\nStocked: " + table + ".");
    }

    private Why effectiveGrip(RivetChoice choice) {
        RivetSize size = choice.size();
        return new Why(
                "Effective grip Ge",
                show(choice.head().effectiveGrip()),
                "Ge ≈ zc + sin θ · Σt,  zc = (Dhd − Dh) / (2 tan θ),  θ = 50°",
                "Ge ≈ (" + figure(size.headDiameter()) + " − " + figure(size.hole()) + ") / (2 tan 50°) + sin 50° × "
                        + figure(choice.head().grip()) + " = "
                        + figure(choice.head().effectiveGrip()),
                size.source(),
                "An estimate: the last sheet is dimpled too, so the shop head sits on the dimple's rim. A coupon of "
                        + "your own tells better.");
    }

    private Why shopHead(RivetChoice choice) {
        Length d = choice.size().shank();
        Length across = choice.pick()
                .length()
                .map(l -> choice.head().headDiameter(l, d.times(0.5)))
                .orElse(Length.ZERO);
        Rule governing = rules.rule(RuleKey.SHOP_SCHOOL);
        var limits = choice.limits();
        return new Why(
                "Shop head",
                LengthFormat.figure(across, unit, 3) + " × " + show(d.times(0.5)),
                "d = √(4V / (π h)),  V = metal standing proud less what swells into the hole",
                "h = 0.5 D = " + figure(d.times(0.5)) + ",  d = " + figure(across) + " = "
                        + "%.2f D".formatted(across.per(d)),
                rules.rule(RuleKey.PROCESS_DIAMETER).source() + "; "
                        + rules.rule(RuleKey.GAUGE_DIAMETER).source(),
                "Process specification: at least " + show(limits.processDiameter()) + " × "
                        + show(limits.processHeight()) + ". Shop gauge: about "
                        + show(limits.gaugeDiameter()) + " × " + show(limits.gaugeHeight()) + ", never under "
                        + show(limits.gaugeHeightLeast())
                        + " high. Governs here: " + limits.governing().word() + " (" + governing.source() + ").");
    }

    private Why gap(RivetChoice choice) {
        RivetSize size = choice.size();
        boolean flush = size.head().flush();
        String filled = filled(flush, choice, size);
        return new Why(
                "Squeezer gap",
                show(choice.squeezerGap()),
                flush ? "gap = Ge + 0.5 D" : "gap = G + 0.5 D + head height − cup depth",
                "gap = " + filled + " = " + figure(choice.squeezerGap()),
                size.source(),
                (flush ? "" : "The cup depth is typical: measure your own set. ")
                        + "Set a trial head in scrap first; the gap moves by the error of its height.");
    }

    private String filled(boolean flush, RivetChoice choice, RivetSize size) {
        return flush
                ? figure(choice.head().effectiveGrip()) + " + "
                        + figure(size.shank().times(0.5))
                : figure(choice.head().grip()) + " + " + figure(size.shank().times(0.5)) + " + "
                        + figure(size.headHeight()) + " − " + figure(size.cupDepth());
    }

    private Why hole(Solution solution) {
        String source = solution.choice().map(c -> c.size().source()).orElse("the plan");
        String drill = solution.choice()
                .filter(c -> c.size().hole().same(solution.hole()))
                .map(c -> c.size().drill() + ", ")
                .orElse("");
        return new Why(
                "Hole",
                drill + LengthFormat.trade(solution.hole(), unit),
                "",
                "final drill of " + solution.fastener().name(),
                source,
                "");
    }

    private Why edge(HoleReading reading, int i) {
        var rule = reading.solution().edge();
        RuleKey key = rule.flush() ? RuleKey.EDGE_LEAST_FLUSH : RuleKey.EDGE_LEAST_PROTRUDING;
        Rule limit = rules.rule(key);
        String layers = layers(reading);
        return new Why(
                "Edge, least " + show(rule.least()),
                show(reading.edge(i)),
                "e ≥ " + limit.value() + " D, for each layer",
                "in " + reading.layers().get(i).name() + ": e = " + figure(reading.edge(i)) + " = "
                        + "%.2f D".formatted(reading.edge(i).per(rule.shank())) + ", least " + limit.value() + " × "
                        + figure(rule.shank()) + " = "
                        + figure(rule.least()),
                limit.source(),
                layers + (limit.reason().isEmpty() ? "" : "\nOverridden: " + limit.reason()));
    }

    private String layers(HoleReading reading) {
        return IntStream.range(0, reading.layers().size())
                .mapToObj(k -> reading.layers().get(k).name() + " " + show(reading.edge(k)))
                .collect(Collectors.joining("\n"));
    }

    private String show(Length length) {
        return LengthFormat.decimal(length, unit, 3);
    }

    private String figure(Length length) {
        String text = LengthFormat.trade(length, unit);
        return text.substring(0, text.indexOf(' '));
    }
}
