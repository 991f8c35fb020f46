package bucina.core.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;

/**
 * What the builder keeps on the bench beside the sheets.
 *
 * @param shelf kept sums, tools, batches, index marks, readings and jobs of the builder's own
 */
public record Workshop(Shelf shelf) {

    /** Nothing yet. */
    public static final Workshop NONE = new Workshop(Shelf.NONE);

    /** Sums kept with the build, oldest first. */
    public List<KeptSum> sums() {
        return shelf.all(KeptSum.class);
    }

    /** Tools in the crib. */
    public List<Tool> tools() {
        return shelf.all(Tool.class).stream().filter(t -> !t.lacking()).toList();
    }

    /** Kinds of tool of which the builder says that there is none. */
    public List<Tool> lacking() {
        return shelf.all(Tool.class).stream().filter(Tool::lacking).toList();
    }

    /** With no tool of a kind, and none that ships taken for one. */
    public Workshop lacking(Id.Tool id, Tool.Kind kind) {
        return new Workshop(shelf.without(Tool.class, t -> t.kind() == kind).with(Tool.class, Tool.none(id, kind)));
    }

    /** With what ships of a kind again, unless there is a tool of the builder's own. */
    public Workshop notLacking(Tool.Kind kind) {
        return new Workshop(shelf.without(Tool.class, t -> t.kind() == kind && t.lacking()));
    }

    /** Batches of primer and sealant, oldest first. */
    public List<Batch> batches() {
        return shelf.all(Batch.class);
    }

    /** Marks made on parts before taking apart, oldest first. */
    public List<IndexMark> index() {
        return shelf.all(IndexMark.class);
    }

    /** Readings of the assemblies in clecos, at most one of a face, a kind and a time. */
    public List<FitReading> readings() {
        return shelf.all(FitReading.class);
    }

    /** Jobs of the builder's own, oldest first. */
    public List<OwnJob> jobs() {
        return shelf.all(OwnJob.class);
    }

    /** With a job added, or put in the place of the one with its id. */
    public Workshop with(OwnJob job) {
        return new Workshop(shelf.with(OwnJob.class, job));
    }

    /** Without a job. */
    public Workshop without(Id.Own id) {
        return new Workshop(shelf.without(OwnJob.class, j -> j.id().equals(id)));
    }

    /** Bays that parts close, oldest first. */
    public List<Bay> bays() {
        return shelf.all(Bay.class);
    }

    /** With a bay added, or put in the place of the one with its id. */
    public Workshop with(Bay bay) {
        return new Workshop(shelf.with(Bay.class, bay));
    }

    /** Without a bay. */
    public Workshop without(Id.Bay id) {
        return new Workshop(shelf.without(Bay.class, b -> b.id().equals(id)));
    }

    /** What is measured whenever an assembly is moved, oldest first. */
    public List<Gaging> gagings() {
        return shelf.all(Gaging.class);
    }

    /** With something to measure added, or put in the place of the one with its id. */
    public Workshop with(Gaging gaging) {
        return new Workshop(shelf.with(Gaging.class, gaging));
    }

    /** Without something to measure. */
    public Workshop without(Id.Gaging id) {
        return new Workshop(shelf.without(Gaging.class, g -> g.id().equals(id)));
    }

    /** What runs through, oldest first. */
    public List<RunThrough> runs() {
        return shelf.all(RunThrough.class);
    }

    /** With something that runs through added, or put in the place of the one with its id. */
    public Workshop with(RunThrough run) {
        return new Workshop(shelf.with(RunThrough.class, run));
    }

    /** Without something that runs through. */
    public Workshop without(Id.Run id) {
        return new Workshop(shelf.without(RunThrough.class, r -> r.id().equals(id)));
    }

    /** What is in the stores, as it was put down. */
    public List<StoresItem> stores() {
        return shelf.all(StoresItem.class);
    }

    /** With a thing in the stores, or put in the place of the one with its id. */
    public Workshop with(StoresItem item) {
        return new Workshop(shelf.with(StoresItem.class, item));
    }

    /** Without a thing in the stores. */
    public Workshop without(Id.Item id) {
        return new Workshop(shelf.without(StoresItem.class, i -> i.id().equals(id)));
    }

    /** The packing list, as it was taken in. */
    public List<Packed> packing() {
        return shelf.all(Packed.class);
    }

    /** With a line of the packing list, or put in the place of the one with its id. */
    public Workshop with(Packed line) {
        return new Workshop(shelf.with(Packed.class, line));
    }

    /** With another packing list. */
    public Workshop withPacking(List<Packed> lines) {
        return new Workshop(shelf.with(Packed.class, lines));
    }

