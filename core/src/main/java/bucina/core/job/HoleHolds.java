package bucina.core.job;

import bucina.core.bulletin.Reviews;
import bucina.core.hold.Held;
import bucina.core.hold.Holds;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.plan.Query;
import bucina.core.rule.Level;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import bucina.core.stack.StackCheck;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/** Why work at a hole waits for what no job brings about. */
final class HoleHolds {

    private final Holds holds;
    private final Map<String, Reviews.Due> reviews;
    private final Map<Id.Group, Query> queries = new HashMap<>();

    /**
     * @param reviews of bulletins that are due, by code of the group that waits
     */
    HoleHolds(Build build, Holds holds, Map<String, Reviews.Due> reviews) {
        this.holds = holds;
        this.reviews = reviews;
        build.papers().queries().stream().filter(Query::open).forEach(q -> queries.putIfAbsent(q.group(), q));
    }

    /** The reviews that are due, by code of the group that waits. */
    Map<String, Reviews.Due> reviews() {
        return reviews;
    }

    /** Why any work at a hole waits; empty if none does. */
    Optional<Hold> of(Op op, FaceReading face, HoleReading hole) {
        Query query = queries.get(hole.group().id());
        if (query != null) {
            return Optional.of(new Hold("P9", hole.group().code() + " has an open query: " + query.text()));
        }
        Reviews.Due review = reviews.get(hole.group().code());
        if (review != null && review.job().isEmpty()) {
            return Optional.of(new Hold("P9", review.words()));
        }
        if (op.throughStack()) {
            for (Layer layer : hole.layers()) {
                Optional<Hold> away = away(holds.parts().part(layer.part()));
                if (away.isPresent()) {
                    return away;
                }
            }
        }
        if (op == Op.SET) {
            return drawing(hole).or(() -> error(face, hole));
        }
        return Optional.empty();
    }

    /** Why a part that is not here holds what needs it. */
    static Optional<Hold> away(Part part) {
        return part.standing().away()
                ? Optional.of(new Hold(
                        "P9",
                        part.name() + " is " + part.standing().word()
                                + part.particulars()
                                        .due()
                                        .map(d -> ", due " + d)
                                        .orElse("")))
                : Optional.empty();
    }

    private Optional<Hold> drawing(HoleReading hole) {
        return holds.of(hole)
                .filter(h -> h.parts().isEmpty())
                .map(Held::until)
                .map(until -> new Hold("P3", hole.group().code() + " is held open until " + until));
    }

    private static Optional<Hold> error(FaceReading face, HoleReading hole) {
        if (hole.layers().isEmpty()) {
            return Optional.of(
                    new Hold("P9", "holes of " + hole.row().name() + " go through no sheet: look at the plan"));
        }
        if (hole.worst().filter(l -> l == Level.ERROR).isEmpty()) {
            return Optional.empty();
        }
        return StackCheck.findings(face.face(), hole).stream()
                .filter(f -> f.level() == Level.ERROR && f.accepted().isEmpty())
                .findFirst()
                .map(f -> new Hold(
                        "P9",
                        "a finding of level error is open at " + hole.row().name() + ", rule "
                                + f.rule().code()));
    }
}
