package bucina.desk.cli;

import bucina.core.form.Entries;
import bucina.core.log.Seen;
import bucina.core.log.Work;
import bucina.core.material.Material;
import bucina.core.measure.Length;
import bucina.core.prove.Judge;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;

/** {@code calc judge}: leave a head, or replace it. */
@Command(
        name = "judge",
        mixinStandardHelpOptions = true,
        description = "Leave or replace: a head as measured and seen, by both schools.")
final class CalcJudgeCommand implements Callable<Integer> {

    @Mixin
    private Common common;

    @Option(names = "--head", required = true, description = "universal, flush or blind.")
    private String head;

    @Option(names = "--diameter", required = true, description = "Nominal shank: 3/32, -3, .094 ...")
    private String diameter;

    @Option(names = "--measured", description = "Shop head, diameter x height: .190x.048")
    private @Nullable String measured;

    @Option(names = "--hits", defaultValue = "0", description = "How often it was set once more already.")
    private int hits;

    @Option(
            names = "--seen",
            defaultValue = "",
            description =
                    "crack,fold,offset,dish,head-gap:PERCENT[:shank],sheet-gap,proud:X,below:X,cut:X,rocks,mandrel")
    private String seen;

    @Option(names = "--by", description = "squeezer or gun.")
    private @Nullable String by;

    @Option(names = "--alloy", description = "Of the sheet under the head: 2024-T3")
    private @Nullable String alloy;

    @Option(names = "--thickness", description = "Of that sheet.")
    private @Nullable String thickness;

    @Override
    public Integer call() {
        Judge.Subject subject = subject();
        Judge.Judgement judged = new Judge(common.catalogue().rules()).of(subject);
        ObjectNode node = Common.object();
        said(node.putObject("process"), judged.process());
        said(node.putObject("gauge"), judged.gauge());
        node.put("governing", judged.governing().code());
        common.answer(
                node,
                List.of(
                        line("process specification", judged.process()),
                        line("shop gauge", judged.gauge()),
                        "Governs: " + judged.governing().word()
                                + ". The kit's drawing governs over both; nothing here is an approval."));
        return Cli.FINE;
    }

    private void said(ObjectNode node, Judge.Said said) {
        node.put("verdict", said.verdict().code()).put("why", said.why().in(common.unit()));
    }

    private String line(String school, Judge.Said said) {
        return "%-22s %-8s %s"
                .formatted(school, said.verdict().code(), said.why().in(common.unit()));
    }

    private Judge.Subject subject() {
        Judge.Head kind = head();
        Optional<Work.Reading> reading = reading(kind);
        return new Judge.Subject(
                kind,
                common.shank(diameter),
                reading,
                hits,
                Seen.parse(seen, common.lengths()),
                by(),
                Optional.ofNullable(alloy).map(Material::parse),
                thickness());
    }

    private Judge.Head head() {
        return switch (head) {
            case "universal" -> Judge.Head.UNIVERSAL;
            case "flush", "reduced" -> Judge.Head.FLUSH;
            case "blind" -> Judge.Head.BLIND;
            default -> throw Common.wrong("--head \"" + head + "\" is not known: write universal, flush or blind");
        };
    }

    private Optional<Work.Reading> reading(Judge.Head kind) {
        if (measured == null) {
            if (kind != Judge.Head.BLIND) {
                throw Common.wrong(
                        "--measured is missing: a shop head is judged by diameter x height, as --measured .190x.048");
            }
            return Optional.empty();
        }
        List<Work.Reading> readings = Entries.readings(measured, common.lengths());
        if (readings.size() != 1) {
            throw Common.wrong(
                    "--measured \"" + measured + "\" is not one head: write diameter x height, as .190x.048");
        }
        return Optional.of(readings.getFirst());
    }

    private Optional<Judge.By> by() {
        return Optional.ofNullable(by).map(b -> switch (b) {
            case "squeezer" -> Judge.By.SQUEEZER;
            case "gun" -> Judge.By.GUN;
            default -> throw Common.wrong("--by \"" + b + "\" is not known: write squeezer or gun");
        });
    }

    private Optional<Length> thickness() {
        return Optional.ofNullable(thickness).map(t -> common.lengths().parsePositive(t, "--thickness"));
    }
}
