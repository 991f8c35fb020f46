package bucina.core.cleco;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bucina.core.measure.InputException;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ClecoPlanTest {

    /** What a plan did, found by doing it; knows nothing of how it was made. */
    private record Done(int peak, int placed, Set<Integer> in) {}

    /** Does a plan step by step and refuses what must not happen. */
    private static Done walk(ClecoPlan plan) {
        int n = plan.row().holes();
        int k = plan.row().nearest();
        Set<Integer> in = new HashSet<>();
        Set<Integer> drilled = new HashSet<>();
        int peak = 0;
        int placed = 0;
        for (ClecoPlan.Wave wave : plan.waves()) {
            for (int h : wave.place()) {
                assertThat(h).isBetween(1, n);
                assertThat(in.add(h)).as("hole %d has a cleco already", h).isTrue();
                placed++;
                peak = Math.max(peak, in.size());
                assertThat(in.size()).isLessThanOrEqualTo(plan.row().stock());
            }
            // Lifted clecos of this wave are lifted after the drilling, except the hole's own, which a later wave would
            // have lifted.
            for (int h : wave.drill()) {
                assertThat(in).as("hole %d is drilled with a cleco in it", h).doesNotContain(h);
                assertThat(drilled.add(h)).as("hole %d is drilled twice", h).isTrue();
                for (int side = -1; side <= 1; side += 2) {
                    boolean holes = side < 0 ? h > 1 : h < n;
                    boolean held = false;
                    for (int d = 1; d <= k; d++) {
                        held |= in.contains(h + side * d);
                    }
                    assertThat(!holes || held)
                            .as("hole %d has a cleco within %d on side %d: %s", h, k, side, in)
                            .isTrue();
                }
            }
            for (int h : wave.remove()) {
                assertThat(in.remove(h)).as("hole %d has no cleco to lift", h).isTrue();
            }
        }
        assertThat(drilled).hasSize(n);
        return new Done(peak, placed, in);
    }

    private static ClecoPlan plan(int holes, Mode mode, int stock, int nearest) {
        return ClecoPlan.of(new ClecoPlan.Row(holes, mode, stock, nearest));
    }

    @Test
    void two_thousand_random_rows_stocks_and_modes_keep_every_promise() {
        Random random = new Random(2000);
        for (int i = 0; i < 2000; i++) {
            int n = 1 + random.nextInt(random.nextInt(10) == 0 ? 300 : 60);
            Mode mode = Mode.values()[random.nextInt(4)];
            int stock = random.nextBoolean() ? random.nextInt(12) : n + 5;
            ClecoPlan plan = plan(n, mode, stock, 1 + random.nextInt(4));
            if (!plan.fits()) {
                assertThat(stock).as(plan.row().toString()).isLessThan(plan.least());
                continue;
            }
            Done done = walk(plan);
            assertThat(done.peak()).isEqualTo(plan.peak()).isLessThanOrEqualTo(stock);
            assertThat(done.placed()).isEqualTo(plan.moves());
            assertThat(plan.moves()).as(plan.row().toString()).isGreaterThanOrEqualTo(plan.bound());
            if (stock >= n) {
                assertThat(plan.moves()).as(plan.row().toString()).isLessThanOrEqualTo((int)
                        Math.ceil(plan.bound() * 1.1));
                assertThat(plan.moves()).isEqualTo(plan.bound());
            }
            if (mode == Mode.EVERY_HOLE) {
                assertThat(done.in()).hasSize(n);
            }
        }
    }

    @Test
    void the_least_stock_does_and_one_less_does_not() {
        for (Mode mode : Mode.values()) {
            for (int n = 1; n <= 40; n++) {
                for (int k = 1; k <= 3; k++) {
                    int least = plan(n, mode, 0, k).least();
                    walk(plan(n, mode, least, k));
                    assertThat(plan(n, mode, least - 1 < 0 ? 0 : least - 1, k).fits())
                            .isFalse();
                }
            }
        }
    }

    /*
     * By hand, 40 holes, within 2. Nose first: locating clecos at 3, 5 ... 39, 40: 20, so 60 moves. Middle out from
     * 20: 18, 16 ... 2, 1 is 10 and 22 ... 40 is
     * 10: 60. Ends in: 3, 5 ... 37, 39: the last within 2 of 40 is 39 (38 is 2 away but odd steps land on 39): 19, so
     * 59. Every hole: 3, 7 ... 39: 10, so 50.
     */
    @ParameterizedTest
    @CsvSource({"nose-first,60", "middle-out,60", "ends-in,59", "every-hole,50"})
    void bounds_of_a_row_of_forty(String mode, int bound) {
        ClecoPlan plan = plan(40, Mode.parse(mode), 40, 2);
        assertThat(plan.bound()).isEqualTo(bound);
        assertThat(plan.moves()).isEqualTo(bound);
    }

    @Test
    void the_middle_is_first_and_the_ends_are_last() {
        List<Integer> order = plan(9, Mode.MIDDLE_OUT, 9, 2).waves().stream()
                .flatMap(w -> w.drill().stream())
                .toList();
        assertThat(order).containsExactly(5, 6, 4, 7, 3, 8, 2, 9, 1);
        assertThat(plan(6, Mode.ENDS_IN, 6, 2).waves().stream().flatMap(w -> w.drill().stream()))
                .containsExactly(1, 6, 2, 5, 3, 4);
        assertThat(plan(5, Mode.NOSE_FIRST, 2, 2).waves().stream().flatMap(w -> w.drill().stream()))
                .containsExactly(1, 2, 3, 4, 5);
    }

    @Test
    void two_people_never_work_at_one_hole_and_never_lift_what_holds_it() {
        Random random = new Random(22);
        int saved = 0;
        for (int i = 0; i < 500; i++) {
            ClecoPlan plan = plan(
                    1 + random.nextInt(50),
                    Mode.values()[random.nextInt(4)],
                    2 + random.nextInt(60),
                    1 + random.nextInt(3));
            TwoHands hands = TwoHands.of(plan);
            Set<Integer> in = new HashSet<>();
            Set<Integer> drilled = new HashSet<>();
            int k = plan.row().nearest();
            for (TwoHands.Turn turn : hands.turns()) {
                assertThat(Collections.disjoint(turn.place(), turn.drill())).isTrue();
                assertThat(Collections.disjoint(turn.remove(), turn.drill())).isTrue();
                for (int h : turn.drill()) {
                    assertThat(in).doesNotContain(h);
                    assertThat(drilled.add(h)).isTrue();
                    for (int side = -1; side <= 1; side += 2) {
                        int s = side;
                        boolean end = side < 0 ? h == 1 : h == plan.row().holes();
                        assertThat(end
                                        || IntStream.rangeClosed(1, k)
                                                .anyMatch(d -> in.contains(h + s * d)
                                                        && !turn.remove().contains(h + s * d)))
                                .isTrue();
                    }
                }
                turn.remove().forEach(h -> assertThat(in.remove(h)).isTrue());
                turn.place().forEach(h -> assertThat(in.add(h)).isTrue());
                assertThat(in.size()).isLessThanOrEqualTo(plan.row().stock());
                saved += turn.drill().isEmpty() || turn.place().isEmpty() ? 0 : 1;
            }
            assertThat(drilled).hasSize(plan.fits() ? plan.row().holes() : 0);
        }
        assertThat(saved).isPositive();
    }

    @Test
    void every_second_hole_is_riveted_first_and_each_has_a_cleco_or_a_rivet_on_both_sides() {
        Random random = new Random(9);
        for (int i = 0; i < 300; i++) {
            int n = 1 + random.nextInt(60);
            Set<Integer> held = new HashSet<>();
            for (int h = 1; h <= n; h++) {
                if (random.nextInt(6) == 0) {
                    held.add(h);
                }
            }
            RivetOrder order = RivetOrder.of(n, held);
            Set<Integer> in = new HashSet<>();
            Set<Integer> set = new HashSet<>();
            for (RivetOrder.Step step : order.steps()) {
                step.pull().forEach(h -> assertThat(in.remove(h)).isTrue());
                for (int h : step.set()) {
                    assertThat(in).doesNotContain(h);
                    assertThat(held).doesNotContain(h);
                    assertThat(h == 1 || in.contains(h - 1) || set.contains(h - 1))
                            .isTrue();
                    assertThat(h == n || in.contains(h + 1) || set.contains(h + 1))
                            .isTrue();
                    assertThat(set.add(h)).isTrue();
                }
                in.addAll(step.place());
                assertThat(in.size()).isLessThanOrEqualTo(order.peak());
            }
            assertThat(set).hasSize(n - held.size());
            assertThat(in).isEqualTo(held);
        }
        // By hand, 7 holes: clecos in 1 3 5 7; set 4, 2, 6; then pull and set 3, 5, 1, 7.
        assertThat(RivetOrder.of(7, Set.of()).steps().stream().flatMap(s -> s.set().stream()))
                .containsExactly(4, 2, 6, 3, 5, 1, 7);
    }

    @Test
    void what_is_no_row_is_refused() {
        assertThatThrownBy(() -> plan(0, Mode.NOSE_FIRST, 5, 2))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("0 holes");
        assertThatThrownBy(() -> plan(5, Mode.NOSE_FIRST, -1, 2)).hasMessageContaining("stock of -1");
        assertThatThrownBy(() -> plan(5, Mode.NOSE_FIRST, 5, 0)).hasMessageContaining("within 0 holes");
        assertThatThrownBy(() -> Mode.parse("sideways"))
                .hasMessageContaining("middle-out, every-hole, nose-first, ends-in");
    }

    /* Time is not measured here, only that it ends; speed/ has the figures. */
    @Test
    @Timeout(20)
    void twenty_thousand_holes_are_planned_in_every_mode() {
        for (Mode mode : Mode.values()) {
            ClecoPlan plan = ClecoPlan.of(new ClecoPlan.Row(20_000, mode, 20_000, 2));
            assertThat(plan.fits()).isTrue();
            assertThat(plan.moves()).isEqualTo(plan.bound());
        }
    }

    @Test
    void ends_in_with_too_few_clecos_says_how_many_it_needs() {
        ClecoPlan few = ClecoPlan.of(new ClecoPlan.Row(30, Mode.ENDS_IN, 4, 2));
        assertThat(few.fits()).isFalse();
        assertThat(few.least()).isEqualTo(7);
        ClecoPlan enough = ClecoPlan.of(new ClecoPlan.Row(30, Mode.ENDS_IN, 7, 2));
        List<Integer> drilled =
                enough.waves().stream().flatMap(w -> w.drill().stream()).toList();
        assertThat(drilled.subList(0, 4)).containsExactly(1, 30, 2, 29);
    }
}
