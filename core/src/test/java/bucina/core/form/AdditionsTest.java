package bucina.core.form;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bucina.core.catalogue.CatalogueReader;
import bucina.core.demo.Dunlin;
import bucina.core.dress.Preparation;
import bucina.core.measure.InputException;
import bucina.core.measure.LengthParser;
import bucina.core.measure.Unit;
import bucina.core.panel.PanelPlan;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Hand;
import bucina.core.plan.Id;
import bucina.core.plan.Zone;
import bucina.core.rivet.HeadStyle;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is added by typing: rows, circles, sheets, zones, callouts, panels. */
class AdditionsTest {

    private final LengthParser lengths =
            new LengthParser(Unit.INCH, CatalogueReader.shipped().drills());
    private final Build build = Dunlin.build(CatalogueReader.shipped().rules());
    private final Face face = build.faces().getFirst().face();

    private Face added(Additions.Kind kind, String name, String a, String b, String c) {
        return new Additions(kind, name, a, b, c, lengths)
                .onto(build, face.id())
                .faces()
                .getFirst()
                .face();
    }

    @Test
    void rows_go_into_the_group_named_or_into_a_new_one_of_the_callout() {
        assertThat(added(Additions.Kind.ROW, "us-1", "1, -5", "11, -5", "1")
                        .groups()
                        .getFirst()
                        .count())
                .isEqualTo(face.groups().getFirst().count() + 11);
        Face fresh = added(Additions.Kind.CIRCLE, "8× AN4-6A", "30, 5", "3", "8x");
        assertThat(fresh.groups().getLast().fastener().name()).isEqualTo("AN4-6A");
        assertThat(fresh.groups().getLast().count()).isEqualTo(8);
        assertThat(added(Additions.Kind.RECTANGLE, "MS20470AD4", "30, 5", "36, 9", "1")
                        .groups()
                        .getLast()
                        .count())
                .isEqualTo(20);
        assertThat(added(Additions.Kind.HOLE, "US-2", "30, 5", "", "").count()).isEqualTo(face.count() + 1);
    }

    @Test
    void a_face_that_is_gone_meanwhile_is_said() {
        Id.Face gone = new Id.Face(99_999);
        assertThatThrownBy(() -> new Additions(Additions.Kind.HOLE, "US-2", "30, 5", "", "", lengths).onto(build, gone))
                .isInstanceOf(InputException.class)
                .hasMessage("that face is no longer in the build: undo, or make it again");
        TypedGroupForm typed = new TypedGroupForm("", "", HeadStyle.FLUSH, "3/32", ".025 .032", Preparation.AUTO, "40");
        assertThatThrownBy(() -> typed.on(gone, build, CatalogueReader.shipped(), lengths))
                .isInstanceOf(InputException.class)
                .hasMessageStartingWith("that face is no longer");
    }

    @Test
    void a_row_keeps_out_of_a_keep_out() {
        Build zoned =
                new Additions(Additions.Kind.KEEP_OUT, "Antenna", "4, -6", "6, -4", "", lengths).onto(build, face.id());
        assertThat(zoned.faces().getFirst().face().zones())
                .singleElement()
                .satisfies(z -> assertThat(z.name()).isEqualTo("Antenna"));
        Face row = new Additions(Additions.Kind.ROW, "US-1", "1, -5", "11, -5", "1", lengths)
                .onto(zoned, face.id())
                .faces()
                .getFirst()
                .face();
        assertThat(row.groups().getFirst().rows().getLast().holes())
                .noneMatch(h -> h.at().across().in() > 3.99 && h.at().across().in() < 6.01);
        Zone behind =
                added(Additions.Kind.BEHIND, "", "1, 1", "2, 2", ".25").zones().getFirst();
        assertThat(behind.room().in()).isEqualTo(.25);
    }

    @Test
    void a_sheet_is_a_rectangle_or_any_outline() {
        assertThat(added(Additions.Kind.SHEET, "Strap", "1, 1", "9, 2", ".032")
                        .layers()
                        .get(1)
                        .name())
                .isEqualTo("Strap");
        assertThat(added(Additions.Kind.SHEET, "", "0,0; 9,0; 5,5", "", ".032")
                        .layers()
                        .get(1)
                        .outline()
                        .outer()
                        .corners())
                .hasSize(3);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "ROW|US-1|1|2,2|1|is no place",
                "ROW|wing|1,1|2,2|1|no callout",
                "CIRCLE|US-1|1,1|3|1|count",
                "SHEET|S|1,1|2,2|0|over 0",
                "ROW|US-1|1,1|1,1|1|same place",
                "RECTANGLE|US-1|1,1|2,2|0x|2 to"
            })
    void what_cannot_be_read_is_said_with_an_example(
            Additions.Kind kind, String name, String a, String b, String c, String expected) {
        assertThatThrownBy(() -> added(kind, name, a, b, c))
                .isInstanceOf(InputException.class)
                .hasMessageContaining(expected);
    }

    @Test
    void callout_lines_say_beforehand_what_they_will_do() {
        CalloutLines lines = new CalloutLines("18× MS20426AD3-4\n\nUS-7: 14x MS20426AD3-3.5\nX-9: AN470AD4-5");
        assertThat(lines.sentence(build))
                .contains(
                        "18× MS20426AD3-4 as a new group, a query: the sheet has 0.",
                        "14× MS20426AD3-3.5 for US-7, a query: the sheet has 12.",
                        "as a new group X-9.");
        Build read = lines.onto(build, face.id());
        assertThat(read.group("X-9").orElseThrow().group().callout()).isEqualTo("MS20470AD4-5");
        assertThat(read.group("US-7").orElseThrow().group().callout()).isEqualTo("14× MS20426AD3-3.5");
        assertThatThrownBy(() -> new CalloutLines("18× MS20426AD3-4\nrivets"))
                .isInstanceOf(InputException.class)
                .hasMessageStartingWith("line 2");
        assertThatThrownBy(() -> new CalloutLines(" ").onto(build, face.id())).isInstanceOf(InputException.class);
    }

    @Test
    void the_figures_of_a_panel_are_read_field_by_field() {
        PanelForm form = new PanelForm();
        form.length = "48";
        form.root = "20";
        form.tip = "16";
        form.spars = "2.5, 14:11";
        form.ribs = "12, 24 1/2";
        form.doubler = "0,2 to 12,5";
        PanelPlan plan = form.plan("Skin", lengths, Unit.INCH);
        assertThat(plan.spars().get(1).atTip().in()).isEqualTo(11);
        assertThat(plan.ribs().get(1).station().in()).isEqualTo(24.5);
        assertThat(plan.doublers()).hasSize(1);
        assertThat(plan.hand()).isEqualTo(Hand.LEFT);
        form.shape = PanelForm.Shape.POLYGON;
        form.corners = "0,0; 48,0";
        assertThatThrownBy(() -> form.plan("Skin", lengths, Unit.INCH))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("3 corners");
        form.corners = "0,0; 48,0; 48,16; 0,20";
        form.spars = "2:3:4";
        assertThatThrownBy(() -> form.plan("Skin", lengths, Unit.INCH)).hasMessageContaining("spars");
        form.spars = "";
        form.ribs = "";
        assertThatThrownBy(() -> form.plan("Skin", lengths, Unit.INCH))
                .hasMessageContaining("at least one spar or rib");
    }
}
