package bucina.desk.bench;

import bucina.core.log.Mark;
import bucina.core.log.Operation;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import bucina.desk.session.Progress;
import java.util.List;

/** Stage Drill: what is drilled and deburred, hole by hole. */
final class DrillPanel extends WorkPanel {

    private static final List<TaskList.Choice> TASKS = List.of(
            new TaskList.Choice("Pilot hole", Operation.PILOT, Mark.Side.BOTH),
            new TaskList.Choice("Match-drilled", Operation.MATCH_DRILLED, Mark.Side.BOTH),
            new TaskList.Choice("Final size", Operation.FINAL_SIZE, Mark.Side.BOTH),
            new TaskList.Choice("Deburred, both sides", Operation.DEBURRED, Mark.Side.BOTH),
            new TaskList.Choice("Deburred, near side", Operation.DEBURRED, Mark.Side.NEAR),
            new TaskList.Choice("Deburred, far side", Operation.DEBURRED, Mark.Side.FAR));

    /**
     * @param apart opens what is noted before taking apart
     */
    DrillPanel(Desk desk, Runnable apart) {
        super(desk, TASKS, apart);
    }

    /** Which blank sheets are drilled through which, with which drill. */
    @Override
    void more(Progress progress) {
        progress.match()
                .forEach(m -> below.getChildren()
                        .add(Ui.wrapped(m.words(desk.session().catalogue().drills(), desk.unit()), "soft")));
        progress.uncalled().forEach(words -> below.getChildren().add(Ui.wrapped(words, "attention-text")));
    }
}
