package bucina.desk.app;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.desk.card.OutCard;
import bucina.desk.session.Finder;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.ListView;
import javafx.scene.control.TextArea;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;

/** Cards over the sheet: what they find, write out and refuse. */
class CardsTest extends OnWindow {

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

    @SuppressWarnings("unchecked")
    private static ListView<Finder.Hit> hits(FxRobot robot) {
        return robot.lookup("#search-hits").queryAs(ListView.class);
    }

    @Test
    void search_finds_holes_sheets_groups_and_every_command_and_says_when_nothing_is_called_that(FxRobot robot)
            throws Exception {
        robot.push(KeyCode.CONTROL, KeyCode.K);
        for (String[] asked : new String[][] {
            {"R1.9", "R1.9"},
            {"US-4", "US-4"},
            {"doubler", "oubler"},
            {"batches", "Primer and sealant"},
            {"taking apart", "Before taking apart"},
            {"reach on", "Reach on the sheet"},
            {"coupon", "Countersink coupon"},
            {"theme", "Day or night"},
            {"nut pl", "Nut plates"}
        }) {
            write(robot, "#search-box", asked[0]);
            settle(robot);
            assertThat(hits(robot).getItems())
                    .as(asked[0])
                    .anySatisfy(h -> assertThat(h.name()).contains(asked[1]));
        }
        write(robot, "#search-box", "zzzz nothing");
        settle(robot);
        assertThat(hits(robot).getItems()).isEmpty();
        write(robot, "#search-box", "R18.3");
        robot.push(KeyCode.ENTER);
        settle(robot);
        assertThat(desk.cursor().orElseThrow().label()).isEqualTo("R18.3");
        assertThat(robot.lookup("#search-card").tryQuery()).isEmpty();
    }

    @Test
    void stations_run_from_the_first_hole_in_three_ways_to_write_them(FxRobot robot) throws Exception {
        robot.interact(() ->
                desk.selectionProperty().set(desk.selectionProperty().get().one(hole("R18.3"))));
        robot.push(KeyCode.S);
        String text = robot.lookup("#stations-text").queryAs(TextArea.class).getText();
        assertThat(text.lines().toList()).hasSize(8);
        assertThat(text.lines().skip(1).findFirst().orElseThrow().strip()).matches("1 +\\.0000 +0 +0\\.000");
        // Seven holes along 35 in span, from s -1.6 to the rear spar plus 1.4: each line says the same place three
        // times.
        text.lines().skip(1).forEach(line -> {
            String[] cells = line.strip().split("\\s{2,}");
            double inches = Double.parseDouble(cells[1]);
            assertThat(Double.parseDouble(cells[cells.length - 1])).isCloseTo(inches * 25.4, Assertions.within(.002));
        });
        robot.push(KeyCode.ESCAPE);
        assertThat(robot.lookup("#stations-card").tryQuery()).isEmpty();
    }

    @Test
    @SuppressWarnings("unchecked")
    void what_is_written_out_is_there_and_nothing_that_was_there_is_written_over(FxRobot robot) throws Exception {
        robot.interact(() ->
                desk.selectionProperty().set(desk.selectionProperty().get().one(hole("R1.9"))));
        robot.push(KeyCode.X);
        for (OutCard.What what : OutCard.What.values()) {
            Path to = folder.resolve(what.name().toLowerCase(Locale.ROOT) + ".out");
            robot.interact(
                    () -> robot.lookup("#out-what").queryAs(ComboBox.class).setValue(what));
            write(robot, "#out-path", to.toString());
            fire(robot, "#out-go");
            until(() -> says(robot, "Written to " + to + "."));
            byte[] first = Files.readAllBytes(to);
            assertThat(first.length).as(what.name()).isGreaterThan(200);
            fire(robot, "#out-go");
            until(robot, "exists already");
            assertThat(Files.readAllBytes(to)).isEqualTo(first);
        }
        write(robot, "#out-path", " ");
        fire(robot, "#out-go");
        until(robot, "No file is named: write where it goes, like rib-4.");
        write(
                robot,
                "#out-path",
                folder.resolve("no such folder").resolve("x.csv").toString());
        fire(robot, "#out-go");
        until(robot, "no such folder");
    }

    @Test
    void callouts_say_what_they_would_do_as_they_are_typed_and_what_cannot_be_read(FxRobot robot) throws Exception {
        robot.push(KeyCode.K);
        TextArea text = robot.lookup("#callout-text").queryAs(TextArea.class);
        assertThat(robot.lookup("#callout-go").queryAs(Button.class).isDisabled())
                .isTrue();
        robot.interact(() -> text.setText("48x MS20426AD3-4\nsome nonsense"));
        assertThat(robot.lookup("#callout-go").queryAs(Button.class).isDisabled())
                .isTrue();
        until(robot, "some nonsense");
        int groups = desk.face().face().groups().size();
        robot.interact(() -> text.setText("12x MS20470AD4-5"));
        fire(robot, "#callout-go");
        assertThat(desk.face().face().groups()).hasSize(groups + 1);
        robot.interact(() -> session.history().undo(s -> {}));
        settle(robot);
        assertThat(desk.face().face().groups()).hasSize(groups);
    }

    @Test
    void a_typed_stack_answers_at_once_refuses_in_words_and_is_added(FxRobot robot) throws Exception {
        robot.push(KeyCode.N);
        write(robot, "#typed-layers", ".032, .040, .063");
        write(robot, "#typed-diameter", "1/8");
        assertThat(says(robot, "MS20426AD4-") || says(robot, "MS20470AD4-5")).isTrue();
        write(robot, "#typed-layers", ".032, thick");
        until(robot, "thick");
        write(robot, "#typed-layers", ".032, .040");
        write(robot, "#typed-count", "0");
        fire(robot, "#typed-go");
        assertThat(robot.lookup("#typed-card").tryQuery()).isPresent();
        write(robot, "#typed-count", "6");
        write(robot, "#typed-name", "Bracket");
        int groups = desk.face().face().groups().size();
        fire(robot, "#typed-go");
        assertThat(desk.face().face().groups()).hasSize(groups + 1);
        assertThat(desk.face().face().groups().getLast().name()).isEqualTo("Bracket");
    }
}
