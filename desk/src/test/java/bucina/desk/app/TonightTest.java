package bucina.desk.app;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.evening.Tonight;
import bucina.core.job.Job;
import bucina.core.job.Jobs;
import bucina.core.job.Op;
import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Proof;
import bucina.core.plan.Id;
import bucina.core.plan.OwnOrder;
import bucina.core.stack.HoleReading;
import bucina.desk.session.Desk;
import bucina.desk.session.Evening;
import bucina.store.file.BuildFile;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Labeled;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;

class TonightTest extends OnWindow {

    @Start
    void start(Stage stage) throws IOException {
        open(stage);
    }

    @Stop
    void stop() throws InterruptedException {
        shut();
    }

    private void tonight(FxRobot robot) throws Exception {
        robot.push(KeyCode.F2);
        until(() -> !robot.lookup("#evening-list")
                .queryAs(ListView.class)
                .getItems()
                .isEmpty());
    }

    private Logbook log() {
        return session.snapshot().log();
    }

    /** Confirms and finishes the job that is on: two keys. */
    private void job(FxRobot robot) throws Exception {
        int before = log().entries().size();
        robot.push(KeyCode.ENTER);
        settle(robot);
        robot.push(KeyCode.ENTER);
        until(() -> log().entries().size() == before + 1);
        settle(robot);
    }

    @Test
    void an_evening_goes_from_the_first_screen_to_the_logbook_with_two_keys_a_job(FxRobot robot) throws Exception {
        desk.prefs().keep("who", "M. Oake");
        tonight(robot);
        int planned =
                robot.lookup("#evening-list").queryAs(ListView.class).getItems().size();
        assertThat(planned).isGreaterThan(5);
        robot.push(KeyCode.ENTER);
        int done = 0;
        while (done < 4 || !(log().entries().getLast().labour().orElseThrow().what() instanceof Labour.Holes)) {
            job(robot);
            done++;
        }
        LogEntry last = log().entries().getLast();
        assertThat(last.labour().orElseThrow().who()).isEqualTo("M. Oake");
        assertThat(last.labour().orElseThrow().what()).isInstanceOf(Labour.Holes.class);
        Labour.Sweep sweep =
                ((Labour.Holes) last.labour().orElseThrow().what()).sweeps().getFirst();
        assertThat(sweep.holes())
                .allSatisfy(h -> assertThat(log().marks())
                        .anyMatch(m -> m.hole().equals(h.id()) && m.operation() == sweep.operation() && m.on()));
        try (BuildFile disk = BuildFile.openToRead(file)) {
            assertThat(disk.read().log().entries()).isEqualTo(log().entries());
        }
        robot.push(KeyCode.ESCAPE);
        until(() -> text(robot, "#evening-begin").startsWith("Go on"));
        assertThat(says(robot, "The evening is under way: " + (planned - done) + " jobs left."))
                .isTrue();
    }

    @Test
    void an_evening_that_was_killed_in_the_middle_goes_on_where_it_was(FxRobot robot) throws Exception {
        desk.prefs().keep("who", "M. Oake");
        tonight(robot);
        int planned =
                robot.lookup("#evening-list").queryAs(ListView.class).getItems().size();
        robot.push(KeyCode.ENTER);
        job(robot);
        robot.push(KeyCode.ENTER);
        // The program is killed here: nothing but the file and the settings is left.
        var again = new Evening(desk);
        robot.interact(again::ask);
        until(() -> again.plannedProperty().get().isPresent());
        robot.interact(() -> {
            assertThat(again.underWay()).isTrue();
            assertThat(again.running()).isFalse();
            assertThat(again.rest()).hasSize(planned - 1);
        });
        again.close();
    }

    @Test
    void what_went_wrong_is_in_the_entry_and_who_is_asked_once(FxRobot robot) throws Exception {
        desk.prefs().keep("who", "");
        tonight(robot);
        robot.push(KeyCode.ENTER).push(KeyCode.ENTER);
        until(() -> robot.lookup("#evening-typed").tryQuery().isPresent());
        write(robot, "#evening-typed", "M. Oake");
        robot.push(KeyCode.ENTER);
        settle(robot);
        robot.push(KeyCode.W);
        write(robot, "#evening-typed", "one hole is egged");
        int before = log().entries().size();
        robot.push(KeyCode.ENTER);
        until(() -> log().entries().size() == before + 1);
        assertThat(log().entries().getLast().labour().orElseThrow().note()).isEqualTo("one hole is egged");
        assertThat(log().entries().getLast().labour().orElseThrow().who()).isEqualTo("M. Oake");
    }

