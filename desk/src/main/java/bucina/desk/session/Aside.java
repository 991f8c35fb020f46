package bucina.desk.session;

import bucina.core.measure.InputException;
import bucina.store.file.BuildFileException;
import java.util.concurrent.Callable;
import java.util.concurrent.CancellationException;
import java.util.concurrent.Executor;
import java.util.function.Consumer;

/** The way off the interface thread and back. What goes wrong comes back as a sentence; faults of ours are recorded. */
public final class Aside {

    private final Executor ui;

    /** @param ui runs on the interface thread */
    public Aside(Executor ui) {
        this.ui = ui;
    }

    /**
     * Runs something long on a thread of its own.
     *
     * @param then    told the outcome, on the interface thread
     * @param refused told the sentence if there is none
     */
    public <T> void run(Callable<T> work, Consumer<T> then, Consumer<String> refused) {
        Thread.ofPlatform().daemon().name("aside").start(() -> {
            try {
                T made = work.call();
                ui.execute(() -> then.accept(made));
            } catch (InputException | BuildFileException | CancellationException e) {
                ui.execute(() -> refused.accept(e.getMessage()));
            } catch (Exception | OutOfMemoryError | StackOverflowError e) {
                String sentence = FaultLog.write("aside", e) + " Nothing was changed.";
                ui.execute(() -> refused.accept(sentence));
            }
        });
    }
}
