package bucina.speed;

import bucina.core.callout.Callout;
import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.drawing.Drawing;
import bucina.core.drawing.Intake;
import bucina.core.gauge.GaugeLines;
import bucina.core.measure.InputException;
import bucina.core.measure.LengthParser;
import bucina.core.measure.Unit;
import bucina.core.stack.Derivation;
import bucina.desk.session.PhotoData;
import bucina.store.Document;
import bucina.store.Photo;
import bucina.store.drawing.Progress;
import bucina.store.drawing.TextFile;
import bucina.store.dxf.DxfReader;
import bucina.store.file.BuildFile;
import bucina.store.file.BuildFileException;
import bucina.store.json.BuildJson;
import bucina.store.json.Json;
import bucina.store.svg.SvgReader;
import bucina.store.table.HoleTable;
import bucina.store.table.PackingTable;
import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Optional;

/**
 * What every reader is given by a fuzzer: any bytes. They are read, or refused in a sentence; anything else is found.
 * Run by {@code speed/fuzz}; what was found stays as a test.
 */
public final class Fuzz {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final String READER = System.getProperty("bucina.reader", "");

    private Fuzz() {}

    /** What reads something that comes from outside. */
    enum Reader {
        DXF,
        SVG,
        HOLES,
        PACKING,
        JSON,
        BUILD,
        GAUGE,
        LENGTH,
        CALLOUT,
        PHOTO,
        CATALOGUE;

        static Reader called(String word) {
            return valueOf(word.toUpperCase(Locale.ROOT));
        }
    }

    /** Called by the fuzzer. */
    public static void fuzzerTestOneInput(byte[] bytes) {
        read(Reader.called(READER), bytes);
    }

    /**
     * Reads bytes; true if they were taken, false if they were refused in a sentence.
     *
     * @throws AssertionError if what was refused was refused without one
     */
    static boolean read(Reader reader, byte[] bytes) {
        try {
            taken(reader, bytes);
            return true;
        } catch (InputException | BuildFileException e) {
            if (e.getMessage() == null || e.getMessage().isBlank()) {
                throw new AssertionError("refused without a sentence", e);
            }
            return false;
        }
    }

    private static void taken(Reader reader, byte[] bytes) {
        String text = new String(bytes, StandardCharsets.UTF_8);
        switch (reader) {
            case DXF -> drawn(DxfReader.read(bytes, Unit.INCH, Progress.NONE).drawing());
            case SVG ->
                drawn(SvgReader.read(TextFile.text(bytes, () -> StandardCharsets.UTF_8), Unit.MM, Progress.NONE)
                        .drawing());
            case HOLES ->
                HoleTable.read(text, Unit.INCH, Optional.empty(), CATALOGUE.drills(), Progress.NONE)
                        .faces()
                        .values()
                        .forEach(Fuzz::drawn);
            case PACKING -> PackingTable.read(text, Unit.MM, CATALOGUE.drills());
            case JSON -> json(text);
            case BUILD -> build(bytes);
            case GAUGE -> new GaugeLines().feed(bytes, bytes.length, l -> {});
            case LENGTH -> new LengthParser(Unit.INCH, CATALOGUE.drills()).parse(text);
            case CALLOUT -> Callout.parse(text);
            case PHOTO -> photo(bytes);
            case CATALOGUE -> catalogue(text);
        }
    }

    private static void drawn(Drawing drawing) {
        Intake intake = Intake.of(drawing);
        intake.sentences(Unit.INCH);
        intake.count();
    }

    private static void json(String text) {
        Document document = BuildJson.read(Json.read(text));
        Derivation.of(document.build(), CATALOGUE).findings(() -> false);
        if (!BuildJson.read(BuildJson.write(document)).build().equals(document.build())) {
            throw new AssertionError("written out and read again it is another build");
        }
    }

    private static void build(byte[] bytes) {
        try {
            Path path = Files.createTempFile("fuzz", ".bucina");
            try {
                Files.write(path, bytes);
                try (BuildFile file = BuildFile.openToRead(path)) {
                    file.document();
                }
            } finally {
                Files.deleteIfExists(path);
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void photo(byte[] bytes) {
        Photo photo = Photo.of("image/jpeg", bytes);
        PhotoData.taken(photo);
        if (PhotoData.placed(photo) && PhotoData.placed(PhotoData.withoutPlace(photo))) {
            throw new AssertionError("the place is still in it");
        }
    }

    /** The first line says which table. */
    private static void catalogue(String text) {
        int end = text.indexOf('\n');
        String which = end < 0 ? text : text.substring(0, end);
        CatalogueReader.read(name -> name.equals(which.strip())
                ? new StringReader(text.substring(end + 1))
                : CatalogueReader.shippedTable(name));
    }
}
