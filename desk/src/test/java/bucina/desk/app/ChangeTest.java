package bucina.desk.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import bucina.core.form.Additions;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Row;
import bucina.core.plan.Zone;
import bucina.core.rule.Level;
import bucina.core.sheet.Corner;
import bucina.core.sheet.Point;
import bucina.desk.session.Stage;
import bucina.desk.sheet.SheetView;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import javafx.event.ActionEvent;
import javafx.geometry.Point2D;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import org.junit.jupiter.api.Test;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.Start;
import org.testfx.framework.junit5.Stop;

/** Changing the sheet in the real window: by hand and by typed values, with checks while dragging and undo. */
class ChangeTest extends OnWindow {

    @Start
    void start(javafx.stage.Stage stage) throws IOException {
        open(stage);
    }

    @Stop
    void stop() throws InterruptedException {
        shut();
    }

    private void change(FxRobot robot, String face) {
        robot.interact(() -> {
            face(face);
            desk.changingProperty().set(true);
        });
    }

    private static void drag(FxRobot robot, Point2D from, Point2D to) {
        robot.moveTo(from).press(MouseButton.PRIMARY).moveTo(from.midpoint(to)).moveTo(to);
    }

    private Layer layer(String name) {
        return desk.face().face().layers().stream()
                .filter(l -> l.name().startsWith(name))
                .findFirst()
                .orElseThrow();
    }

    private void fire(FxRobot robot, String query) throws Exception {
        robot.interact(() -> robot.lookup(query).queryAs(Button.class).fire());
        settle(robot);
    }

    private void commit(FxRobot robot, String query, String text) throws Exception {
        robot.interact(() -> {
            TextField field = robot.lookup(query).queryAs(TextField.class);
            field.setText(text);
            field.fireEvent(new ActionEvent());
        });
        settle(robot);
    }

    @Test
    void a_hole_is_dragged_snaps_and_is_put_back_by_undo(FxRobot robot) throws Exception {
        change(robot, "Upper skin");
        Point before = hole("R2.10").hole().at();
        Point2D from = at(robot, "R2.10");
        drag(robot, from, from.add(23, -17));
        settle(robot);
        assertThat(hole("R2.10").hole().at()).as("while it is dragged").isNotEqualTo(before);
        assertThat(session.snapshot().build())
                .as("nothing is written yet")
                .isSameAs(session.snapshot().build());
        robot.release(MouseButton.PRIMARY);
        settle(robot);
        Point after = hole("R2.10").hole().at();
        assertThat(after).isNotEqualTo(before);
        boolean onGrid = Math.abs(after.x() / 25.4e6 * 32 - Math.round(after.x() / 25.4e6 * 32)) < 1e-6;
        boolean onLine = desk.face().readings().stream()
                .anyMatch(r -> !r.label().equals("R2.10") && r.hole().at().x() == after.x());
        assertThat(onGrid || onLine).isTrue();
        robot.push(KeyCode.CONTROL, KeyCode.Z);
        settle(robot);
        assertThat(hole("R2.10").hole().at()).isEqualTo(before);
        robot.push(KeyCode.CONTROL, KeyCode.Y);
        settle(robot);
        assertThat(hole("R2.10").hole().at()).isEqualTo(after);
    }

    @Test
    void an_edge_dragged_too_near_shows_its_finding_before_it_is_let_go_and_escape_lets_it_be(FxRobot robot)
            throws Exception {
        change(robot, "Upper skin");
        robot.interact(() ->
                desk.selectionProperty().set(desk.selectionProperty().get().one(hole("R3.20"))));
        SheetView sheet = robot.lookup("#sheet").queryAs(SheetView.class);
        robot.interact(() -> sheet.zoom(4));
        settle(robot);
        Layer strip = layer("Trailing");
        List<Corner> corners = strip.outline().outer().corners();
        Point a = corners.get(0).at();
        Point b = corners.get(1).at();
        Point2D from =
                sheet.localToScreen(sheet.onView(new Point(a.x() * .47 + b.x() * .53, a.y() * .47 + b.y() * .53)));
        drag(robot, from, from.add(2, 26));
        settle(robot);
        assertThat(desk.layer().orElseThrow().name()).isEqualTo("Trailing edge strip");
        assertThat(hole("R3.20").worst()).contains(Level.ERROR);
        assertThat(session.snapshot()
                        .face(desk.face().face().id())
                        .of(hole("R3.20").hole().id())
                        .orElseThrow()
                        .worst())
                .isEmpty();
        robot.push(KeyCode.ESCAPE);
        settle(robot);
        robot.release(MouseButton.PRIMARY);
        settle(robot);
        assertThat(layer("Trailing").outline()).isEqualTo(strip.outline());
        assertThat(session.history().undoWords()).isEmpty();
    }

