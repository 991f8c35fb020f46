package bucina.core.stores;

import bucina.core.plan.Build;
import bucina.core.plan.Query;
import bucina.core.stack.Derivation;
import bucina.core.stack.GroupSummary;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * A callout that counts otherwise than the sheet, and what the kit's count says to it: the kit has enough for one
 * reading and not for the other, or it decides nothing.
 *
 * @param query       that is open
 * @param code        of the group
 * @param designation what goes in
 * @param kit         how many came with the kit
 * @param drawing     how many the whole plan takes if the drawing is right
 * @param sheet       how many it takes if the sheet is right
 * @param fits        the reading that the kit's count fits alone; empty where it fits both or neither
 */
public record Doubtful(
        Query query, String code, String designation, int kit, int drawing, int sheet, Optional<Reading> fits) {

    /** Which count is right. */
    public enum Reading {
        DRAWING,
        SHEET
    }

    /** Of every group with an open question about its count, whose fasteners are of one designation and counted. */
    public static List<Doubtful> of(Derivation derivation, Balance balance) {
        Build build = derivation.build();
        List<Doubtful> all = new ArrayList<>();
        for (Query query : build.papers().queries()) {
            if (!query.open() || query.count().isEmpty()) {
                continue;
            }
            build.faces()
                    .forEach(ref -> ref.face().groups().stream()
                            .filter(g -> g.id().equals(query.group()))
                            .findFirst()
                            .ifPresent(g -> {
                                Set<String> named = GroupSummary.of(derivation, ref.face(), g)
                                        .designations()
                                        .keySet();
                                if (named.size() == 1) {
                                    String one = named.iterator().next().replace(" cut", "");
                                    balance.of(one)
                                            .filter(i -> i.kept().isPresent())
                                            .ifPresent(i -> all.add(of(query, g.code(), i)));
                                }
                            }));
        }
        return all;
    }

    private static Doubtful of(Query query, String code, Balance.Item item) {
        Query.Counts counts = query.count().orElseThrow();
        int sheet = item.used() + item.needed();
        int drawing = sheet - counts.sheet() + counts.drawing();
        boolean forDrawing = item.kit() >= drawing;
        boolean forSheet = item.kit() >= sheet;
        return new Doubtful(
                query,
                code,
                item.designation(),
                item.kit(),
                drawing,
                sheet,
                forDrawing == forSheet ? Optional.empty() : Optional.of(forDrawing ? Reading.DRAWING : Reading.SHEET));
    }

    /** What it says, in a sentence. */
    public String words() {
        Query.Counts counts = query.count().orElseThrow();
        String asks = code + ": the drawing calls for " + counts.drawing() + ", the sheet has " + counts.sheet() + ". ";
        return asks + "Then the plan takes " + drawing + " or " + sheet + " of " + designation
                + ", and the kit came with "
                + kit
                + fits.map(f -> f == Reading.DRAWING
                                ? ": it fits the drawing and not the sheet."
                                : ": it fits the sheet and not the drawing.")
                        .orElse(": that decides nothing.");
    }
}
