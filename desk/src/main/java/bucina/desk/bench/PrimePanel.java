package bucina.desk.bench;

import bucina.core.log.Mark;
import bucina.core.log.Operation;
import bucina.core.progress.Task;
import bucina.desk.session.Desk;
import bucina.desk.session.Stage;
import java.util.List;

/** Stage Prime: what is primed. */
final class PrimePanel extends WorkPanel {

    private static final List<Choice> TASKS = List.of(new Choice("Primed", Operation.PRIMED, Mark.Side.BOTH));

    /**
     * @param apart opens what is noted before taking apart
     */
    PrimePanel(Desk desk, Runnable apart) {
        super(desk, TASKS, apart);
        ties.on(desk.stageProperty(), (was, now) -> {
            if (now == Stage.PRIME) {
                desk.taskProperty().set(Task.of(Operation.PRIMED));
            }
        });
    }
}
