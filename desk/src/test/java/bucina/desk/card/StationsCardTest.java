package bucina.desk.card;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.edit.HoleEdits;
import bucina.core.measure.Length;
import bucina.core.sheet.Point;
import java.util.List;
import org.junit.jupiter.api.Test;

class StationsCardTest {

    @Test
    void stations_run_on_from_the_first_hole_in_three_ways() {
        List<Point> points = List.of(
                Point.at(Length.in(2), Length.in(1)),
                Point.at(Length.in(3.0625), Length.in(1)),
                Point.at(Length.in(4.1), Length.in(1)));
        List<String> lines = StationsCard.words(HoleEdits.row(1, "R1", points))
                .lines()
                .map(l -> l.strip().replaceAll(" +", " "))
                .toList();
        assertThat(lines)
                .containsExactly(
                        "hole in nearest 1/64 mm",
                        "1 .0000 0 0.000",
                        "2 1.0625 1 1/16 26.988",
                        "3 2.1000 ~2 3/32 53.340");
    }
}
