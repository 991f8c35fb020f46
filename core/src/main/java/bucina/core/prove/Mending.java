package bucina.core.prove;

import bucina.core.dress.Dress;
import bucina.core.dress.Preparation;
import bucina.core.edit.HoleEdits;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.Sentence;
import bucina.core.plan.Deviation;
import bucina.core.plan.Fastener;
import bucina.core.plan.Id;
import bucina.core.rule.Finding;
import bucina.core.rule.Level;
import bucina.core.rule.RuleCode;
import bucina.core.sheet.Box;
import bucina.core.stack.Derivation;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import bucina.core.stack.Solver;
import bucina.core.stack.StackCheck;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/*
 * Design. What may go into a hole is not judged by rules of its own: each rivet is put into the plan, the face is
 * worked out again, and whatever is wrong then at the hole or near it that was not wrong before speaks against it. So
 * edges, pitch, nests, dimples and lengths are judged in every sheet and at every neighbour as they always are.
 */

/**
 * What may go into the hole of one rivet that was drilled out, in its place in the build.
 *
 * @param hole      the hole
 * @param chosen    what may go in
 * @param deviation what the hole has otherwise than its group then; empty where nothing, or where nothing goes in
 * @param then      the hole with it; empty where nothing goes in
 */
public record Mending(
        HoleReading hole, DrillOut.Chosen chosen, Optional<Deviation> deviation, Optional<HoleReading> then) {

    /** Neighbours nearer than this are looked at, nm: three inches. */
    private static final double NEAR = 3 * 25.4e6;

    /** A hole within this of its final size is as drilled, nm. */
    private static final Length AS_DRILLED = Length.in(.0005);

    /**
     * Works it out.
     *
     * @param face     the hole is on
     * @param measured the hole after drilling out, at least D
     * @param why      it had to go; the reason of the deviation
     * @throws InputException if the hole is smaller than the shank, or takes no solid rivet
     */
    public static Mending of(Derivation derivation, Id.Face face, HoleReading hole, Length measured, String why) {
        DrillOut out = drillOut(derivation, hole);
        Trial trial = new Trial(derivation, face, hole, measured, why);
        Fastener.SolidRivet rivet = (Fastener.SolidRivet) hole.solution().fastener();
        DrillOut.Chosen chosen = out.next(
                derivation.catalogue(), derivation.build().rules(), rivet.alloy(), dressed(hole), measured, trial);
        Optional<Deviation> deviation = chosen.option().flatMap(trial::deviation);
        return new Mending(hole, chosen, deviation, chosen.option().map(trial::reading));
    }

    /**
     * How the rivet in a hole is drilled out.
     *
     * @throws InputException if it is no solid rivet, or one for which nothing is tabulated
     */
    public static DrillOut drillOut(Derivation derivation, HoleReading hole) {
        if (!(hole.solution().fastener() instanceof Fastener.SolidRivet rivet)) {
            throw new InputException(hole.label() + " takes " + hole.solution().called()
                    + ": the drill-out is tabulated for solid rivets; take what its maker says");
        }
        return DrillOut.of(derivation.catalogue(), rivet.head(), rivet.shank());
    }

    /** How the sheet under the head is dressed, as the plan has worked it out. */
    private static Preparation dressed(HoleReading hole) {
        if (!hole.solution().fastener().flush()) {
            return Preparation.NONE;
        }
        return hole.solution().dressing().plies().stream()
                .findFirst()
                .filter(p -> p.dress() == Dress.COUNTERSINK)
                .map(p -> Preparation.COUNTERSINK)
                .orElse(Preparation.DIMPLE);
    }

    /** Tries a rivet in the plan. */
    private record Trial(Derivation derivation, Id.Face face, HoleReading hole, Length measured, String why)
            implements DrillOut.Trial {

        @Override
        public List<Finding> against(DrillOut.Option option) {
            Derivation tried = tried(option);
            Set<String> before = new HashSet<>();
            wrong(derivation).forEach(f -> before.add(key(f)));
            List<Finding> against = new ArrayList<>();
            wrong(tried).stream().filter(f -> !before.contains(key(f))).forEach(against::add);
            stock(option).ifPresent(against::add);
            return against;
        }

        private static String key(Finding f) {
            return f.rule().code() + " " + f.place() + " " + f.level();
        }

        private Derivation tried(DrillOut.Option option) {
            return derivation.after(
                    HoleEdits.deviate(derivation.build(), Set.of(hole.hole().id()), deviation(option)));
        }

        HoleReading reading(DrillOut.Option option) {
            return tried(option).face(face).of(hole.hole().id()).orElseThrow();
        }

        /** What is wrong at the hole and near it, and along its row. */
        private List<Finding> wrong(Derivation is) {
            FaceReading reading = is.face(face);
            double x = hole.hole().at().x();
            double y = hole.hole().at().y();
            List<Finding> wrong = new ArrayList<>();
            for (int i : reading.in(new Box(x - NEAR, y - NEAR, x + NEAR, y + NEAR))) {
                wrong.addAll(StackCheck.findings(reading.face(), reading.reading(i)));
            }
            reading.of(hole.hole().id()).ifPresent(h -> wrong.addAll(reading.rowFaults(h.row())));
            return wrong.stream().filter(f -> f.level() != Level.NOTE).toList();
        }

        /** What the hole has otherwise than its group. */
        Optional<Deviation> deviation(DrillOut.Option option) {
            Optional<Deviation> was = hole.hole().deviation();
            boolean same = option.next() == DrillOut.Next.SAME;
            boolean asDrilled =
                    same && measured.minus(hole.solution().hole()).abs().atMost(AS_DRILLED);
            if (asDrilled) {
                return was;
            }
            return Optional.of(new Deviation(
                    same ? Optional.of(measured) : Optional.empty(),
                    same ? was.flatMap(Deviation::fastener) : Optional.of(option.rivet()),
                    same ? was.flatMap(Deviation::preparation) : preparation(option),
                    was.flatMap(Deviation::until),
                    why));
        }

        /** Under a universal head the group's own goes on; a flush one keeps how its sheet is dressed. */
        private static Optional<Preparation> preparation(DrillOut.Option option) {
            return option.rivet().flush() ? Optional.of(option.preparation()) : Optional.empty();
        }

        /** Where rivets are counted, in bins or in the stores, the rivet must be among them. */
        private Optional<Finding> stock(DrillOut.Option option) {
            Optional<String> wanted = reading(option).solution().designation();
            if (wanted.isEmpty() || option.next() == DrillOut.Next.SAME || !counted() || onHand(wanted.get())) {
                return Optional.empty();
            }
            return Optional.of(new Finding(
                    RuleCode.NOT_ON_HAND,
                    Level.ERROR,
                    Finding.Place.NONE,
                    Optional.empty(),
                    Optional.empty(),
                    Solver.PRACTICE,
                    Sentence.of(wanted.get() + " is not on hand by the stock that is counted."),
                    Sentence.of("Count it in, or order it.")));
        }

        /** Clecos in their bins say nothing of rivets. */
        private boolean counted() {
            return derivation.build().stock().keySet().stream().anyMatch(bin -> !bin.startsWith("cleco"))
                    || !derivation.build().workshop().stores().isEmpty();
        }

        private boolean onHand(String designation) {
            return derivation.build().stock().getOrDefault(designation, 0) > 0
                    || derivation.build().workshop().stores().stream()
                            .anyMatch(i ->
                                    i.designation().equalsIgnoreCase(designation) && i.kit() + i.boughtInAll() > 0);
        }
    }
}
