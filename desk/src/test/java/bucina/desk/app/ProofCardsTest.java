package bucina.desk.app;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.log.CloseOut;
import bucina.core.log.GaugeCheck;
import bucina.core.log.Labour;
import bucina.core.log.Taken;
import bucina.core.material.Material;
import bucina.core.measure.Length;
import bucina.core.plan.Bay;
import bucina.core.plan.Build;
import bucina.core.plan.Departure;
import bucina.core.plan.Gaging;
import bucina.core.plan.Id;
import bucina.core.plan.Part;
import bucina.core.plan.Pin;
import bucina.core.plan.RunThrough;
import bucina.desk.session.Desk;
import bucina.store.file.BuildFile;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import javafx.event.ActionEvent;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;

/** What is closed out, measured, doubted, photographed and departed from, in the window. */
class ProofCardsTest extends OnWindow {

    private static final String BAY = "Leading edge bay";

    @Start
    void start(Stage stage) throws IOException {
        open(stage);
    }

    @Stop
    void stop() throws InterruptedException {
        shut();
    }

    /** Asks for something by its words. */
    private void ask(FxRobot robot, String words, String card) throws Exception {
        robot.press(KeyCode.CONTROL).type(KeyCode.K).release(KeyCode.CONTROL);
        until(() -> !robot.lookup("#search-card .text-field").queryAll().isEmpty());
        robot.interact(() -> robot.lookup("#search-card .text-field")
                .queryAs(TextField.class)
                .setText(words));
        settle(robot);
        robot.type(KeyCode.ENTER);
        until(() -> !robot.lookup(card).queryAll().isEmpty());
        settle(robot);
    }

    private void press(FxRobot robot, String button) {
        robot.interact(() -> robot.lookup(button).queryAs(Button.class).fire());
    }

    /** A bay of which only what lies in it matters, named in the window: the lid rim, which owes one thing. */
    private void bay(FxRobot robot) throws Exception {
        robot.interact(() -> face("Upper skin"));
        ask(robot, "bays", "#bay-keep");
        write(robot, "#bay-name", BAY);
        write(robot, "#bay-closers", "Upper skin");
        write(robot, "#bay-inside", "Root cuff");
        write(robot, "#bay-photos", "the hinge bolts");
        write(robot, "#bay-loose", "drillings; ");
        press(robot, "#bay-keep");
        until(() -> session.snapshot().build().workshop().bays().size() == 1);
        // Kept again, with a note: nothing of it is lost.
        write(robot, "#bay-notes", "from below");
        press(robot, "#bay-keep");
        until(() -> kept().notes().equals("from below"));
        assertThat(kept().photos()).containsExactly("the hinge bolts");
        assertThat(kept().loose()).containsExactly("drillings");
        robot.type(KeyCode.ESCAPE);
    }

    private static void choose(FxRobot robot, String bay) {
        robot.interact(() ->
                robot.lookup(bay).queryAs(ComboBox.class).getSelectionModel().select(1));
    }

    private Bay kept() {
        return session.snapshot().build().workshop().bays().getFirst();
    }

    private Labour.What last() {
        return session.snapshot()
                .log()
                .entries()
                .getLast()
                .labour()
                .orElseThrow()
                .what();
    }

    @Test
    void a_reading_is_asked_for_taken_at_the_close_out_and_the_bay_signed() throws Exception {
        FxRobot robot = new FxRobot();
        bay(robot);
        ask(robot, "readings with limits", "#gaging-card");
        write(robot, "#gaging-name", "Horn to skin");
        write(robot, "#gaging-least", ".125");
        choose(robot, "#gaging-bay");
        press(robot, "#gaging-add");
        until(() -> session.snapshot().build().workshop().gagings().size() == 1);
        write(robot, "#run-name", "Trim wire");
        write(robot, "#run-size", "1/4");
        write(robot, "#run-through", "Main rib 1, Main rib 2");
        write(robot, "#run-holes", "1/2");
        write(robot, "#run-bushing", "3/8");
        write(robot, "#run-crosses", "the spar cap lies over it");
        choose(robot, "#run-bay");
        press(robot, "#run-add");
        until(() -> session.snapshot().build().workshop().runs().size() == 1);
        fitted(robot, session.snapshot().build().workshop().runs().getFirst());
        taken(robot);
        signed(robot);
    }

