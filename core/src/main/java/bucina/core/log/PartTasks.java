package bucina.core.log;

import bucina.core.plan.Id;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.pcollections.HashTreePMap;
import org.pcollections.PMap;

/** What was done to parts: the last mark of each task. Immutable. */
public final class PartTasks {

    /** Nothing. */
    static final PartTasks NONE = new PartTasks(HashTreePMap.empty());

    private final PMap<Id.Part, PMap<String, PartMark>> last;

    private PartTasks(PMap<Id.Part, PMap<String, PartMark>> last) {
        this.last = last;
    }

    static PartTasks of(List<PartMark> marks) {
        PartTasks tasks = NONE;
        for (PartMark mark : marks) {
            tasks = tasks.plus(mark);
        }
        return tasks;
    }

    PartTasks plus(PartMark mark) {
        PMap<String, PartMark> of = last.getOrDefault(mark.part(), HashTreePMap.empty());
        return new PartTasks(last.plus(mark.part(), of.plus(mark.task(), mark)));
    }

    /** The mark that says a task is done; empty if it is not, or was taken back. */
    public Optional<PartMark> done(Id.Part part, String task) {
        return Optional.ofNullable(last.getOrDefault(part, HashTreePMap.empty()).get(task))
                .filter(PartMark::on);
    }

    /** Everything marked on a part that stands, by task. */
    public Map<String, PartMark> of(Id.Part part) {
        PMap<String, PartMark> all = last.getOrDefault(part, HashTreePMap.empty());
        for (PartMark mark : last.getOrDefault(part, HashTreePMap.empty()).values()) {
            all = mark.on() ? all : all.minus(mark.task());
        }
        return all;
    }
}
