package bucina.desk.session;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bucina.core.catalogue.CatalogueReader;
import bucina.core.rule.RuleKey;
import bucina.store.file.Copies;
import bucina.store.file.Loss;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Copies made by and by, and builds opened from them. */
class CopyKeeperTest {

    @TempDir
    private Path folder;

    private final BlockingQueue<Runnable> ui = new LinkedBlockingQueue<>();
    private Instant time = Instant.parse("2026-11-24T12:00:00Z");
    private CopyWish wish = CopyWish.USUAL;
    private Path file;
    private Session session;

    @BeforeEach
    void open() {
        file = folder.resolve("demo.bucina");
        Sessions.everythingInPlace(file);
        session = opened();
    }

    private Session opened() {
        Clock clock = ((InstantSource) () -> time).withZone(ZoneOffset.UTC);
        return Session.open(file, Optional.empty(), CatalogueReader.shipped(), clock, Runnable::run, ui::add);
    }

    @AfterEach
    void close() {
        session.close();
    }

    private void change(String length) throws InterruptedException {
        List<String> done = new ArrayList<>();
        session.plan(
                "changing a rule",
                b -> b.withRules(b.rules().with(RuleKey.LAP_BACK, length, "stiff skin")),
                () -> done.add("saved"),
                done::add);
        while (done.isEmpty()) {
            turn();
        }
        assertThat(done).containsExactly("saved");
    }

    private void turn() throws InterruptedException {
        Runnable next = ui.poll(20, TimeUnit.SECONDS);
        assertThat(next).isNotNull();
        next.run();
    }

    /** Looks until nothing is on its way any more. */
    private int looked() throws InterruptedException {
        while (session.copies().look(wish)) {
            turn();
        }
        return wish.of(file).of(file).size();
    }

    @Test
    void a_copy_is_made_when_the_build_was_written_to_and_the_last_one_is_old_enough() throws Exception {
        change("4 in");
        assertThat(looked()).isEqualTo(1);
        change("5 in");
        time = time.plus(Duration.ofHours(23));
        assertThat(looked()).isEqualTo(1);
        time = time.plus(Duration.ofHours(1));
        assertThat(looked()).isEqualTo(2);
        time = time.plus(Duration.ofDays(9));
        assertThat(looked()).as("nothing was written since").isEqualTo(2);
        session.close();
        session = opened();
        assertThat(looked()).as("known from the copy itself").isEqualTo(2);
        change("6 in");
        assertThat(looked()).isEqualTo(3);
    }

    @Test
    void as_many_stay_as_wished_and_none_is_made_unasked_where_that_is_wished() throws Exception {
        wish = new CopyWish(Optional.of(folder.resolve("stick")), CopyWish.Every.HOUR, 2, 0);
        for (int i = 0; i < 3; i++) {
            change((i + 4) + " in");
            looked();
            time = time.plus(Duration.ofHours(1));
        }
        assertThat(wish.of(file).of(file)).hasSize(2);
        wish = new CopyWish(wish.folder(), CopyWish.Every.ASKED, 2, 0);
        change("8 in");
        assertThat(wish.of(file).of(file).getFirst().made().getHour()).isEqualTo(14);
        looked();
        assertThat(wish.of(file).of(file).getFirst().made().getHour()).isEqualTo(14);
    }

    @Test
    void a_folder_that_is_not_there_is_said_once_and_tried_again_later() throws Exception {
        Path stick = folder.resolve("stick");
        Files.writeString(stick, "not a folder");
        wish = new CopyWish(Optional.of(stick), CopyWish.Every.HOUR, 2, 0);
        change("4 in");
        assertThat(looked()).isZero();
        assertThat(session.notices().statusProperty().get()).contains("No copy was made", stick.toString());
        session.say("something else");
        looked();
        assertThat(session.notices().statusProperty().get()).isEqualTo("something else");
        Files.delete(stick);
        time = time.plus(Duration.ofMinutes(11));
        assertThat(looked()).isEqualTo(1);
    }

    @Test
    void a_copy_is_only_read_and_gone_back_to_with_what_lay_there_kept() throws Exception {
        change("4 in");
        looked();
        Path copy = wish.of(file).of(file).getFirst().path();
        change("5 in");
        session.close();
        Prefs prefs = Prefs.in(folder.resolve("prefs"));
        Opened look = Opened.now(new ToOpen.Copy(copy, file), prefs, Runnable::run, ui::add);
        assertThat(look.session().readOnly()).isTrue();
        assertThat(look.session().notices().statusProperty().get()).contains("This is a copy of 2026-11-24");
        assertThat(prefs.last()).contains(file);
        look.close();
        Opened file = Opened.now(new ToOpen.File(copy), prefs, Runnable::run, ui::add);
        assertThat(file.session().readOnly()).isTrue();
        file.close();

        try (WindowLock other = WindowLock.of(this.file)) {
            assertThat(other.onlyReads()).isEmpty();
            ToOpen back = new ToOpen.Back(copy, this.file);
            assertThatThrownBy(() -> Opened.now(back, prefs, Runnable::run, ui::add))
                    .hasMessageContaining("Open in another window");
        }
        Opened back = Opened.now(new ToOpen.Back(copy, this.file), prefs, Runnable::run, ui::add);
        assertThat(back.session().readOnly()).isFalse();
        assertThat(back.session().path()).isEqualTo(this.file);
        assertThat(back.session().notices().statusProperty().get())
                .contains("Gone back to the copy", "demo.before-copy-");
        assertThat(lap(back.session())).isEqualTo("4 in");
        back.close();
        session = opened();
    }

