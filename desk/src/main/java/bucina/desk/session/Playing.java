package bucina.desk.session;

import bucina.core.cleco.ClecoPlan;
import bucina.core.cleco.Mode;
import bucina.core.cleco.TwoHands;
import bucina.core.log.HoleState;
import bucina.core.measure.Unit;
import bucina.core.plan.Id;
import bucina.core.progress.FaceClecos;
import bucina.core.stack.HoleReading;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * A row's cleco plan as it is played on the sheet. Immutable.
 *
 * @param face    the plan of the whole face
 * @param row     the row played
 * @param step    which step is shown, from 0
 * @param two     true if the steps are shared by two people
 * @param states  of the row's holes while this step is done
 * @param inUse   clecos in the row then
 */
public record Playing(FaceClecos face, FaceClecos.RowPlan row, int step, boolean two, Map<Id.Hole, HoleState> states, int inUse) {

    /** Plans the face and begins with a row. */
    public static Playing of(Snapshot snapshot, bucina.core.catalogue.Catalogue catalogue, Id.Face on, Optional<Id.Row> at, Optional<Mode> mode, int nearest,
                             boolean two) {
        FaceClecos plan = FaceClecos.of(snapshot.face(on), snapshot.holds(), catalogue.clecos(), snapshot.build().stock(), mode, nearest);
        FaceClecos.RowPlan row = plan.rows().stream().filter(r -> at.equals(Optional.of(r.row().id()))).findFirst().orElse(plan.rows().getFirst());
        return new Playing(plan, row, 0, two, Map.of(), 0).at(0);
    }

    /** How many steps the row takes. */
    public int steps() {
        return two ? hands().turns().size() : row.plan().map(p -> p.waves().size()).orElse(0);
    }

    private TwoHands hands() {
        return row.plan().map(TwoHands::of).orElse(new TwoHands(List.of()));
    }

    /** The same at another step, kept within the plan. */
    public Playing at(int wished) {
        int last = Math.max(0, steps() - 1);
        int now = Math.clamp(wished, 0, last);
        Set<Integer> in = new HashSet<>();
        Set<Integer> drilled = new HashSet<>();
        if (two) {
            List<TwoHands.Turn> turns = hands().turns();
            for (int i = 0; i <= now && i < turns.size(); i++) {
                turns.get(i).remove().forEach(in::remove);
                in.addAll(turns.get(i).place());
                drilled.addAll(turns.get(i).drill());
            }
        } else {
            List<ClecoPlan.Wave> waves = row.plan().map(ClecoPlan::waves).orElse(List.of());
            for (int i = 0; i <= now && i < waves.size(); i++) {
                in.addAll(waves.get(i).place());
                drilled.addAll(waves.get(i).drill());
                if (i < now) {
                    waves.get(i).remove().forEach(in::remove);
                }
            }
        }
        Map<Id.Hole, HoleState> states = new HashMap<>();
        for (int n = 1; n <= row.holes().size(); n++) {
            HoleReading r = row.holes().get(n - 1);
            states.put(r.hole().id(), in.contains(n) ? HoleState.CLECOED : drilled.contains(n) ? HoleState.DRILLED : HoleState.PLANNED);
        }
        return new Playing(face, row, now, two, Map.copyOf(states), in.size());
    }

    /** The step in one sentence; with two people, what each does. */
    public String sentence(Snapshot snapshot, Unit unit) {
        if (row.plan().isEmpty()) {
            return "No cleco holds well in a hole of this size: use side clamps or a bolt, and drill with care.";
        }
        if (!row.plan().get().fits()) {
            return "The bin is too small for this: it takes at least " + row.plan().get().least() + " clecos.";
        }
        if (!two) {
            return FaceClecos.sentence(row, row.plan().get().waves().get(step), snapshot.holds(), unit);
        }
        TwoHands.Turn turn = hands().turns().get(step);
        String first = turn.drill().isEmpty() ? "" : "One drills " + labels(turn.drill()) + ". ";
        String second = (turn.remove().isEmpty() ? "" : "lifts " + labels(turn.remove())) + (turn.remove().isEmpty() || turn.place().isEmpty() ? "" : ", ")
                + (turn.place().isEmpty() ? "" : "clecos " + labels(turn.place()));
        return first + (second.isEmpty() ? "" : "The other " + second + ".");
    }

    private String labels(List<Integer> numbers) {
        return numbers.stream().map(n -> row.holes().get(n - 1).label()).collect(Collectors.joining(", "));
    }

    /** Why this step. */
    public String why() {
        return row.plan().filter(ClecoPlan::fits).map(p -> (two || p.waves().get(step).why().isEmpty() ? "" : capital(p.waves().get(step).why()) + ". ")
                + capital(p.row().mode().code()) + ": "
                + p.row().mode().reason() + ".").orElse("");
    }

    private static String capital(String text) {
        return text.isEmpty() ? "" : Character.toUpperCase(text.charAt(0)) + text.substring(1);
    }

    /** Clecos in use against the peak and the bin. */
    public String supply() {
        return row.size().map(s -> {
            String bin = face.sizes().stream().filter(u -> u.size().equals(s) && u.bin() >= 0).map(u -> " of " + u.bin()).findFirst()
                    .orElse("");
            return s.name() + " " + s.colour() + ": " + inUse + ", peak " + row.plan().map(ClecoPlan::peak).orElse(0) + bin;
        }).orElse("");
    }

    /** The row after this one in the face's order; empty at the last. */
    public Optional<Id.Row> next() {
        int i = face.rows().indexOf(row);
        return i + 1 < face.rows().size() ? Optional.of(face.rows().get(i + 1).row().id()) : Optional.empty();
    }
}
