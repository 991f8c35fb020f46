package bucina.core.job;

import bucina.core.plan.Assembly;
import bucina.core.plan.Face;
import bucina.core.plan.Group;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.plan.Row;
import bucina.core.stack.HoleReading;
import java.util.List;
import java.util.Optional;

/**
 * One stretch of work that a person starts and finishes.
 *
 * @param id       its name, stable while the plan is: {@code dimple:US-1:R1:Upper skin}, {@code off:Main rib 3}
 * @param op       what is done
 * @param word     the code of what is done: an operation's, or a part's task
 * @param assembly where; empty for a job on nothing in particular
 * @param place    the holes; empty for work on a part
 * @param count    how many holes, at least 0; 0 for work on a part
 * @param part     the part worked; empty for work through the stack
 * @param page     of the manual; may be empty
 * @param setup    what it needs
 * @param minutes  how long it takes
 * @param people   1 or 2
 * @param done     true if nothing is left to do
 * @param title    what it is called where there is neither hole nor part; may be empty
 */
public record Job(
        String id,
        Op op,
        String word,
        Optional<Assembly> assembly,
        Optional<Place> place,
        int count,
        Optional<Part> part,
        String page,
        Setup setup,
        Minutes minutes,
        int people,
        boolean done,
        String title) {

    /**
     * Holes of one row.
     *
     * @param holes  those still to be done, or all of them where the job is done; none of a group without geometry
     * @param layers the sheets that are worked
     */
    public record Place(Face face, Group group, Optional<Row> row, List<HoleReading> holes, List<Layer> layers) {
        public Place {
            holes = List.copyOf(holes);
            layers = List.copyOf(layers);
        }
    }

    /** This job with something more said of its set-up. */
    Job saying(String more) {
        return new Job(
                id, op, word, assembly, place, count, part, page, setup.saying(more), minutes, people, done, title);
    }

    /** True if it sets fasteners wet, with sealant. */
    public boolean wet() {
        return op == Op.SET && place.filter(p -> p.group().holes().wet()).isPresent();
    }

    /** This job on its part as it is now. */
    Job of(Part now) {
        return new Job(
                id, op, word, assembly, place, count, Optional.of(now), page, setup, minutes, people, done, title);
    }

    /** Minutes that a job of moving a part costs between jobs: all of it is lost time. */
    public double lost() {
        return op.move() ? minutes.mid() : 0;
    }

    /** What is done, in a few words for the bench: {@code dimple 48, Upper skin, R1}. */
    public String words() {
        if (place.isPresent()) {
            Place p = place.get();
            String row = p.row().map(r -> ", " + r.name()).orElse("");
            String sheet = part.map(q -> q.name()).orElse(p.face().name());
            String heads = op == Op.PROVE ? count == 1 ? " head" : " heads" : "";
            return op.word() + " " + count + heads + ", " + sheet + row;
        }
        String of = part.map(Part::name).orElse("");
        return switch (op) {
            case FIT -> "cleco " + of + " on";
            case OFF -> "take " + of + " off";
            case ON -> "put " + of + " on to stay";
            case TASK -> title + ": " + of;
            default -> title;
        };
    }
}
