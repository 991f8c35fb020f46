package bucina.core.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;

/**
 * What the builder keeps on the bench beside the sheets.
 *
 * @param sums     kept with the build, oldest first
 * @param tools    in the tool crib
 * @param batches  of primer and sealant, oldest first
 * @param index    marks made on parts before taking apart, oldest first
 * @param readings of the assemblies in clecos, at most one of a face, a kind and a time
 */
public record Workshop(
        List<KeptSum> sums, List<Tool> tools, List<Batch> batches, List<IndexMark> index, List<FitReading> readings) {

    /** Nothing yet. */
    public static final Workshop NONE = new Workshop(List.of(), List.of(), List.of(), List.of(), List.of());

    public Workshop {
        sums = List.copyOf(sums);
        tools = List.copyOf(tools);
        batches = List.copyOf(batches);
        index = List.copyOf(index);
        readings = List.copyOf(readings);
    }

    /** With a sum added, or put in the place of the one with its id. */
    public Workshop with(KeptSum sum) {
        return new Workshop(put(sums, sum, s -> s.id().equals(sum.id())), tools, batches, index, readings);
    }

    /** Without a sum. */
    public Workshop without(Id.Sum id) {
        return new Workshop(sums.stream().filter(s -> !s.id().equals(id)).toList(), tools, batches, index, readings);
    }

    /** The sum with this id; empty if it is gone. */
    public Optional<KeptSum> sum(Id.Sum id) {
        return sums.stream().filter(s -> s.id().equals(id)).findFirst();
    }

    /** With other tools. */
    public Workshop withTools(List<Tool> changed) {
        return new Workshop(sums, changed, batches, index, readings);
    }

    /** With a batch added, or put in the place of the one with its id. */
    public Workshop with(Batch batch) {
        return new Workshop(sums, tools, put(batches, batch, b -> b.id().equals(batch.id())), index, readings);
    }

    /** With a mark on a part, in the place of the one it had. */
    public Workshop with(IndexMark mark) {
        return new Workshop(sums, tools, batches, put(index, mark, m -> m.part().equals(mark.part())), readings);
    }

    /** With no mark on a part. */
    public Workshop unmarked(Id.Part part) {
        return new Workshop(
                sums,
                tools,
                batches,
                index.stream().filter(m -> !m.part().equals(part)).toList(),
                readings);
    }

    /** With a reading, in the place of the one of its face, kind and time. */
    public Workshop with(FitReading reading) {
        return new Workshop(
                sums,
                tools,
                batches,
                index,
                put(
                        readings,
                        reading,
                        r -> r.face().equals(reading.face())
                                && r.kind() == reading.kind()
                                && r.after() == reading.after()));
    }

    /** Without the reading of a face. */
    public Workshop without(Id.Face face, FitReading.Kind kind, boolean after) {
        return new Workshop(
                sums,
                tools,
                batches,
                index,
                readings.stream()
                        .filter(r -> !(r.face().equals(face) && r.kind() == kind && r.after() == after))
                        .toList());
    }

    /** The reading of a face; empty if it was not taken. */
    public Optional<FitReading> reading(Id.Face face, FitReading.Kind kind, boolean after) {
        return readings.stream()
                .filter(r -> r.face().equals(face) && r.kind() == kind && r.after() == after)
                .findFirst();
    }

    /** The mark on a part; empty if it has none. */
    public Optional<IndexMark> mark(Id.Part part) {
        return index.stream().filter(m -> m.part().equals(part)).findFirst();
    }

    /** Batches that are not used up, oldest first. */
    public List<Batch> running() {
        return batches.stream().filter(b -> b.ended().isEmpty()).toList();
    }

    private static <T> List<T> put(List<T> list, T item, Predicate<T> same) {
        List<T> next = new ArrayList<>(list);
        next.replaceAll(t -> same.test(t) ? item : t);
        if (list.stream().noneMatch(same)) {
            next.add(item);
        }
        return next;
    }
}
