package bucina.desk.session;

import java.util.concurrent.Callable;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;

/**
 * One question that is answered off the interface thread again and again. Of wishes that come faster than they are
 * answered only the last is worked out, and an answer to an older wish is dropped. Interface thread only.
 */
public final class Latest {

    private final Aside aside;
    private long asked;
    private boolean busy;
    private @Nullable Runnable next;

    public Latest(Aside aside) {
        this.aside = aside;
    }

    /**
     * Asks; what was asked before is no longer wanted.
     *
     * @param then    told the answer, unless something else was asked meanwhile
     * @param refused told the sentence if there is none, likewise
     */
    public <T> void ask(Callable<T> work, Consumer<T> then, Consumer<String> refused) {
        long mine = ++asked;
        Runnable start = () -> aside.run(
                work,
                made -> answered(mine, () -> then.accept(made)),
                sentence -> answered(mine, () -> refused.accept(sentence)));
        if (busy) {
            next = start;
        } else {
            busy = true;
            start.run();
        }
    }

    /** Nothing that was asked is wanted any more. */
    public void drop() {
        asked++;
        next = null;
    }

    private void answered(long wish, Runnable tell) {
        Runnable start = next;
        next = null;
        busy = start != null;
        if (start != null) {
            start.run();
        }
        if (wish == asked) {
            tell.run();
        }
    }
}