    @Test
    void hours_helper_and_what_is_listed_change_the_plan(FxRobot robot) throws Exception {
        tonight(robot);
        ListView<?> list = robot.lookup("#evening-list").queryAs(ListView.class);
        int planned = list.getItems().size();
        for (int i = 0; i < 3; i++) {
            robot.interact(
                    () -> robot.lookup("#evening-less").queryAs(Button.class).fire());
        }
        until(() -> list.getItems().size() < planned);
        assertThat(says(robot, "1.0 h")).isTrue();
        robot.interact(() -> robot.lookup("#evening-show")
                .queryAs(ComboBox.class)
                .getSelectionModel()
                .selectLast());
        settle(robot);
        assertThat(robot.lookup(".list-cell .label")
                        .match((Labeled l) -> l.getText().startsWith("waits: "))
                        .queryAll())
                .isNotEmpty();
    }

    @Test
    void a_job_goes_before_the_one_above_with_a_reason_or_is_refused_with_the_rule(FxRobot robot) throws Exception {
        tonight(robot);
        robot.interact(() -> robot.lookup("#evening-show")
                .queryAs(ComboBox.class)
                .getSelectionModel()
                .select(1));
        settle(robot);
        robot.interact(() -> robot.lookup("#evening-list")
                .queryAs(ListView.class)
                .getSelectionModel()
                .clearAndSelect(2));
        robot.interact(() -> robot.lookup("#order-before").queryAs(Button.class).fire());
        settle(robot);
        assertThat(says(robot, "needs a reason")).isTrue();
        write(robot, "#order-reason", "to see it whole");
        robot.interact(() -> robot.lookup("#order-before").queryAs(Button.class).fire());
        until(() -> session.snapshot().build().workshop().orders().size() == 1);
        String job = session.snapshot().build().workshop().orders().getFirst().job();
        try (BuildFile disk = BuildFile.openToRead(file)) {
            assertThat(disk.read().build().workshop().orders().getFirst().job()).isEqualTo(job);
        }
        settle(robot);
        robot.push(KeyCode.CONTROL, KeyCode.Z);
        until(() -> session.snapshot().build().workshop().orders().isEmpty());
    }

    @Test
    void what_a_rule_wants_first_cannot_be_put_after(FxRobot robot) throws Exception {
        tonight(robot);
        robot.interact(() -> robot.lookup("#evening-show")
                .queryAs(ComboBox.class)
                .getSelectionModel()
                .select(1));
        settle(robot);
        write(robot, "#order-reason", "why not");
        ListView<?> list = robot.lookup("#evening-list").queryAs(ListView.class);
        Jobs jobs = Jobs.of(
                session.snapshot().derivation(), log(), session.snapshot().holds(), session.today());
        int at = -1;
        for (int i = 1; i < list.getItems().size() && at < 0; i++) {
            boolean after = jobs.comesBefore(
                            jobs.place(id(list.getItems().get(i - 1))),
                            jobs.place(id(list.getItems().get(i))))
                    .isPresent();
            at = after ? i : at;
        }
        int place = at;
        assertThat(place).isPositive();
        robot.interact(() -> list.getSelectionModel().clearAndSelect(place));
        robot.interact(() -> robot.lookup("#order-before").queryAs(Button.class).fire());
        settle(robot);
        assertThat(says(robot, "comes first, rule P")).isTrue();
        assertThat(session.snapshot().build().workshop().orders()).isEmpty();
    }

    @Test
    void a_key_that_is_held_begins_an_evening_and_writes_nothing(FxRobot robot) throws Exception {
        desk.prefs().keep("who", "M. Oake");
        tonight(robot);
        int before = log().entries().size();
        robot.interact(() -> held(robot.lookup("#evening-list").query(), 1));
        robot.interact(() -> held(robot.lookup("#evening-run").query(), 8));
        settle(robot);
        assertThat(log().entries()).hasSize(before);
        assertThat(says(robot, "Before you begin: is it this one?")).isTrue();
        robot.interact(() -> robot.lookup("#evening-run")
                .query()
                .fireEvent(new KeyEvent(KeyEvent.KEY_RELEASED, "", "", KeyCode.ENTER, false, false, false, false)));
        robot.interact(() -> held(robot.lookup("#evening-run").query(), 8));
        settle(robot);
        assertThat(robot.lookup("#evening-pause").tryQuery()).isPresent();
        assertThat(log().entries()).hasSize(before);
    }

