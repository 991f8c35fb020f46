package bucina.core.job;

import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Tool;
import bucina.core.reach.Reach;
import bucina.core.reach.Ways;
import bucina.core.rule.RuleKey;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import bucina.core.stack.StackCheck;
import java.util.IdentityHashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/** Which tool of the crib does what at the holes of one face, and which parts take it away. */
final class FaceTools {

    private final Around around;
    private final FaceReading face;
    private final Ways.OnFace ways;
    private final boolean complete;
    private final Map<HoleReading, Map<Id.Part, Shut>> lids = new IdentityHashMap<>();

    /**
     * Why work comes before a part is on.
     *
     * @param rule {@code P4} or {@code P5}
     */
    record Shut(String rule, String why) {}

    FaceTools(Around around, FaceReading face) {
        this.around = around;
        this.face = face;
        this.complete = around.build().workshop().lacking().isEmpty();
        this.ways = new Ways.OnFace(face, around.build(), around.crib());
    }

    /** The ways to a hole, whatever part goes on. */
    Ways to(HoleReading hole, Reach.Work work) {
        return ways.to(hole, work, around::stays, p -> true);
    }

    /** The tool that a fastener is set with; the ways to its hole are put down. */
    Optional<Tool> setting(HoleReading hole, Map<HoleReading, Ways> reached) {
        for (Reach.Work work : Reach.wanted(hole)) {
            if ((work == Reach.Work.SQUEEZE || work == Reach.Work.PULL)
                    && !hole.layers().isEmpty()) {
                Ways to = to(hole, work);
                reached.put(hole, to);
                return to.tools().isEmpty()
                        ? Optional.empty()
                        : Optional.of(to.handiest(hole.group().holes().with()));
            }
        }
        return Optional.empty();
    }

    /** Parts that come to lie over a hole without being joined by it. */
    Map<Id.Part, Shut> lids(HoleReading hole) {
        return lids.computeIfAbsent(hole, this::over);
    }

    private Map<Id.Part, Shut> over(HoleReading hole) {
        Map<Id.Part, Shut> lids = new LinkedHashMap<>();
        StackCheck.over(face.face(), hole)
                .forEach(l ->
                        lids.put(l.part(), new Shut("P4", l.name() + " lies over " + hole.label() + " once it is on")));
        return lids;
    }

    /** A part that takes every tool, or the one that is left when other parts have taken the rest, comes after. */
    Map<Id.Part, Shut> closed(HoleReading hole, Ways to, Optional<Tool> with) {
        Map<Id.Part, Shut> closed = new LinkedHashMap<>();
        to.taken().forEach((part, gone) -> {
            String name = around.parts().part(part).name();
            if (!to.past(part)) {
                closed.put(
                        part,
                        new Shut("P5", "no tool of the crib reaches " + hole.label() + " once " + name + " is on"));
            } else if (with.filter(gone::contains).isPresent()) {
                closed.put(
                        part,
                        new Shut(
                                "P5",
                                with.get().name() + " does not reach " + hole.label() + " once " + name
                                        + " is on, and it is what the job is done with"));
            }
        });
        return closed;
    }

    /** A gun is driven by two where an arm does not reach both sides. */
    boolean twoPeople(HoleReading hole, Optional<Tool> with) {
        return with.filter(t -> t.kind() == Tool.Kind.GUN_AND_BAR || t.kind() == Tool.Kind.BACK_RIVET)
                        .isPresent()
                && farIn(hole);
    }

    private boolean farIn(HoleReading hole) {
        double arm = around.build().rules().length(RuleKey.ACCESS_ARM).nanometres();
        for (int i = 0; i < hole.layers().size(); i++) {
            if (hole.edge(i).nanometres() > arm) {
                return true;
            }
        }
        return false;
    }

    /** Work that no tool in the crib does waits for one. */
    Optional<Hold> lacking(HoleReading hole, Op op) {
        if (complete) {
            return Optional.empty();
        }
        for (Reach.Work work : Reach.wanted(hole)) {
            if (op(work) == op && !work.done(hole, around.crib())) {
                return Optional.of(new Hold(
                        "P5",
                        "there is no tool in the crib for " + work.title() + ": put one in, under Will the tool fit?"));
            }
        }
        return Optional.empty();
    }

    private static Op op(Reach.Work work) {
        return switch (work) {
            case DIMPLE -> Op.DIMPLE;
            case COUNTERSINK -> Op.COUNTERSINK;
            case SQUEEZE, PULL -> Op.SET;
            case TURN -> Op.TORQUE;
        };
    }

    /** The tool for work on one sheet, at the bench or where its part is on for good. */
    Optional<Tool> atBench(Op op, HoleReading hole, Layer layer) {
        if (op != Op.DIMPLE && op != Op.COUNTERSINK) {
            return Optional.empty();
        }
        Optional<Reach.Work> work =
                Reach.wanted(hole).stream().filter(w -> op(w) == op).findFirst();
        boolean bench = !around.stays(layer.part());
        return work.map(w -> ways.to(
                        hole,
                        w,
                        p -> !bench && around.parts().part(p).standing().inPlace(),
                        p -> false))
                .filter(w -> !w.tools().isEmpty())
                .map(w -> w.handiest(Optional.empty()));
    }
}
