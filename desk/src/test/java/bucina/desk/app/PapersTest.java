package bucina.desk.app;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.callout.Callout;
import bucina.core.edit.Edit;
import bucina.core.rule.Rule;
import bucina.core.rule.RuleKey;
import bucina.core.rule.RuleSet;
import bucina.desk.session.Desk;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import javafx.event.ActionEvent;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.Labeled;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;

/** Rules, bulletins, the other hand and bringing in, in the real window. */
class PapersTest extends OnWindow {

    @Start
    void start(Stage stage) throws IOException {
        open(stage);
    }

    @Stop
    void stop() throws InterruptedException {
        shut();
    }

    private void fire(FxRobot robot, String query) throws Exception {
        robot.interact(() -> robot.lookup(query).queryAs(Button.class).fire());
        settle(robot);
    }

    private static void waitFor(FxRobot robot, String words) throws Exception {
        until(() -> says(robot, words));
    }

    private Rule least() {
        return desk.snapshot().build().rules().rule(RuleKey.EDGE_LEAST_FLUSH);
    }

    @Test
    void a_school_chosen_without_a_reason_goes_back_to_the_one_in_force(FxRobot robot) throws Exception {
        robot.interact(() -> desk.roomProperty().set(Desk.Room.RULES));
        String query = "#rule-" + RuleKey.COUNTERSINK_SCHOOL.code().replace('.', '-');
        until(() -> robot.lookup(query).tryQuery().isPresent());
        @SuppressWarnings("unchecked")
        ComboBox<String> box = robot.lookup(query).queryAs(ComboBox.class);
        String before = box.getValue();
        robot.interact(() -> box.setValue(box.getItems().stream()
                .filter(v -> !v.equals(before))
                .findFirst()
                .orElseThrow()));
        until(robot, "written reason");
        assertThat(box.getValue()).isEqualTo(before);
        assertThat(box.getSelectionModel().getSelectedItem()).isEqualTo(before);
        assertThat(box.getChildrenUnmodifiable())
                .anySatisfy(n -> assertThat(n)
                        .isInstanceOfSatisfying(
                                Labeled.class, l -> assertThat(l.getText()).isEqualTo(before)));
    }

    @Test
    void a_rule_is_changed_only_with_a_reason_and_another_set_shows_what_it_would_change(FxRobot robot)
            throws Exception {
        robot.interact(() -> desk.roomProperty().set(Desk.Room.RULES));
        until(() -> robot.lookup("#rule-edge-least-flush").tryQuery().isPresent());
        TextField least = robot.lookup("#rule-edge-least-flush").queryAs(TextField.class);
        robot.interact(() -> {
            least.setText("2");
            least.fireEvent(new ActionEvent());
        });
        settle(robot);
        assertThat(least().value()).isEqualTo("2.5");
        until(robot, "written reason");
        assertThat(least.getText()).isEqualTo("2.5");
        write(robot, "#rules-reason", "drawing note 4 allows it");
        robot.interact(() -> {
            least.requestFocus();
            least.setText("2");
            least.fireEvent(new ActionEvent());
        });
        settle(robot);
        // The same value once refused is taken, and the keyboard stays where it was.
        assertThat(least.isFocused()).isTrue();
        assertThat(least().reason()).isEqualTo("drawing note 4 allows it");
        robot.interact(() -> {
            @SuppressWarnings("unchecked")
            ComboBox<RuleSet> other = robot.lookup("#rules-other").queryAs(ComboBox.class);
            other.requestFocus();
            other.setValue(other.getItems().stream()
                    .filter(r -> r.name().equals("Careful"))
                    .findFirst()
                    .orElseThrow());
        });
        waitFor(robot, "values differ");
        fire(robot, "#rules-take");
        assertThat(desk.snapshot().build().rules().name()).isEqualTo("Careful");
        robot.push(KeyCode.CONTROL, KeyCode.Z);
        settle(robot);
        assertThat(desk.snapshot().build().rules().name()).isEqualTo("handbook");
    }

    @Test
    void a_bulletin_records_what_is_edited_lists_what_is_in_and_is_switched_off_and_on(FxRobot robot) throws Exception {
        robot.push(KeyCode.F8);
        until(() -> robot.lookup("#bulletin-begin").tryQuery().isPresent());
        write(robot, "#bulletin-name", "SL 31-02");
        fire(robot, "#bulletin-begin");
        edited(robot);
        settle(robot);
        waitFor(robot, "MS20426AD4");
        fire(robot, "#bulletin-done");
        waitFor(robot, "20 installed under the old values");
        assertThat(robot.lookup(".struck").queryAllAs(Label.class))
                .anyMatch(l -> l.getText().equals("MS20426AD3"));
        waitFor(robot, "In force.");
        long n = desk.snapshot().build().papers().bulletins().getFirst().id().n();
        fire(robot, "#bulletin-switch-" + n);
        assertThat(desk.snapshot()
                        .build()
                        .group("LS-7")
                        .orElseThrow()
                        .group()
                        .fastener()
                        .name())
                .isEqualTo("MS20426AD3");
        waitFor(robot, "Switched off");
        fire(robot, "#bulletin-switch-" + n);
        assertThat(desk.snapshot()
                        .build()
                        .group("LS-7")
                        .orElseThrow()
                        .group()
                        .fastener()
                        .name())
                .isEqualTo("MS20426AD4");
    }