    private List<CopyKeeper.Offer> offered(Session of) throws InterruptedException {
        List<CopyKeeper.Offer> offers = new ArrayList<>();
        of.copies().offers(wish, offers::addAll, s -> {
            throw new AssertionError(s);
        });
        turn();
        return offers;
    }

    @Test
    void while_a_copy_is_looked_at_what_would_be_lost_is_told_against_the_build() throws Exception {
        change("4 in");
        looked();
        Path copy = wish.of(file).of(file).getFirst().path();
        change("5 in");
        assertThat(offered(session))
                .extracting(CopyKeeper.Offer::words)
                .containsExactly("Lost would be the changes of the plan.");
        Prefs prefs = Prefs.in(folder.resolve("prefs"));
        Opened look = Opened.now(new ToOpen.Copy(copy, file), prefs, Runnable::run, ui::add);
        ui.clear();
        assertThat(look.session().copies().build()).contains(file);
        assertThat(offered(look.session()))
                .extracting(CopyKeeper.Offer::words)
                .containsExactly("Lost would be the changes of the plan.");
        look.session().copies().now(wish, made -> {}, s -> prefs.keep("refused", s));
        assertThat(wish.of(file).of(file))
                .as("a copy is not copied as if it were newer")
                .hasSize(1);
        look.close();
    }

    @Test
    void a_copy_opened_as_a_file_takes_no_place_of_a_build_that_nobody_named() throws Exception {
        change("4 in");
        looked();
        Path copy = wish.of(file).of(file).getFirst().path();
        Prefs prefs = Prefs.in(folder.resolve("prefs"));
        prefs.keep("last", file.toString());
        Opened opened = Opened.now(new ToOpen.File(copy), prefs, Runnable::run, ui::add);
        ui.clear();
        assertThat(opened.session().copies().ofACopy()).isTrue();
        assertThat(opened.session().copies().build()).isEmpty();
        assertThat(offered(opened.session())).isEmpty();
        opened.close();
    }

    private static String lap(Session session) {
        return session.snapshot().build().rules().rule(RuleKey.LAP_BACK).value();
    }

    @Test
    void the_last_good_copy_of_a_damaged_build_is_found_with_what_would_be_lost() throws Exception {
        change("4 in");
        looked();
        change("5 in");
        session.close();
        byte[] bytes = Files.readAllBytes(file);
        bytes[bytes.length - 200] ^= 4;
        Files.write(file, bytes);
        CopyKeeper.Offer offer = CopyKeeper.lastGood(wish, file).orElseThrow();
        assertThat(Copies.made(offer.copy().path())).isPresent();
        assertThat(offer.words()).isEqualTo("Lost would be the changes of the plan.");
        Sessions.everythingInPlace(file);
    }

    @Test
    void what_would_be_lost_is_told_in_words() {
        assertThat(LossWords.of(new Loss(List.of(3, 4, 5, 7, 9, 10), OptionalInt.of(1), Loss.Plan.CHANGED, true)))
                .isEqualTo("Lost would be entries 3 to 5, 7, 9, 10, 1 mark, the changes of the plan.");
        assertThat(LossWords.of(new Loss(List.of(12), OptionalInt.empty(), Loss.Plan.SAME, true)))
                .isEqualTo("Lost would be entry 12. Whether marks were added since cannot be read any more.");
        assertThat(LossWords.of(new Loss(List.of(), OptionalInt.empty(), Loss.Plan.UNKNOWN, false)))
                .isEqualTo("Whether entries or marks or changes of the plan were added since cannot be read any more.");
        assertThat(LossWords.of(new Loss(List.of(), OptionalInt.of(0), Loss.Plan.SAME, true)))
                .isEqualTo("Nothing would be lost.");
    }

    @Test
    void a_wish_is_kept_and_one_that_makes_no_sense_is_as_usual() throws IOException {
        Prefs prefs = Prefs.in(folder.resolve("prefs"));
        assertThat(prefs.copies()).isEqualTo(CopyWish.USUAL);
        CopyWish other = new CopyWish(Optional.of(folder), CopyWish.Every.WEEK, 3, 30);
        prefs.keep(other);
        assertThat(Prefs.in(folder.resolve("prefs")).copies()).isEqualTo(other);
        prefs.keep("copies.many", "lots");
        assertThat(prefs.copies()).isEqualTo(CopyWish.USUAL);
        assertThat(CopyWish.USUAL.place(file)).isEqualTo(folder.resolve("copies"));
    }
}
