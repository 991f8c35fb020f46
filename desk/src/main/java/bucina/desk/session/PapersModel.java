package bucina.desk.session;

import bucina.core.bulletin.Review;
import bucina.core.hand.Hands;
import bucina.core.plan.Assembly;
import bucina.core.plan.Bulletin;
import bucina.core.plan.Id;
import bucina.core.state.Snapshot;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/**
 * What the papers room shows that takes looking at every hole. Worked out off the interface thread.
 *
 * @param snapshot    what it was worked out from
 * @param reviews     the review of each bulletin
 * @param differences what each twin differs in
 */
public record PapersModel(
        Snapshot snapshot, Map<Id.Bulletin, Review> reviews, Map<Id.Assembly, List<Hands.Difference>> differences) {

    /** The model of a snapshot. */
    public static PapersModel of(Snapshot snapshot) {
        Map<Id.Bulletin, Review> reviews = new HashMap<>();
        for (Bulletin b : snapshot.build().papers().bulletins()) {
            reviews.put(b.id(), Review.of(b, snapshot.derivation(), snapshot.log()));
        }
        Map<Id.Assembly, List<Hands.Difference>> differences = new HashMap<>();
        for (Assembly a : snapshot.build().assemblies()) {
            differences.put(a.id(), Hands.differences(snapshot.build(), a));
        }
        return new PapersModel(snapshot, reviews, differences);
    }

    /** What a bulletin of this snapshot changes and meets. */
    public Review review(Bulletin b) {
        return Objects.requireNonNull(reviews.get(b.id()), b::name);
    }

    /** What a twin of this snapshot differs in. */
    public List<Hands.Difference> differences(Assembly twin) {
        return Objects.requireNonNull(differences.get(twin.id()), twin::name);
    }
}