    private static void held(Node node, int times) {
        for (int i = 0; i < times; i++) {
            node.fireEvent(new KeyEvent(KeyEvent.KEY_PRESSED, "", "", KeyCode.ENTER, false, false, false, false));
        }
    }

    @Test
    void a_job_picked_out_of_its_turn_comes_after_what_must_come_before_it(FxRobot robot) throws Exception {
        var evening = new Evening(desk);
        robot.interact(() -> evening.wish(20, true, Optional.empty()));
        until(() -> evening.plannedProperty().get().isPresent());
        robot.interact(() -> {
            Jobs jobs = evening.plannedProperty().get().orElseThrow().jobs();
            List<Tonight.Stint> stints =
                    evening.plannedProperty().get().orElseThrow().tonight().stints();
            int last = stints.size() - 1;
            while (jobs.demands(jobs.place(stints.get(last).job().id())).isEmpty()) {
                last--;
            }
            evening.begin(last);
            List<String> order = evening.rest().stream().map(s -> s.job().id()).toList();
            int picked = order.indexOf(stints.get(last).job().id());
            assertThat(picked).isPositive().isLessThan(last);
            assertThat(order.subList(0, picked))
                    .allSatisfy(id -> assertThat(jobs.comesBefore(jobs.place(id), jobs.place(order.get(picked))))
                            .isPresent());
        });
        evening.close();
    }

    @Test
    void heads_of_the_evening_are_measured_in_prove_and_come_off_the_list(FxRobot robot) throws Exception {
        desk.prefs().keep("who", "M. Oake");
        var evening = new Evening(desk);
        robot.interact(() -> evening.wish(20, true, Optional.empty()));
        until(() -> evening.plannedProperty().get().isPresent());
        Job job = evening.plannedProperty().get().orElseThrow().tonight().stints().stream()
                .map(Tonight.Stint::job)
                .filter(j -> j.op() == Op.PROVE && j.count() == 1)
                .findFirst()
                .orElseThrow();
        robot.interact(() -> evening.begin(evening.plannedProperty().get().orElseThrow().tonight().stints().stream()
                .map(Tonight.Stint::job)
                .toList()
                .indexOf(job)));
        evening.close();
        tonight(robot);
        robot.push(KeyCode.ENTER);
        until(() -> text(robot, "#evening-next").startsWith("Measure them"));
        robot.push(KeyCode.ENTER);
        until(() -> desk.roomProperty().get() == Desk.Room.SHEET);
        assertThat(desk.stageProperty().get().word()).isEqualTo("Prove");
        HoleReading head = job.place().orElseThrow().holes().getFirst();
        assertThat(desk.cursor().orElseThrow().hole()).isEqualTo(head.hole());
        write(robot, "#prove-head", ".25x.09");
        robot.press(KeyCode.CONTROL).type(KeyCode.ENTER).release(KeyCode.CONTROL);
        until(() -> log().entries()
                .getLast()
                .labour()
                .filter(l -> l.what() instanceof Proof)
                .isPresent());
        robot.push(KeyCode.F2);
        until(() -> !text(robot, "#evening-next").startsWith("Measure them"));
    }

    @Test
    void a_wish_about_a_job_that_is_gone_is_told(FxRobot robot) throws Exception {
        robot.interact(() -> session.plan(
                "a wish",
                b -> b.withWorkshop(
                        b.workshop()
                                .with(new OwnOrder(
                                        new Id.Order(b.nextId()),
                                        "off:Old name",
                                        "off:Upper skin",
                                        Optional.empty(),
                                        "so")),
                        b.nextId() + 1),
                () -> {},
                s -> {}));
        tonight(robot);
        until(robot, "What you said about off:Old name and off:Upper skin holds no more");
        robot.interact(() -> robot.lookup("#order-back").queryAs(Button.class).fire());
        until(() -> session.snapshot().build().workshop().orders().isEmpty());
    }

    private static String id(Object line) {
        return line.toString().replaceAll("^JobLine\\[id=(.*?), words=.*", "$1");
    }
}
