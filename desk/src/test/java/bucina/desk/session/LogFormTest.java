package bucina.desk.session;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bucina.core.catalogue.CatalogueReader;
import bucina.core.form.Entries;
import bucina.core.log.Disposition;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.LengthParser;
import bucina.core.measure.Unit;
import bucina.core.rivet.ShopHeadLimits;
import bucina.core.stack.HoleReading;
import bucina.store.Photo;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class LogFormTest {

    @TempDir
    private Path folder;

    private Session session;
    private Desk desk;
    private LogForm form;
    private LogForm.Fields fields;

    @BeforeEach
    void open() {
        session = Sessions.demo(folder);
        desk = Sessions.desk(session, folder);
        HoleReading first = desk.face().readings().stream()
                .filter(r -> r.label().equals("R1.1"))
                .findFirst()
                .orElseThrow();
        desk.selectionProperty()
                .set(Selection.row(
                        desk.face(), first.row().id(), Optional.of(first.hole().id())));
        Suggestion s = Suggestion.of(desk).orElseThrow();
        form = LogForm.of(s);
        fields = LogForm.suggest(s, desk, 33);
        fields.who = "M. Oake";
    }

    @AfterEach
    void close() {
        session.close();
    }

    @Test
    void the_suggestion_fills_the_fields() {
        assertThat(fields.designation).isEqualTo("MS20426AD3-5");
        assertThat(fields.count).isEqualTo("6");
        assertThat(fields.minutes).isEqualTo("33");
        assertThat(fields.setting).isEqualTo(".235 in");
        assertThat(fields.done).isEqualTo("2026-11-24 12:00");
        assertThat(fields.hole).isEqualTo(".098 in");
    }

    @Test
    void a_draft_and_back_is_the_same() {
        fields.readings = ".146x.047, .15 x .046";
        fields.tool = "Gun 2X";
        fields.note = "n";
        fields.rejects.add(new LogForm.RejectLine("R1.3", Disposition.OVERSIZE, "egged"));
        var draft = form.draft(fields, desk.lengths(), "");
        var again = LogForm.of(draft.work().orElseThrow(), Unit.INCH);
        LogForm back = LogForm.correcting(draft.numbered(1, Sessions.CLOCK.instant()), form.group());
        assertThat(back.draft(again, desk.lengths(), "").work()).isEqualTo(draft.work());
    }

    @Test
    void a_correction_keeps_the_photographs_of_the_first_entry() {
        Photo first = Photo.of("image/png", new byte[] {1});
        Photo second = Photo.of("image/png", new byte[] {2});
        fields.photos.add(first);
        var entry = form.draft(fields, desk.lengths(), "").numbered(1, Sessions.CLOCK.instant());
        LogForm.Fields again = LogForm.of(entry.work().orElseThrow(), Unit.INCH);
        again.photos.add(second);
        assertThat(LogForm.correcting(entry, form.group())
                        .draft(again, desk.lengths(), "more")
                        .work()
                        .orElseThrow()
                        .photos())
                .containsExactly(first.sha256(), second.sha256());
    }

    @Test
    void each_bad_field_is_named() {
        fields.minutes = "soon";
        assertThatThrownBy(() -> form.draft(fields, desk.lengths(), ""))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("minutes")
                .hasMessageContaining("soon");
        fields.minutes = "5";
        fields.who = " ";
        assertThatThrownBy(() -> form.draft(fields, desk.lengths(), "")).hasMessageContaining("who did it");
        fields.who = "M";
        fields.setting = "tight";
        assertThatThrownBy(() -> form.draft(fields, desk.lengths(), ""))
                .hasMessageContaining("setting")
                .hasMessageContaining("tight");
        fields.setting = "";
        fields.done = "yesterday";
        assertThatThrownBy(() -> form.draft(fields, desk.lengths(), "")).hasMessageContaining("2026-11-20T19:30");
        fields.done = "2026-11-20";
        fields.readings = ".1";
        assertThatThrownBy(() -> form.draft(fields, desk.lengths(), "")).hasMessageContaining("diameter x height");
    }

    @Test
    void another_rivet_or_a_short_one_asks_why() {
        var rules = session.snapshot().build().rules();
        assertThat(form.oddity(fields, desk.lengths(), rules)).isEmpty();
        fields.designation = "AN426AD3-3";
        assertThat(form.oddity(fields, desk.lengths(), rules)).contains("-3 is graded short");
        fields.designation = "AN470AD3-5";
        assertThat(form.oddity(fields, desk.lengths(), rules)).contains("not the MS20426AD3 of the plan");
        fields.designation = "AN4";
        assertThat(form.oddity(fields, desk.lengths(), rules)).isEmpty();
    }

    @Test
    void a_gauge_gives_a_diameter_then_a_height_behind_what_is_typed() {
        List<Length> two = List.of(Length.mm(3.75), Length.mm(1.2));
        assertThat(Entries.plus("", two, Unit.MM)).isEqualTo("3.75x1.20");
        assertThat(Entries.plus(".146x.047, ", two, Unit.INCH)).isEqualTo(".146x.047, .1476x.0472");
        assertThat(Entries.plus(".146", two, Unit.INCH)).isEqualTo(".146x.1476, .0472");
        assertThat(Entries.plus(".146x", List.of(Length.in(.047)), Unit.INCH)).isEqualTo(".146x.0470");
    }

    @Test
    void readings_are_judged_while_they_are_typed() {
        LengthParser lengths =
                new LengthParser(Unit.INCH, CatalogueReader.shipped().drills());
        ShopHeadLimits limits = ShopHeadLimits.of(session.snapshot().build().rules(), Length.fraction(3, 32));
        assertThat(LogForm.verdicts("", lengths, limits)).isEmpty();
        assertThat(LogForm.verdicts(".15x", lengths, limits)).isEmpty();
        assertThat(LogForm.verdicts(".15x.047", lengths, limits)).isEqualTo("1 measured, all good.");
        assertThat(LogForm.verdicts(".15x.047, .13x.04", lengths, limits)).contains("1 of 2 off the gauge");
        assertThat(LogForm.verdicts(".11x.04", lengths, limits)).contains("outside the limits");
    }

    @Test
    void what_is_typed_is_said_back_where_it_is_kept_otherwise() {
        assertThat(form.understood(fields, desk.lengths(), Unit.INCH)).isEmpty();
        fields.designation = "an426ad3-5";
        fields.hole = "#40";
        fields.setting = "6 mm";
        assertThat(form.understood(fields, desk.lengths(), Unit.INCH))
                .isEqualTo("Reads as rivet MS20426AD3-5, gap .2362 in, hole .098 in.");
        fields.setting = "tight";
        assertThat(form.understood(fields, desk.lengths(), Unit.INCH)).contains("no gap yet");
    }

    @Test
    void when_is_read_in_every_spelling() {
        assertThat(Entries.when("2026-11-20 19:30")).isEqualTo(LocalDateTime.parse("2026-11-20T19:30"));
        assertThat(Entries.when("2026-11-20")).isEqualTo(LocalDateTime.parse("2026-11-20T12:00"));
        assertThat(Entries.when("2026-11-20T19:30:15")).isEqualTo(LocalDateTime.parse("2026-11-20T19:30:15"));
        assertThatThrownBy(() -> Entries.when("20.11.2026")).isInstanceOf(InputException.class);
    }

    @Test
    void only_pictures_are_photographs() throws IOException {
        Path text = Files.writeString(folder.resolve("a.jpg"), "no picture");
        assertThatThrownBy(() -> PhotoFiles.read(text))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("JPEG nor a PNG");
        assertThatThrownBy(() -> PhotoFiles.read(folder.resolve("none.png"))).hasMessageContaining("cannot be read");
        Path jpeg = Files.write(folder.resolve("b.jpg"), new byte[] {(byte) 0xff, (byte) 0xd8, (byte) 0xff, 0, 0});
        Photo photo = PhotoFiles.read(jpeg);
        assertThat(photo.type()).isEqualTo("image/jpeg");
        assertThat(photo.sha256()).hasSize(64);
    }

    @Test
    void preferences_survive_and_bad_ones_do_no_harm() throws IOException {
        Prefs.in(folder).keep("scale", "150");
        assertThat(Prefs.in(folder).scale()).isEqualTo(150);
        Prefs.in(folder).keep("scale", "lots");
        assertThat(Prefs.in(folder).scale()).isEqualTo(100);
        Files.writeString(folder.resolve("desk.properties"), "\\u00");
        assertThat(Prefs.in(folder).dark()).isFalse();
    }
}
