package bucina.core.catalogue;

import bucina.core.bend.RadiusTable;
import bucina.core.bend.SheetStrength;
import bucina.core.blind.BlindTable;
import bucina.core.blind.PulledSize;
import bucina.core.bolt.BoltThread;
import bucina.core.bolt.Nut;
import bucina.core.bolt.Washer;
import bucina.core.cleco.ClecoSize;
import bucina.core.dress.Screw;
import bucina.core.measure.DrillTable;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.Unit;
import bucina.core.nutplate.NutPlate;
import bucina.core.plan.Compound;
import bucina.core.plan.Tool;
import bucina.core.rivet.HeadStyle;
import bucina.core.rivet.RivetSize;
import bucina.core.rule.RuleKey;
import bucina.core.rule.RuleSet;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * Everything that comes from data files.
 *
 * @param drills numbered and letter drills
 * @param rivets every head and diameter known
 * @param blind  lengths of pulled rivets
 * @param pulled heads and mandrels of pulled rivets
 * @param rules  the rule set a new build starts with
 * @param choices what other rule sets change in it
 * @param radii  least inside radii of bends
 * @param sheets how strong, stiff and heavy sheets are
 * @param bolts  threads, their bolts and torques
 * @param nuts   heights of nuts
 * @param washers kinds of washers
 * @param screws 100 degree flush screws
 * @param clecos sizes of clecos
 * @param nutPlates two-lug nut plates by screw size
 * @param crib   the tool crib that ships, for a build that has none of its own
 * @param compounds primers and sealants
 * @param minutes   how long things take until the log knows better
 */
public record Catalogue(
        DrillTable drills,
        List<RivetSize> rivets,
        BlindTable blind,
        List<PulledSize> pulled,
        RuleSet rules,
        List<RuleChoice> choices,
        RadiusTable radii,
        List<SheetStrength> sheets,
        List<BoltThread> bolts,
        List<Nut> nuts,
        List<Washer> washers,
        List<Screw> screws,
        List<ClecoSize> clecos,
        List<NutPlate> nutPlates,
        List<CribTool> crib,
        List<ShippedCompound> compounds,
        TypicalMinutes minutes) {
    public Catalogue {
        rivets = rivets.stream()
                .sorted(Comparator.comparing(RivetSize::head).thenComparing(RivetSize::dash))
                .toList();
        pulled = List.copyOf(pulled);
        choices = List.copyOf(choices);
        sheets = List.copyOf(sheets);
        bolts = List.copyOf(bolts);
        nuts = List.copyOf(nuts);
        washers = List.copyOf(washers);
        screws = List.copyOf(screws);
        clecos = List.copyOf(clecos);
        nutPlates = List.copyOf(nutPlates);
        crib = List.copyOf(crib);
        compounds = List.copyOf(compounds);
    }

    /**
     * A primer or sealant that ships as an example.
     *
     * @param induction minutes, as the compound has it
     * @param life      minutes
     * @param stir      minutes
     */
    public record ShippedCompound(String name, Compound.Kind kind, int induction, int life, int stir, String source) {}

    /**
     * A tool of the crib that ships.
     *
     * @param sizes the figures of its kind
     */
    public record CribTool(Tool.Kind kind, String name, List<Length> sizes, String source) {}

    /**
     * One value that a named rule set has otherwise than the shipped one.
     *
     * @param name   of the set
     * @param key    the rule; empty for the set that changes nothing
     * @param value  its value there
     * @param reason why
     */
    public record RuleChoice(String name, Optional<RuleKey> key, String value, String reason) {}

    /** The rule sets to choose from, in order. */
    public List<RuleSet> ruleSets() {
        Map<String, RuleSet> sets = new LinkedHashMap<>();
        for (RuleChoice choice : choices) {
            RuleSet so = sets.getOrDefault(choice.name, rules.named(choice.name));
            sets.put(
                    choice.name,
                    choice.key.map(k -> so.with(k, choice.value, choice.reason)).orElse(so));
        }
        return List.copyOf(sets.values());
    }

    /** Head and mandrel of a pulled rivet; empty if the catalogue lacks it. */
    public Optional<PulledSize> pulled(String family, Length diameter) {
        return pulled.stream()
                .filter(p -> p.family().equals(family) && p.diameter().same(diameter))
                .findFirst();
    }

    /** The size with this head and diameter dash; empty if the catalogue lacks it. */
    public Optional<RivetSize> rivet(HeadStyle head, int dash) {
        for (RivetSize size : rivets) {
            if (size.head() == head && size.dash() == dash) {
                return Optional.of(size);
            }
        }
        return Optional.empty();
    }

    /**
     * The size with this head and nominal diameter.
     *
     * @throws InputException if the catalogue has none; the message lists those it has
     */
    public RivetSize rivet(HeadStyle head, Length diameter) {
        return rivets.stream()
                .filter(s -> s.head() == head && s.shank().same(diameter))
                .findFirst()
                .orElseThrow(() ->
                        new InputException("no " + head.word() + " rivet of " + LengthFormat.exact(diameter, Unit.INCH)
                                + " is in the catalogue; it has " + diameters(head) + ": write it like 3/32"));
    }

    private String diameters(HeadStyle head) {
        return rivets.stream()
                .filter(s -> s.head() == head)
                .map(s -> LengthFormat.fraction(s.shank()))
                .collect(Collectors.joining(", "));
    }
}
