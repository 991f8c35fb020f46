package bucina.desk.cli;

import bucina.core.dress.ColdLimit;
import bucina.core.dress.FlushHead;
import bucina.core.dress.Nest;
import bucina.core.dress.Screw;
import bucina.core.measure.Angle;
import bucina.core.measure.Length;
import bucina.core.rivet.HeadStyle;
import bucina.core.rivet.RivetSize;
import bucina.core.rule.CountersinkSchool;
import bucina.core.rule.RuleKey;
import bucina.core.rule.RuleSet;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** {@code calc nest}: the countersink that receives a dimpled sheet. */
@Command(
        name = "nest",
        mixinStandardHelpOptions = true,
        description = "Countersink for a head, or for the dimpled sheets above it.")
final class CalcNestCommand implements Callable<Integer> {

    private static final Pattern NAMED = Pattern.compile("(ms20426|nas1097|screw)-(\\d{1,2})");

    private static final double HUNDRED = 100;

    @Mixin
    private Common common;

    @Option(
            names = "--head",
            required = true,
            description = "ms20426-3, nas1097-4, screw-8, or the diameter of a head.")
    private String head;

    @Option(names = "--skin", required = true, description = "Dimpled sheets above: .032 or .025,.032; 0 for none.")
    private String skin;

    @Option(names = "--sub", required = true, description = "The sheet that is countersunk.")
    private String sub;

    @Option(names = "--hole", description = "Hole in it: #40, .098 ... Without it the catalogue's.")
    private @Nullable String hole;

    @Option(names = "--angle", defaultValue = "100", description = "Of the cone, in degrees.")
    private String angle;

    @Option(names = "--school", description = "full or two-thirds; without it the rule set's.")
    private String school;

    @Override
    public Integer call() {
        Length dimpled =
                Arrays.stream(skin.split(",", -1)).map(common.lengths()::parse).reduce(Length.ZERO, Length::plus);
        CountersinkSchool judge = school(common, school);
        Nest nest = nest(dimpled, judge);
        Optional<Length> hot = Arrays.stream(skin.split(",", -1))
                .map(common.lengths()::parse)
                .filter(t -> !ColdLimit.of(Optional.empty(), rules()).allows(t))
                .findFirst();
        ObjectNode node = tree(nest);
        boolean good = hot.isEmpty() && nest.fits();
        node.put(
                "verdict",
                hot.isPresent() ? "skin-too-thick" : nest.fits() ? "fits" : nest.comesOut() ? "comes-out" : "too-thin");
        node.set("land", Common.length(nest.land()));
        node.put("knife_edge", nest.fits() && nest.knifeEdge(rules()));
        List<String> lines = new ArrayList<>(List.of(
                "Nest       " + common.show(nest.diameter()) + " across",
                "Cutter     " + common.show(nest.cutterDepth()) + " deep, down to a hole of "
                        + common.show(nest.hole()),
                "Judged     " + common.show(nest.judgedDepth()) + " deep, " + common.show(nest.extraDepth())
                        + " of it for the dimpled sheets"));
        hot.ifPresent(t -> lines.add("Too thick  " + common.show(t) + " is over "
                + common.show(rules().length(RuleKey.COLD_DIMPLE_MOST)) + ", the most that is dimpled cold"));
        lines.add(verdict(nest));
        lines.add("Creep up on it in scrap of the same sheet: too deep is not mended.");
        common.answer(node, lines);
        return good ? Cli.FINE : Cli.FINDINGS;
    }

    private RuleSet rules() {
        return common.catalogue().rules();
    }

    private String verdict(Nest nest) {
        String school = " (" + nest.school().word() + ")";
        if (nest.comesOut()) {
            return "Comes out  the cutter goes " + common.show(nest.cutterDepth()) + " deep, through "
                    + common.show(nest.sub()) + ": dimple it, or take a reduced or protruding head";
        }
        if (!nest.fits()) {
            return "Too thin   " + common.show(nest.sub()) + " does not take " + common.show(nest.judgedDepth())
                    + school + ": dimple it, or take a reduced or protruding head";
        }
        return "Fits       " + common.show(nest.sub()) + " is thick enough" + school
                + (nest.knifeEdge(rules())
                        ? ", with " + common.show(nest.land()) + " of land under the cone: a knife edge"
                        : "");
    }

    static ObjectNode tree(Nest nest) {
        ObjectNode node = Common.object();
        node.set("diameter", Common.length(nest.diameter()));
        node.set("cutter_depth", Common.length(nest.cutterDepth()));
        node.set("judged_depth", Common.length(nest.judgedDepth()));
        node.set("extra_depth", Common.length(nest.extraDepth()));
        return node;
    }