    private void edited(FxRobot robot) throws Exception {
        robot.interact(() -> desk.session()
                .plan(
                        "editing",
                        b -> Edit.group(
                                b,
                                b.group("LS-7").orElseThrow().group().id(),
                                g -> g.withFastener(
                                        Callout.parse("20× MS20426AD4").fastener(), "20× MS20426AD4")),
                        () -> {},
                        s -> {}));
    }

    @Test
    void the_other_hand_is_made_offered_changes_and_brought_in_line(FxRobot robot) throws Exception {
        robot.push(KeyCode.F8);
        long first = desk.snapshot().build().assemblies().getFirst().id().n();
        waitFor(robot, "is the left hand");
        fire(robot, "#mirror-" + first);
        assertThat(desk.snapshot().build().assemblies()).hasSize(2);
        waitFor(robot, "in line with the other hand");
        robot.interact(() -> desk.session()
                .plan(
                        "editing",
                        b -> Edit.group(b, b.group("US-7").orElseThrow().group().id(), g -> g.withHeadFar(true)),
                        () -> {},
                        s -> {}));
        settle(robot);
        waitFor(robot, "1 difference.");
        fire(robot, "#hands-take");
        assertThat(desk.snapshot().build().group("US-7R").orElseThrow().group().headFar())
                .isTrue();
    }

    @Test
    void a_thickness_is_asked_for_and_an_odd_one_wants_a_second_press(FxRobot robot) throws Exception {
        Path patch = folder.resolve("patch.svg");
        Files.writeString(
                patch,
                "<svg xmlns='http://www.w3.org/2000/svg' width='100mm' height='50mm' viewBox='0 0 100 50'>"
                        + "<rect x='0' y='0' width='100' height='50'/><circle cx='20' cy='20' r='1.6'/></svg>");
        robot.push(KeyCode.I);
        robot.interact(() -> {
            TextField path = robot.lookup("#bring-path").queryAs(TextField.class);
            path.setText(patch.toString());
            path.fireEvent(new ActionEvent());
        });
        waitFor(robot, "1 sheet, 1 hole in 1 row.");
        robot.interact(
                () -> robot.lookup("#bring-name").queryAs(TextField.class).setText("Patch"));
        fire(robot, "#bring-go");
        waitFor(robot, "does not say how thick sheet");
        robot.interact(
                () -> robot.lookup("#bring-thickness").queryAs(TextField.class).setText(".005"));
        fire(robot, "#bring-go");
        waitFor(robot, "would be 0.127 mm thick");
        assertThat(session.history().undoWords()).isEmpty();
        fire(robot, "#bring-go");
        assertThat(desk.face().face().name()).isEqualTo("Patch");
        assertThat(desk.face().face().layers().getFirst().thickness().mm()).isEqualTo(.127);
    }

    @Test
    void a_table_is_previewed_before_anything_changes_and_then_brought_in(FxRobot robot) throws Exception {
        Path table = folder.resolve("measured.csv");
        Files.writeString(table, "x (in);y (in)\n1,5;-1\n2,5;-1\n3;\n", StandardCharsets.UTF_8);
        robot.push(KeyCode.I);
        robot.interact(() -> {
            TextField path = robot.lookup("#bring-path").queryAs(TextField.class);
            path.setText(table.toString());
            path.fireEvent(new ActionEvent());
        });
        waitFor(robot, "0 sheets, 2 holes in 1 row.");
        waitFor(robot, "1 line is left out: it has no place, the first is line 4.");
        assertThat(session.history().undoWords()).isEmpty();
        robot.interact(() -> {
            ComboBox<?> where = robot.lookup("#bring-where").queryAs(ComboBox.class);
            // the last three are for the face that is shown: its holes, its sheets too, a revision
            where.getSelectionModel().select(where.getItems().size() - 3);
        });
        int before = desk.face().size();
        fire(robot, "#bring-go");
        assertThat(desk.face().size()).isEqualTo(before + 2);
    }

    @Test
    void a_long_reading_is_stopped_and_leaves_nothing_behind(FxRobot robot) throws Exception {
        StringBuilder many = new StringBuilder("0\nSECTION\n2\nENTITIES\n");
        for (int i = 0; i < 300_000; i++) {
            many.append("0\nLINE\n8\nA\n10\n")
                    .append(i % 1000)
                    .append("\n20\n")
                    .append(i / 1000)
                    .append("\n11\n")
                    .append(i % 1000 + 1)
                    .append("\n21\n")
                    .append(i / 1000)
                    .append('\n');
        }
        Path drawing = folder.resolve("large.dxf");
        Files.writeString(drawing, many + "0\nENDSEC\n0\nEOF\n");
        robot.push(KeyCode.I);
        robot.interact(() -> {
            TextField path = robot.lookup("#bring-path").queryAs(TextField.class);
            path.setText(drawing.toString());
            path.fireEvent(new ActionEvent());
        });
        robot.interact(() -> robot.lookup("#bring-stop").queryAs(Button.class).fire());
        waitFor(robot, "nothing was brought in");
        assertThat(robot.lookup("#bring-go").queryAs(Button.class).isDisabled()).isTrue();
        assertThat(session.history().undoWords()).isEmpty();
    }
}
