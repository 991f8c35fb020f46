package bucina.desk.cli;

import bucina.core.measure.InputException;
import bucina.store.Document;
import bucina.store.file.BuildFile;
import bucina.store.json.BuildJson;
import bucina.store.json.Json;
import com.fasterxml.jackson.databind.JsonNode;
import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** {@code import IN --from json --out FILE}: a new build from an open format. */
@Command(name = "import", mixinStandardHelpOptions = true, description = "Makes a new build file from an open format.")
final class ImportCommand implements Callable<Integer> {

    @Mixin
    private Common common;
    @Parameters(index = "0", paramLabel = "IN", description = "The file to read.")
    private Path in;
    @Option(names = "--from", required = true, description = "json")
    private String from;
    @Option(names = "--out", required = true, description = "The new build file.")
    private Path out;

    @Override
    public Integer call() {
        if (!from.equals("json")) {
            throw Common.wrong("--from " + from + " is not a format this version reads: write json");
        }
        Document document;
        try (InputStream stream = new BufferedInputStream(Files.newInputStream(in))) {
            JsonNode tree = Json.read(stream);
            document = BuildJson.read(tree);
        } catch (IOException e) {
            throw new InputException(in + " cannot be read: " + e.getMessage() + ". Give the path of a JSON export", e);
        } catch (InputException e) {
            throw new InputException(in + ": " + e.getMessage(), e);
        }
        BuildFile.create(out, document).close();
        common.answer(Common.object().put("out", out.toString()), List.of("Made " + out));
        return Cli.FINE;
    }
}
