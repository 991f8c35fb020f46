package bucina.core.stack;

import bucina.core.layout.RowLayout;
import bucina.core.measure.Length;
import bucina.core.measure.Sentence;
import bucina.core.plan.Fastener;
import bucina.core.plan.Layer;
import bucina.core.rule.Finding;
import bucina.core.rule.Level;
import bucina.core.rule.RuleCode;
import bucina.core.rule.RuleSet;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What can be said about a row as a whole: pitch over the most, changes of nosepiece. Pure. */
public final class RowCheck {

    private RowCheck() {}

    /**
     * Findings of a row; their place names the row in place of a hole.
     *
     * @param face the name of its face
     * @param row  its readings in order, at least one
     */
    static List<Finding> findings(String face, List<HoleReading> row, RuleSet rules, Accepted accepted) {
        HoleReading first = row.getFirst();
        Finding.Place place =
                new Finding.Place(face, first.group().code(), first.row().name(), "");
        List<Finding> found = new ArrayList<>();
        widest(row).ifPresent(i -> {
            Optional<Length> thinnest = row.stream()
                    .flatMap(r -> r.layers().stream())
                    .map(Layer::thickness)
                    .reduce(Length::min);
            Length pitch = row.get(i - 1).hole().at().to(row.get(i).hole().at());
            RowLayout.judge(
                            pitch,
                            first.group().fastener().shank(),
                            thinnest,
                            !first.group().callout().isBlank(),
                            rules)
                    .stream()
                    .filter(f -> f.rule() == RuleCode.PITCH_MOST)
                    .forEach(f -> found.add(f.at(
                            place, row.get(i - 1).label() + " to " + row.get(i).label() + ": ")));
        });
        int changes = noseChanges(row);
        if (changes > 0) {
            found.add(new Finding(
                    RuleCode.NOSEPIECE_CHANGES,
                    Level.NOTE,
                    place,
                    Optional.empty(),
                    Optional.empty(),
                    "the nosepiece follows the mandrel",
                    Sentence.of(first.row().name() + " changes diameter " + changes
                            + (changes == 1 ? " time" : " times") + " along the row."),
                    Sentence.of("Use two guns, or set all of one diameter first.")));
        }
        return found.stream()
                .map(f -> Accepted.seen(f, accepted.about(first.row().id())))
                .toList();
    }

    /**
     * Place of the hole after the widest gap of the row; empty for a single hole and for bolts, which nobody spaces by
     * sheet.
     */
    private static Optional<Integer> widest(List<HoleReading> row) {
        if (!row.getFirst().group().fastener().rivet()) {
            return Optional.empty();
        }
        int best = -1;
        double gap = 0;
        for (int i = 1; i < row.size(); i++) {
            double d = row.get(i - 1).hole().at().to(row.get(i).hole().at()).nanometres();
            if (d > gap) {
                gap = d;
                best = i;
            }
        }
        return best < 0 ? Optional.empty() : Optional.of(best);
    }

    /** How often the nosepiece must be changed along a row of pulled rivets. */
    public static int noseChanges(List<HoleReading> row) {
        int changes = 0;
        Length before = null;
        for (HoleReading r : row) {
            if (r.solution().fastener() instanceof Fastener.PulledRivet p) {
                changes += before != null && !before.same(p.diameter()) ? 1 : 0;
                before = p.diameter();
            }
        }
        return changes;
    }
}
