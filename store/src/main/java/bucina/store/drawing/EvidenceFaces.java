package bucina.store.drawing;

import bucina.core.drawing.Drawing;
import bucina.core.log.HoleState;
import bucina.core.plan.Assembly;
import bucina.core.plan.Group;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.prove.Proving;
import bucina.core.sheet.Box;
import bucina.core.stack.HoleReading;
import java.io.IOException;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Faces as maps, with what is in and what is proved. */
final class EvidenceFaces {

    private static final double MAP = 62;

    private final EvidencePdf.Source source;
    private final Runnable step;

    /**
     * @param step told at each face
     */
    EvidenceFaces(EvidencePdf.Source source, Runnable step) {
        this.source = source;
        this.step = step;
    }

    void assembly(PdfFlow flow, Assembly assembly) throws IOException {
        flow.turn().heading(assembly.name(), 4.4);
        for (var face : assembly.faces()) {
            step.run();
            Map<HoleState, Integer> states = new LinkedHashMap<>();
            List<HoleReading> holes = source.derivation().face(face.id()).readings();
            holes.forEach(h -> states.merge(source.log().state(h.hole(), h.layers()), 1, Integer::sum));
            int set = states.getOrDefault(HoleState.SET, 0) + states.getOrDefault(HoleState.PROVED, 0);
            flow.heading(face.name(), 3);
            flow.text("Seen " + face.viewed() + ". " + set + " of " + holes.size() + " fasteners in, "
                    + states.getOrDefault(HoleState.PROVED, 0) + " heads measured.");
            map(flow, face.layers(), holes);
            groups(flow, face.id(), face.groups());
        }
    }

    private void map(PdfFlow flow, List<Layer> layers, List<HoleReading> holes) throws IOException {
        Optional<Box> box = layers.stream().map(l -> l.outline().box()).reduce(Box::with);
        if (box.isEmpty()) {
            return;
        }
        double scale = Math.min(
                flow.width() / (box.get().width() / 1e6), MAP / (box.get().height() / 1e6));
        double high = box.get().height() / 1e6 * scale;
        double top = flow.room(high + 12) - 3;
        double x0 = PdfFlow.SIDE - box.get().minX() / 1e6 * scale;
        double y0 = top - box.get().maxY() / 1e6 * scale;
        PdfPage page = flow.page();
        page.width(0.15).grey(0.55);
        for (Layer layer : layers) {
            page.path(new Drawing.Path("", layer.outline().outer().corners(), true), x0, y0, scale);
        }
        for (HoleReading r : holes) {
            double x = x0 + r.hole().at().x() / 1e6 * scale;
            double y = y0 + r.hole().at().y() / 1e6 * scale;
            HoleState state = source.log().state(r.hole(), r.layers());
            if (state == HoleState.PROVED) {
                page.grey(0).box(x - .8, y - .8, 1.6, 1.6, true);
            } else if (state.set()) {
                page.grey(0.35).box(x - .5, y - .5, 1, 1, true);
            } else {
                page.grey(0.4).width(.12).box(x - .5, y - .5, 1, 1, false);
            }
        }
        flow.down(high + 5);
        flow.text("Large: in, head measured. Small: in. Boxes: open.", 1.7, 0, .3);
    }

    private void groups(PdfFlow flow, Id.Face face, List<Group> groups) throws IOException {
        double[] widths = {16, 48, 24, 46, 0};
        flow.row(List.of("Group", "Name", "In", "From, to", "Proof"), widths, true);
        for (Group group : groups) {
            Proving proving = Proving.of(source.derivation(), source.log(), face, group);
            String dates = proving.lines().isEmpty()
                    ? ""
                    : proving.lines().stream()
                                    .map(Proving.Line::day)
                                    .min(Comparator.naturalOrder())
                                    .orElseThrow()
                            + ", "
                            + proving.lines().stream()
                                    .map(Proving.Line::day)
                                    .max(Comparator.naturalOrder())
                                    .orElseThrow();
            flow.row(
                    List.of(
                            group.code(),
                            group.name(),
                            source.log().installed(group) + " of " + group.count(),
                            dates,
                            proof(proving)),
                    widths,
                    false);
        }
    }

    private static String proof(Proving p) {
        if (p.lines().isEmpty()) {
            return "";
        }
        long measured = p.lines().stream().filter(l -> l.last().isPresent()).count();
        return measured + " measured, " + p.failed() + " failed"
                + (p.due().isEmpty() ? "" : ", " + p.due().size() + " to measure")
                + (p.open().isEmpty() ? "" : ", " + p.open().size() + " not left");
    }
}
