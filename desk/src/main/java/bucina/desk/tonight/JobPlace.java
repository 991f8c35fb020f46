package bucina.desk.tonight;

import bucina.core.job.Job;
import bucina.core.plan.Hand;
import bucina.core.plan.Id;
import bucina.core.plan.Part;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import bucina.desk.sheet.PartMap;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Insets;
import javafx.scene.layout.VBox;

/** Where a job is done: on which parts, and where they lie. */
final class JobPlace {

    private static final double MAP = 440;

    private JobPlace() {}

    /** Where it is: the face with the part lit up. */
    static Optional<VBox> map(Desk desk, Job job) {
        Optional<Part> part = parts(desk, job).stream().findFirst();
        Optional<Id.Face> face = job.place()
                .map(p -> p.face().id())
                .or(() -> part.flatMap(p -> desk.session().snapshot().parts().faces(p.id()).stream()
                        .map(f -> f.id())
                        .findFirst()));
        return face.filter(f -> part.isPresent()).map(f -> {
            VBox box = new VBox(
                    8,
                    new PartMap(desk, f, part.orElseThrow().id(), MAP, MAP),
                    Ui.wrapped(
                            desk.snapshot().face(f).face().name() + ", "
                                    + desk.snapshot().face(f).face().viewed(),
                            "soft"));
            box.setPadding(new Insets(30, 0, 0, 20));
            box.setMaxWidth(MAP);
            return box;
        });
    }

    /** The parts it is done on, the first three. */
    static List<Part> parts(Desk desk, Job job) {
        if (job.part().isPresent()) {
            return List.of(job.part().get());
        }
        return job.place().stream()
                .flatMap(p -> p.layers().stream())
                .map(l -> desk.session().snapshot().build().part(l.part()))
                .distinct()
                .limit(3)
                .toList();
    }

    /** A part as it is stamped: name, number, hand. */
    static String stamped(Part part) {
        String hand = part.particulars().hand() == Hand.NONE
                ? ""
                : ", " + part.particulars().hand().word();
        String number = part.particulars().number();
        return part.name() + (number.isEmpty() ? "" : "  " + number) + hand;
    }
}
