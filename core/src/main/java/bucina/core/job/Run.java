package bucina.core.job;

import bucina.core.plan.Group;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Row;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Holes of a row that share a set-up, while they are gathered. */
final class Run {
    final Op op;
    final Group group;
    final Optional<Row> row;
    final Optional<Id.Part> part;
    final Setup setup;
    final Optional<Hold> hold;
    final List<HoleReading> open = new ArrayList<>();
    final List<HoleReading> done = new ArrayList<>();
    final Set<Layer> layers = new LinkedHashSet<>();
    /** Why it comes before a part is on: the tool does not get there any more. */
    final Map<Id.Part, FaceTools.Shut> closes = new LinkedHashMap<>();

    Minutes minutes = new Minutes(0, 0, 0, true);
    int people = 1;
    /** So many of its holes have a temporary bolt in. */
    int temporary;

    int number;

    Run(Op op, Group group, Optional<Row> row, Optional<Id.Part> part, Setup setup, Optional<Hold> hold) {
        this.op = op;
        this.group = group;
        this.row = row;
        this.part = part;
        this.setup = setup;
        this.hold = hold;
    }

    /** How many are still to be done. */
    int left() {
        return row.isPresent() ? open.size() : Math.max(0, number);
    }

    void add(HoleReading hole, Minutes each) {
        if (open.isEmpty() || !open.getLast().equals(hole)) {
            open.add(hole);
        }
        minutes = new Minutes(
                minutes.low() + each.low(),
                minutes.mid() + each.mid(),
                minutes.high() + each.high(),
                minutes.own() && each.own());
    }
}
