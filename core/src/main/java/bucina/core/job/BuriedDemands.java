package bucina.core.job;

import bucina.core.plan.Face;
import bucina.core.plan.Id;
import bucina.core.plan.Zone;
import bucina.core.sheet.Point;
import java.util.Map;
import java.util.function.IntUnaryOperator;

/** P4 and P5: what covers it, and what is in the way of every tool, comes after it. */
final class BuriedDemands {

    private final Around around;
    private final Map<Id.Part, Map<Op, Integer>> moved;
    private final Edges edges;

    /**
     * @param moved the jobs that move a part
     */
    BuriedDemands(Around around, Map<Id.Part, Map<Op, Integer>> moved, Edges edges) {
        this.around = around;
        this.moved = moved;
        this.edges = edges;
    }

    /**
     * @param job the number of the job of a run
     */
    void lay(FaceJobs face, IntUnaryOperator job) {
        for (int run = 0; run < face.runs().size(); run++) {
            Run of = face.runs().get(run);
            int node = job.applyAsInt(run);
            boolean drilled = of.op != Op.SET && of.op.throughStack();
            of.closes.forEach((part, shut) -> outOfTheWay(part, shut, node, drilled));
        }
        for (FaceJobs.Chain chain : face.chains()) {
            covered(face.ref().face(), chain, job.applyAsInt(chain.set()));
        }
    }

    private int move(Id.Part part, Op op) {
        return moved.getOrDefault(part, Map.of()).getOrDefault(op, -1);
    }

    /** P5: what no tool reaches with a part on comes before the part, or while it is off. */
    private void outOfTheWay(Id.Part part, FaceTools.Shut shut, int set, boolean drilled) {
        int off = move(part, Op.OFF);
        int fit = move(part, Op.FIT);
        int on = move(part, Op.ON);
        // A hole is drilled before what lies over it comes on dry, and set when that is off again.
        edges.add(set, drilled && fit >= 0 || on < 0 ? fit : on, shut.rule(), shut.why());
        if (off >= 0 && !(drilled && fit >= 0)) {
            edges.add(off, set, shut.rule(), shut.why().replace(" once ", " while "));
        }
    }

    /** P4: what a zone says stands behind is a part that is not on for good yet. */
    private void covered(Face plan, FaceJobs.Chain chain, int set) {
        Point at = chain.hole().hole().at();
        for (Zone zone : plan.zones()) {
            if (zone.kind() == Zone.Kind.BEHIND && zone.outline().covers(at)) {
                around.parts()
                        .named(zone.name())
                        .filter(p -> chain.hole().layers().stream()
                                .noneMatch(l -> l.part().equals(p.id())))
                        .ifPresent(p -> edges.add(
                                set,
                                move(p.id(), Op.ON),
                                "P4",
                                p.name() + " stands behind "
                                        + chain.hole().row().name() + " once it is on"));
            }
        }
    }
}
