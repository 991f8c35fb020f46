package bucina.desk.cli;

import bucina.core.hand.Mirror;
import bucina.core.log.Logbook;
import bucina.core.plan.Assembly;
import bucina.core.plan.Build;
import bucina.store.Document;
import bucina.store.file.BuildFile;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/** {@code mirror FILE --assembly A --out FILE2}: a copy of a build with the other hand of an assembly added. */
@Command(
        name = "mirror",
        mixinStandardHelpOptions = true,
        description = "Adds the other hand of an assembly, in a new build file.")
final class MirrorCommand extends OnBuild implements Callable<Integer> {

    @Option(names = "--assembly", required = true, description = "The assembly that was drawn.")
    private String assembly;

    @Option(names = "--out", required = true, description = "The new build file.")
    private Path out;

    @Override
    public Integer call() {
        Document document;
        try (BuildFile open = common().told(BuildFile.openToRead(file()))) {
            document = open.document();
        }
        Build build = document.build();
        Assembly first = assembly(build);
        Build mirrored = Mirror.add(build, first.id());
        Assembly twin = mirrored.assemblies().getLast();
        Logbook log = document.log();
        common().told(BuildFile.create(out, new Document(mirrored, log, document.photos())))
                .close();
        int holes = twin.faces().stream().mapToInt(f -> f.count()).sum();
        common().answer(
                        Common.object()
                                .put("out", out.toString())
                                .put("assembly", twin.name())
                                .put("hand", twin.hand().word())
                                .put("fasteners", holes),
                        List.of("Made " + out + " with " + twin.name() + " ("
                                + twin.hand().word() + " hand), " + holes + " fasteners"));
        return Cli.FINE;
    }

    private Assembly assembly(Build build) {
        return build.assemblies().stream()
                .filter(a -> a.name().equalsIgnoreCase(assembly.strip()))
                .findFirst()
                .orElseThrow(() -> Common.wrong("there is no assembly \"" + assembly + "\"; this build has "
                        + build.assemblies().stream().map(Assembly::name).collect(Collectors.joining(", "))));
    }
}
