package bucina.core.forecast;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.job.Experience;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;

/** Forecasts of builders whose pace is known, because it was made up. */
class ForecastTest {

    private static final LocalDate TODAY = LocalDate.parse("2026-11-29");
    private static final LocalDateTime DONE = LocalDateTime.parse("2026-11-20T10:00");
    private static final Weeks NONE = new Weeks(List.of());

    private static Experience.Sample sample(double units, double minutes) {
        return new Experience.Sample(units, minutes, DONE);
    }

    @Test
    void a_builder_who_is_always_as_fast_is_forecast_to_the_minute() {
        Experience known = new Experience(Map.of("dimple", List.of(sample(10, 5), sample(20, 10), sample(40, 20))), 0);
        Forecast forecast = Forecast.of(List.of(new Left("dimple", 120, 99, false)), Hands.one(known), NONE, TODAY);
        assertThat(forecast.hours().low()).isEqualTo(1, Offset.offset(1e-9));
        assertThat(forecast.hours().high()).isEqualTo(1, Offset.offset(1e-9));
        assertThat(forecast.rests()).isEqualTo("3 entries with 0.6 h");
        assertThat(forecast.date()).isEmpty();
        assertThat(forecast.restsOn()).contains("no hours were logged in the last eight weeks");
    }

    @Test
    void what_was_never_done_is_typical_a_third_either_way_and_says_so() {
        Forecast forecast = Forecast.of(
                List.of(new Left("countersink", 10, 60, false)), Hands.one(new Experience(Map.of(), 0)), NONE, TODAY);
        assertThat(forecast.hours().mid()).isBetween(.95, 1.05);
        assertThat(forecast.hours().low()).isBetween(1 / 1.333, .85);
        assertThat(forecast.hours().high()).isBetween(1.18, 1.333);
        assertThat(forecast.rests()).contains("no entry of such work yet").contains("countersink");
    }

    @Test
    void work_that_belongs_to_no_job_comes_on_top() {
        Experience known = new Experience(Map.of("dimple", List.of(sample(10, 30), sample(10, 30), sample(10, 30))), 9);
        Forecast forecast = Forecast.of(List.of(new Left("dimple", 20, 1, false)), Hands.one(known), NONE, TODAY);
        assertThat(forecast.hours().mid()).isEqualTo(1.1, Offset.offset(1e-9));
        assertThat(forecast.rests()).endsWith("; 10 % on top for what belongs to no job");
    }

    @Test
    void weeks_all_alike_give_one_day() {
        Experience known = new Experience(Map.of("dimple", List.of(sample(1, 10), sample(1, 10), sample(1, 10))), 0);
        // 60 units of 10 minutes at 240 a week are two and a half weeks: 17.5 days.
        Forecast forecast = Forecast.of(
                List.of(new Left("dimple", 60, 1, false)), Hands.one(known), new Weeks(List.of(240.0, 240.0)), TODAY);
        Forecast.Dates dates = forecast.date().orElseThrow();
        assertThat(dates.low()).isEqualTo(TODAY.plusDays(18)).isEqualTo(dates.high());
        assertThat(forecast.restsOn()).isEqualTo("the last 2 weeks: 4.0 h a week, 4.0 to 4.0");
    }

    @Test
    void a_day_is_kept_so_often_out_of_ten() {
        Experience known = new Experience(Map.of("dimple", List.of(sample(1, 10), sample(1, 10), sample(1, 10))), 0);
        Forecast forecast = Forecast.of(
                List.of(new Left("dimple", 60, 1, false)), Hands.one(known), new Weeks(List.of(240.0, 240.0)), TODAY);
        assertThat(forecast.outOfTen(TODAY, TODAY.plusDays(17))).contains(0);
        assertThat(forecast.outOfTen(TODAY, TODAY.plusDays(18))).contains(10);
        Forecast spread = Forecast.of(
                List.of(new Left("dimple", 60, 1, false)),
                Hands.one(known),
                new Weeks(List.of(100.0, 200.0, 300.0, 400.0)),
                TODAY);
        assertThat(spread.outOfTen(TODAY, spread.date().orElseThrow().mid()))
                .hasValueSatisfying(n -> assertThat(n).isBetween(4, 6));
        assertThat(Forecast.of(List.of(), Hands.one(known), NONE, TODAY).outOfTen(TODAY, TODAY))
                .isEmpty();
    }

    @Test
    void nothing_left_is_done_today() {
        Forecast forecast =
                Forecast.of(List.of(), Hands.one(new Experience(Map.of(), 0)), new Weeks(List.of(60.0)), TODAY);
        assertThat(forecast.hours()).isEqualTo(new Range(0, 0, 0));
        assertThat(forecast.date().orElseThrow().high()).isEqualTo(TODAY);
    }

