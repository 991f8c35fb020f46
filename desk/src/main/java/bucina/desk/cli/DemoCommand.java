package bucina.desk.cli;

import bucina.desk.session.DemoBuild;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** {@code demo stabilator|locker --to FILE}: a demonstration as a file, without a window. */
@Command(
        name = "demo",
        mixinStandardHelpOptions = true,
        description = "Writes a demonstration build; without --to a window opens with it.")
final class DemoCommand implements Callable<Integer> {

    @Mixin
    private Common common;

    @Parameters(
            index = "0",
            paramLabel = "WHICH",
            defaultValue = "stabilator",
            description = "stabilator, locker or box")
    private String which;

    @Option(names = "--to", required = true, description = "The new build file.")
    private Path to;

    @Override
    public Integer call() {
        DemoBuild.Which demo =
                switch (which) {
                    case "stabilator" -> DemoBuild.Which.STABILATOR;
                    case "locker" -> DemoBuild.Which.LOCKER;
                    case "box" -> DemoBuild.Which.BOX;
                    default ->
                        throw Common.wrong(
                                "\"" + which + "\" is no demonstration: write stabilator, locker or box, like "
                                        + "demo locker --to locker.bucina");
                };
        checkNew();
        DemoBuild.write(demo, to, common.catalogue());
        common.answer(Common.object().put("out", to.toString()), List.of("Made " + to));
        return Cli.FINE;
    }

    private void checkNew() {
        if (Files.exists(to, LinkOption.NOFOLLOW_LINKS)) {
            throw Common.wrong(
                    "--to " + to + " is there already and is left as it is: give a new name, like " + "dunlin.bucina");
        }
    }
}
