package bucina.desk.session;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bucina.core.dress.Preparation;
import bucina.core.edit.Edit;
import bucina.core.explain.Explain;
import bucina.core.explain.Why;
import bucina.core.form.TypedGroupForm;
import bucina.core.log.HoleState;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.rivet.HeadStyle;
import bucina.core.stack.HoleReading;
import bucina.core.state.Snapshot;
import java.nio.file.Files;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.InstantSource;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CopyOnWriteArrayList;
import org.assertj.core.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ViewStateTest extends OnDesk {

    private void turnTo(String face) {
        desk.show(desk.snapshot().build().face(face).orElseThrow().face().id());
    }

    @Test
    void the_desk_follows_the_drawings_unit_until_told_otherwise() {
        assertThat(desk.unit()).isEqualTo(Unit.INCH);
        desk.look().turnUnit();
        assertThat(desk.unit()).isEqualTo(Unit.MM);
        assertThat(Sessions.desk(session, folder).unit()).isEqualTo(Unit.MM);
    }

    @Test
    void turning_to_a_face_picks_nothing_and_leaves_the_logbook() {
        desk.roomProperty().set(Desk.Room.LOGBOOK);
        desk.selectionProperty().set(desk.selectionProperty().get().one(hole("R1.1")));
        turnTo("Rear spar web");
        assertThat(desk.roomProperty().get()).isEqualTo(Desk.Room.SHEET);
        assertThat(desk.cursor()).isEmpty();
        assertThat(desk.row()).isEmpty();
        assertThat(desk.face().face().name()).isEqualTo("Rear spar web");
    }

    @Test
    void what_is_picked_stays_picked_when_the_log_grows() {
        desk.selectionProperty().set(desk.selectionProperty().get().one(hole("R3.4")));
        Suggestion s = Suggestion.of(desk).orElseThrow();
        LogForm.Fields f = LogForm.suggest(s, desk, 5);
        f.who = "M";
        session.log(LogForm.of(s).draft(f, desk.lengths(), ""), List.of(), e -> {}, e -> {});
        assertThat(desk.cursor().orElseThrow().label()).isEqualTo("R3.4");
        assertThat(Suggestion.of(desk)).isEmpty();
    }

    @Test
    void findings_are_gone_through_face_by_face_and_round_again() {
        List<String> seen = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            assertThat(desk.nextFinding()).isTrue();
            seen.add(desk.face().face().name() + " "
                    + desk.cursor().orElseThrow().label());
        }
        assertThat(seen)
                .containsExactly(
                        "Upper skin R11.4",
                        "Main spar web R8.1",
                        "Main spar web R8.2",
                        "Main spar web R8.3",
                        "Main spar web R8.4",
                        "Upper skin R11.4");
    }

    @Test
    void a_row_of_one_length_says_so() {
        desk.selectionProperty().set(desk.selectionProperty().get().one(hole("R30.2")));
        assertThat(desk.row().orElseThrow().sentence(Unit.INCH))
                .startsWith("R30, root cuff: 4 holes.")
                .contains("-3");
    }

    /** R1 of the upper skin, with a spar cap doubler of so many inches under its first 18 holes. */
    private RowModel underDoubler(double thickness) {
        var refused = new ArrayList<String>();
        var doubler = desk.face().face().layers().stream()
                .filter(l -> l.name().equals("Spar cap doubler"))
                .findFirst()
                .orElseThrow();
        session.plan(
                "changing the thickness of the doubler",
                b -> Edit.layer(b, doubler.id(), l -> l.withThickness(Length.in(thickness))),
                () -> {},
                refused::add);
        assertThat(refused).isEmpty();
        desk.selectionProperty().set(desk.selectionProperty().get().one(hole("R1.10")));
        return desk.row().orElseThrow();
    }

    @Test
    void the_strip_resets_the_squeezer_where_the_set_up_changes_and_not_where_a_grip_differs_a_little() {
        // .025 + .063 without, .092 with: .004 apart, set with one gap.
        assertThat(underDoubler(.004).runs()).extracting(RowModel.Run::from).containsExactly(0, 6);
        // .094: .006 apart.
        RowModel apart = underDoubler(.006);
        assertThat(apart.runs()).extracting(RowModel.Run::from).containsExactly(0, 6, 18);
        assertThat(apart.runs()
                        .get(1)
                        .gap()
                        .orElseThrow()
                        .minus(apart.runs().get(2).gap().orElseThrow()))
                .isEqualTo(Length.in(.006));
    }

    @Test
    void a_deviation_shows_in_its_row_with_its_reason() {
        desk.selectionProperty().set(desk.selectionProperty().get().one(hole("R16.5")));
        RowModel row = desk.row().orElseThrow();
        assertThat(row.runs()).hasSize(3);
        assertThat(row.runs().get(1).cause()).contains("egged");
        assertThat(row.place(hole("R16.5").hole().id())).isEqualTo(4);
        assertThat(row.place(hole("R1.1").hole().id())).isEqualTo(-1);
    }

    @Test
    void margins_in_the_strip_are_negative_where_the_edge_is_short() {
        turnTo("Main spar web");
        desk.selectionProperty().set(desk.selectionProperty().get().one(hole("R8.1")));
        RowModel.Cell cell = desk.row().orElseThrow().cells().getFirst();
        assertThat(cell.margin().orElseThrow().in()).isCloseTo(-.015, Assertions.within(1e-9));
        assertThat(cell.state()).isEqualTo(HoleState.PLANNED);
    }

    @Test
    void hardware_explains_itself_without_a_shop_head() {
        turnTo("Main spar web");
        List<Why> numbers = new Explain(desk.snapshot().build().rules(), Unit.INCH).hole(hole("R12.1"));
        assertThat(numbers)
                .extracting(Why::title)
                .startsWith("Grip G", "Use", "Washers", "Torque", "Hole")
                .doesNotContain("Shop head");
        assertThat(numbers.get(1).value()).isEqualTo("AN4-6A");
    }

    @Test
    void sheets_of_one_material_are_hatched_alike() {
        List<Snapshot.Sheet> sheets = desk.snapshot().sheets(hole("R13.3").layers());
        assertThat(sheets).extracting(Snapshot.Sheet::material).containsExactly("2024-T3", "6061-T4");
        assertThat(sheets.get(0).hatch()).isNotEqualTo(sheets.get(1).hatch());
        assertThat(desk.snapshot().sheets(hole("R1.1").layers()))
                .extracting(Snapshot.Sheet::hatch)
                .containsOnly(sheets.getFirst().hatch());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "''|.03|1|layers",
                "x|.03|1|layers",
                ".03|1/7|1|.142857",
                ".03,.04|1/8|none|count",
                ".03|1/8|0|count must be 1",
                "0|1/8|1|over 0"
            })
    void a_typed_stack_that_cannot_be_is_refused_by_field(
            String layers, String diameter, String count, String expected) {
        TypedGroupForm form =
                new TypedGroupForm("", "", HeadStyle.UNIVERSAL, diameter, layers, Preparation.AUTO, count);
        assertThatThrownBy(() ->
                        form.on(desk.face().face().id(), desk.snapshot().build(), session.catalogue(), desk.lengths()))
                .isInstanceOf(InputException.class)
                .hasMessageContaining(expected);
    }

    @Test
    void typed_stacks_take_the_next_free_code() {
        TypedGroupForm form = new TypedGroupForm("", "", HeadStyle.FLUSH, "3/32", ".025,.063", Preparation.AUTO, "3");
        var one = form.on(desk.face().face().id(), desk.snapshot().build(), session.catalogue(), desk.lengths());
        var two = form.on(desk.face().face().id(), one, session.catalogue(), desk.lengths());
        assertThat(two.group("T-1")).isPresent();
        assertThat(two.group("T-2").orElseThrow().group().preparation()).isEqualTo(Preparation.AUTO);
        assertThat(form.solve(session.catalogue(), two, desk.lengths()).dash()).isEqualTo("-3.5");
    }

    @Test
    void the_timer_counts_begun_minutes_and_starts_again_after_an_entry() {
        Instant[] now = {Instant.parse("2026-11-24T12:00:00Z")};
        InstantSource source = () -> now[0];
        WorkTimer timer = new WorkTimer(source.withZone(ZoneOffset.UTC));
        assertThat(timer.minutes()).isZero();
        timer.turn();
        now[0] = now[0].plus(Duration.ofSeconds(61));
        assertThat(timer.minutes()).isEqualTo(2);
        timer.again();
        assertThat(timer.minutes()).isZero();
        timer.turn();
        assertThat(timer.running()).isFalse();
    }

    @Test
    void the_demo_is_made_once_and_the_last_build_is_remembered_while_it_is_there() throws Exception {
        Prefs prefs = Prefs.in(folder.resolve("prefs"));
        prefs.keep("last", session.path().toString());
        assertThat(Prefs.in(folder.resolve("prefs")).last()).contains(session.path());
        prefs.keep("last", folder.resolve("gone.bucina").toString());
        assertThat(Prefs.in(folder.resolve("prefs")).last()).isEmpty();
        prefs.keep("dark", "true");
        prefs.keep("who", "T. Lind");
        assertThat(Prefs.in(folder.resolve("prefs")).dark()).isTrue();
        assertThat(Prefs.in(folder.resolve("prefs")).who()).isEqualTo("T. Lind");
        assertThat(Files.exists(folder.resolve("prefs/desk.properties"))).isTrue();
    }

    @Test
    void two_entries_sent_at_once_cannot_set_a_hole_twice() {
        List<Runnable> queue = new CopyOnWriteArrayList<>();
        try (Session slow = Session.open(
                session.path(), Optional.empty(), session.catalogue(), Clock.systemUTC(), Runnable::run, queue::add)) {
            Desk behind = new Desk(slow, Prefs.in(folder));
            behind.selectionProperty()
                    .set(behind.selectionProperty()
                            .get()
                            .one(behind.face().readings().getFirst()));
            Suggestion s = Suggestion.of(behind).orElseThrow();
            LogForm.Fields f = LogForm.suggest(s, behind, 5);
            f.who = "M";
            List<String> refused = new ArrayList<>();
            slow.log(LogForm.of(s).draft(f, behind.lengths(), ""), List.of(), e -> {}, refused::add);
            slow.log(LogForm.of(s).draft(f, behind.lengths(), ""), List.of(), e -> {}, refused::add);
            assertThat(behind.snapshot().log().entries()).hasSize(39);
            queue.forEach(Runnable::run);
            assertThat(behind.snapshot().log().entries()).hasSize(40);
            assertThat(refused).singleElement().asString().contains("logged as set");
        }
    }

    @Test
    void nothing_is_explained_as_approved() {
        Explain explain = new Explain(desk.snapshot().build().rules(), Unit.INCH);
        for (HoleReading reading : desk.face().readings()) {
            for (Why why : explain.hole(reading)) {
                assertThat(why.note() + why.formula() + why.source()).doesNotContainIgnoringCase("approved");
            }
        }
        assertThat(Optional.of(desk.face().size()))
                .hasValueSatisfying(n -> assertThat(n).isGreaterThan(200));
    }
}