    @Test
    void the_end_of_a_row_is_dragged_by_its_handle(FxRobot robot) throws Exception {
        change(robot, "Upper skin");
        robot.interact(() ->
                desk.selectionProperty().set(desk.selectionProperty().get().one(hole("R22.1"))));
        Row row = hole("R22.1").row();
        Point2D last = at(robot, row.label(row.holes().getLast()));
        Point2D beside = at(robot, row.label(row.holes().get(row.holes().size() - 2)));
        Point2D way = last.subtract(beside).normalize();
        Point2D handle = last.add(way.multiply(20));
        drag(robot, handle, handle.subtract(way.multiply(12)));
        settle(robot);
        robot.release(MouseButton.PRIMARY);
        settle(robot);
        Row now = hole("R22.1").row();
        assertThat(now.holes().getFirst().at()).isEqualTo(row.holes().getFirst().at());
        assertThat(now.holes().getLast().at())
                .isNotEqualTo(row.holes().getLast().at());
        assertThat(now.holes()).hasSameSizeAs(row.holes());
    }

    @Test
    void typed_values_move_lay_part_join_and_delete(FxRobot robot) throws Exception {
        change(robot, "Upper skin");
        robot.interact(() ->
                desk.selectionProperty().set(desk.selectionProperty().get().one(hole("R1.10"))));
        settle(robot);
        commit(robot, "#hole-x", "11 1/2");
        assertThat(hole("R1.10").hole().at().across().in()).isCloseTo(11.5, within(1e-9));
        commit(robot, "#row-pitch", "40x");
        assertThat(hole("R1.10").row().holes()).hasSize(40);
        robot.interact(() ->
                desk.selectionProperty().set(desk.selectionProperty().get().one(hole("R1.20"))));
        fire(robot, "#row-split");
        assertThat(hole("R1.19").row().holes()).hasSize(19);
        assertThat(desk.cursor().orElseThrow().row().name()).isNotEqualTo("R1");
        robot.interact(() -> {
            @SuppressWarnings("unchecked")
            ComboBox<Row> join = robot.lookup("#row-join").queryAs(ComboBox.class);
            join.setValue(join.getItems().getFirst());
        });
        settle(robot);
        assertThat(desk.cursor().orElseThrow().row().holes()).hasSize(40);
        robot.interact(() -> robot.lookup("#sheet").query().requestFocus());
        robot.push(KeyCode.DELETE);
        settle(robot);
        assertThat(desk.snapshot().build().group("US-1").orElseThrow().group().count())
                .isEqualTo(39);
        commitError(robot);
    }

    private void commitError(FxRobot robot) throws Exception {
        robot.interact(() -> desk.selectionProperty()
                .set(desk.selectionProperty().get().one(desk.face().reading(4))));
        settle(robot);
        commit(robot, "#hole-x", "wide");
        assertThat(robot.lookup(".stop-text").queryAllAs(Label.class))
                .anyMatch(l -> l.isVisible() && l.getText().contains("\"wide\" is not a length"));
    }

    @Test
    void a_sheet_changes_gauge_and_order_and_a_keep_out_is_added_and_seen(FxRobot robot) throws Exception {
        change(robot, "Upper skin");
        Id.Layer skin = layer("Upper skin").id();
        robot.interact(() -> desk.layerProperty().set(Optional.of(skin)));
        settle(robot);
        commit(robot, "#sheet-thickness", ".032");
        assertThat(layer("Upper skin").thickness().in()).isEqualTo(.032);
        fire(robot, "#sheet-farther");
        assertThat(desk.face().face().layers().get(2).name()).isEqualTo("Upper skin");
        fire(robot, "#sheet-fitted");
        assertThat(desk.snapshot().holds().of(hole("R2.5"))).isPresent();
        robot.interact(() -> desk.layerProperty().set(Optional.empty()));
        settle(robot);
        robot.interact(() -> {
            @SuppressWarnings("unchecked")
            ComboBox<Additions.Kind> kind = robot.lookup("#add-kind").queryAs(ComboBox.class);
            kind.setValue(Additions.Kind.KEEP_OUT);
        });
        write(robot, "#add-1", "0, 12");
        write(robot, "#add-2", "3, 14");
        fire(robot, "#add-go");
        assertThat(desk.face().face().zones())
                .singleElement()
                .extracting(Zone::kind)
                .isEqualTo(Zone.Kind.KEEP_OUT);
        assertThat(hole("R2.1").worst()).contains(Level.ERROR);
    }