    /** What runs through shows its bushing to fit until it is fitted. */
    private void fitted(FxRobot robot, RunThrough run) throws Exception {
        assertThat(run.bay()).contains(kept().id());
        assertThat(run.crosses()).isEqualTo("the spar cap lies over it");
        assertThat(run.stations()).hasSize(2).noneMatch(RunThrough.Station::fitted);
        until(robot, "bushing to fit");
        for (RunThrough.Station station : run.stations()) {
            press(robot, "#run-fitted-" + run.id().n() + "-" + station.part().n());
            until(() -> session.snapshot()
                    .log()
                    .tasks()
                    .done(station.part(), "fit the bushing for Trim wire")
                    .isPresent());
        }
        until(() -> robot.lookup("#gaging-card")
                .lookup((Node n) -> n.getId() != null && n.getId().startsWith("run-fitted-"))
                .queryAll()
                .isEmpty());
    }

    /** The reading with limits is open at the close-out until it is taken there. */
    private void taken(FxRobot robot) throws Exception {
        robot.type(KeyCode.ESCAPE);
        ask(robot, "close out a bay", "#close-out-card");
        until(robot, "Horn to skin: not measured");
        Gaging horn = session.snapshot().build().workshop().gagings().getFirst();
        write(robot, "#close-who", "M. Oake");
        write(robot, "#take-" + horn.id().n(), ".2");
        robot.interact(() ->
                robot.lookup("#take-" + horn.id().n()).queryAs(TextField.class).fireEvent(new ActionEvent()));
        until(() -> session.snapshot().log().entries().getLast().labour().isPresent() && last() instanceof Taken);
    }

    /** Signing wants a reason for each open point and the drillings counted. */
    private void signed(FxRobot robot) throws Exception {
        press(robot, "#close-sign");
        until(robot, "is not signed with points open and no reason");
        int open = robot.lookup(n -> n.getId() != null && n.getId().startsWith("close-reason-"))
                .queryAll()
                .size();
        for (int i = 0; i < open; i++) {
            write(robot, "#close-reason-" + i, "seen from outside");
        }
        press(robot, "#close-sign");
        until(robot, "drillings to count out");
        write(robot, "#count-drillings", "12");
        press(robot, "#close-sign");
        until(() -> last() instanceof CloseOut);
        CloseOut signed = (CloseOut) last();
        assertThat(signed.open()).hasSize(open);
        assertThat(signed.counted()).containsExactly(new CloseOut.Counted("drillings", 0, 12));
        until(robot, "Signed in entry");
    }

    @Test
    void a_wrong_gauge_is_asked_about_and_drift_plotted() throws Exception {
        FxRobot robot = new FxRobot();
        robot.interact(() -> face("Main spar web"));
        ask(robot, "in doubt", "#doubt-card");
        until(robot, "No reading makes anything doubtful.");
        write(robot, "#gauge-which", "caliper 2");
        write(robot, "#gauge-known", "-.1");
        write(robot, "#gauge-read", ".2475");
        write(robot, "#gauge-who", "M. Oake");
        press(robot, "#gauge-keep");
        until(robot, "the known piece");
        write(robot, "#gauge-known", ".25");
        press(robot, "#gauge-keep");
        until(() -> session.snapshot().log().entries().getLast().labour().isPresent()
                && last().equals(new GaugeCheck("caliper 2", Length.in(.25), Length.in(.2475))));
        write(robot, "#recall-value", ".090");
        press(robot, "#recall-go");
        until(robot, "would no longer pass, worst first:");
        write(robot, "#recall-value", "thick");
        press(robot, "#recall-go");
        until(robot, "thick");
    }

