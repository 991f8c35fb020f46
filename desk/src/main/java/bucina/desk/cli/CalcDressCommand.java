package bucina.desk.cli;

import bucina.core.dress.Dress;
import bucina.core.dress.Dressing;
import bucina.core.dress.FlushHead;
import bucina.core.dress.Nest;
import bucina.core.measure.Length;
import bucina.core.rivet.HeadStyle;
import bucina.core.rivet.RivetSize;
import bucina.core.rule.CountersinkSchool;
import bucina.core.rule.RuleKey;
import bucina.core.rule.RuleSet;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** {@code calc dress}: dimple or countersink, layer by layer. */
@Command(
        name = "dress",
        mixinStandardHelpOptions = true,
        description = "Dimple, countersink or leave plain: what each layer of a stack gets.")
final class CalcDressCommand implements Callable<Integer> {

    @Mixin
    private Common common;

    @Option(names = "--head", defaultValue = "flush", description = "flush or reduced.")
    private String head;

    @Option(names = "--diameter", required = true, description = "Nominal shank: 3/32, -3, .094 ...")
    private String diameter;

    @Option(names = "--layers", required = true, description = "Thicknesses, head side first: .025,.063")
    private String layers;

    @Option(names = "--school", description = "full or two-thirds; without it the rule set's.")
    private String school;

    @Override
    public Integer call() {
        if (!common.flush(head)) {
            throw Common.wrong("--head " + head + " wants plain holes: dressing is for flush heads, as --head flush");
        }
        RivetSize size = common.catalogue()
                .rivet(head.equals("reduced") ? HeadStyle.REDUCED : HeadStyle.FLUSH, common.shank(diameter));
        CountersinkSchool judge = CalcNestCommand.school(common, school);
        RuleSet rules = common.catalogue().rules();
        RuleSet under = judge == rules.countersinkSchool()
                ? rules
                : rules.with(RuleKey.COUNTERSINK_SCHOOL, judge.code(), "asked for");
        FlushHead cone = FlushHead.of100(size.headDiameter(), size.headHeight());
        Dressing dressing = Dressing.workOut(common.lengths().parseList(layers, "--layers"), cone, under);
        ObjectNode node = Common.object();
        ArrayNode array = node.putArray("layers");
        List<String> lines = new ArrayList<>();
        Length dimpled = Length.ZERO;
        for (Dressing.Ply ply : dressing.plies()) {
            ObjectNode each = array.addObject().put("dress", ply.dress().name().toLowerCase(Locale.ROOT));
            each.set("thickness", Common.length(ply.thickness()));
            if (ply.dress() == Dress.COUNTERSINK && dimpled.positive()) {
                Nest nest = new Nest(cone, dimpled, ply.thickness(), size.hole(), judge);
                each.set("nest", CalcNestCommand.tree(nest));
            }
            each.put("reason", ply.reason().in(common.unit()));
            lines.add("%-10s %-12s %s"
                    .formatted(
                            common.show(ply.thickness()),
                            ply.dress().word(),
                            ply.reason().in(common.unit())));
            dimpled = ply.dress() == Dress.DIMPLE ? dimpled.plus(ply.thickness()) : dimpled;
        }
        if (dressing.impossible()) {
            lines.add("Take a reduced head, a protruding head or another diameter.");
        }
        common.answer(node, lines);
        return dressing.impossible() ? Cli.FINDINGS : Cli.FINE;
    }
}
