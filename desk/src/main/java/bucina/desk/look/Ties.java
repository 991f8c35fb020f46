package bucina.desk.look;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BiConsumer;
import javafx.animation.Animation;
import javafx.beans.value.ObservableValue;
import javafx.util.Subscription;

/**
 * What ties a view to things that outlive it: listeners on the desk, clocks that run, bindings. Closed with the view,
 * so
 * that what is put away neither stays in memory nor goes on working. Interface thread only.
 */
public final class Ties implements AutoCloseable {

    private final List<Subscription> ties = new ArrayList<>();
    private boolean closed;

    /** Runs {@code then} when a value has changed, as long as the view is shown. */
    public void on(ObservableValue<?> value, Runnable then) {
        keep(value.subscribe((was, now) -> then.run()));
    }

    /** Tells the old and the new value when a value has changed, as long as the view is shown. */
    public <T> void on(ObservableValue<T> value, BiConsumer<? super T, ? super T> then) {
        keep(value.subscribe(then::accept));
    }

    /** Plays an animation or a clock that stops with the view. */
    public <A extends Animation> A play(A animation) {
        keep(animation::stop);
        animation.play();
        return animation;
    }

    /** Keeps something to be undone when the view is put away. */
    public void keep(Subscription tie) {
        if (closed) {
            tie.unsubscribe();
            return;
        }
        ties.add(tie);
    }

    /** True once it was closed. */
    public boolean closed() {
        return closed;
    }

    @Override
    public void close() {
        closed = true;
        ties.reversed().forEach(Subscription::unsubscribe);
        ties.clear();
    }
}