    @Test
    void the_other_hand_goes_as_fast_as_the_later_half_of_the_first_until_it_has_entries_of_its_own() {
        // Six entries of ten: 20, 20, 20 minutes, then 10, 10, 10. All together 1.5 each, the later half 1: two thirds.
        Experience first = new Experience(
                Map.of(
                        "dimple",
                        List.of(
                                sample(10, 20),
                                sample(10, 20),
                                sample(10, 20),
                                sample(10, 10),
                                sample(10, 10),
                                sample(10, 10))),
                0);
        Hands hands = Hands.learned(first, new Experience(Map.of(), 0), first);
        assertThat(hands.faster()).isEqualTo(2 / 3.0, Offset.offset(1e-12));
        Forecast left = Forecast.of(List.of(new Left("dimple", 6000, 1, true)), hands, NONE, TODAY);
        Forecast same = Forecast.of(List.of(new Left("dimple", 6000, 1, false)), hands, NONE, TODAY);
        assertThat(left.hours().mid() / same.hours().mid()).isEqualTo(2 / 3.0, Offset.offset(1e-9));
        assertThat(left.rests())
                .endsWith("the other hand at 67 % of the first hand's minutes, as its later half went (3 entries)");
        assertThat(same.rests()).doesNotContain("other hand");
        // Three of its own at 12 minutes for ten are four fifths of 1.5 each, and are what it is drawn from.
        Experience other = new Experience(Map.of("dimple", List.of(sample(10, 12), sample(10, 12), sample(10, 12))), 0);
        Hands both = Hands.learned(first, other, first);
        assertThat(both.faster()).isEqualTo(.8, Offset.offset(1e-12));
        assertThat(Forecast.of(List.of(new Left("dimple", 100, 1, true)), both, NONE, TODAY)
                        .hours()
                        .mid())
                .isEqualTo(2, Offset.offset(1e-9));
        // Nobody who slows down is forecast slower than the first hand.
        Experience slower = new Experience(
                Map.of(
                        "dimple",
                        List.of(
                                sample(10, 10),
                                sample(10, 10),
                                sample(10, 10),
                                sample(10, 20),
                                sample(10, 20),
                                sample(10, 20))),
                0);
        assertThat(Hands.learned(slower, new Experience(Map.of(), 0), slower).faster())
                .isEqualTo(1);
    }

    /** Entries of a builder who takes so long on average, some days longer, some shorter. */
    private static List<Experience.Sample> entries(Random random, int count, double pace, double spread) {
        List<Experience.Sample> entries = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            double units = 8 + random.nextInt(24);
            entries.add(sample(units, units * pace * Math.exp(spread * random.nextGaussian())));
        }
        return entries;
    }

    private static double worked(Random random, double units, double pace, double spread) {
        double minutes = 0;
        double rest = units;
        while (rest > 0) {
            Experience.Sample next = entries(random, 1, pace, spread).getFirst();
            minutes += next.minutes() * Math.min(1, rest / next.units());
            rest -= next.units();
        }
        return minutes;
    }

    @Test
    void the_range_covers_the_truth_of_made_up_builders_eight_times_in_ten() {
        int hours = 0;
        int dates = 0;
        int builders = 400;
        for (int i = 0; i < builders; i++) {
            Random random = new Random(1000 + i);
            Map<String, List<Experience.Sample>> samples = Map.of(
                    "dimple", entries(random, 30, .25, .3),
                    "deburr", entries(random, 30, .3, .2),
                    "set solid rivets", entries(random, 30, .6, .4));
            List<Left> left = List.of(
                    new Left("dimple", 900, 1, false),
                    new Left("deburr", 1500, 1, false),
                    new Left("set solid rivets", 800, 1, false));
            List<Double> weeks = new ArrayList<>();
            for (int w = 0; w < 8; w++) {
                weeks.add(200 + 200 * random.nextDouble());
            }
            Forecast forecast = Forecast.of(left, Hands.one(new Experience(samples, 0)), new Weeks(weeks), TODAY);
            double truth = worked(random, 900, .25, .3) + worked(random, 1500, .3, .2) + worked(random, 800, .6, .4);
            hours += truth / 60 >= forecast.hours().low()
                            && truth / 60 <= forecast.hours().high()
                    ? 1
                    : 0;
            double rest = truth;
            double days = 0;
            while (rest > 0) {
                double week = 200 + 200 * random.nextDouble();
                days += 7 * Math.min(1, rest / week);
                rest -= week;
            }
            LocalDate done = TODAY.plusDays((long) Math.ceil(days));
            Forecast.Dates range = forecast.date().orElseThrow();
            dates += !done.isBefore(range.low()) && !done.isAfter(range.high()) ? 1 : 0;
        }
        assertThat(100.0 * hours / builders).as("hours").isBetween(75.0, 85.0);
        assertThat(100.0 * dates / builders).as("dates").isBetween(75.0, 85.0);
    }
}
