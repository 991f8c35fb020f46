package bucina.desk.session;

import bucina.core.log.HoleState;
import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.Unit;
import bucina.core.plan.Group;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Row;
import bucina.core.rule.RuleSet;
import bucina.core.setup.Stretch;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import bucina.core.state.Snapshot;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;

/**
 * A row unrolled: what the row strip draws. Immutable.
 *
 * @param group  the group
 * @param row    the row
 * @param cells  its holes in order, with where they lie along the row
 * @param runs   neighbouring holes that are set with one set-up
 */
public record RowModel(Group group, Row row, List<Cell> cells, List<Run> runs) {

    /**
     * One hole of the row.
     *
     * @param reading  what is derived for it
     * @param state    where it stands
     * @param along    distance from the first hole, along the row
     * @param margin   least edge distance less the limit; negative where it is too short; empty if it goes through no
     *     sheet
     */
    public record Cell(HoleReading reading, HoleState state, Length along, Optional<Length> margin) {}

    /**
     * Neighbouring holes of one {@link Stretch}.
     *
     * @param from  first, counted from 0
     * @param to    last
     * @param dash  what to call the length: {@code -3.5}
     * @param grip  the grip the set-up is made for
     * @param gap   closed gap of the squeezer; empty where nothing is squeezed
     * @param cause why it begins here: {@code Spar cap doubler ends}; empty for the first stretch
     */
    public record Run(int from, int to, String dash, Length grip, Optional<Length> gap, String cause) {}

    /** The row of a face with this id; empty if there is none or it has no holes. */
    public static Optional<RowModel> of(Snapshot snapshot, FaceReading face, Id.Row row) {
        List<Cell> cells = cells(snapshot, face, row);
        return cells.isEmpty()
                ? Optional.empty()
                : Optional.of(new RowModel(
                        cells.getFirst().reading.group(),
                        cells.getFirst().reading.row(),
                        cells,
                        runs(cells, snapshot.build().rules())));
    }

    private static List<Cell> cells(Snapshot snapshot, FaceReading face, Id.Row row) {
        List<Cell> cells = new ArrayList<>();
        HoleReading before = null;
        Length along = Length.ZERO;
        for (HoleReading reading : face.readings()) {
            if (reading.row().id().equals(row)) {
                along = before == null
                        ? along
                        : along.plus(before.hole().at().to(reading.hole().at()));
                Optional<Length> margin = reading.nearestEdge()
                        .map(i ->
                                reading.edge(i).minus(reading.solution().edge().least()));
                cells.add(new Cell(reading, snapshot.state(reading), along, margin));
                before = reading;
            }
        }
        return cells;
    }

    private static List<Run> runs(List<Cell> cells, RuleSet rules) {
        Map<Id.Hole, Stretch> setUps = setUps(cells, rules);
        List<Run> runs = new ArrayList<>();
        int from = 0;
        for (int i = 1; i <= cells.size(); i++) {
            HoleReading first = cells.get(from).reading;
            Stretch stretch = Objects.requireNonNull(setUps.get(first.hole().id()), first::label);
            if (i == cells.size()
                    || stretch != setUps.get(cells.get(i).reading.hole().id())) {
                run(runs, from, i, stretch, cells, first);
                from = i;
            }
        }
        return runs;
    }

    private static void run(List<Run> runs, int from, int i, Stretch stretch, List<Cell> cells, HoleReading first) {
        runs.add(new Run(
                from,
                i - 1,
                stretch.solution().dash(),
                stretch.solution().grip(),
                stretch.gap(),
                from == 0 ? "" : cause(cells.get(from - 1).reading, first)));
    }

    private static Map<Id.Hole, Stretch> setUps(List<Cell> cells, RuleSet rules) {
        Map<Id.Hole, Stretch> setUps = new HashMap<>();
        Stretch.of(cells.stream().map(Cell::reading).toList(), rules)
                .forEach(s -> s.holes().forEach(h -> setUps.put(h.hole().id(), s)));
        return setUps;
    }

    /** What comes or goes between two neighbouring holes. */
    private static String cause(HoleReading before, HoleReading after) {
        List<String> words = new ArrayList<>();
        sheets(before, after, words);
        if (words.isEmpty()
                && !before.solution().fastener().equals(after.solution().fastener())) {
            words.add(after.hole()
                    .deviation()
                    .map(d -> d.reason())
                    .orElse(before.hole().deviation().isPresent() ? "as the group again" : ""));
        }
        return String.join(", ", words);
    }

    private static void sheets(HoleReading before, HoleReading after, List<String> words) {
        for (Layer layer : before.layers()) {
            if (after.layers().stream().noneMatch(l -> l.id().equals(layer.id()))) {
                words.add(layer.name() + " ends");
            }
        }
        for (Layer layer : after.layers()) {
            if (before.layers().stream().noneMatch(l -> l.id().equals(layer.id()))) {
                words.add(layer.name() + " starts");
            }
        }
    }

    /** Place of a hole in the row, from 0; -1 if it is not in it. */
    public int place(Id.Hole hole) {
        for (int i = 0; i < cells.size(); i++) {
            if (cells.get(i).reading.hole().id().equals(hole)) {
                return i;
            }
        }
        return -1;
    }

    /** The row's changes of length and what makes them: what the strip says above the picture. */
    public String sentence(Unit unit) {
        return changes(unit, true);
    }

    /** The same without the causes, for where there is no room for them. */
    public String brief(Unit unit) {
        return changes(unit, false);
    }

    private String changes(Unit unit, boolean causes) {
        String title = row.name() + ", " + group.name().toLowerCase(Locale.ROOT) + ": " + cells.size() + " holes. ";
        if (runs.size() == 1) {
            Run only = runs.getFirst();
            return title + "All take " + only.dash + " in " + LengthFormat.trade(only.grip, unit) + ".";
        }
        StringBuilder text = new StringBuilder(title);
        int told = 0;
        for (int i = 1; i < runs.size(); i++) {
            Run run = runs.get(i);
            if (told++ == 2) {
                text.append("And ").append(runs.size() - 3).append(" more changes.");
                break;
            }
            int label = cells.get(run.from).reading.hole().label();
            text.append("From hole ")
                    .append(label)
                    .append(run.dash.equals(runs.get(i - 1).dash) ? " reset" : " use " + run.dash)
                    .append(run.gap
                            .map(g -> " at " + LengthFormat.decimal(g, unit, 3))
                            .orElse(""))
                    .append(causes && !run.cause.isEmpty() ? ": " + run.cause : "")
                    .append(". ");
        }
        return text.toString().strip();
    }
}
