package bucina.core.prove;

import static bucina.core.prove.Histories.range;
import static bucina.core.prove.Histories.reading;
import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.log.GaugeCheck;
import bucina.core.log.LogEntry;
import bucina.core.log.Proof;
import bucina.core.log.Reset;
import bucina.core.log.Verdict;
import bucina.core.log.Work;
import bucina.core.measure.Length;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;

class SuspectsTest {

    private static Work.Setup squeezer(double gap) {
        return new Work.Setup("Squeezer", Optional.of(Length.in(gap)), Optional.empty(), "flat");
    }

    private static List<String> doubtful(Histories history) {
        return Suspects.of(Histories.DERIVATION, history.log()).doubtful().stream()
                .map(Suspects.Set::label)
                .toList();
    }

    @Test
    void a_failed_head_makes_doubtful_what_was_set_after_the_last_good_one_until_a_good_one_after_a_reset() {
        Histories history = new Histories();
        Work.Setup up = squeezer(.104);
        history.set(
                "A", up, List.of(reading(.19, .06).of("R1.3"), reading(.15, .04).of("R1.6")), range(1, 8));
        assertThat(doubtful(history)).containsExactly("R1.4", "R1.5", "R1.7", "R1.8");
        history.set("A", up, List.of(reading(.19, .06).of("R1.9")), range(9, 10));
        assertThat(doubtful(history)).containsExactly("R1.4", "R1.5", "R1.7", "R1.8", "R1.10");
        history.labour("A", new Reset("Squeezer", "flat", Optional.of(Length.in(.104))));
        history.set("A", up, List.of(reading(.19, .06).of("R1.12")), range(11, 14));
        assertThat(doubtful(history)).containsExactly("R1.4", "R1.5", "R1.7", "R1.8", "R1.10", "R1.11");
    }

    @Test
    void another_person_die_or_setting_is_another_set_up_and_coming_back_to_one_makes_it_anew() {
        Histories history = new Histories();
        history.set("A", squeezer(.104), List.of(reading(.15, .04).of("R1.2")), range(1, 3));
        history.set("B", squeezer(.104), List.of(), range(4, 5));
        history.set("A", squeezer(.120), List.of(), range(6, 7));
        assertThat(doubtful(history)).containsExactly("R1.1", "R1.3");
        history.set("A", squeezer(.104), List.of(reading(.19, .06).of("R1.9")), range(8, 10));
        assertThat(doubtful(history)).containsExactly("R1.1", "R1.3", "R1.8");
    }

    @Test
    void three_in_a_row_that_come_nearer_a_limit_are_a_drift_once_the_last_is_near() {
        // 1/8: least 1.3 D = .1625 across; .03 D over it is .16625.
        Histories history = new Histories();
        List<Work.Reading> falling = List.of(
                reading(.190, .06).of("R1.2"),
                reading(.180, .06).of("R1.4"),
                reading(.172, .06).of("R1.6"),
                reading(.166, .06).of("R1.8"));
        history.set("A", squeezer(.104), falling, range(1, 9));
        // The row is .180, .172, .166; the last good one before it is R1.2.
        assertThat(doubtful(history)).containsExactly("R1.3", "R1.5", "R1.7", "R1.9");
        Histories far = new Histories();
        far.set("A", squeezer(.104), falling.subList(0, 3), range(1, 9));
        assertThat(doubtful(far)).isEmpty();
    }

    @Test
    void what_was_drilled_out_still_tells_of_its_set_up_and_is_in_doubt_no_more() {
        Histories history = new Histories();
        history.set("A", squeezer(.104), List.of(reading(.15, .04).of("R1.2")), range(1, 4));
        history.replace("A", 2, reading(.19, .06));
        assertThat(doubtful(history)).containsExactly("R1.1", "R1.3", "R1.4");
        history.replace("A", 3, reading(.19, .06));
        assertThat(doubtful(history)).containsExactly("R1.1", "R1.4");
    }

    @Test
    void a_gauge_that_fails_its_check_makes_its_readings_since_the_last_good_one_suspect() {
        Histories history = new Histories();
        history.set("A", squeezer(.104), List.of(), range(1, 9));
        history.prove(1, Optional.of(reading(.19, .06)), Verdict.LEAVE);
        history.labour("A", new GaugeCheck("Caliper", Length.in(.25), Length.in(.2495)));
        LogEntry since = history.prove(2, Optional.of(reading(.19, .06)), Verdict.LEAVE);
        history.labour(
                "A",
                new Proof(
                        Histories.GROUP.id(),
                        "G-1",
                        "other",
                        ((Proof) since.labour().orElseThrow().what()).heads()));
        LogEntry bad = history.labour("A", new GaugeCheck("caliper", Length.in(.25), Length.in(.2485)));
        assertThat(Suspects.of(Histories.DERIVATION, history.log()).gauges())
                .containsExactly(new Suspects.GaugeDoubt(bad.id(), "caliper", List.of(since.id())));
    }

    /** What the oracle knows of one fastener. */
    private record Shot(String key, String hand, int hole, double[] read, boolean resetBefore) {}

