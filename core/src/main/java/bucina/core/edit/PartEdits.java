package bucina.core.edit;

import bucina.core.measure.InputException;
import bucina.core.part.PartStates;
import bucina.core.plan.Assembly;
import bucina.core.plan.Bay;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Id;
import bucina.core.plan.IndexMark;
import bucina.core.plan.KeptSum;
import bucina.core.plan.Layer;
import bucina.core.plan.OwnJob;
import bucina.core.plan.Part;
import bucina.core.plan.Particulars;
import bucina.core.plan.Standing;
import bucina.core.plan.Workshop;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;

/** Changes of parts: what is said of them, how they stand, which sheets are theirs. */
public final class PartEdits {

    private PartEdits() {}

    /** The build with a part changed. */
    public static Build part(Build build, Id.Part id, UnaryOperator<Part> change) {
        return build.with(change.apply(there(build, id)));
    }

    private static Part there(Build build, Id.Part id) {
        return build.parts().stream()
                .filter(p -> p.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new InputException("that part is no longer in the build: undo, or make it again"));
    }

    /** The build with one part more, after the others; its id is the build's next. */
    public static Build add(Build build, Part part) {
        List<Part> parts = new ArrayList<>(build.parts());
        parts.add(part);
        return build.withParts(parts, part.id().n() + 1);
    }

    /**
     * The build with a part standing otherwise. Where fasteners hold it, it stays on for good: a wrapped skin can be
     * lifted above while it is closed below. A part that closes a bay opens its close-out again when it is taken off.
     *
     * @throws InputException if it would be taken off, and it is on for good everywhere
     */
    public static Build stands(Build build, PartStates states, Id.Part id, Standing next) {
        Part part = there(build, id);
        if (next.inPlace()) {
            return build.with(part.with(next));
        }
        Set<Id.Face> held = states.faces(id).stream()
                .map(Face::id)
                .filter(f -> states.fastened(id, f))
                .collect(Collectors.toSet());
        if (!held.isEmpty() && held.size() == states.faces(id).size()) {
            throw new InputException(part.name() + " is on for good on " + names(states, id, held)
                    + ": drill out what holds it and correct the log first, then say that it is " + next.word());
        }
        Build off = build.with(part.with(part.particulars().withForGood(held)).with(next));
        return part.standing().inPlace() ? opened(off, states, id) : off;
    }

    private static Build opened(Build build, PartStates states, Id.Part off) {
        Workshop shop = build.workshop();
        for (Bay bay : build.workshop().bays()) {
            Optional<Instant> last = states.closedOut(bay.id());
            if (bay.closers().contains(off) && last.isPresent()) {
                shop = shop.with(bay.opened(last.get()));
            }
        }
        return build.withWorkshop(shop, build.nextId());
    }

    private static String names(PartStates states, Id.Part id, Set<Id.Face> held) {
        return states.faces(id).stream()
                .filter(f -> held.contains(f.id()))
                .map(Face::name)
                .collect(Collectors.joining(", "));
    }

    /** The build with a part said to be on for good on a face, or not; fasteners say so too. */
    public static Build forGood(Build build, Id.Part id, Id.Face face, boolean good) {
        Part part = there(build, id);
        Set<Id.Face> faces = new HashSet<>(part.particulars().forGood());
        if (good) {
            faces.add(face);
        } else {
            faces.remove(face);
        }
        Part said = part.with(part.particulars().withForGood(faces));
        return build.with(good || said.standing() != Standing.ON ? said : said.with(Standing.DRY));
    }

    /** The build with an assembly taken apart: every part that is on dry is off; what is on for good stays. */
    public static Build apart(Build build, PartStates states, Id.Assembly assembly) {
        Build next = build;
        for (Id.Part id : of(build, assembly)) {
            if (states.of(id) == Standing.DRY) {
                next = stands(next, states, id, Standing.OFF);
            }
        }
        if (next == build) {
            throw new InputException("nothing of this assembly is on dry: there is nothing to take apart");
        }
        return next;
    }

    private static Set<Id.Part> of(Build build, Id.Assembly id) {
        return build.assemblies().stream()
                .filter(a -> a.id().equals(id))
                .map(Assembly::faces)
                .flatMap(List::stream)
                .flatMap(f -> f.layers().stream())
                .map(Layer::part)
                .collect(Collectors.toCollection(LinkedHashSet::new));
    }

    /**
     * The build with a sheet given to another part. A part that has no sheet left and of which nothing is said goes.
     */
    public static Build give(Build build, Id.Layer sheet, Id.Part to) {
        there(build, to);
        Id.Part from = layer(build, sheet).part();
        Build next = Edit.layer(build, sheet, l -> l.of(to));
        return from.equals(to) ? build : withoutBare(next, from);
    }