    /** With other things in the stores. */
    public Workshop withStores(List<StoresItem> items) {
        return new Workshop(shelf.with(StoresItem.class, items));
    }

    /** Bars of long stock, as they came. */
    public List<Bar> bars() {
        return shelf.all(Bar.class);
    }

    /** With other bars. */
    public Workshop withBars(List<Bar> bars) {
        return new Workshop(shelf.with(Bar.class, bars));
    }

    /** Cans of primer and sealant, as they came. */
    public List<Can> cans() {
        return shelf.all(Can.class);
    }

    /** With a can, or put in the place of the one with its id. */
    public Workshop with(Can can) {
        return new Workshop(shelf.with(Can.class, can));
    }

    /** What assemblies weighed on the scale, oldest first. */
    public List<Weighing> weighings() {
        return shelf.all(Weighing.class);
    }

    /** With a weighing, or put in the place of the one with its id. */
    public Workshop with(Weighing weighing) {
        return new Workshop(shelf.with(Weighing.class, weighing));
    }

    /** Where photographs belong, oldest first. */
    public List<Pin> pins() {
        return shelf.all(Pin.class);
    }

    /** With a photograph pinned, or put in the place of the one with its id. */
    public Workshop with(Pin pin) {
        return new Workshop(shelf.with(Pin.class, pin));
    }

    /** What the builder says about the order of work, oldest first. */
    public List<OwnOrder> orders() {
        return shelf.all(OwnOrder.class);
    }

    /** With something said about the order, or put in the place of the one with its id. */
    public Workshop with(OwnOrder order) {
        return new Workshop(shelf.with(OwnOrder.class, order));
    }

    /** Without something said about the order. */
    public Workshop without(Id.Order id) {
        return new Workshop(shelf.without(OwnOrder.class, o -> o.id().equals(id)));
    }

    /** With a sum added, or put in the place of the one with its id. */
    public Workshop with(KeptSum sum) {
        return new Workshop(shelf.with(KeptSum.class, sum));
    }

    /** Without a sum. */
    public Workshop without(Id.Sum id) {
        return new Workshop(shelf.without(KeptSum.class, s -> s.id().equals(id)));
    }

    /** The sum with this id; empty if it is gone. */
    public Optional<KeptSum> sum(Id.Sum id) {
        return sums().stream().filter(s -> s.id().equals(id)).findFirst();
    }

    /** With other tools. A kind of which there is one now is lacking no more. */
    public Workshop withTools(List<Tool> changed) {
        List<Tool> all = new ArrayList<>(changed);
        lacking().stream()
                .filter(l -> changed.stream().noneMatch(t -> t.kind() == l.kind()))
                .forEach(all::add);
        return new Workshop(shelf.with(Tool.class, all));
    }

    /** With a batch added, or put in the place of the one with its id. */
    public Workshop with(Batch batch) {
        return new Workshop(shelf.with(Batch.class, batch));
    }

    /** With a mark on a part, in the place of the one it had. */
    public Workshop with(IndexMark mark) {
        return new Workshop(shelf.with(IndexMark.class, mark, m -> m.part().equals(mark.part())));
    }

    /** With no mark on a part. */
    public Workshop unmarked(Id.Part part) {
        return new Workshop(shelf.without(IndexMark.class, m -> m.part().equals(part)));
    }

    /** With a reading, in the place of the one of its face, kind and time. */
    public Workshop with(FitReading reading) {
        return new Workshop(
                shelf.with(FitReading.class, reading, taken(reading.face(), reading.kind(), reading.after())));
    }

    /** Without the reading of a face. */
    public Workshop without(Id.Face face, FitReading.Kind kind, boolean after) {
        return new Workshop(shelf.without(FitReading.class, taken(face, kind, after)));
    }

    /** The reading of a face; empty if it was not taken. */
    public Optional<FitReading> reading(Id.Face face, FitReading.Kind kind, boolean after) {
        return readings().stream().filter(taken(face, kind, after)).findFirst();
    }

    private static Predicate<FitReading> taken(Id.Face face, FitReading.Kind kind, boolean after) {
        return r -> r.face().equals(face) && r.kind() == kind && r.after() == after;
    }

    /** The mark on a part; empty if it has none. */
    public Optional<IndexMark> mark(Id.Part part) {
        return index().stream().filter(m -> m.part().equals(part)).findFirst();
    }

    /** Batches that are not used up, oldest first. */
    public List<Batch> running() {
        return batches().stream().filter(b -> b.ended().isEmpty()).toList();
    }
}
