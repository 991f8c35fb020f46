package bucina.desk.app;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.plan.Bar;
import bucina.core.plan.Id;
import bucina.core.plan.Packed;
import bucina.core.plan.Standing;
import bucina.core.plan.StoresItem;
import bucina.core.stores.Balance;
import bucina.store.file.BuildFile;
import java.io.IOException;
import java.util.List;
import javafx.event.ActionEvent;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.input.Clipboard;
import javafx.scene.input.KeyCode;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;

/** The Stores room: counted, ticked off, ordered, forecast. */
class StoresTest extends OnWindow {

    @Start
    void start(Stage stage) throws IOException {
        open(stage);
    }

    @Stop
    void stop() throws InterruptedException {
        shut();
    }

    private void stores(FxRobot robot) throws Exception {
        robot.push(KeyCode.F6);
        until(() -> !robot.lookup("#hardware-list")
                .queryAs(ListView.class)
                .getItems()
                .isEmpty());
    }

    private static void press(FxRobot robot, String id) {
        robot.interact(() -> robot.lookup(id).queryAs(Button.class).fire());
    }

    /** Types into a field and presses Enter there. */
    private static void enter(FxRobot robot, String id, String text) {
        robot.interact(() -> {
            TextField field = robot.lookup(id).queryAs(TextField.class);
            field.requestFocus();
            field.setText(text);
            field.fireEvent(new ActionEvent());
        });
    }

    private StoresItem item(String designation) {
        return Balance.kept(session.snapshot().build(), designation).orElseThrow();
    }

