package bucina.desk.app;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.guard.Owed;
import bucina.core.log.Labour;
import bucina.core.log.Operation;
import bucina.core.log.Tightened;
import bucina.core.plan.Bay;
import bucina.core.plan.Fastener;
import bucina.core.plan.Id;
import bucina.core.plan.OwnOrder;
import bucina.desk.session.Selection;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;

/** Bolts, bays and what a change would do, in the window. */
class BoltsTest extends OnWindow {

    @Start
    void start(Stage stage) throws IOException {
        open(stage);
    }

    @Stop
    void stop() throws InterruptedException {
        shut();
    }

    private void hinge(FxRobot robot, bucina.desk.session.Stage stage) throws Exception {
        robot.interact(() -> face("Main spar web"));
        robot.type(KeyCode.F3);
        robot.interact(() -> desk.stageProperty().set(stage));
        robot.interact(() -> desk.selectionProperty()
                .set(Selection.row(
                        desk.face(),
                        hole("R12.1").row().id(),
                        Optional.of(hole("R12.1").hole().id()))));
        settle(robot);
    }

    private static void go(FxRobot robot) {
        robot.press(KeyCode.CONTROL).type(KeyCode.ENTER).release(KeyCode.CONTROL);
    }

    private int entries() {
        return session.snapshot().log().entries().size();
    }

    private void logged(FxRobot robot, int more) throws Exception {
        int before = entries();
        go(robot);
        until(() -> entries() == before + more);
        settle(robot);
    }

    /** Puts the four hinge bolts in. */
    private void put(FxRobot robot) throws Exception {
        desk.prefs().keep("who", "M. Oake");
        hinge(robot, bucina.desk.session.Stage.SET);
        write(robot, "#log-who", "M. Oake");
        write(robot, "#log-minutes", "6");
        write(robot, "#log-explanation", "reamed on the bench");
        robot.interact(() -> robot.lookup("#log-panel").query().requestFocus());
        logged(robot, 1);
    }

    /** What the last entry says of torque. */
    private Optional<Tightened> tightened() {
        Labour last = session.snapshot().log().entries().getLast().labour().orElseThrow();
        return ((Labour.Holes) last.what()).sweeps().getFirst().tightened();
    }

    @Test
    void hinge_bolts_are_set_torqued_with_their_drag_and_striped_and_the_entry_says_the_total(FxRobot robot)
            throws Exception {
        put(robot);
        hinge(robot, bucina.desk.session.Stage.SET);
        assertThat(says(robot, "4 bolts AN4-6A in, not torqued")).isTrue();
        assertThat(says(robot, "2 regular under the nut")).isTrue();
        write(robot, "#bolt-torque", "90");
        write(robot, "#bolt-drag", "8");
        go(robot);
        until(robot, "is not within 50 to 70 in-lb");
        write(robot, "#bolt-torque", "60");
        assertThat(text(robot, "#bolt-total")).isEqualTo("Set the wrench to 60 + 8 drag = 68 in-lb");
        logged(robot, 1);
        assertThat(tightened()).contains(new Tightened(60, 8));
        assertThat(says(robot, "4 bolts AN4-6A in, not striped")).isTrue();
        logged(robot, 1);
        assertThat(Owed.openAfterSet(hole("R12.1"), session.snapshot().log())).isEmpty();
        assertThat(session.snapshot().log().marks())
                .filteredOn(m -> m.operation() == Operation.STRIPED)
                .hasSize(4);
    }

    @Test
    void bench_mode_asks_for_torque_and_drag_and_takes_nothing_off_the_table(FxRobot robot) throws Exception {
        put(robot);
        robot.push(KeyCode.F2);
        settle(robot);
        until(() -> first(robot).isPresent());
        String soonest = first(robot).orElseThrow();
        robot.interact(() -> session.plan(
                "torquing first",
                b -> b.withWorkshop(
                        b.workshop()
                                .with(new OwnOrder(
                                        new Id.Order(b.nextId()),
                                        "torque:MW-3:R12:-",
                                        soonest,
                                        Optional.empty(),
                                        "the wrench is lent")),
                        b.nextId() + 1),
                () -> {},
                sentence -> {}));
        until(() -> torque(robot) >= 0);
        robot.interact(() -> {
            ListView<?> list = robot.lookup("#evening-list").queryAs(ListView.class);
            list.getSelectionModel().select(torque(robot));
            list.requestFocus();
        });
        robot.push(KeyCode.ENTER).push(KeyCode.ENTER);
        settle(robot);
        robot.push(KeyCode.ENTER);
        until(() -> robot.lookup("#evening-typed").tryQuery().isPresent());
        assertThat(robot.lookup("#evening-typed").queryAs(TextField.class).getText())
                .isEqualTo("50 + ");
        write(robot, "#evening-typed", "60");
        robot.push(KeyCode.ENTER);
        until(robot, "drag");
        int before = entries();
        write(robot, "#evening-typed", "60 + 8");
        robot.push(KeyCode.ENTER);
        until(() -> entries() == before + 1);
        assertThat(tightened()).contains(new Tightened(60, 8));
    }

    private static Optional<String> first(FxRobot robot) {
        return ((List<?>) robot.lookup("#evening-list").queryAs(ListView.class).getItems())
                .stream()
                        .map(j -> j.toString().replaceAll("(?s)^.*?id=([^,]*),.*$", "$1"))
                        .findFirst();
    }

