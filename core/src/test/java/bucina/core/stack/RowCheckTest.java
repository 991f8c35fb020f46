package bucina.core.stack;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.Plans;
import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.edit.Edit;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.plan.Acceptance;
import bucina.core.plan.Build;
import bucina.core.plan.Deviation;
import bucina.core.plan.Face;
import bucina.core.plan.Fastener;
import bucina.core.plan.Hole;
import bucina.core.plan.Id;
import bucina.core.plan.Row;
import bucina.core.rule.Finding;
import bucina.core.rule.Level;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class RowCheckTest {

    private final Catalogue catalogue = CatalogueReader.shipped();

    private FaceReading read(Build build) {
        return Derivation.of(build, catalogue).face(new Id.Face(3));
    }

    @Test
    void a_wide_pitch_is_a_warning_in_free_layout_and_a_note_where_the_drawing_fixes_it() {
        // Holes an inch apart, thinnest sheet .032: 24 t = .768.
        Build free = Plans.build(8.5);
        Finding f = read(free).rowFindings().getFirst();
        assertThat(f.rule().code()).isEqualTo("pitch-most");
        assertThat(f.level()).isEqualTo(Level.WARNING);
        assertThat(f.required()).contains(Length.in(.768));
        assertThat(f.place().hole()).isEqualTo("R1");
        assertThat(f.message().in(Unit.INCH)).startsWith("R1.1 to R1.2: The pitch is 1.000 in, over 24 t");
        Build fixed = Edit.group(free, new Id.Group(20), g -> g.withFastener(g.fastener(), "19× MS20470AD4"));
        assertThat(read(fixed).rowFindings())
                .singleElement()
                .satisfies(n -> assertThat(n.level()).isEqualTo(Level.NOTE));
        assertThat(read(free).found()).isEqualTo(1);
        assertThat(read(fixed).found()).isZero();
    }

    @Test
    void a_row_accepted_is_not_counted_any_more() {
        Build free = Plans.build(8.5);
        Finding f = read(free).rowFindings().getFirst();
        Acceptance a = new Acceptance(
                new Id.Acceptance(free.nextId()),
                new Id.Row(1000),
                f.rule(),
                "",
                f.measured(),
                f.required(),
                "stiff enough",
                "M. Oake",
                LocalDate.of(2026, 11, 1));
        Build accepted =
                free.withPapers(free.papers().with(a), free.nextId() + 1).checked();
        FaceReading after = Derivation.of(free, catalogue).after(accepted).face(new Id.Face(3));
        assertThat(after.found()).isZero();
        assertThat(after.rowFindings().getFirst().accepted()).contains("stiff enough (M. Oake, 2026-11-01)");
    }

    @Test
    void changes_of_nosepiece_along_a_row_are_counted() {
        Fastener small = new Fastener.PulledRivet("iso15977", Length.mm(3.2), false);
        Fastener large = new Fastener.PulledRivet("iso15977", Length.mm(4), false);
        Row row = Plans.row(1000, "R1", 2, 8);
        List<Hole> holes = new ArrayList<>(row.holes());
        for (int i : new int[] {2, 3, 6}) {
            Hole h = holes.get(i);
            holes.set(
                    i,
                    new Hole(
                            h.id(),
                            h.label(),
                            h.at(),
                            Optional.of(
                                    new Deviation(Optional.empty(), Optional.of(large), Optional.empty(), "egged"))));
        }
        Face face = Plans.face(Plans.layers(20), List.of(Plans.group(20, "G-1", small, List.of(row.withHoles(holes)))));
        FaceReading reading = read(Plans.build(face));
        assertThat(RowCheck.noseChanges(reading.readings())).isEqualTo(4);
        assertThat(reading.rowFindings()).extracting(x -> x.rule().code()).contains("nosepiece-changes");
        assertThat(reading.rowFaults(row)).extracting(x -> x.rule().code()).containsExactly("pitch-most");
    }

    @Test
    void bolts_and_single_holes_have_no_pitch() {
        Fastener bolt = new Fastener.Hardware("AN4-5A", Length.in(.25), Length.in(.25), false);
        Face bolts = Plans.face(
                Plans.layers(20),
                List.of(
                        Plans.group(20, "G-1", bolt, List.of(Plans.row(1000, "R1", 2, 3))),
                        Plans.group(21, "G-2", Plans.UNIVERSAL, List.of(Plans.row(2000, "R2", 2.2, 1)))));
        assertThat(read(Plans.build(bolts)).rowFindings()).isEmpty();
    }

    @Test
    void holes_and_rows_that_are_wrong_are_counted_together() {
        // The doubler ends .2 from hole 8, and holes an inch apart are too far from each other.
        assertThat(read(Plans.build(8.2)).found()).isEqualTo(2);
    }

    @Test
    void one_change_of_nosepiece_is_one_time() {
        Fastener small = new Fastener.PulledRivet("iso15977", Length.mm(3.2), false);
        Fastener large = new Fastener.PulledRivet("iso15977", Length.mm(4), false);
        Row row = Plans.row(1000, "R1", 2, 3);
        Hole h = row.holes().getLast();
        Hole last = new Hole(
                h.id(),
                h.label(),
                h.at(),
                Optional.of(new Deviation(Optional.empty(), Optional.of(large), Optional.empty(), "egged")));
        Row mixed = row.withHoles(List.of(row.holes().get(0), row.holes().get(1), last));
        Face face = Plans.face(Plans.layers(20), List.of(Plans.group(20, "G-1", small, List.of(mixed))));
        assertThat(read(Plans.build(face)).rowFindings())
                .filteredOn(f -> f.rule().code().equals("nosepiece-changes"))
                .extracting(f -> f.message().in(Unit.INCH))
                .containsExactly("R1 changes diameter 1 time along the row.");
    }
}
