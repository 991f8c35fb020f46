package bucina.desk.cli;

import bucina.store.file.BuildFile;
import bucina.store.file.OutFile;
import bucina.store.json.BuildJson;
import bucina.store.json.Json;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/** {@code export FILE --to json --out OUT}: the whole build in an open format. */
@Command(name = "export", mixinStandardHelpOptions = true, description = "Writes a build in an open format.")
final class ExportCommand extends OnBuild implements Callable<Integer> {

    @Option(names = "--to", required = true, description = "json")
    private String to;
    @Option(names = "--what", defaultValue = "build", description = "build: everything.")
    private String what;
    @Option(names = "--out", required = true, description = "The file to write.")
    private Path out;
    @Option(names = "--force", description = "Replace a file that is there.")
    private boolean force;

    @Override
    public Integer call() {
        if (!to.equals("json")) {
            throw Common.wrong("--to " + to + " is not a format this version writes: write json");
        }
        if (!what.equals("build")) {
            throw Common.wrong("--what " + what + " is not something this version writes as json: write build");
        }
        String text;
        try (BuildFile file = BuildFile.openToRead(file())) {
            text = Json.pretty(BuildJson.write(file.document())) + "\n";
        }
        OutFile.write(out, text.getBytes(StandardCharsets.UTF_8), force);
        common().answer(Common.object().put("out", out.toString()), List.of("Wrote " + out));
        return Cli.FINE;
    }
}