    @Test
    void a_thousand_random_histories_are_judged_as_an_oracle_judges_them() {
        Random random = new Random(15);
        int some = 0;
        for (int round = 0; round < 1000; round++) {
            Histories history = new Histories();
            List<Shot> shots = new ArrayList<>();
            TreeSet<String> anew = new TreeSet<>();
            for (int next = 1; next <= 60; ) {
                String who = random.nextInt(4) == 0 ? "B" : "A";
                double gap = random.nextInt(3) == 0 ? .120 : .104;
                if (random.nextInt(4) == 0) {
                    history.labour(who, new Reset("squeezer", "FLAT", Optional.of(Length.in(gap))));
                    anew.add(who + gap);
                    continue;
                }
                int many = Math.min(1 + random.nextInt(7), 61 - next);
                List<Work.Reading> readings = new ArrayList<>();
                for (int i = 0; i < many; i++) {
                    double[] read = random.nextInt(3) == 0 ? drawn(random) : null;
                    if (read != null) {
                        readings.add(reading(read[0] * .125, read[1] * .125).of("R1." + (next + i)));
                    }
                    shots.add(new Shot(who + gap, who, next + i, read, i == 0 && anew.remove(who + gap)));
                }
                history.set(who, squeezer(gap), readings, range(next, next + many - 1));
                next += many;
            }
            List<Integer> is = Suspects.of(Histories.DERIVATION, history.log()).doubtful().stream()
                    .map(s -> Integer.valueOf(s.label().substring(3)))
                    .sorted()
                    .toList();
            List<Integer> expected = List.copyOf(oracle(shots));
            assertThat(is).as("round " + round).isEqualTo(expected);
            some += expected.isEmpty() ? 0 : 1;
        }
        assertThat(some).isBetween(200, 990);
    }

    /** Diameter and height in D, about the limits of the gauge school: 1.3 and .3. */
    private static double[] drawn(Random random) {
        return switch (random.nextInt(16)) {
            case 0 -> new double[] {1.2, .45};
            case 1, 2 -> new double[] {1.3 + random.nextInt(4) / 100.0, .5};
            case 3, 4 -> new double[] {1.6, .3 + random.nextInt(6) / 100.0};
            default -> new double[] {1.35 + random.nextInt(30) / 100.0, .4 + random.nextInt(20) / 100.0};
        };
    }

    private static boolean good(double[] read) {
        return read[0] >= 1.3 - 1e-9 && read[1] >= .3 - 1e-9;
    }

    private static TreeSet<Integer> oracle(List<Shot> shots) {
        TreeSet<Integer> doubtful = new TreeSet<>();
        for (String key : shots.stream().map(Shot::key).distinct().toList()) {
            List<Shot> own = shots.stream().filter(s -> s.key.equals(key)).toList();
            boolean[] anew = new boolean[own.size()];
            for (int i = 1; i < own.size(); i++) {
                int from = shots.indexOf(own.get(i - 1));
                int to = shots.indexOf(own.get(i));
                String hand = own.get(i).hand;
                anew[i] = own.get(i).resetBefore
                        || shots.subList(from + 1, to).stream().anyMatch(s -> s.hand.equals(hand));
            }
            for (int i = 0; i < own.size(); i++) {
                double[] read = own.get(i).read;
                if (read == null) {
                    continue;
                }
                if (!good(read)) {
                    spread(own, anew, i, i, doubtful);
                } else {
                    drift(own, anew, i, doubtful);
                }
            }
        }
        return doubtful;
    }

    private static void drift(List<Shot> own, boolean[] anew, int last, TreeSet<Integer> doubtful) {
        List<Integer> three = new ArrayList<>(List.of(last));
        for (int i = last; i > 0 && three.size() < 3; i--) {
            if (anew[i]) {
                return;
            }
            if (own.get(i - 1).read != null) {
                three.addFirst(i - 1);
            }
        }
        if (three.size() < 3 || three.stream().anyMatch(i -> !good(own.get(i).read))) {
            return;
        }
        for (int limit = 0; limit < 2; limit++) {
            double least = limit == 0 ? 1.3 : .3;
            double a = own.get(three.get(0)).read[limit];
            double b = own.get(three.get(1)).read[limit];
            double c = own.get(three.get(2)).read[limit];
            if (a - b > 1e-9 && b - c > 1e-9 && c - least <= .03 + 1e-9) {
                spread(own, anew, three.get(0), last, doubtful);
            }
        }
    }

    /** From the good reading before one until a good one after the set-up was made anew. */
    private static void spread(List<Shot> own, boolean[] anew, int before, int by, TreeSet<Integer> doubtful) {
        int from = 0;
        for (int i = 0; i < before; i++) {
            if (own.get(i).read != null && good(own.get(i).read)) {
                from = i + 1;
            }
        }
        boolean fresh = false;
        for (int i = from; i < own.size(); i++) {
            fresh = fresh || i > by && anew[i];
            double[] read = own.get(i).read;
            if (fresh && read != null && good(read)) {
                return;
            }
            if (read == null) {
                doubtful.add(own.get(i).hole);
            }
        }
    }
}
