package bucina.core.drawing;

import bucina.core.dress.Preparation;
import bucina.core.edit.Edit;
import bucina.core.edit.HoleEdits;
import bucina.core.measure.Length;
import bucina.core.plan.Build;
import bucina.core.plan.Deviation;
import bucina.core.plan.Face;
import bucina.core.plan.Fastener;
import bucina.core.plan.Group;
import bucina.core.plan.Hold;
import bucina.core.plan.Hole;
import bucina.core.plan.HolePlan;
import bucina.core.plan.Id;
import bucina.core.plan.Row;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/*
 * Design. A group gets the fastener whose final hole is the size of most of its holes, with the head that was chosen.
 * Where none has such a
 * hole: if it is larger than the chosen one's, hardware the drawing does not name; else the chosen one, and the size
 * drawn is what the holes have now. A
 * hole of another size than its group's deviates.
 */

/** Makes groups and rows of the holes that come in. Used once. */
final class Landing {

    private final Build build;
    private final Id.Face id;
    private final Intake.Choices choices;
    private final Map<String, List<Intake.Line>> byGroup = new LinkedHashMap<>();
    private final Set<String> taken = new HashSet<>();
    private final Fits fits;
    private long next;

    Landing(Build build, Id.Face id, Intake.Choices choices, List<Intake.Line> lines) {
        this.build = build;
        this.id = id;
        this.choices = choices;
        fits = new Fits(choices);
        this.next = build.nextId();
        lines.forEach(l -> byGroup.computeIfAbsent(l.group().isEmpty() ? "H" : l.group(), k -> new ArrayList<>())
                .add(l));
    }

    Build landed() {
        Face face = Edit.face(build, id);
        face.groups().forEach(g -> g.rows().forEach(r -> taken.add(r.name())));
        Set<String> codes = new HashSet<>();
        build.faces().forEach(f -> f.face().groups().forEach(g -> codes.add(g.code())));
        List<Group> groups = new ArrayList<>(face.groups());
        byGroup.forEach((key, lines) -> groups.add(group(code(key, codes), lines)));
        return build.with(face.withGroups(groups), next).withNextId(next).checked();
    }

    private static String code(String wanted, Set<String> codes) {
        String base = FaceDrawing.word(wanted);
        String code = base.length() > 40 ? base.substring(0, 40) : base;
        String free = code;
        int n = 2;
        while (!codes.add(free)) {
            free = code + "-" + n++;
        }
        return free;
    }

    private Group group(String code, List<Intake.Line> lines) {
        boolean told = lines.stream().anyMatch(Intake.Line::sized);
        long usual = told ? usualSize(lines) : 0;
        Optional<Fastener> known = told ? fits.goesInto(usual) : Optional.of(choices.fastener());
        Fastener fastener = known.orElse(choices.fastener());
        HolePlan plan = plan(known, usual);
        List<Row> rows = new ArrayList<>();
        lines.forEach(l -> rows.add(row(l, usual)));
        return new Group(
                new Id.Group(next++),
                code,
                "Brought in",
                fastener,
                false,
                fastener.flush() ? Preparation.AUTO : Preparation.NONE,
                "",
                rows,
                Optional.empty(),
                Set.of(),
                Set.of(),
                plan);
    }

    private static HolePlan plan(Optional<Fastener> fits, long usual) {
        return fits.isPresent()
                ? HolePlan.NONE
                : new HolePlan(Optional.of(Length.nm(usual)), Hold.AUTO, "", Optional.empty());
    }

    private static long usualSize(List<Intake.Line> lines) {
        Map<Long, Integer> sizes = new LinkedHashMap<>();
        lines.stream()
                .filter(Intake.Line::sized)
                .forEach(l -> l.holes().forEach(h -> sizes.merge(Fits.size(h.diameter()), 1, Integer::sum)));
        return sizes.entrySet().stream()
                .max(Map.Entry.comparingByValue())
                .orElseThrow()
                .getKey();
    }

    private Row row(Intake.Line line, long usual) {
        String name = line.row().isEmpty() || !taken.add(line.row()) ? free() : line.row();
        Row row = HoleEdits.row(
                next, name, line.holes().stream().map(Drawing.Circle::at).toList());
        next += 1 + line.holes().size();
        Set<Integer> labels = new HashSet<>();
        boolean own = line.holes().stream()
                .allMatch(c -> c.label()
                        .filter(l -> l > 0 && l < 1_000_000 && labels.add(l))
                        .isPresent());
        List<Hole> holes = drawnHoles(row, line, own, usual);
        return new Row(row.id(), row.name(), 1, List.of()).withHoles(holes);
    }

    private List<Hole> drawnHoles(Row row, Intake.Line line, boolean own, long usual) {
        List<Hole> holes = new ArrayList<>();
        for (int i = 0; i < row.holes().size(); i++) {
            Drawing.Circle drawn = line.holes().get(i);
            Hole hole = row.holes().get(i);
            holes.add(new Hole(
                    hole.id(),
                    own ? drawn.label().orElseThrow() : hole.label(),
                    hole.at(),
                    line.sized() ? deviation(Fits.size(drawn.diameter()), usual) : Optional.empty()));
        }
        return holes;
    }

    private Optional<Deviation> deviation(long size, long usual) {
        if (size == usual) {
            return Optional.empty();
        }
        Optional<Fastener> other = fits.fastener(size);
        return Optional.of(new Deviation(
                other.isPresent() ? Optional.empty() : Optional.of(Length.nm(size)),
                other,
                Optional.empty(),
                "drawn with a hole of " + Length.nm(size)));
    }

    private String free() {
        int n = 1;
        while (!taken.add("R" + n)) {
            n++;
        }
        return "R" + n;
    }
}