    /** The school named, or the rule set's. */
    static CountersinkSchool school(Common common, String word) {
        if (word == null) {
            return common.catalogue().rules().countersinkSchool();
        }
        return Arrays.stream(CountersinkSchool.values())
                .filter(s -> s.code().equals(word))
                .findFirst()
                .orElseThrow(() -> Common.wrong("--school \"" + word + "\" is not known: write full or two-thirds"));
    }

    /** A head of the catalogue and its hole. */
    private record Known(Length across, Length hole) {}

    /** The hole of the head in the catalogue that is nearest in diameter. */
    private Length nearest(Length across) {
        return known().filter(k -> across.minus(k.hole).positive())
                .min(Comparator.comparingDouble(
                        k -> Math.abs(k.across.minus(across).nanometres())))
                .map(Known::hole)
                .orElseThrow(() -> Common.wrong("--head " + common.show(across)
                        + " is smaller than every head in the catalogue: give its hole too, like --hole .098"));
    }

    private Stream<Known> known() {
        return Stream.concat(
                common.catalogue().screws().stream().map(s -> new Known(s.head().diameter(), s.hole())),
                common.catalogue().rivets().stream()
                        .filter(r -> r.head().flush())
                        .map(r -> new Known(r.headDiameter(), r.hole())));
    }

    private Nest nest(Length dimpled, CountersinkSchool judge) {
        Angle cone = Angle.parse(angle);
        if (!(cone.degrees() > 0 && cone.degrees() < 180)) {
            throw Common.wrong("--angle " + cone + " is no cone: write it over 0 and under 180, like 100");
        }
        Matcher m = NAMED.matcher(head.strip().toLowerCase(Locale.ROOT));
        Length below = common.lengths().parsePositive(sub, "--sub");
        if (!m.matches()) {
            return byDiameter(cone, dimpled, below, judge);
        }
        checkAngle(cone);
        FlushHead named;
        Length usual;
        if (m.group(1).equals("screw")) {
            Screw screw = common.catalogue().screws().stream()
                    .filter(s -> s.size().equals(m.group(2)))
                    .findFirst()
                    .orElseThrow(() -> Common.wrong("--head "
                            + head + " is no screw in the catalogue: it has "
                            + common.catalogue().screws().stream()
                                    .map(s -> "screw-" + s.size())
                                    .collect(Collectors.joining(", "))));
            named = screw.head();
            usual = screw.hole();
        } else {
            HeadStyle style = m.group(1).equals("nas1097") ? HeadStyle.REDUCED : HeadStyle.FLUSH;
            RivetSize size = common.catalogue()
                    .rivet(style, Integer.parseInt(m.group(2)))
                    .orElseThrow(() -> Common.wrong("--head " + head
                            + " is not in the catalogue: write one it has, like ms20426-3 or nas1097-4"));
            named = FlushHead.of100(size.headDiameter(), size.headHeight());
            usual = size.hole();
        }
        return new Nest(
                new FlushHead(named.diameter(), named.height(), cone.half()),
                dimpled,
                below,
                hole == null ? usual : common.lengths().parsePositive(hole, "--hole"),
                judge);
    }

    private void checkAngle(Angle cone) {
        if (Math.abs(cone.degrees() - HUNDRED) > 1e-9) {
            throw Common.wrong("--angle " + angle.strip() + " is not the angle of " + head.strip()
                    + ", which has a 100° head: it does not seat in another cone; leave out --angle, or give the "
                    + "head by its diameter, like --head .332");
        }
    }

    private Nest byDiameter(Angle cone, Length dimpled, Length below, CountersinkSchool judge) {
        Length across = common.lengths().parsePositive(head, "--head");
        Length through = hole == null ? nearest(across) : common.lengths().parsePositive(hole, "--hole");
        if (!across.minus(through).positive()) {
            throw Common.wrong("--head " + common.show(across) + " is no wider than the hole of " + common.show(through)
                    + ": a head is wider, like .332");
        }
        return typed(across, through, cone, dimpled, below, judge);
    }

    private static Nest typed(
            Length across, Length through, Angle cone, Length dimpled, Length below, CountersinkSchool judge) {
        FlushHead cut = new FlushHead(
                across, across.minus(through).times(1 / (2 * cone.half().tan())), cone.half());
        return new Nest(cut, dimpled, below, through, judge);
    }
}
