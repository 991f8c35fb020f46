package bucina.store.json;

import bucina.core.measure.InputException;
import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonGenerator;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.StreamReadConstraints;
import com.fasterxml.jackson.core.StreamReadFeature;
import com.fasterxml.jackson.core.StreamWriteFeature;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.cfg.JsonNodeFeature;
import com.fasterxml.jackson.databind.json.JsonMapper;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;

/** One way of reading and writing JSON trees for the whole program: strict, decimal numbers exact. */
public final class Json {

    private static final ObjectMapper MAPPER = JsonMapper.builder(JsonFactory.builder()
                    .streamReadConstraints(StreamReadConstraints.builder()
                            .maxStringLength(64_000_000)
                            .maxNumberLength(100)
                            .build())
                    .build())
            .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
            .enable(DeserializationFeature.USE_BIG_DECIMAL_FOR_FLOATS)
            .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
            .enable(StreamWriteFeature.WRITE_BIGDECIMAL_AS_PLAIN)
            .disable(JsonNodeFeature.STRIP_TRAILING_BIGDECIMAL_ZEROES)
            .disable(JsonParser.Feature.AUTO_CLOSE_SOURCE)
            .build();

    private Json() {}

    /** The mapper, to make nodes with. */
    public static ObjectMapper mapper() {
        return MAPPER;
    }

    /**
     * Reads one tree.
     *
     * @throws InputException if it is no JSON; the message gives line and column
     */
    public static JsonNode read(String text) {
        try {
            return present(MAPPER.readTree(text));
        } catch (JsonProcessingException e) {
            throw notJson(e);
        } catch (NumberFormatException e) {
            throw noNumber(e);
        }
    }

    /** As {@link #read(String)}, from UTF-8 bytes. The caller closes the stream. */
    public static JsonNode read(InputStream in) throws IOException {
        try {
            return present(MAPPER.readTree(in));
        } catch (JsonProcessingException e) {
            throw notJson(e);
        } catch (NumberFormatException e) {
            throw noNumber(e);
        }
    }

    private static JsonNode present(JsonNode node) {
        if (node == null || node.isMissingNode()) {
            throw new InputException(
                    "the text is empty, a build in JSON begins with {\"format\": \"bucina-build\", ...");
        }
        return node;
    }

    private static InputException noNumber(NumberFormatException e) {
        return new InputException("a number in this JSON has an exponent that no figure has: write it like 0.635", e);
    }

    private static InputException notJson(JsonProcessingException e) {
        String where = e.getLocation() == null
                ? ""
                : " at line " + e.getLocation().getLineNr() + ", column "
                        + e.getLocation().getColumnNr();
        return new InputException("this is not JSON" + where + ": " + e.getOriginalMessage(), e);
    }

    /** The tree on one line, for a column of the build file. */
    public static String line(JsonNode node) {
        try {
            return MAPPER.writeValueAsString(node);
        } catch (JsonProcessingException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The tree as people read it. */
    public static String pretty(JsonNode node) {
        try {
            return MAPPER.writerWithDefaultPrettyPrinter().writeValueAsString(node);
        } catch (JsonProcessingException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** Writes a tree as people read it, bit by bit, in UTF-8; the stream stays open. */
    static JsonGenerator pretty(OutputStream out) throws IOException {
        return MAPPER.writerWithDefaultPrettyPrinter()
                .without(JsonGenerator.Feature.AUTO_CLOSE_TARGET)
                .createGenerator(out);
    }
}
