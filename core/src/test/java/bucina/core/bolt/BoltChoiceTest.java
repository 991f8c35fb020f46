package bucina.core.bolt;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class BoltChoiceTest {

    private final Catalogue catalogue = CatalogueReader.shipped();

    private BoltChoice choose(String thread, BoltChoice.Turn turn, String nut, double drag, double... layers) {
        BoltThread t = BoltThread.of(catalogue.bolts(), thread);
        Nut n = Nut.of(catalogue.nuts(), nut, thread, s -> Length.in(Double.parseDouble(s)));
        return BoltChoice.of(
                new BoltChoice.Joint(
                        t, Arrays.stream(layers).mapToObj(Length::in).toList(), n, turn, drag),
                catalogue.washers());
    }

    @Test
    void grips_and_lengths_are_the_standards() {
        List<BoltThread.Bolt> an3 = BoltThread.of(catalogue.bolts(), "10-32").bolts();
        // AN3-3 .0625, -4 .125, -5 .250, -6 .375, -7 .5, -10 .625 (1 in), -20 1.625 (2 in); length is grip + 13/32.
        assertThat(an3.stream().limit(6).map(BoltThread.Bolt::designation))
                .containsExactly("AN3-3", "AN3-4", "AN3-5", "AN3-6", "AN3-7", "AN3-10");
        assertThat(an3.get(5).grip()).isEqualTo(Length.in(.625));
        assertThat(an3.get(5).length()).isEqualTo(Length.in(1.03125));
        assertThat(an3.stream()
                        .filter(b -> b.designation().equals("AN3-20"))
                        .findFirst()
                        .orElseThrow()
                        .grip())
                .isEqualTo(Length.in(1.625));
        assertThat(BoltThread.of(catalogue.bolts(), "1/4-28").bolts().get(1).grip())
                .isEqualTo(Length.in(.1875));
        assertThat(BoltThread.of(catalogue.bolts(), "5/16-24")
                        .bolts()
                        .getFirst()
                        .designation())
                .isEqualTo("AN5-5");
    }

    @Test
    void a_stack_of_three_sixteenths_takes_two_washers_so_that_three_threads_show() {
        BoltChoice choice = choose("10-32", BoltChoice.Turn.NUT, "tension-lock", 0, .125, .063);
        // AN3-5: length .65625. With one .063 washer C = .251: (.65625 − .251 − .250) / .03125 = 4.97 threads. With
        // two, C = .314: 2.95.
        BoltChoice.Fit best = choice.best().orElseThrow();
        assertThat(best.bolt().designation()).isEqualTo("AN3-5A");
        assertThat(best.full()).isTrue();
        assertThat(best.underNut()).extracting(Washer::name).containsExactly("regular", "regular");
        assertThat(best.showing()).isCloseTo(2.952, within(1e-9));
        assertThat(choice.fits()).anySatisfy(f -> {
            assertThat(f.washers()).isEqualTo(1);
            assertThat(f.showing()).isCloseTo(4.968, within(1e-9));
        });
    }

    @Test
    void every_fit_keeps_every_demand_and_lies_in_order() {
        Random random = new Random(3);
        for (int i = 0; i < 200; i++) {
            String thread = List.of("10-32", "1/4-28", "5/16-24").get(random.nextInt(3));
            BoltChoice.Turn turn = random.nextBoolean() ? BoltChoice.Turn.NUT : BoltChoice.Turn.HEAD;
            double stack = Math.round((.05 + 2 * random.nextDouble()) * 1000) / 1000.0;
            BoltChoice choice = choose(thread, turn, "tension-lock", 5, stack);
            double p = choice.asked().thread().pitch().in();
            boolean full = true;
            boolean over = false;
            int washers = 0;
            for (BoltChoice.Fit f : choice.fits()) {
                double head = f.underHead().stream()
                        .mapToDouble(w -> w.thickness().in())
                        .sum();
                double c = stack
                        + head
                        + f.underNut().stream()
                                .mapToDouble(w -> w.thickness().in())
                                .sum();
                assertThat(f.bolt().grip().in())
                        .isGreaterThanOrEqualTo(stack + head - p - 1e-9)
                        .isLessThanOrEqualTo(c + 1e-9);
                assertThat(f.showing()).isGreaterThanOrEqualTo(1 - 1e-6);
                assertThat(turn == BoltChoice.Turn.NUT ? f.underNut() : f.underHead())
                        .isNotEmpty();
                assertThat(f.washers()).isLessThanOrEqualTo(3);
                boolean nowFull = f.bolt().grip().in() >= stack + head - 1e-9;
                assertThat(f.full()).isEqualTo(nowFull);
                assertThat(full || !nowFull).as("a full shank goes first").isTrue();
                boolean nowOver = f.showing() > 3 + 1e-9;
                boolean same = nowFull == full;
                assertThat(!same || !over || nowOver).isTrue();
                assertThat(!same || nowOver != over || f.washers() >= washers).isTrue();
                full = nowFull;
                over = nowOver;
                washers = f.washers();
            }
        }
    }

    @Test
    void drag_is_added_and_shear_nuts_take_less() {
        assertThat(choose("1/4-28", BoltChoice.Turn.NUT, "tension-lock", 12, .5)
                        .asked()
                        .torque())
                .isEqualTo(new BoltThread.Torque(62, 82));
        assertThat(choose("1/4-28", BoltChoice.Turn.NUT, "shear:.16", 0, .5)
                        .asked()
                        .torque())
                .isEqualTo(new BoltThread.Torque(30, 40));
        assertThat(choose("5/16-24", BoltChoice.Turn.NUT, "castle:.25", 0, .5)
                        .asked()
                        .torque())
                .isEqualTo(new BoltThread.Torque(100, 140));
    }

    /*
     * By hand, 10-32 in .140 with a lock nut of .250: AN3-4 has a grip of .125, under the stack by .015: thread in the
     * joint, allowed (one pitch is .03125). AN3-5 (.250) fills it with C from .250: .140 + .063 + .063 = .266.
     */
    @Test
    void a_shank_that_fills_the_joint_goes_before_one_with_thread_in_it_even_with_more_washers() {
        BoltChoice choice = choose("10-32", BoltChoice.Turn.NUT, "tension-lock", 0, .140);
        BoltChoice.Fit best = choice.best().orElseThrow();
        assertThat(best.bolt().designation()).isEqualTo("AN3-5A");
        assertThat(best.full()).isTrue();
        assertThat(choice.fits()).anySatisfy(f -> {
            assertThat(f.bolt().designation()).isEqualTo("AN3-4A");
            assertThat(f.full()).isFalse();
            assertThat(f.washers()).isLessThan(best.washers());
        });
    }

    @Test
    void a_castle_nut_takes_a_drilled_bolt_a_cotter_and_no_drag() {
        BoltChoice choice = choose("1/4-28", BoltChoice.Turn.HEAD, "castle:.25", 8, .5);
        assertThat(choice.best().orElseThrow().bolt().designation()).doesNotEndWith("A");
        assertThat(choice.asked().torque()).isEqualTo(new BoltThread.Torque(50, 70));
        assertThat(String.join(" ", choice.asked().notes()))
                .contains("cotter")
                .contains("not added")
                .contains("turning the head, the friction under it adds");
    }

    @Test
    void where_none_fits_the_demand_that_fails_is_named() {
        // Beyond the grip there is 13/32 = .40625; a nut of .45 leaves no thread, wherever the washers go.
        BoltChoice tall = choose("10-32", BoltChoice.Turn.NUT, "castle:.45", 0, .25);
        assertThat(tall.best()).isEmpty();
        assertThat(tall.why().in(Unit.INCH)).startsWith("No thread would show").contains(".450 in");
        // The longest AN3 of the table has a grip of .25 + 43 × .125 = 5.625.
        assertThat(choose("10-32", BoltChoice.Turn.NUT, "tension-lock", 0, 5, 1)
                        .why()
                        .in(Unit.INCH))
                .startsWith("The stack of 6.000 in is thicker")
                .contains("5.625 in");
    }

    @Test
    void sizes_not_in_the_catalogue_are_refused_by_name() {
        assertThatThrownBy(() -> BoltThread.of(catalogue.bolts(), "3/8-24"))
                .isInstanceOf(InputException.class)
                .hasMessage("\"3/8-24\" is no thread with bolts in the catalogue: it has 10-32, 1/4-28, 5/16-24");
        assertThatThrownBy(() -> BoltThread.of(catalogue.bolts(), "8-36")).hasMessageContaining("8-36");
        assertThatThrownBy(() -> choose("10-32", BoltChoice.Turn.NUT, "wing", 0, .2))
                .hasMessageContaining("\"wing\" is no nut for 10-32");
        assertThatThrownBy(() -> choose("10-32", BoltChoice.Turn.NUT, "tension-lock", -3, .2))
                .hasMessageContaining("drag");
    }

    @Test
    void a_regular_and_a_thin_washer_fill_ninety_five_thousandths() {
        GapFill best = GapFill.of(Length.in(.095), catalogue.washers()).getFirst();
        assertThat(best.washers()).extracting(Washer::name).containsExactly("regular", "thin");
        assertThat(best.left()).isEqualTo(Length.ZERO);
        assertThatThrownBy(() -> GapFill.of(Length.in(.6), catalogue.washers())).hasMessageContaining("make a bushing");
        assertThatThrownBy(() -> GapFill.of(Length.ZERO, catalogue.washers())).hasMessageContaining("The gap is 0 in");
    }
}
