package bucina.core.stores;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.demo.PracticeBox;
import bucina.core.log.Logbook;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.plan.Bar;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.plan.KeptSum;
import bucina.core.stack.Derivation;
import bucina.core.sums.Bench;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Bars on hand against what all kept cutting lists want. */
class LongStockTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final Bench BENCH = Bench.bare(CATALOGUE);
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 29);
    private static final String ANGLE = "Angle 3/4 x 3/4";

    private static Build listed(String... wants) {
        Build build = PracticeBox.build(CATALOGUE.rules());
        long id = build.nextId();
        for (String want : wants) {
            build = build.withWorkshop(
                    build.workshop()
                            .with(new KeptSum(
                                    new Id.Sum(id),
                                    "cut",
                                    "List " + id,
                                    Optional.empty(),
                                    Unit.INCH,
                                    Map.of("want", want, "kerf", ".1", "trim", "0", "order", "72"))),
                    ++id);
        }
        return build;
    }

    private static Build bars(Build build, double length, int count, double gauge) {
        return LongStock.with(build, ANGLE, Length.in(length), count, Optional.of(Length.in(gauge)), "rack");
    }

    private static LongStock.Section section(Build build) {
        return LongStock.of(build, BENCH, TODAY).sections().getFirst();
    }

    @Test
    void lists_of_one_section_are_cut_from_the_same_bars_and_the_rest_is_to_order() {
        // 30 + 30 of one list and 20 of the other: 30 + 30 fit on 72 with one kerf, 20 does not go beside them.
        Build build = bars(listed("Angle 3/4 x 3/4: .063\n30 x2 cap", "angle 3/4  x 3/4\n20 x1 clip"), 72, 1, .062);
        LongStock.Section is = section(build);
        assertThat(is.bars().getFirst().cuts()).extracting(Bar.Cut::piece).containsExactly("cap", "cap");
        assertThat(is.bars().getFirst().left()).isEqualTo(Length.in(72 - 60 - .2));
        assertThat(is.missing()).extracting(LongStock.Want::piece).containsExactly("clip");
        assertThat(is.order()).isEqualTo(1);
    }

    @Test
    void a_piece_longer_than_what_is_sold_is_said_beside_what_is_ordered_for_the_others() {
        Build build = listed("Angle 3/4 x 3/4\n80 x1 longeron\n30 x2 cap");
        LongStock.Section section = section(build);
        assertThat(section.missing()).hasSize(3);
        assertThat(section.tooLong()).isEqualTo(1);
        assertThat(section.order()).isEqualTo(1);
        assertThat(OrderList.of(Balance.of(Derivation.of(build, CATALOGUE), Logbook.EMPTY))
                        .plus(LongStock.of(build, BENCH, TODAY), Unit.INCH)
                        .lines())
                .anySatisfy(l -> assertThat(l.why()).contains("1 of them longer than what is sold."));
    }

    @Test
    void what_is_cut_is_wanted_no_more_and_the_bar_is_as_much_shorter() {
        Build build = bars(listed("Angle 3/4 x 3/4\n30 x3 cap"), 72, 2, .062);
        LongStock.Next first = section(build).bars().getFirst();
        Build cut = LongStock.cut(build, first.bar().id(), first.cuts());
        LongStock.Section after = section(cut);
        assertThat(after.bars().getFirst().cuts()).isEmpty();
        assertThat(after.bars().getFirst().bar().left()).isEqualTo(first.left());
        assertThat(after.bars().stream().mapToInt(n -> n.cuts().size()).sum()).isEqualTo(1);
        assertThat(after.missing()).isEmpty();
    }

    @Test
    void a_bar_of_another_gauge_is_not_cut_and_one_that_was_not_measured_is() {
        Build build = bars(listed("Angle 3/4 x 3/4: .063\n30 x2 cap"), 72, 1, .094);
        assertThat(section(build).wrong()).hasSize(1);
        assertThat(section(build).missing()).hasSize(2);
        Build more = LongStock.with(build, ANGLE, Length.in(72), 1, Optional.empty(), "");
        assertThat(section(more).missing()).isEmpty();
    }

    @Test
    void a_list_that_cannot_be_read_is_said_and_the_others_count() {
        LongStock stock = LongStock.of(listed("Angle 3/4 x 3/4\n30 x2 cap", "Strip\n0 x2"), BENCH, TODAY);
        assertThat(stock.unread())
                .singleElement()
                .asString()
                .startsWith("List ")
                .contains("0");
        assertThat(stock.sections()).hasSize(1);
    }

    @Test
    void nothing_is_cut_from_a_bar_that_it_has_not() {
        Bar bar = new Bar(new Id.Bar(1), ANGLE, Length.in(10), Optional.empty(), "", List.of());
        Bar.Cut six = new Bar.Cut(new Id.Sum(2), "", Length.in(6), Length.in(.1), TODAY);
        Bar.Cut four = new Bar.Cut(new Id.Sum(2), "", Length.in(3.9), Length.in(.1), TODAY);
        assertThat(bar.cut(List.of(six, four)).left()).isEqualTo(Length.ZERO);
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> bar.cut(List.of(six, six)))
                .withMessageContaining("more was cut than it has");
    }

    @Test
    void on_random_lists_every_piece_is_cut_once_or_missing_and_no_bar_is_longer_than_it_was() {
        Random random = new Random(11);
        for (int run = 0; run < 60; run++) {
            int[] wanted = {random.nextInt(1, 6), random.nextInt(1, 6)};
            Build build = listed(
                    ANGLE + "\n" + random.nextInt(5, 40) + " x" + wanted[0] + " cap",
                    ANGLE + "\n" + random.nextInt(5, 40) + " x" + wanted[1] + " clip");
            build = bars(build, random.nextInt(30, 80), random.nextInt(1, 4), .062);
            build = bars(build, random.nextInt(10, 30), 1, .062);
            int cut = 0;
            while (true) {
                LongStock.Section is = section(build);
                List<LongStock.Next> open = new ArrayList<>(is.bars());
                open.removeIf(n -> n.cuts().isEmpty());
                int next = open.stream().mapToInt(n -> n.cuts().size()).sum();
                assertThat(cut + next + is.missing().size()).isEqualTo(wanted[0] + wanted[1]);
                if (open.isEmpty()) {
                    break;
                }
                LongStock.Next bar = open.get(random.nextInt(open.size()));
                build = LongStock.cut(build, bar.bar().id(), bar.cuts());
                cut += bar.cuts().size();
            }
            for (Bar bar : build.workshop().bars()) {
                double used =
                        bar.cuts().stream().mapToDouble(c -> c.length().in()).sum();
                assertThat(used + bar.left().in())
                        .isLessThanOrEqualTo(bar.length().in() + 1e-9);
            }
        }
    }
}
