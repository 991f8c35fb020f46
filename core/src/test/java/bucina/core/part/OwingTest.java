package bucina.core.part;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.catalogue.CatalogueReader;
import bucina.core.demo.Dunlin;
import bucina.core.edit.PartEdits;
import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Mark;
import bucina.core.log.Operation;
import bucina.core.log.PartMark;
import bucina.core.measure.Length;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.rule.RuleKey;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class OwingTest {

    private static final Instant AT = Instant.parse("2026-11-20T10:00:00Z");

    private final Build dunlin = Dunlin.build(CatalogueReader.shipped().rules());
    private final Build primed =
            dunlin.withRules(dunlin.rules().with(RuleKey.PRIME_SCHOOL, "all", "as the builder wants"));
    private final Part rib = PartStates.of(dunlin).named("Nose rib 2").orElseThrow();

    private List<String> owed(Build build, Logbook log) {
        List<Layer> sheets = PartStates.of(build).lies(rib.id()).stream()
                .map(PartStates.On::layer)
                .toList();
        return Owing.of(build.part(rib.id()), sheets, build, log).stream()
                .filter(Owing::open)
                .map(Owing::task)
                .toList();
    }

    private PartMark mark(String task, int after) {
        return new PartMark(rib.id(), task, AT.plusSeconds(after));
    }

    @Test
    void a_rib_owes_what_ribs_owe_and_priming_by_the_school_of_the_build() {
        assertThat(owed(dunlin, Logbook.EMPTY)).containsExactly("deburr-edges", "flange-angles", "flute");
        assertThat(owed(primed, Logbook.EMPTY))
                .containsExactly("deburr-edges", "flange-angles", "flute", "clean", "prime");
    }

    @Test
    void turning_flanges_undoes_fluting() {
        Logbook fluted = Logbook.EMPTY.plusOnParts(
                List.of(new PartMark(rib.id(), "flute", AT, true, Optional.of(Length.in(.004)), "")));
        assertThat(owed(dunlin, fluted)).doesNotContain("flute");
        Logbook turned = fluted.plusOnParts(List.of(mark("flange-angles", 60)));
        assertThat(owed(dunlin, turned)).contains("flute").doesNotContain("flange-angles");
        assertThat(owed(dunlin, turned.plusOnParts(List.of(mark("flute", 120)))))
                .doesNotContain("flute");
    }

    @Test
    void metal_cut_after_priming_owes_a_touch_up() {
        Layer sheet = PartStates.of(dunlin).lies(rib.id()).getFirst().layer();
        Logbook log = Logbook.EMPTY.plusOnParts(List.of(mark("prime", 0)));
        assertThat(owed(primed, log)).doesNotContain("touch-up");
        Mark drilled = new Mark(new Id.Hole(199), sheet.id(), Mark.Side.BOTH, Operation.FINAL_SIZE, AT.plusSeconds(60));
        Logbook cut = log.plus(List.of(drilled));
        assertThat(owed(primed, cut)).contains("touch-up");
        assertThat(owed(primed, cut.plusOnParts(List.of(mark("touch-up", 120)))))
                .doesNotContain("touch-up");
        Logbook read = Logbook.of(cut.entries(), cut.marks(), cut.partMarks());
        assertThat(owed(primed, read))
                .as("the same when it is read from a file")
                .contains("touch-up");
    }

    @Test
    void more_is_put_to_a_part_and_what_its_kind_owes_is_waived() {
        Build more = PartEdits.part(
                dunlin,
                rib.id(),
                p -> p.with(p.particulars()
                        .owing("corner-relief")
                        .owing("polish the inside")
                        .notOwing("flute")));
        assertThat(owed(more, Logbook.EMPTY))
                .containsExactly("deburr-edges", "corner-relief", "flange-angles", "polish the inside");
        Build back = PartEdits.part(
                more, rib.id(), p -> p.with(p.particulars().owing("flute").notOwing("corner-relief")));
        assertThat(owed(back, Logbook.EMPTY))
                .containsExactly("deburr-edges", "flange-angles", "flute", "polish the inside");
    }

    @Test
    void a_mark_taken_back_is_owed_again_and_what_was_found_owes_nothing() {
        Logbook done = Logbook.EMPTY.plusOnParts(List.of(mark("deburr-edges", 0)));
        assertThat(owed(dunlin, done)).doesNotContain("deburr-edges");
        assertThat(owed(dunlin, done.plusOnParts(List.of(mark("deburr-edges", 0).turned(AT.plusSeconds(9))))))
                .contains("deburr-edges");
        Labour found = new Labour(
                new Labour.Found("Nose rib 2", List.of(rib.id()), List.of(), List.of(), 0),
                "",
                "not known",
                LocalDateTime.parse("2026-11-20T10:00"),
                0,
                "",
                "",
                List.of());
        Logbook asFound = Logbook.EMPTY.plus(LogEntry.Draft.install(found).numbered(1, AT));
        assertThat(owed(dunlin, asFound)).isEmpty();
        Logbook withdrawn = asFound.plus(LogEntry.Draft.withdraw(1, "not so").numbered(2, AT));
        assertThat(owed(dunlin, withdrawn)).isNotEmpty();
    }
}
