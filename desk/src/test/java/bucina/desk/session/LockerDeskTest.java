package bucina.desk.session;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import bucina.core.bulletin.Bulletins;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.edit.Edit;
import bucina.core.explain.Explain;
import bucina.core.explain.Why;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.plan.Build;
import bucina.core.plan.Fastener;
import bucina.core.plan.Row;
import bucina.core.rule.RuleKey;
import bucina.core.stack.HoleReading;
import bucina.store.drawing.Progress;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What the window knows of a build with pulled rivets, parts missing and queries open. */
class LockerDeskTest {

    @TempDir
    Path folder;

    private final List<Runnable> waiting = new CopyOnWriteArrayList<>();
    private boolean hold;
    private Session session;
    private Desk desk;

    @BeforeEach
    void open() {
        Path path = folder.resolve("locker.bucina");
        DemoBuild.write(DemoBuild.Which.LOCKER, path, CatalogueReader.shipped());
        session = Session.open(
                path, Optional.empty(), CatalogueReader.shipped(), Sessions.CLOCK, this::work, Runnable::run);
        desk = Sessions.desk(session, folder);
    }

    private void work(Runnable job) {
        if (hold) {
            waiting.add(job);
        } else {
            job.run();
        }
    }

    @AfterEach
    void close() {
        session.close();
    }

    private void turnTo(String face) {
        desk.show(desk.snapshot().build().face(face).orElseThrow().face().id());
    }

    private HoleReading hole(String label) {
        return desk.face().readings().stream()
                .filter(r -> r.label().equals(label))
                .findFirst()
                .orElseThrow();
    }

    private List<Why> explained(String label) {
        return new Explain(desk.snapshot().build().rules(), Unit.MM).hole(hole(label));
    }

    @Test
    void the_pulled_rivet_of_a_hole_explains_its_length_by_the_grip() {
        turnTo("Locker floor");
        assertThat(explained("R1.5").getFirst()).satisfies(grip -> {
            assertThat(grip.title()).isEqualTo("Grip G");
            assertThat(grip.value()).isEqualTo("1.60 mm");
        });
        assertThat(explained("R1.5"))
                .anySatisfy(w -> assertThat(w.value()).contains("3.2 × "))
                .allSatisfy(w -> assertThat(w.title()).isNotBlank());
    }

    @Test
    void a_row_with_one_larger_hole_has_three_stretches_and_says_why() {
        turnTo("Locker floor");
        RowModel row = RowModel.of(
                        desk.snapshot(), desk.face(), hole("R2.12").row().id())
                .orElseThrow();
        assertThat(row.runs()).extracting(RowModel.Run::from, RowModel.Run::to).contains(tuple(11, 11));
        assertThat(row.runs().stream()
                        .filter(r -> r.from() == 11)
                        .findFirst()
                        .orElseThrow()
                        .cause())
                .contains("egged");
        assertThat(row.place(hole("R2.12").hole().id())).isEqualTo(11);
    }

    @Test
    void holes_held_open_are_not_offered_for_the_log() {
        turnTo("Belly skin lap");
        Row lap = hole("R3.1").row();
        assertThat(desk.snapshot().holds().of(hole("R3.1"))).isPresent();
        desk.selectionProperty().set(Selection.row(desk.face(), lap.id(), Optional.empty()));
        assertThat(Suggestion.of(desk)).isEmpty();
    }

    @Test
    void another_rule_set_says_what_it_would_change() {
        Build build = desk.snapshot().build();
        RuleEffect strict = RuleEffect.of(
                desk.snapshot().derivation(), build.rules().with(RuleKey.EDGE_LEAST_PROTRUDING, "4", "to see"));
        assertThat(strict.fresh()).isNotEmpty().allMatch(f -> f.rule().code().equals("edge-distance-least"));
        assertThat(strict.gone()).isEmpty();
        assertThat(strict.rivets()).isZero();
        RuleEffect same =
                RuleEffect.of(desk.snapshot().derivation(), build.rules().named("Another name"));
        assertThat(same.fresh()).isEmpty();
        assertThat(same.gone()).isEmpty();
    }

