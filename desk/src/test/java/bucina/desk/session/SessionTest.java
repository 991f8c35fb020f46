package bucina.desk.session;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.fail;

import bucina.core.catalogue.CatalogueReader;
import bucina.core.dress.Preparation;
import bucina.core.explain.Explain;
import bucina.core.explain.Why;
import bucina.core.form.TypedGroupForm;
import bucina.core.log.Disposition;
import bucina.core.log.LogEntry;
import bucina.core.measure.Unit;
import bucina.core.rivet.HeadStyle;
import bucina.core.rule.RuleKey;
import bucina.core.stack.HoleReading;
import bucina.store.file.BuildFile;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CopyOnWriteArrayList;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class SessionTest extends OnDesk {

    private final List<String> refused = new ArrayList<>();

    private void pickRow(String first) {
        desk.selectionProperty()
                .set(Selection.row(
                        desk.face(),
                        hole(first).row().id(),
                        Optional.of(hole(first).hole().id())));
    }

    private LogEntry logRow(String first) {
        pickRow(first);
        Suggestion s = Suggestion.of(desk).orElseThrow();
        LogForm.Fields f = LogForm.suggest(s, desk, 0);
        f.who = "M. Oake";
        f.minutes = "20";
        List<LogEntry> written = new ArrayList<>();
        session.log(LogForm.of(s).draft(f, desk.lengths(), ""), List.of(), written::add, refused::add);
        assertThat(refused).isEmpty();
        return written.getFirst();
    }

    private int onDisk() {
        try (BuildFile file = BuildFile.openToRead(session.path())) {
            return file.read().log().entries().size();
        }
    }

    @Test
    void what_is_offered_is_one_length_at_a_time() {
        pickRow("R1.7");
        Suggestion s = Suggestion.of(desk).orElseThrow();
        assertThat(s.solution().dash()).isEqualTo("-4.5");
        assertThat(s.count()).isEqualTo(12);
        assertThat(s.others()).isEqualTo(36);
        assertThat(s.where()).isEqualTo("R1.7 to R1.18");
    }

    @Test
    void logging_changes_state_progress_and_disk_at_once() {
        int before = onDisk();
        LogEntry entry = logRow("R1.1");
        assertThat(entry.work().orElseThrow().count()).isEqualTo(6);
        assertThat(desk.snapshot().state(hole("R1.6")).set()).isTrue();
        assertThat(desk.snapshot().state(hole("R1.7")).set()).isFalse();
        assertThat(desk.snapshot().installed(desk.face().face())).isEqualTo(6);
        assertThat(onDisk()).isEqualTo(before + 1);
        assertThat(session.notices().statusProperty().get()).contains("entry " + entry.id() + " is on the disk");
    }

    @Test
    void undo_of_an_entry_is_a_correcting_entry_and_redo_another() {
        LogEntry entry = logRow("R1.1");
        session.history().undo(refused::add);
        assertThat(desk.snapshot().state(hole("R1.1")).set()).isFalse();
        LogEntry undo = desk.snapshot().log().entries().getLast();
        assertThat(undo.corrects()).contains(entry.id());
        assertThat(undo.work()).isEmpty();
        session.history().redo(refused::add);
        assertThat(desk.snapshot().state(hole("R1.1")).set()).isTrue();
        session.history().undo(refused::add);
        session.history().undo(refused::add);
        assertThat(refused).containsExactly("There is nothing to undo in this session.");
        assertThat(onDisk()).isEqualTo(39 + 4);
    }

    @Test
    void undo_of_a_correction_brings_the_first_content_back() {
        LogEntry entry = logRow("R1.1");
        LogForm form = LogForm.correcting(entry, hole("R1.1").group());
        LogForm.Fields f = LogForm.of(entry.work().orElseThrow(), Unit.INCH);
        f.minutes = "99";
        session.log(form.draft(f, desk.lengths(), "clock was wrong"), List.of(), e -> {}, refused::add);
        assertThat(desk.snapshot()
                        .log()
                        .installedBy(hole("R1.1").hole().id())
                        .orElseThrow()
                        .work()
                        .orElseThrow()
                        .minutes())
                .isEqualTo(99);
        session.history().undo(refused::add);
        assertThat(refused).isEmpty();
        assertThat(desk.snapshot()
                        .log()
                        .installedBy(hole("R1.1").hole().id())
                        .orElseThrow()
                        .work()
                        .orElseThrow()
                        .minutes())
                .isEqualTo(20);
    }

    @Test
    void a_refused_entry_changes_nothing() {
        logRow("R1.1");
        LogEntry.Draft twice = LogEntry.Draft.install(
                desk.snapshot().log().entries().getLast().work().orElseThrow());
        session.log(twice, List.of(), e -> fail("written twice"), refused::add);
        assertThat(refused).singleElement().asString().contains("logged as set");
        assertThat(onDisk()).isEqualTo(40);
    }

    @Test
    void a_typed_group_is_planned_logged_and_undone() {
        TypedGroupForm form = new TypedGroupForm(
                "", "Fairing clips", HeadStyle.UNIVERSAL, "1/8", ".032, .040", Preparation.AUTO, "12");
        var lengths = desk.lengths();
        session.plan(
                "adding",
                b -> form.on(desk.face().face().id(), b, session.catalogue(), lengths),
                () -> {},
                refused::add);
        var ref = desk.snapshot().build().group("T-1").orElseThrow();
        desk.show(ref);
        Suggestion s = Suggestion.of(desk).orElseThrow();
        assertThat(s.solution().designation()).contains("MS20470AD4-4");
        LogForm.Fields f = LogForm.suggest(s, desk, 7);
        f.who = "T. Lind";
        f.count = "5";
        f.rejects.add(new LogForm.RejectLine("", Disposition.REPLACED, ""));
        session.log(LogForm.of(s).draft(f, desk.lengths(), ""), List.of(), e -> {}, refused::add);
        assertThat(refused).isEmpty();
        assertThat(desk.snapshot().log().installed(ref.group())).isEqualTo(5);
        session.history().undo(refused::add);
        session.history().undo(refused::add);
        assertThat(desk.snapshot().build().group("T-1")).isEmpty();
        assertThat(desk.typedGroupProperty().get()).isEmpty();
        session.history().redo(refused::add);
        assertThat(desk.snapshot().build().group("T-1")).isPresent();
        try (BuildFile file = BuildFile.openToRead(session.path())) {
            assertThat(file.read().build()).isEqualTo(desk.snapshot().build());
        }
    }

    @Test
    void an_entry_written_by_another_process_is_seen() {
        HoleReading hole = hole("R3.1");
        pickRow("R3.1");
        Suggestion s = Suggestion.of(desk).orElseThrow();
        LogForm.Fields f = LogForm.suggest(s, desk, 0);
        f.who = "T";
        f.minutes = "1";
        try (BuildFile other = BuildFile.open(session.path())) {
            other.append(LogForm.of(s).draft(f, desk.lengths(), ""), List.of(), Clock.systemUTC(), others -> {});
        }
        assertThat(desk.snapshot().state(hole).set()).isFalse();
        session.look();
        assertThat(desk.snapshot().state(hole).set()).isTrue();
    }

    @Test
    void a_second_window_is_told_and_only_reads() {
        try (WindowLock first = WindowLock.of(session.path());
                WindowLock second = WindowLock.of(session.path())) {
            assertThat(first.onlyReads()).isEmpty();
            assertThat(second.onlyReads().orElseThrow()).contains("another window");
            assertThat(WindowLock.of(Path.of("/proc/none/demo.bucina"))
                            .onlyReads()
                            .orElseThrow())
                    .contains("read only");
            try (Session reading = Session.open(
                    session.path(),
                    second.onlyReads(),
                    CatalogueReader.shipped(),
                    Sessions.CLOCK,
                    Runnable::run,
                    Runnable::run)) {
                assertThat(reading.notices().statusProperty().get()).contains("another window");
                reading.history().undo(refused::add);
                assertThat(reading.readOnly()).isTrue();
            }
        }
        try (WindowLock again = WindowLock.of(session.path())) {
            assertThat(again.onlyReads()).isEmpty();
        }
    }

    @Test
    void undo_pressed_twice_before_the_disk_answers_takes_back_two_things() {
        List<Runnable> answers = new CopyOnWriteArrayList<>();
        try (Session slow = Session.open(
                session.path(), Optional.empty(), session.catalogue(), Sessions.CLOCK, Runnable::run, answers::add)) {
            Desk behind = Sessions.desk(slow, folder);
            for (int i : new int[] {0, 1}) {
                behind.selectionProperty()
                        .set(behind.selectionProperty().get().one(behind.face().reading(i)));
                Suggestion s = Suggestion.of(behind).orElseThrow();
                LogForm.Fields f = LogForm.suggest(s, behind, 1);
                f.who = "M";
                slow.log(LogForm.of(s).draft(f, behind.lengths(), ""), List.of(), e -> {}, refused::add);
            }
            answers.forEach(Runnable::run);
            answers.clear();
            slow.history().undo(refused::add);
            slow.history().undo(refused::add);
            answers.forEach(Runnable::run);
            assertThat(refused).isEmpty();
            assertThat(behind.snapshot().log().entries().subList(41, 43))
                    .extracting(e -> e.corrects().orElseThrow())
                    .containsExactly(41, 40);
            assertThat(slow.history().undoWords()).isEmpty();
            assertThat(slow.history().redoWords()).isPresent();
        }
    }

    @Test
    void an_undo_that_is_refused_can_be_tried_again() {
        LogEntry entry = logRow("R1.1");
        try (BuildFile other = BuildFile.open(session.path())) {
            other.append(LogEntry.Draft.withdraw(entry.id(), "elsewhere"), List.of(), Sessions.CLOCK, others -> {});
        }
        session.look();
        session.history().undo(refused::add);
        assertThat(refused).singleElement().asString().contains("corrected already");
        assertThat(session.history().undoWords()).isPresent();
    }

    @Test
    void a_failure_of_the_program_is_said_and_the_file_stays() {
        int before = onDisk();
        session.plan(
                "failing",
                b -> {
                    throw new IllegalStateException("a mistake of ours");
                },
                () -> fail("went on"),
                refused::add);
        assertThat(refused).singleElement().asString().startsWith("Bucina itself failed. It is written down in ");
        assertThat(session.notices().statusProperty().get()).startsWith("Not saved");
        assertThat(onDisk()).isEqualTo(before);
        assertThat(session.history().undoWords()).isEmpty();
    }

    @Test
    void the_row_says_where_the_length_changes_and_why() {
        desk.selectionProperty().set(desk.selectionProperty().get().one(hole("R1.5")));
        RowModel row = desk.row().orElseThrow();
        assertThat(row.runs()).extracting(RowModel.Run::dash).containsExactly("-5", "-4.5", "-3.5");
        assertThat(row.sentence(Unit.INCH))
                .contains("From hole 7 use -4.5 at .185 in: Root cuff ends.")
                .contains("From hole 19 use -3.5 at .135 in: Spar cap doubler ends.");
    }

    @Test
    void every_number_explains_itself_in_either_unit() {
        HoleReading hole = hole("R13.5");
        for (Unit unit : Unit.values()) {
            List<Why> numbers = new Explain(desk.snapshot().build().rules(), unit).hole(hole);
            assertThat(numbers)
                    .extracting(Why::title)
                    .contains(
                            "Grip G",
                            "Use",
                            "Effective grip Ge",
                            "Shop head",
                            "Squeezer gap",
                            "Hole",
                            numbers.getLast().title())
                    .anyMatch(t -> t.startsWith("Edge, least "));
            assertThat(numbers).allSatisfy(w -> {
                assertThat(w.source()).isNotBlank();
                assertThat(w.value()).isNotBlank();
            });
            assertThat(numbers.getFirst().value()).endsWith(unit.symbol());
        }
    }

    @Test
    void the_finder_finds_holes_rows_groups_sheets_and_commands() {
        List<String> opened = new ArrayList<>();
        Finder finder = new Finder(
                desk,
                List.of(new Finder.Hit(Finder.Kind.COMMAND, "Night theme", "T", () -> {})),
                () -> List.of(new Finder.Hit(Finder.Kind.HELP, "Dimple", "guide", () -> opened.add("guide"))),
                k -> opened.add(k.name()));
        assertThat(finder.find("", 5)).extracting(Finder.Hit::name).containsExactly("Night theme");
        assertThat(finder.find("R1.12", 3).getFirst().kind()).isEqualTo(Finder.Kind.HOLE);
        assertThat(finder.find("cap doubler", 3).getFirst().name()).isEqualTo("Spar cap doubler");
        assertThat(finder.find("dimple", 3)).extracting(Finder.Hit::kind).contains(Finder.Kind.HELP);
        Finder both = new Finder(
                desk,
                List.of(new Finder.Hit(Finder.Kind.COMMAND, "Dimple: do it", "", () -> {})),
                () -> List.of(new Finder.Hit(Finder.Kind.HELP, "Dimple", "guide", () -> {})),
                k -> {});
        assertThat(both.find("dimple", 1))
                .extracting(Finder.Hit::kind)
                .as("what is done comes before what is said of it")
                .containsExactly(Finder.Kind.COMMAND);
        finder.find("MW-3", 3).getFirst().go().run();
        assertThat(desk.face().face().name()).isEqualTo("Main spar web");
        assertThat(desk.selectionProperty().get().holes()).hasSize(4);
        assertThat(finder.find("zzz", 3)).isEmpty();
        finder.find("rib clip", 3).getFirst().go().run();
        assertThat(opened).containsExactly("Hinge rib clip");
    }

    @Test
    void the_fuller_glyph_is_the_longer_rivet() {
        LengthClasses classes = LengthClasses.of(desk.face());
        assertThat(classes.classes())
                .extracting(LengthClasses.Class::name)
                .containsExactly("MS20426AD3-3.5", "MS20426AD3-4, MS20426AD4-4", "MS20426AD3-4.5", "MS20426AD3-5");
        assertThat(classes.place(hole("R1.1"))).isEqualTo(3);
        assertThat(classes.place(hole("R1.40"))).isZero();
    }

    @Test
    void what_was_damaged_stays_said_and_nothing_goes_out_or_in(@TempDir Path folder) throws SQLException {
        session.look();
        assertThat(session.lostProperty().get()).isEmpty();
        try (Connection c = DriverManager.getConnection("jdbc:sqlite:" + session.path());
                Statement s = c.createStatement()) {
            s.execute("UPDATE build SET aircraft = 'Another'");
        }
        session.plan(
                "the rule", b -> b.withRules(b.rules().with(RuleKey.LAP_BACK, "4 in", "x")), () -> {}, refused::add);
        assertThat(refused).singleElement().asString().contains("of its table build");
        assertThat(session.lostProperty().get().orElseThrow().kind()).isEqualTo(Lost.Kind.DAMAGED);
        session.look();
        assertThat(session.lostProperty().get()).isPresent();
        Path out = folder.resolve("out.csv");
        CompletableFuture<String> sentence = new CompletableFuture<>();
        session.writeOut(out, () -> new byte[1], () -> sentence.complete("written"), sentence::complete);
        assertThat(sentence.join()).contains("of its table build");
        assertThat(out).doesNotExist();
    }
}
