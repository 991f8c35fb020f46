package bucina.desk.session;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.catalogue.CatalogueReader;
import bucina.core.measure.Length;
import bucina.core.plan.Tool;
import bucina.core.reach.Reach;
import bucina.core.reach.ToolCrib;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What lies over the sheet, with answers that come when the test lets them. */
class OverTest {

    @TempDir
    private Path folder;

    private final BlockingQueue<Runnable> ui = new LinkedBlockingQueue<>();
    private Session session;
    private Desk desk;

    @BeforeEach
    void open() {
        Path file = folder.resolve("demo.bucina");
        Sessions.everythingInPlace(file);
        session =
                Session.open(file, Optional.empty(), CatalogueReader.shipped(), Sessions.CLOCK, Runnable::run, ui::add);
        desk = Sessions.desk(session, folder);
    }

    @AfterEach
    void close() {
        session.close();
    }

    /** Lets answers come until the reach for this work is shown. */
    private void until(Reach.Work work) throws InterruptedException {
        while (!shown().equals(Optional.of(work))) {
            Runnable next = ui.poll(20, TimeUnit.SECONDS);
            assertThat(next).as("an answer, while %s is shown", shown()).isNotNull();
            next.run();
        }
    }

    /** Lets answers come until none does for a while. */
    private void rest() throws InterruptedException {
        for (Runnable next = ui.poll(2, TimeUnit.SECONDS); next != null; next = ui.poll(2, TimeUnit.SECONDS)) {
            next.run();
        }
    }

    private Optional<Reach.Work> shown() {
        return desk.over().reaching().map(Reaching::work);
    }

    @Test
    void a_plan_that_changes_meanwhile_does_not_take_the_wish_back() throws Exception {
        desk.over().reach(Reach.Work.SQUEEZE);
        until(Reach.Work.SQUEEZE);

        List<String> refused = new ArrayList<>();
        session.plan(
                "adding a cage",
                b -> ToolCrib.plus(b, Tool.Kind.STOP_CAGE, "Small cage", List.of(Length.in(.4))),
                () -> {},
                refused::add);
        desk.over().reach(Reach.Work.COUNTERSINK);
        until(Reach.Work.COUNTERSINK);
        assertThat(refused).isEmpty();
    }

    @Test
    void asked_for_twice_before_it_is_there_it_is_put_away() throws Exception {
        desk.over().turnReach();
        desk.over().turnReach();
        rest();
        assertThat(shown()).isEmpty();
        desk.over().turnReach();
        until(Reach.Work.DIMPLE);
    }

    @Test
    void see_it_on_the_sheet_does_not_put_away_what_is_on_its_way_and_escape_does() throws Exception {
        desk.over().turnReach();
        desk.over().showReach();
        until(Reach.Work.DIMPLE);

        desk.over().reach(Reach.Work.SQUEEZE);
        assertThat(desk.over().dropReach()).isTrue();
        rest();
        assertThat(shown()).isEmpty();
        assertThat(desk.over().dropReach()).isFalse();
    }
}