    /** The place of the job of torquing in the list of the evening; -1 if it is not there. */
    private static int torque(FxRobot robot) {
        List<?> jobs = robot.lookup("#evening-list").queryAs(ListView.class).getItems();
        for (int i = 0; i < jobs.size(); i++) {
            if (jobs.get(i).toString().contains("id=torque:")) {
                return i;
            }
        }
        return -1;
    }

    @Test
    void a_temporary_bolt_is_said_and_taken_back_at_its_holes(FxRobot robot) throws Exception {
        hinge(robot, bucina.desk.session.Stage.SET);
        robot.interact(() -> robot.lookup("#log-temporary").queryButton().fire());
        until(robot, "temporary bolt in: its own is owed");
        assertThat(session.snapshot().log().marks())
                .filteredOn(m -> m.operation() == Operation.TEMPORARY)
                .hasSize(4);
        robot.interact(() -> robot.lookup("#log-temporary").queryButton().fire());
        until(() -> !says(robot, "temporary bolt in: its own is owed"));
    }

    @Test
    void how_a_bolt_is_fitted_and_a_row_set_is_said_under_change(FxRobot robot) throws Exception {
        hinge(robot, bucina.desk.session.Stage.STUDY);
        robot.type(KeyCode.E);
        settle(robot);
        commit(robot, "#group-nut", "wing");
        until(robot, "\"wing\" is no nut for 1/4-28");
        commit(robot, "#group-nut", "castle:.25");
        until(() -> hole("R12.1").solution().afterSet().contains(Operation.PINNED));
        choose(robot, "#group-reamed", 1);
        until(() -> reamed());
        choose(robot, "#group-wet", 1);
        until(() -> hole("R12.1").group().holes().wet());
        commit(robot, "#group-head-why", "the wrench gets there");
        until(() -> hole("R12.1").group().holes().headWhy().equals("the wrench gets there"));
        commit(robot, "#group-callout", "4x rivet nut M6, body 9, hole 9.1, grip 0.5-3, stroke 3 mm");
        until(() -> hole("R12.1").solution().fastener() instanceof Fastener.RivetNut);
        until(robot, "holds .0197 in to .1181 in; the stack is .251 in: it spins, or does not clamp.");
    }

    private boolean reamed() {
        return hole("R12.1").solution().fastener() instanceof Fastener.Hardware h
                && h.bolting().reamed();
    }

    private void commit(FxRobot robot, String field, String text) throws Exception {
        write(robot, field, text);
        robot.interact(() -> robot.lookup(field).query().requestFocus());
        robot.type(KeyCode.ENTER);
        settle(robot);
    }

    private void choose(FxRobot robot, String box, int at) throws Exception {
        robot.interact(
                () -> robot.lookup(box).queryComboBox().getSelectionModel().select(at));
        settle(robot);
    }

    @Test
    void a_job_of_ones_own_on_a_part_in_a_bay_is_one_of_its_points(FxRobot robot) throws Exception {
        robot.press(KeyCode.CONTROL).type(KeyCode.L).release(KeyCode.CONTROL);
        robot.interact(() ->
                robot.lookup("#work-kind").queryComboBox().getSelectionModel().select(1));
        write(robot, "#work-name", "Run the line");
        write(robot, "#work-parts", "Hinge plat");
        robot.clickOn("#work-keep");
        until(robot, "there is no part \"Hinge plat\"");
        write(robot, "#work-parts", "Hinge plate");
        robot.clickOn("#work-keep");
        until(() -> session.snapshot().build().workshop().jobs().stream()
                .anyMatch(j -> j.name().equals("Run the line") && j.parts().size() == 1));
    }

    @Test
    void a_bay_is_made_by_names_and_its_holes_say_so_in_study(FxRobot robot) throws Exception {
        hinge(robot, bucina.desk.session.Stage.STUDY);
        robot.press(KeyCode.CONTROL).type(KeyCode.H).release(KeyCode.CONTROL);
        robot.interact(() ->
                robot.lookup("#bay-which").queryComboBox().getSelectionModel().selectLast());
        write(robot, "#bay-name", "Hinge bay");
        write(robot, "#bay-closers", "Rot cuff");
        go(robot);
        until(robot, "there is no part \"Rot cuff\"");
        write(robot, "#bay-closers", "Root cuff");
        write(robot, "#bay-inside", "Hinge plate");
        go(robot);
        until(robot, "Root cuff closes it last. Open inside:");
        until(robot, "MW-3: 4 not set");
        assertThat(session.snapshot().build().workshop().bays())
                .extracting(Bay::name)
                .contains("Hinge bay");
        robot.type(KeyCode.ESCAPE);
        until(robot, "set, torque, stripe first: Root cuff closes Hinge bay");
    }

    @Test
    void a_part_that_would_go_on_at_another_time_is_looked_at_first_and_then_made_so(FxRobot robot) throws Exception {
        robot.press(KeyCode.CONTROL).type(KeyCode.T).release(KeyCode.CONTROL);
        robot.interact(() -> {
            ComboBox<?> which = robot.lookup("#what-if-which").queryComboBox();
            for (int i = 0; i < which.getItems().size(); i++) {
                if (which.getItems().get(i).toString().contains("Main rib 3")) {
                    which.getSelectionModel().select(i);
                }
            }
        });
        write(robot, "#what-if-number", "x");
        until(robot, "was \"x\"");
        write(robot, "#what-if-number", "88");
        until(() -> !robot.lookup("#what-if-make").queryButton().isDisabled());
        assertThat(says(robot, "Between jobs: ")).isTrue();
        go(robot);
        until(() -> session.snapshot().build().parts().stream().anyMatch(p -> p.fittingOrder() == 88));
    }
}
