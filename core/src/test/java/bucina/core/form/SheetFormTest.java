package bucina.core.form;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import bucina.core.catalogue.CatalogueReader;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.LengthParser;
import bucina.core.measure.Unit;
import bucina.core.plan.SheetHoles;
import bucina.core.sheet.Point;
import java.util.List;
import org.junit.jupiter.api.Test;

class SheetFormTest {

    private static final LengthParser INCHES =
            new LengthParser(Unit.INCH, CatalogueReader.shipped().drills());

    @Test
    void holes_are_read_as_they_are_written() {
        String typed = "3.2, 1.5, .098;4.2,1.5,#40; ";
        List<SheetHoles.Uncalled> holes = SheetForm.uncalled(typed, INCHES);
        assertThat(holes)
                .containsExactly(
                        new SheetHoles.Uncalled(Point.at(Length.in(3.2), Length.in(1.5)), Length.in(.098)),
                        new SheetHoles.Uncalled(Point.at(Length.in(4.2), Length.in(1.5)), Length.in(.098)));
        assertThat(SheetForm.uncalled(SheetForm.words(holes, Unit.INCH), INCHES))
                .isEqualTo(holes);
        assertThat(SheetForm.uncalled(
                        SheetForm.words(holes, Unit.MM),
                        new LengthParser(Unit.MM, CatalogueReader.shipped().drills())))
                .isEqualTo(holes);
        assertThat(SheetForm.uncalled(" ", INCHES)).isEmpty();
    }

    @Test
    void a_hole_with_a_figure_missing_or_no_size_is_refused_with_what_was_typed() {
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> SheetForm.uncalled("3.2, 1.5", INCHES))
                .withMessageContaining("\"3.2, 1.5\"")
                .withMessageContaining("like 3.2, 1.5, .098");
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> SheetForm.uncalled("3.2, 1.5, 0", INCHES))
                .withMessageContaining("diameter");
    }
}
