package bucina.desk.bench;

import bucina.core.log.Mark;
import bucina.core.log.Operation;
import bucina.core.measure.LengthFormat;
import bucina.core.progress.DressList;
import bucina.core.stack.HoleReading;
import bucina.core.state.Snapshot;
import bucina.desk.look.Palette;
import bucina.desk.look.Ui;
import bucina.desk.section.SectionView;
import bucina.desk.session.Desk;
import bucina.desk.session.Progress;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** Stage Dress: dimples and countersinks, with the hole cut through, and how the holes of the face are dressed. */
final class DressPanel extends WorkPanel {

    private static final List<TaskList.Choice> TASKS = List.of(
            new TaskList.Choice("Dimpled", Operation.DIMPLED, Mark.Side.BOTH),
            new TaskList.Choice("Countersunk", Operation.COUNTERSUNK, Mark.Side.BOTH),
            new TaskList.Choice("Cleared to size", Operation.CLEARED, Mark.Side.BOTH),
            new TaskList.Choice("Primed", Operation.PRIMED, Mark.Side.BOTH));

    private final SectionView section = new SectionView();
    private final Label cut = Ui.wrapped("", "soft");

    /**
     * @param apart opens what is noted before taking apart
     */
    DressPanel(Desk desk, Runnable apart) {
        super(desk, TASKS, apart);
        section.setPrefHeight(134);
        section.setMinHeight(134);
        section.set(0);
        section.setId("dress-section");
        cut.setId("dress-cut");
        getChildren().addAll(0, List.of(section, cut));
    }

    @Override
    public void use(Palette colours, double scale) {
        section.use(colours, scale);
    }

    @Override
    void fill() {
        cut();
        super.fill();
    }

    @Override
    void more(Progress progress) {
        dress(progress.dress());
    }

    /** The hole looked at cut through, and what is done to each of its sheets. */
    private void cut() {
        Optional<HoleReading> hole = desk.cursor();
        Ui.shown(section, hole.isPresent());
        Ui.shown(cut, hole.isPresent());
        hole.ifPresent(h -> {
            var sheets = desk.snapshot().sheets(h.layers());
            section.show(
                    Optional.of(h.solution()),
                    sheets.stream().map(s -> s.name()).toList(),
                    sheets.stream().map(s -> s.hatch()).toList(),
                    desk.unit());
            section.describe();
            plies(h, sheets);
        });
    }

    private void plies(HoleReading h, List<Snapshot.Sheet> sheets) {
        List<String> words = new ArrayList<>();
        for (int i = 0; i < h.solution().dressing().plies().size(); i++) {
            var ply = h.solution().dressing().plies().get(i);
            words.add((i < sheets.size() ? sheets.get(i).name() : "layer " + (i + 1)) + " "
                    + LengthFormat.decimal(ply.thickness(), desk.unit(), 3) + " "
                    + ply.dress().word());
        }
        cut.setText(String.join(", ", words) + ".");
    }

    /** How the holes are dressed: what comes first, what needs care, then the rest. */
    private void dress(DressList list) {
        below.getChildren().add(Ui.label("How they are dressed", "strong"));
        Stream.concat(list.first().stream(), list.ways().stream()).forEach(w -> way(w));
    }

    private void way(DressList.Way w) {
        Button pick = Ui.button(
                w.holes().size() + (w.holes().size() == 1 ? " hole" : " holes"),
                "",
                () -> pick(w.holes()),
                "dress-pick");
        pick.setAccessibleText(w.title() + ", pick its " + w.holes().size() + " holes");
        Label name = Ui.wrapped(w.title(), "strong");
        HBox.setHgrow(name, Priority.ALWAYS);
        name.setMaxWidth(Double.MAX_VALUE);
        HBox line = new HBox(6, name, pick);
        line.setAlignment(Pos.CENTER_LEFT);
        VBox box = new VBox(
                0,
                line,
                Ui.wrapped(
                        w.detail().in(desk.unit()),
                        switch (w.level()) {
                            case ERROR -> "stop-text";
                            case WARNING -> "attention-text";
                            case NOTE -> "soft";
                        }));
        below.getChildren().add(box);
    }
}
