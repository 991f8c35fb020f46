package bucina.desk.cli;

import bucina.core.forecast.Forecast;
import bucina.core.forecast.Hands;
import bucina.core.forecast.Left;
import bucina.core.forecast.Weeks;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/** {@code forecast FILE [--assembly A]}: hours that are left, and when they are done. */
@Command(
        name = "forecast",
        mixinStandardHelpOptions = true,
        description = "Hours that are left and the days they are done by, as ranges with what they rest on.")
final class ForecastCommand extends OnBuild implements Callable<Integer> {

    @Option(names = "--assembly", description = "Work on one assembly only.")
    private @Nullable String assembly;

    @Override
    public Integer call() {
        Opened is = open();
        JobsOf of = JobsOf.of(is, assembly, common());
        LocalDate today = LocalDate.now(common().top().clock());
        Forecast forecast = Forecast.of(
                Left.of(of.jobs().all().stream().filter(of::shown).toList()),
                Hands.of(is.build(), is.log()),
                Weeks.of(is.log(), today),
                today);
        ObjectNode node = Common.object();
        node.putObject("hours")
                .put("low", forecast.hours().low())
                .put("mid", forecast.hours().mid())
                .put("high", forecast.hours().high())
                .put("rests_on", forecast.rests());
        ObjectNode date = node.putObject("date");
        date.put("low", forecast.date().map(d -> d.low().toString()).orElse(null))
                .put("mid", forecast.date().map(d -> d.mid().toString()).orElse(null))
                .put("high", forecast.date().map(d -> d.high().toString()).orElse(null))
                .put("rests_on", forecast.restsOn());
        common().answer(
                        node,
                        List.of(
                                String.format(
                                        Locale.ROOT,
                                        "%.1f h left, %.1f to %.1f. %s.",
                                        forecast.hours().mid(),
                                        forecast.hours().low(),
                                        forecast.hours().high(),
                                        forecast.rests()),
                                forecast.date()
                                                .map(d -> "Done about " + d.mid() + ", between " + d.low() + " and "
                                                        + d.high() + ". ")
                                                .orElse("")
                                        + forecast.restsOn() + "."));
        return Cli.FINE;
    }
}