    @Test
    void a_departure_is_kept_with_its_reason_and_source() throws Exception {
        FxRobot robot = new FxRobot();
        robot.interact(() -> desk.roomProperty().set(Desk.Room.PAPERS));
        settle(robot);
        write(robot, "#departure-where", "Main rib 3, US-5");
        write(robot, "#departure-what", "a screw instead of a rivet");
        write(robot, "#departure-reason", "no room for the bar");
        press(robot, "#departure-keep");
        until(robot, "who said that it may be");
        write(robot, "#departure-source", "the kit's maker by letter");
        write(robot, "#departure-parts", "Main rib 3");
        press(robot, "#departure-keep");
        until(() -> !session.snapshot().build().papers().departures().isEmpty());
        Departure kept = session.snapshot().build().papers().departures().getFirst();
        assertThat(kept.what()).isEqualTo("a screw instead of a rivet");
        assertThat(kept.parts()).hasSize(1);
        until(robot, "the kit's maker by letter, ");
    }

    @Test
    void pictures_of_a_watched_folder_come_in_and_are_pinned_to_what_the_bay_asks_for() throws Exception {
        FxRobot robot = new FxRobot();
        bay(robot);
        Path camera = Files.createDirectory(folder.resolve("camera"));
        ImageIO.write(
                new BufferedImage(40, 30, BufferedImage.TYPE_INT_RGB),
                "png",
                camera.resolve("bolts.png").toFile());
        ask(robot, "photographs: bring", "#photos-card");
        robot.interact(() -> robot.lookup("#photo-bay")
                .queryAs(ComboBox.class)
                .getSelectionModel()
                .select(1));
        assertThat(robot.lookup("#photo-says").queryAs(TextField.class).getText())
                .isEqualTo("the hinge bolts");
        write(robot, "#photo-folder", camera.toString());
        until(() -> robot.lookup("#photo-fresh").queryAs(Button.class).isVisible());
        assertThat(text(robot, "#photo-fresh")).isEqualTo("Bring in 1 new");
        press(robot, "#photo-fresh");
        until(() -> !session.snapshot().build().workshop().pins().isEmpty());
        Pin pin = session.snapshot().build().workshop().pins().getFirst();
        assertThat(pin.says()).isEqualTo("the hinge bolts");
        assertThat(pin.name()).isEqualTo("bolts.png");
        assertThat(pin.bays()).hasSize(1);
        try (BuildFile open = BuildFile.openToRead(file)) {
            assertThat(open.photo(pin.photo())).isPresent();
        }
        press(robot, "#pin-" + pin.id().n());
        until(robot, "Of " + BAY);
    }

    @Test
    void another_bench_is_brought_together_with_this_one_in_a_new_file() throws Exception {
        FxRobot robot = new FxRobot();
        Path other = folder.resolve("other.bucina");
        Files.copy(file, other);
        try (BuildFile there = BuildFile.open(other)) {
            Build build = there.read().build();
            List<Part> parts = new ArrayList<>(build.parts());
            parts.add(new Part(new Id.Part(build.nextId()), "New there", Material.parse("2024-T3"), 99, true));
            there.save(build.withParts(parts, build.nextId() + 1));
        }
        ask(robot, "two benches", "#merge-card");
        write(robot, "#merge-other", other.toString());
        press(robot, "#merge-go");
        until(robot, "The plan of the second is the newer of one line");
        press(robot, "#merge-open");
        until(() -> !opened.isEmpty());
        try (BuildFile both = BuildFile.openToRead(folder.resolve("demo-together.bucina"))) {
            assertThat(both.read().build().named("New there")).isPresent();
        }
    }

    @Test
    void what_comes_out_again_is_listed_and_kept_as_a_job() throws Exception {
        FxRobot robot = new FxRobot();
        ask(robot, "temporary: bolts", "#temporary-card");
        write(robot, "#temporary-what", "the strap at the root");
        write(robot, "#temporary-parts", "Main spar");
        press(robot, "#temporary-keep");
        until(robot, "Take out the strap at the root");
        press(robot, "#temporary-keep");
        until(robot, "needs a name, such as the strap");
    }
}