    @Test
    void of_many_attempts_only_the_last_is_worked_out_and_nothing_is_saved() {
        Build before = desk.snapshot().build();
        List<String> told = new ArrayList<>();
        hold = true;
        for (int i = 1; i <= 5; i++) {
            String name = "Try " + i;
            session.attempt(
                    b -> b.withRules(b.rules().named(name)),
                    s -> told.add(s.build().rules().name()));
        }
        hold = false;
        waiting.forEach(Runnable::run);
        assertThat(told).containsExactly("Try 5");
        assertThat(desk.snapshot().build()).isEqualTo(before);
    }

    @Test
    void work_aside_tells_its_failures_as_sentences() throws Exception {
        CompletableFuture<String> plain = new CompletableFuture<>();
        session.aside(
                () -> Bringing.read(
                        folder.resolve("none.dxf"),
                        Bringing.Format.DXF,
                        Bringing.Said.nothing(Unit.MM),
                        CatalogueReader.shipped().drills(),
                        Progress.NONE),
                b -> plain.complete("read"),
                plain::complete);
        assertThat(plain.get(30, TimeUnit.SECONDS))
                .startsWith("there is no file")
                .contains("none.dxf");
        CompletableFuture<String> broken = new CompletableFuture<>();
        session.aside(
                () -> {
                    throw new ArrayStoreException("inner");
                },
                b -> broken.complete("read"),
                broken::complete);
        assertThat(broken.get(30, TimeUnit.SECONDS))
                .contains("Nothing was changed")
                .doesNotContain("inner");
    }

    @Test
    void what_is_written_out_never_replaces_a_file() throws Exception {
        Path there = Files.writeString(folder.resolve("sheet.svg"), "mine");
        CompletableFuture<String> said = new CompletableFuture<>();
        session.writeOut(there, () -> new byte[] {1}, () -> said.complete("written"), said::complete);
        assertThat(said.get(30, TimeUnit.SECONDS)).contains("sheet.svg").isNotEqualTo("written");
        assertThat(there).hasContent("mine");
        CompletableFuture<String> fresh = new CompletableFuture<>();
        session.writeOut(
                folder.resolve("new.svg"), () -> new byte[] {1, 2}, () -> fresh.complete("written"), fresh::complete);
        assertThat(fresh.get(30, TimeUnit.SECONDS)).isEqualTo("written");
        assertThat(folder.resolve("new.svg")).hasSize(2);
    }

    @Test
    void the_papers_show_the_review_of_a_bulletin_for_what_is_installed() {
        turnTo("Locker floor");
        desk.selectionProperty().set(desk.selectionProperty().get().one(hole("R1.3")));
        Suggestion offered = Suggestion.of(desk).orElseThrow();
        LogForm.Fields fields = LogForm.suggest(offered, desk, 5);
        fields.who = "M";
        fields.explanation = "deburred before it was followed";
        List<String> refused = new ArrayList<>();
        session.log(LogForm.of(offered).draft(fields, desk.lengths(), ""), List.of(), e -> {}, refused::add);
        assertThat(refused).isEmpty();
        session.plan(
                "Begin a bulletin", b -> Bulletins.begin(b, "Bulletin 3", session.today()), () -> {}, refused::add);
        session.record(Optional.of(
                desk.snapshot().build().papers().bulletins().getFirst().id()));
        Fastener larger = new Fastener.PulledRivet("iso15977", Length.mm(4), false);
        session.plan(
                "Larger rivets",
                b -> Edit.group(b, hole("R1.3").group().id(), g -> g.withFastener(larger, "14× ISO 15977 4.0")),
                () -> {},
                refused::add);
        assertThat(refused).isEmpty();
        PapersModel papers = PapersModel.of(desk.snapshot());
        assertThat(papers.reviews().values()).singleElement().satisfies(review -> {
            assertThat(review.installed())
                    .singleElement()
                    .satisfies(i -> assertThat(i.hole()).isEqualTo("R1.3"));
            assertThat(review.lines()).anySatisfy(l -> {
                assertThat(l.was()).contains("3.2");
                assertThat(l.is()).contains("4");
            });
        });
    }
}
