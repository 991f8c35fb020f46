package bucina.pictures;

import bucina.core.measure.Length;
import bucina.core.plan.Bay;
import bucina.core.plan.Build;
import bucina.core.plan.Gaging;
import bucina.core.plan.Id;
import bucina.core.plan.Workshop;
import bucina.desk.app.DeskWindow;
import bucina.desk.session.Desk;
import bucina.desk.session.Stage;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javafx.scene.Scene;
import javafx.scene.control.TextField;

/** What is proved and closed out. */
final class ProofPoses {

    private ProofPoses() {}

    static void poses(Map<String, Runnable> poses, Desk desk, DeskWindow window, Scene scene) {
        poses.put("to-prove", () -> {
            desk.stageProperty().set(Stage.PROVE);
            Poses.pick(desk, "Main spar web", "R1", 4);
        });
        poses.put("prove", () -> ((TextField) scene.lookup("#prove-head")).setText(".145x.050"));
        poses.put("to-close-out", () -> desk.session().plan("naming a bay", ProofPoses::bay, () -> {}, s -> {}));
        poses.put("close-out", () -> window.cards().closeOut());
        poses.put("in-doubt", () -> window.cards().doubts());
        poses.put("photographs", () -> window.cards().photos());
        poses.put("put-away", () -> window.cards().putAway());
    }

    private static Build bay(Build b) {
        Bay bay = new Bay(
                new Id.Bay(b.nextId()),
                "Nose bay",
                List.of(b.named("Upper skin").orElseThrow().id()),
                Set.of(
                        b.named("Main spar").orElseThrow().id(),
                        b.named("Hinge plate").orElseThrow().id()),
                "",
                List.of("the hinge bolts, striped"),
                List.of("drillings"),
                Optional.empty());
        Gaging horn = new Gaging(
                new Id.Gaging(b.nextId() + 1),
                "Hinge arm to skin, full travel",
                Gaging.Kind.CLEARANCE,
                Gaging.In.LENGTH,
                Optional.empty(),
                Optional.of(Length.in(.125).nanometres()),
                Optional.empty(),
                Optional.of(bay.id()),
                "");
        Workshop shop = b.workshop().with(bay).with(horn);
        return b.withWorkshop(shop, b.nextId() + 2);
    }
}