    private static Layer layer(Build build, Id.Layer id) {
        return Edit.faceOf(build, id).layers().stream()
                .filter(l -> l.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    private static Build withoutBare(Build build, Id.Part id) {
        boolean bare = there(build, id).particulars().equals(Particulars.NONE);
        return bare && !used(build, id) ? without(build, id) : build;
    }

    private static boolean used(Build build, Id.Part id) {
        return build.faces().stream()
                        .flatMap(f -> f.face().layers().stream())
                        .anyMatch(l -> l.part().equals(id))
                || build.papers().shelf().all().stream().anyMatch(k -> k.parts().contains(id))
                || build.workshop().shelf().all().stream()
                        .anyMatch(k -> k.parts().contains(id))
                || build.parts().stream()
                        .anyMatch(p -> p.particulars().instead().equals(Optional.of(id)));
    }

    private static Build without(Build build, Id.Part id) {
        return build.withParts(
                build.parts().stream().filter(p -> !p.id().equals(id)).toList(), build.nextId());
    }

    /**
     * The build with two parts made one: the sheets of the second become sheets of the first, and what names the second
     * names the first. What is said of the first stays; the second's name and number are kept as other names.
     *
     * @throws InputException if they are one part already
     */
    public static Build join(Build build, Id.Part first, Id.Part second) {
        if (first.equals(second)) {
            throw new InputException("these two sheets are one part already: "
                    + there(build, first).name());
        }
        Part one = there(build, first);
        Part two = there(build, second);
        Build next = build;
        for (Build.FaceRef ref : build.faces()) {
            for (Layer layer : ref.face().layers()) {
                if (layer.part().equals(second)) {
                    next = Edit.layer(next, layer.id(), l -> l.of(first));
                }
            }
        }
        List<String> names = new ArrayList<>(one.particulars().aliases());
        names.add(two.name());
        if (!two.particulars().number().isEmpty()) {
            names.add(two.particulars().number());
        }
        Particulars said = one.particulars()
                .stamped(
                        one.particulars().number(),
                        names.stream().distinct().toList(),
                        one.particulars().hand());
        next = next.with(one.with(said));
        next = next.withWorkshop(renamed(next.workshop(), first, second), next.nextId());
        for (Part part : next.parts()) {
            if (part.particulars().instead().equals(Optional.of(second))) {
                next = next.with(part.with(part.particulars().withInstead(Optional.of(first))));
            }
        }
        return without(next, second).checked();
    }

    private static Workshop renamed(Workshop shop, Id.Part first, Id.Part second) {
        Workshop next = shop;
        for (KeptSum sum : shop.sums()) {
            if (sum.part().equals(Optional.of(second))) {
                next = next.with(
                        new KeptSum(sum.id(), sum.kind(), sum.name(), Optional.of(first), sum.unit(), sum.figures()));
            }
        }
        for (OwnJob job : shop.jobs()) {
            if (job.parts().contains(second)) {
                next = next.with(new OwnJob(
                        job.id(),
                        job.name(),
                        job.page(),
                        job.assembly(),
                        job.parts().stream()
                                .map(p -> p.equals(second) ? first : p)
                                .distinct()
                                .toList(),
                        job.notes()));
            }
        }
        for (Bay bay : shop.bays()) {
            if (bay.parts().contains(second)) {
                next = next.with(bay.renamed(second, first));
            }
        }
        Optional<IndexMark> mark = shop.mark(second);
        next = next.unmarked(second);
        if (mark.isPresent() && shop.mark(first).isEmpty()) {
            next = next.with(new IndexMark(
                    mark.get().id(), first, mark.get().how(), mark.get().at()));
        }
        return next;
    }

    /**
     * The build with a part made two: some of its sheets become sheets of a new part, alike but for its name. A name
     * that the part was also known by is no longer one of its names.
     *
     * @throws InputException if none or all of its sheets are named
     */
    public static Build split(Build build, Id.Part id, Set<Id.Layer> sheets, String name) {
        Part part = there(build, id);
        List<Id.Layer> own = build.faces().stream()
                .flatMap(f -> f.face().layers().stream())
                .filter(l -> l.part().equals(id))
                .map(Layer::id)
                .toList();
        long taken = own.stream().filter(sheets::contains).count();
        if (taken == 0 || taken == own.size()) {
            throw new InputException(part.name() + " has " + own.size()
                    + (own.size() == 1 ? " sheet" : " sheets")
                    + ": pick some of them for the new part, and leave at least one");
        }
        Id.Part other = new Id.Part(build.nextId());
        Particulars alike =
                part.particulars().stamped("", List.of(), part.particulars().hand());
        List<Part> parts = new ArrayList<>(build.parts());
        parts.add(
                parts.indexOf(part) + 1,
                new Part(other, name, part.material(), part.fittingOrder(), part.standing(), part.kind(), alike));
        Build next = build.withParts(parts, build.nextId() + 1)
                .with(part.with(part.particulars()
                        .stamped(
                                part.particulars().number(),
                                part.particulars().aliases().stream()
                                        .filter(a -> !a.equals(name))
                                        .toList(),
                                part.particulars().hand())));
        for (Id.Layer sheet : own) {
            if (sheets.contains(sheet)) {
                next = Edit.layer(next, sheet, l -> l.of(other));
            }
        }
        return next.checked();
    }

    /**
     * The build without a part.
     *
     * @throws InputException if it lies on a face, or something names it
     */
    public static Build drop(Build build, Id.Part id) {
        Part part = there(build, id);
        List<String> faces = build.faces().stream()
                .filter(f -> f.face().layers().stream().anyMatch(l -> l.part().equals(id)))
                .map(f -> f.face().name())
                .toList();
        if (!faces.isEmpty()) {
            throw new InputException(part.name() + " lies on " + String.join(", ", faces)
                    + ": take its sheets away there first, or give them to another part");
        }
        if (used(build, id)) {
            throw new InputException(
                    part.name() + " is named by a kept sum, a job, a mark or another part: take that away first");
        }
        return without(build, id);
    }
}
