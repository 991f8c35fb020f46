package bucina.desk.session;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.measure.InputException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;

class LatestTest {

    private final BlockingQueue<Runnable> ui = new LinkedBlockingQueue<>();
    private final Latest latest = new Latest(new Aside(ui::add));
    private final List<String> worked = Collections.synchronizedList(new ArrayList<>());
    private final List<String> told = new ArrayList<>();

    private void turn() throws InterruptedException {
        Runnable next = ui.poll(20, TimeUnit.SECONDS);
        assertThat(next).as("something came back").isNotNull();
        next.run();
    }

    private void ask(String wish, CountDownLatch until) {
        latest.ask(
                () -> {
                    worked.add(wish);
                    until.await();
                    return wish;
                },
                told::add,
                told::add);
    }

    @Test
    void of_wishes_that_come_faster_than_they_are_answered_only_the_last_is_worked_out_and_told() throws Exception {
        CountDownLatch go = new CountDownLatch(1);
        ask("first", go);
        ask("second", go);
        ask("third", go);
        ask("last", go);

        go.countDown();
        turn();
        turn();

        assertThat(worked).containsExactly("first", "last");
        assertThat(told).containsExactly("last");
        assertThat(ui).isEmpty();
    }

    @Test
    void what_is_dropped_is_not_told_and_the_next_wish_is() throws Exception {
        CountDownLatch go = new CountDownLatch(1);
        ask("dropped", go);
        latest.drop();
        go.countDown();
        turn();
        assertThat(told).isEmpty();

        ask("asked again", go);
        turn();
        assertThat(told).containsExactly("asked again");
    }

    @Test
    void a_refusal_comes_as_its_sentence() throws Exception {
        latest.<String>ask(
                () -> {
                    throw new InputException("a pitch must be over 0, was 0");
                },
                told::add,
                told::add);
        turn();

        assertThat(told).containsExactly("a pitch must be over 0, was 0");
    }
}
