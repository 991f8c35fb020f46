package bucina.desk.session;

import bucina.core.measure.Unit;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.plan.Tool;
import bucina.core.reach.Reach;
import bucina.core.sheet.Segment;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * What the crib reaches on a face for one piece of work, as the sheet shows it.
 *
 * @param face   which face
 * @param work   what is done
 * @param works  that some hole of the face wants
 * @param holes  that want it
 * @param flanges that stand up: bend tangents of parts in place
 */
public record Reaching(
        Id.Face face, Reach.Work work, List<Reach.Work> works, Map<Id.Hole, Reach> holes, List<Segment> flanges) {

    /** How a hole is got at. */
    public enum Way {
        /** With the tool that does most of the work. */
        USUAL("the usual tool"),
        /** Only with another one. */
        OTHER("another tool"),
        /** With none of the crib. */
        NONE("none of the crib");

        private final String words;

        Way(String words) {
            this.words = words;
        }

        /** In plain words. */
        public String words() {
            return words;
        }
    }

    public Reaching {
        works = List.copyOf(works);
        holes = Map.copyOf(holes);
        flanges = List.copyOf(flanges);
    }

    /**
     * Works it out.
     *
     * @param all   what reaches on the face
     * @param asked the work; where no hole wants it, the first that one wants
     * @return empty if no hole of the face wants a tool
     */
    public static Optional<Reaching> of(FaceReading face, Build build, List<Reach> all, Reach.Work asked) {
        Set<Reach.Work> wanted = all.stream().map(Reach::work).collect(Collectors.toCollection(HashSet::new));
        List<Reach.Work> works =
                Arrays.stream(Reach.Work.values()).filter(wanted::contains).toList();
        if (works.isEmpty()) {
            return Optional.empty();
        }
        Reach.Work work = wanted.contains(asked) ? asked : works.getFirst();
        Map<Id.Hole, Reach> holes = new HashMap<>();
        all.stream()
                .filter(r -> r.work() == work)
                .forEach(r -> holes.put(r.hole().hole().id(), r));
        Set<Id.Part> fitted =
                build.parts().stream().filter(Part::fitted).map(Part::id).collect(Collectors.toSet());
        List<Segment> flanges = new ArrayList<>();
        for (Layer l : face.face().layers()) {
            if (fitted.contains(l.part())) {
                flanges.addAll(l.bends());
            }
        }
        return Optional.of(new Reaching(face.face().id(), work, works, holes, flanges));
    }

    /** How a hole is got at; empty if it does not want this work. */
    public Optional<Way> way(Id.Hole hole) {
        return Optional.ofNullable(holes.get(hole)).map(this::way);
    }

    private Way way(Reach reach) {
        return reach.tools().isEmpty()
                ? Way.NONE
                : reach.tools().stream().anyMatch(t -> t.kind() == work.usual()) ? Way.USUAL : Way.OTHER;
    }

    /** How many holes are got at so. */
    public long count(Way way) {
        return holes.values().stream().filter(r -> way(r) == way).count();
    }

    /** What gets at one hole, and what does not and why. */
    public String words(HoleReading hole, Unit unit) {
        Reach reach = holes.get(hole.hole().id());
        if (reach == null) {
            return hole.label() + " is not " + work.operation() + ".";
        }
        String by = reach.tools().isEmpty()
                ? "no tool of the crib gets there."
                : reach.tools().stream().map(Tool::name).collect(Collectors.joining(", ")) + ".";
        String not = reach.blocked().stream().map(b -> " " + b.why().in(unit)).collect(Collectors.joining());
        String out = reach.waysOut().stream().map(w -> " " + w).collect(Collectors.joining());
        return hole.label() + ", " + work.operation() + ": " + by + not + out;
    }

    /** The next piece of work that some hole wants. */
    public Reach.Work next() {
        return works.get((works.indexOf(work) + 1) % works.size());
    }
}