    private Packed line(String number) {
        return session.snapshot().build().workshop().packing().stream()
                .filter(p -> p.number().equals(number))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void a_stranger_sees_what_is_short_what_it_blocks_and_what_to_order_in_three_actions(FxRobot robot)
            throws Exception {
        stores(robot);
        assertThat(says(robot, "2 lacking")).as("what is short").isTrue();
        int second = 1;
        robot.interact(() -> robot.lookup("#hardware-list")
                .queryAs(ListView.class)
                .getSelectionModel()
                .select(second));
        until(robot, "MS27039-0806");
        String blocks = "Runs out at set 8, Lower skin, R31, after \\d+ jobs: 2 of it go without\\."
                + " \\d+ jobs? waits?, \\d+ are free meanwhile\\.";
        assertThat(robot.lookup("#hardware-detail .label")
                        .match((Label l) -> l.getText().matches(blocks))
                        .tryQuery())
                .as("what it blocks")
                .isPresent();
        press(robot, "#stores-order");
        until(robot, "8 to set, 1 spare (none driven yet, so 5.0 % is reckoned to be rejected); 6 on hand.");
        robot.interact(() -> robot.lookup("#order-for")
                .queryAs(ComboBox.class)
                .getSelectionModel()
                .selectLast());
        until(() -> says(robot, "8 to set, 1 spare"));
    }

    @Test
    void what_is_counted_and_bought_is_on_the_disk_and_orders_follow(FxRobot robot) throws Exception {
        stores(robot);
        robot.interact(() -> {
            ListView<?> list = robot.lookup("#hardware-list").queryAs(ListView.class);
            for (int i = 0; i < list.getItems().size(); i++) {
                if (((Balance.Item) list.getItems().get(i)).designation().equals("MS27039-0806")) {
                    list.getSelectionModel().clearAndSelect(i);
                }
            }
        });
        enter(robot, "#stores-kit", "twelve");
        until(robot, "the count of MS27039-0806 is a whole number like 420, was \"twelve\"");
        assertThat(item("MS27039-0806").kit()).isEqualTo(6);
        enter(robot, "#stores-kit", "7");
        until(() -> item("MS27039-0806").kit() == 7);
        enter(robot, "#stores-bin", "tin 2");
        until(() -> item("MS27039-0806").bin().equals("tin 2"));
        write(robot, "#stores-bought", "20");
        enter(robot, "#stores-from", "the airfield shop");
        until(() -> item("MS27039-0806").boughtInAll() == 20);
        until(robot, "Enough is there, spare and all.");
        try (BuildFile disk = BuildFile.openToRead(file)) {
            assertThat(Balance.kept(disk.read().build(), "MS27039-0806").orElseThrow())
                    .isEqualTo(item("MS27039-0806"));
        }
        robot.interact(() -> robot.lookup("#hardware-list").query().requestFocus());
        robot.push(KeyCode.CONTROL, KeyCode.Z);
        until(() -> item("MS27039-0806").boughtInAll() == 0);
    }

    @Test
    void what_is_scanned_is_ticked_off_and_what_is_wrong_is_said(FxRobot robot) throws Exception {
        stores(robot);
        press(robot, "#stores-check-in");
        assertThat(line("DS-142").found()).isEqualTo(Packed.Found.NOT_YET);
        enter(robot, "#check-scan", "ds-142");
        until(() -> line("DS-142").found().count().filter(n -> n == 1).isPresent());
        until(() ->
                robot.lookup("#check-scan").queryAs(TextField.class).getText().isEmpty());
        enter(robot, "#check-scan", "DS-000");
        until(robot, "\"DS-000\" is on no line of the packing list: type a number or a name as the list has it.");
        enter(robot, "#check-scan", "DS-142");
        until(() -> line("DS-142").found().count().filter(n -> n == 2).isPresent());
        until(robot, "It is more than the list says.");
        enter(robot, "#packed-gauge", ".07x");
        until(() -> !robot.lookup("#packed-detail .stop-text").queryAll().isEmpty());
        press(robot, "#check-letter");
        robot.interact(() -> assertThat(Clipboard.getSystemClipboard().getString())
                .contains("DS-142  Gust lock plate  (crate 3): 2 were there, the list has 1.")
                .contains("DS-141  Trim horn doubler  (crate 2): it measures .050 in, called for is .063 in."));
    }

    @Test
    void a_part_that_is_not_there_is_short_and_says_what_waits(FxRobot robot) throws Exception {
        Id.Part cuff =
                session.snapshot().parts().named("Root cuff").orElseThrow().id();
        robot.interact(() ->
                session.plan("the cuff is back", b -> b.with(b.part(cuff).with(Standing.HERE)), () -> {}, s -> {}));
        until(() -> session.snapshot().build().part(cuff).standing() == Standing.HERE);
        stores(robot);
        press(robot, "#stores-check-in");
        String number = session.snapshot().build().part(cuff).particulars().number();
        robot.interact(() -> {
            ListView<?> list = robot.lookup("#packing-list").queryAs(ListView.class);
            for (int i = 0; i < list.getItems().size(); i++) {
                if (((Packed) list.getItems().get(i)).number().equals(number)) {
                    list.getSelectionModel().clearAndSelect(i);
                }
            }
        });
        press(robot, "#packed-none");
        until(() -> session.snapshot().build().part(cuff).standing() == Standing.SHORT);
        until(() -> robot.lookup("#packed-detail .attention-text").queryAll().stream()
                .anyMatch(n -> ((Label) n)
                        .getText()
                        .matches("Root cuff is short: \\d+ jobs wait, \\d+ are free meanwhile\\.")));
    }

    @Test
    void a_list_is_taken_in_after_what_was_understood_was_said(FxRobot robot) throws Exception {
        stores(robot);
        press(robot, "#stores-check-in");
        press(robot, "#check-list");
        until(() -> robot.lookup("#packing-card").tryQuery().isPresent());
        robot.interact(() -> robot.lookup("#packing-text")
                .queryAs(TextArea.class)
                .setText("Teil;Text;Gewicht\nDS-104;Rear spar;1\n"));
        until(robot, "put headings such as number, name, quantity over the columns");
        assertThat(robot.lookup("#packing-take").queryAs(Button.class).isDisabled())
                .isTrue();
        robot.interact(() -> robot.lookup("#packing-text")
                .queryAs(TextArea.class)
                .setText("Part No;Benennung;Menge;Dicke (mm)\nDS-104;Rear spar;1;0,81\nDS-900;Wheel;2;\n"));
        until(() -> robot.lookup("#packing-card .soft").queryAll().stream()
                .anyMatch(n -> ((Label) n).getText().contains("decimals after a comma")
                        && ((Label) n)
                                .getText()
                                .contains("Rear spar: the list calls for .0319 in, the plan for .040 in.")));
        press(robot, "#packing-take");
        until(() -> session.snapshot().build().workshop().packing().stream()
                .map(Packed::number)
                .toList()
                .equals(List.of("DS-104", "DS-900")));
        assertThat(line("DS-104").found().count()).as("what was found stays").contains(1);
    }

    @Test
    void hours_days_and_weight_say_what_they_rest_on(FxRobot robot) throws Exception {
        stores(robot);
        press(robot, "#stores-done");
        until(() -> robot.lookup("#done-view .soft").queryAll().stream()
                .anyMatch(n -> ((Label) n).getText().contains("The days rest on the last 8 weeks")));
        assertThat(robot.lookup("#fan-plot").query().getAccessibleText()).matches("\\d+ hours left, done between .*");
        write(robot, "#done-by", "soon");
        until(robot, "write a day like 2027-06-01");
        write(robot, "#done-by", "2099-01-01");
        until(robot, "almost certainly");
        press(robot, "#stores-weight");
        until(() -> robot.lookup("#weight-view .label").queryAll().stream()
                .anyMatch(n -> ((Label) n).getText().matches("Together \\d+\\.\\d{3} lb: .*")));
        robot.push(KeyCode.U);
        until(() -> robot.lookup("#weight-view .label").queryAll().stream()
                .anyMatch(n -> ((Label) n).getText().matches("Together \\d+\\.\\d{3} kg: .*")));
    }

    @Test
    void bars_are_put_down_cut_and_what_they_gave_is_wanted_no_more(FxRobot robot) throws Exception {
        stores(robot);
        press(robot, "#stores-shelf");
        until(robot, "Missing: 36.06 spar cap, 4 × 7.56 skin clip. Order 1 bar of 72.00 in.");
        enter(robot, "#bar-section", "angle 3/4 x 3/4");
        enter(robot, "#bar-length", "long");
        until(robot, "\"long\" is not a length");
        write(robot, "#bar-gauge", ".062");
        write(robot, "#bar-bin", "loft");
        enter(robot, "#bar-length", "72");
        until(() -> session.snapshot().build().workshop().bars().size() == 5);
        until(() -> robot.lookup("#shelf-view .label").queryAll().stream()
                .noneMatch(n -> ((Label) n).getText().startsWith("Missing: 36.06")));
        assertThat(session.snapshot().build().workshop().bars().getLast().bin()).isEqualTo("loft");
        until(robot, "of 72.00 in left, loft");
        Bar whole = session.snapshot().build().workshop().bars().get(1);
        press(robot, "#bar-cut-" + whole.id().n());
        until(() -> session.snapshot().build().workshop().bars().get(1).left().in() < 72);
        try (BuildFile other = BuildFile.openToRead(file)) {
            assertThat(other.read().build().workshop().bars())
                    .isEqualTo(session.snapshot().build().workshop().bars());
        }
        robot.interact(() -> session.history().undo(s -> {}));
        until(() -> session.snapshot().build().workshop().bars().get(1).equals(whole));
    }

    @Test
    void a_can_is_taken_out_thaws_and_is_gone_and_clecos_are_counted(FxRobot robot) throws Exception {
        stores(robot);
        press(robot, "#stores-shelf");
        until(() -> robot.lookup("#cleco-owned-3-32").tryQuery().isPresent());
        enter(robot, "#cleco-owned-3-32", "12");
        until(() -> robot.lookup("#cans-side .label").queryAll().stream()
                .anyMatch(n -> ((Label) n).getText().matches("\\d+, \\d+ short")));
        long frozen =
                session.snapshot().build().workshop().cans().getLast().id().n();
        press(robot, "#can-out-" + frozen);
        until(() -> robot.lookup("#cans-side .label").queryAll().stream()
                .anyMatch(n -> ((Label) n).getText().startsWith("Thawing until ")));
        press(robot, "#can-gone-" + frozen);
        until(() -> robot.lookup("#can-gone-" + frozen).tryQuery().isEmpty());
        write(robot, "#can-name", "Sealant class B-4");
        write(robot, "#can-bin", "blue box");
        enter(robot, "#can-use-by", "next year");
        until(robot, "the day it is used by is a day like 2027-06-01, was \"next year\"");
        enter(robot, "#can-use-by", "2026-01-31");
        until(() -> robot.lookup("#cans-side .label").queryAll().stream()
                .anyMatch(n -> ((Label) n).getText().equals("Past its shelf life since 31 Jan 2026.")));
        until(robot, "Sealant class B-4, blue box");
    }

    @Test
    void an_assembly_is_put_on_the_scale(FxRobot robot) throws Exception {
        stores(robot);
        press(robot, "#stores-weight");
        long assembly = session.snapshot().build().assemblies().getFirst().id().n();
        until(() -> robot.lookup("#scale-" + assembly).tryQuery().isPresent());
        enter(robot, "#scale-" + assembly, "heavy");
        until(robot, "is no weight: write it like 4.2 kg");
        enter(robot, "#scale-" + assembly, "7 kg");
        until(() -> robot.lookup("#weight-view .label").queryAll().stream()
                .anyMatch(n -> ((Label) n).getText().matches("2\\.\\d{3} lb more than drawn .*, weighed .*")));
        assertThat(session.snapshot().build().workshop().weighings().getLast().grams())
                .isEqualTo(7000);
    }
}