    @Test
    void callouts_make_groups_and_a_query_that_is_answered_with_its_source(FxRobot robot) throws Exception {
        robot.push(KeyCode.K);
        robot.interact(() -> robot.lookup("#callout-text")
                .queryAs(TextArea.class)
                .setText("18× MS20426AD3-4\nUS-7: 12x MS20426AD3-3.5"));
        fire(robot, "#callout-go");
        assertThat(desk.snapshot().build().group("C-1").orElseThrow().group().callout())
                .isEqualTo("18× MS20426AD3-4");
        var open = desk.snapshot().build().papers().queries().stream()
                .filter(q -> q.open() && q.text().startsWith("C-1"))
                .toList();
        assertThat(open)
                .singleElement()
                .satisfies(q -> assertThat(q.text()).isEqualTo("C-1: the drawing calls for 18, the sheet has 0."));
        robot.push(KeyCode.F8);
        settle(robot);
        long n = open.getFirst().id().n();
        write(robot, "#query-answer-" + n, "left out on this hand");
        fire(robot, "#query-go-" + n);
        assertThat(robot.lookup(".stop-text").queryAllAs(Label.class))
                .anyMatch(l -> l.isVisible() && l.getText().contains("source"));
        write(robot, "#query-answer-" + n, "left out on this hand");
        write(robot, "#query-source-" + n, "Sheet 31 rev D");
        fire(robot, "#query-go-" + n);
        assertThat(desk.snapshot()
                        .queried(desk.snapshot()
                                .build()
                                .group("C-1")
                                .orElseThrow()
                                .group()))
                .isFalse();
    }

    @Test
    void a_finding_is_accepted_with_a_reason_and_stays_on_record(FxRobot robot) throws Exception {
        robot.interact(() -> {
            face("Upper skin");
            desk.selectionProperty().set(desk.selectionProperty().get().one(hole("R11.4")));
        });
        fire(robot, "#accept");
        write(robot, "#accept-who", "M. Oake");
        fire(robot, "#accept-go");
        assertThat(hole("R11.4").worst()).as("no reason yet").isPresent();
        write(robot, "#accept-reason", "drawing shows it so");
        fire(robot, "#accept-go");
        assertThat(hole("R11.4").worst()).isEmpty();
        assertThat(desk.snapshot().build().papers().accepted())
                .singleElement()
                .satisfies(a -> assertThat(a.reason()).isEqualTo("drawing shows it so"));
    }

    @Test
    void a_part_ticked_as_in_place_frees_its_holes_and_the_sheet_is_printed(FxRobot robot) throws Exception {
        robot.interact(() -> desk.session()
                .plan(
                        "taking off",
                        b -> b.withParts(
                                b.parts().stream()
                                        .map(p -> p.name().equals("Root cuff")
                                                        || p.name().equals("Trailing edge strip")
                                                ? p.withFitted(false)
                                                : p)
                                        .toList(),
                                b.nextId()),
                        () -> {},
                        s -> {}));
        robot.push(KeyCode.DIGIT2);
        settle(robot);
        assertThat(desk.stageProperty().get()).isEqualTo(Stage.FIT);
        long before = desk.face().readings().stream()
                .filter(r -> desk.snapshot().holds().of(r).isPresent())
                .count();
        fire(robot, "#print-held");
        Path out = folder.resolve("leave-open.pdf");
        write(robot, "#out-path", out.toString());
        fire(robot, "#out-go");
        until(() -> Files.exists(out));
        robot.push(KeyCode.ESCAPE);
        Id.Part cuff = desk.snapshot().build().parts().stream()
                .filter(p -> p.name().equals("Root cuff"))
                .findFirst()
                .orElseThrow()
                .id();
        robot.interact(() ->
                robot.lookup("#fitted-" + cuff.n()).queryAs(CheckBox.class).fire());
        settle(robot);
        assertThat(desk.face().readings().stream()
                        .filter(r -> desk.snapshot().holds().of(r).isPresent())
                        .count())
                .isLessThan(before)
                .isEqualTo(39);
    }
}
