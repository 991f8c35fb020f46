package bucina.core.job;

import bucina.core.plan.Fastener;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import java.util.List;
import java.util.function.IntUnaryOperator;
import java.util.function.ToIntFunction;

/** P1n: the screw holes first, then the plate is drilled on its screw; the screws last. */
final class PlateDemands {

    private final Around around;
    private final FaceJobs face;
    private final IntUnaryOperator place;
    private final ToIntFunction<Id.Part> fit;
    private final Edges edges;

    /**
     * @param place the number of a run's job
     * @param fit   the number of the job that puts a part on to be drilled; -1 if there is none
     */
    PlateDemands(Around around, FaceJobs face, IntUnaryOperator place, ToIntFunction<Id.Part> fit, Edges edges) {
        this.around = around;
        this.face = face;
        this.place = place;
        this.fit = fit;
        this.edges = edges;
    }

    void lay() {
        if (around.plates().isEmpty()) {
            return;
        }
        List<Layer> plates = face.ref().face().layers().stream()
                .filter(l -> around.plates().contains(l.part()))
                .toList();
        for (FaceJobs.Chain screw : face.chains()) {
            Fastener fastener = screw.hole().solution().fastener();
            if (fastener instanceof Fastener.Hardware && !fastener.permanent()) {
                plates.stream()
                        .filter(l ->
                                l.outline().box().contains(screw.hole().hole().at()))
                        .forEach(l -> plate(screw, l));
            }
        }
    }

    private void plate(FaceJobs.Chain screw, Layer plate) {
        String name = around.parts().part(plate.part()).name();
        for (List<Integer> steps : screw.sheets()) {
            steps.stream()
                    .filter(s -> s >= 0 && face.runs().get(s).op.throughStack())
                    .forEach(s -> edges.add(
                            place.applyAsInt(s),
                            fit.applyAsInt(plate.part()),
                            "P1n",
                            "the screw holes are drilled before " + name + " are screwed on"));
        }
        for (FaceJobs.Chain lug : face.chains()) {
            if (lug.hole().layers().contains(plate)) {
                edges.add(
                        place.applyAsInt(lug.set()),
                        place.applyAsInt(screw.set()),
                        "P1n",
                        "the lugs are set before the screws go in");
            }
        }
    }
}
