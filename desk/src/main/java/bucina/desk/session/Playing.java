package bucina.desk.session;

import bucina.core.catalogue.Catalogue;
import bucina.core.cleco.ClecoPlan;
import bucina.core.cleco.ClecoSize;
import bucina.core.cleco.Mode;
import bucina.core.cleco.RivetOrder;
import bucina.core.cleco.TwoHands;
import bucina.core.hold.Holds;
import bucina.core.log.HoleState;
import bucina.core.measure.InputException;
import bucina.core.measure.Unit;
import bucina.core.plan.Id;
import bucina.core.progress.FaceClecos;
import bucina.core.progress.FaceLocate;
import bucina.core.state.Snapshot;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * A cleco plan as it is played on the sheet: how the face is located, or a row's. Immutable.
 *
 * @param face    the plan of the whole face
 * @param locate  how the face is located before any row is drilled
 * @param row     the row played
 * @param step    which step is shown, from 0
 * @param work    what is played
 * @param states  of the holes played while this step is done
 * @param inUse   clecos in them then
 */
public record Playing(
        FaceClecos face,
        FaceLocate locate,
        FaceClecos.RowPlan row,
        int step,
        Work work,
        Map<Id.Hole, HoleState> states,
        int inUse) {

    /** What is played. */
    public enum Work {
        LOCATE("face located"),
        DRILL("drilled by one"),
        TWO("drilled by two"),
        RIVET("riveted");

        private final String words;

        Work(String words) {
            this.words = words;
        }

        @Override
        public String toString() {
            return words;
        }
    }

    /** Plans the face and begins with a row. */
    public static Playing of(
            Snapshot snapshot,
            Catalogue catalogue,
            Id.Face on,
            Optional<Id.Row> at,
            Optional<Mode> mode,
            int nearest,
            Work work) {
        FaceClecos plan = plan(snapshot, on, catalogue, mode, nearest);
        FaceClecos.RowPlan row = plan.rows().stream()
                .filter(r -> at.equals(Optional.of(r.row().id())))
                .findFirst()
                .orElse(plan.rows().getFirst());
        FaceLocate locate = FaceLocate.of(
                snapshot.face(on),
                snapshot.log(),
                catalogue.clecos(),
                snapshot.build().stock(),
                mode);
        return new Playing(plan, locate, row, 0, work, Map.of(), 0).at(snapshot.holds(), 0);
    }

    private static FaceClecos plan(
            Snapshot snapshot, Id.Face on, Catalogue catalogue, Optional<Mode> mode, int nearest) {
        FaceClecos plan = FaceClecos.of(
                snapshot.face(on),
                snapshot.log(),
                snapshot.holds(),
                catalogue.clecos(),
                snapshot.build().stock(),
                mode,
                nearest);
        if (plan.rows().isEmpty()) {
            throw new InputException("Every hole of this face has its fastener in: nothing is clecoed any more");
        }
        return plan;
    }

    /** How many steps the row takes. */
    public int steps(Holds holds) {
        return switch (work) {
            case LOCATE -> locate.steps().size();
            case DRILL -> waves().size();
            case TWO -> hands().turns().size();
            case RIVET -> riveting(holds).size();
        };
    }

    private List<ClecoPlan.Wave> waves() {
        return row.plan().map(ClecoPlan::waves).orElse(List.of());
    }

    private TwoHands hands() {
        return row.plan().map(TwoHands::of).orElse(new TwoHands(List.of()));
    }

    /** A row that no cleco holds in is not riveted by clecos either. */
    private List<RivetOrder.Step> riveting(Holds holds) {
        return row.size().isPresent() ? FaceClecos.rivet(row, holds).steps() : List.of();
    }

    /** The same at another step, kept within the plan. */
    public Playing at(Holds holds, int wished) {
        int now = Math.clamp(wished, 0, Math.max(0, steps(holds) - 1));
        if (work == Work.LOCATE) {
            return located(now);
        }
        Set<Integer> in = new HashSet<>();
        Set<Integer> drilled = new HashSet<>();
        Set<Integer> set = new HashSet<>();
        switch (work) {
            case LOCATE -> {}
            case DRILL ->
                waves().stream().limit(now + 1L).forEach(w -> {
                    in.addAll(w.place());
                    drilled.addAll(w.drill());
                    if (w != waves().get(now)) {
                        w.remove().forEach(in::remove);
                    }
                });
            case TWO ->
                hands().turns().stream().limit(now + 1L).forEach(t -> {
                    t.remove().forEach(in::remove);
                    in.addAll(t.place());
                    drilled.addAll(t.drill());
                });
            case RIVET -> riveted(drilled, holds, now, in, set);
        }
        Map<Id.Hole, HoleState> states = new HashMap<>();
        state(states, set, in, drilled);
        return new Playing(face, locate, row, now, work, Map.copyOf(states), in.size());
    }

    private void state(Map<Id.Hole, HoleState> states, Set<Integer> set, Set<Integer> in, Set<Integer> drilled) {
        for (int n = 1; n <= row.holes().size(); n++) {
            states.put(
                    row.holes().get(n - 1).hole().id(),
                    set.contains(n)
                            ? HoleState.SET
                            : in.contains(n)
                                    ? HoleState.CLECOED
                                    : drilled.contains(n) ? HoleState.DRILLED : HoleState.PLANNED);
        }
    }

    private void riveted(Set<Integer> drilled, Holds holds, int now, Set<Integer> in, Set<Integer> set) {
        for (int n = 1; n <= row.holes().size(); n++) {
            drilled.add(n);
        }
        riveting(holds).stream().limit(now + 1L).forEach(s -> {
            s.pull().forEach(in::remove);
            in.addAll(s.place());
            set.addAll(s.set());
        });
    }

    private Playing located(int now) {
        Map<Id.Hole, HoleState> states = new HashMap<>();
        locate.steps().stream()
                .limit(now + 1L)
                .forEach(s -> s.holes().forEach(h -> states.put(h.hole().id(), HoleState.CLECOED)));
        return new Playing(face, locate, row, now, work, Map.copyOf(states), states.size());
    }

    /** The step in one sentence; with two people, what each does. */
    public String sentence(Snapshot snapshot, Unit unit) {
        if (work == Work.LOCATE) {
            return locate.steps().isEmpty()
                    ? "Nothing to locate: the bin is too small even for every 64th hole, or every hole is set."
                    : (locate.steps().get(step).every() > 1
                                    ? "Every " + locate.steps().get(step).every()
                                            + Playing.th(
                                                    locate.steps().get(step).every()) + " hole: cleco "
                                    : "Cleco ")
                            + locate.steps().get(step).holes().stream()
                                    .map(h -> h.label())
                                    .collect(Collectors.joining(", "))
                            + ".";
        }
        if (work == Work.RIVET && row.size().isPresent()) {
            return FaceClecos.sentence(row, riveting(snapshot.holds()).get(step));
        }
        if (row.plan().isEmpty()) {
            return "No cleco holds well in a hole of this size: use side clamps or a bolt, and drill with care.";
        }
        if (!row.plan().get().fits()) {
            return "The bin is too small for this: it takes at least "
                    + row.plan().get().least() + " clecos.";
        }
        if (work == Work.DRILL) {
            return FaceClecos.sentence(row, row.plan().get().waves().get(step), snapshot.holds(), unit);
        }
        TwoHands.Turn turn = hands().turns().get(step);
        String first = turn.drill().isEmpty() ? "" : "One drills " + labels(turn.drill()) + ". ";
        String second = (turn.remove().isEmpty() ? "" : "lifts " + labels(turn.remove()))
                + (turn.remove().isEmpty() || turn.place().isEmpty() ? "" : ", ")
                + (turn.place().isEmpty() ? "" : "clecos " + labels(turn.place()));
        return (first + (second.isEmpty() ? "" : "The other " + second + ".")).strip();
    }

    private static String th(int n) {
        return n % 10 == 2 && n != 12 ? "nd" : "th";
    }

    private String labels(List<Integer> numbers) {
        return numbers.stream().map(n -> row.holes().get(n - 1).label()).collect(Collectors.joining(", "));
    }

    /** Why this step. */
    public String why() {
        if (work == Work.LOCATE) {
            return locating();
        }
        if (work == Work.RIVET) {
            return "Set every second hole first, from the middle outward; then pull a cleco and set its hole.";
        }
        return row.plan()
                .filter(ClecoPlan::fits)
                .map(p -> (work == Work.TWO || p.waves().get(step).why().isEmpty()
                                ? ""
                                : capital(p.waves().get(step).why()) + ". ")
                        + capital(p.row().mode().code()) + ": " + p.row().mode().reason() + ". "
                        + row.around())
                .orElse("");
    }

    private String locating() {
        String thin = locate.dense() > locate.wanted()
                ? " The bin holds every " + locate.dense() + th(locate.dense()) + " hole: not more."
                : "";
        return (locate.steps().isEmpty() ? "" : capital(locate.steps().get(step).why()) + ". ")
                + capital(locate.shape().reason()) + "." + thin;
    }

    private static String capital(String text) {
        return text.isEmpty() ? "" : Character.toUpperCase(text.charAt(0)) + text.substring(1);
    }

    /** Clecos in use against the peak and the bin. */
    public String supply(Holds holds) {
        if (work == Work.LOCATE) {
            return locate.sizes().entrySet().stream()
                    .map(e -> e.getKey().name() + " " + e.getKey().colour() + ": " + e.getValue() + " in the end"
                            + bin(e.getKey()))
                    .collect(Collectors.joining(", "));
        }
        int peak = work == Work.RIVET
                ? FaceClecos.rivet(row, holds).peak()
                : row.plan().map(ClecoPlan::peak).orElse(0);
        return row.size()
                .map(s -> {
                    return s.name() + " " + s.colour() + ": " + inUse + ", peak " + peak + bin(s);
                })
                .orElse("");
    }

    private String bin(ClecoSize size) {
        return face.sizes().stream()
                .filter(u -> u.size().equals(size) && u.bin() >= 0)
                .map(u -> " of " + u.bin())
                .findFirst()
                .orElse("");
    }

    /** The row after this one in the face's order; empty at the last. */
    public Optional<Id.Row> next() {
        int i = face.rows().indexOf(row);
        return i + 1 < face.rows().size()
                ? Optional.of(face.rows().get(i + 1).row().id())
                : Optional.empty();
    }
}
