package bucina.speed;

import bucina.core.catalogue.CatalogueReader;
import bucina.core.demo.Dunlin;
import bucina.core.demo.DunlinHistory;
import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.measure.Unit;
import bucina.core.plan.Build;
import bucina.core.stack.Derivation;
import bucina.desk.session.Printing;
import bucina.store.Chain;
import bucina.store.Document;
import bucina.store.Photo;
import bucina.store.drawing.EvidencePdf;
import bucina.store.drawing.Paper;
import bucina.store.file.BuildFile;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.atomic.AtomicInteger;
import javax.imageio.ImageIO;

/**
 * Writes the evidence of a build with 3,000 entries and 300 photographs. Called once it makes the build, called again
 * it writes and takes the build away: the second call is given the heap it may have.
 */
final class EvidenceSpeed {

    private static final int ENTRIES = 3000;
    private static final int PHOTOS = 300;

    private EvidenceSpeed() {}

    public static void main(String[] args) throws IOException {
        Path file = Path.of(args.length > 0 ? args[0] : ".").resolve("evidence.bucina");
        Path pdf = file.resolveSibling("evidence.pdf");
        if (!Files.exists(file)) {
            make(file);
            return;
        }
        try {
            long begun = System.nanoTime();
            AtomicInteger told = new AtomicInteger();
            try (BuildFile open = BuildFile.openToRead(file);
                    OutputStream out = Files.newOutputStream(pdf)) {
                BuildFile.Contents contents = open.read();
                EvidencePdf.Source source = new EvidencePdf.Source(
                        Derivation.of(contents.build(), CatalogueReader.shipped()),
                        contents.log(),
                        Optional.empty(),
                        Chain.links(open.entries()),
                        open.state().chain().heads(),
                        open.state().chain().late(),
                        open::photo,
                        Unit.INCH,
                        LocalDateTime.parse("2026-11-29T09:00"));
                EvidencePdf.write(source, Paper.A4, Printing.FONTS, out, share -> told.incrementAndGet() > 0);
            }
            System.out.printf(
                    Locale.ROOT,
                    "evidence of %d entries and %d photographs of %.1f MB together: %.1f s, %d steps told, %.1f MB,"
                            + " in a heap of %d MB%n",
                    ENTRIES,
                    PHOTOS,
                    Files.size(file) / 1e6,
                    (System.nanoTime() - begun) / 1e9,
                    told.get(),
                    Files.size(pdf) / 1e6,
                    Runtime.getRuntime().maxMemory() >> 20);
        } finally {
            Files.deleteIfExists(pdf);
            Files.deleteIfExists(file);
        }
    }

    /** Each photograph is noise, so that it is as large as one of a camera, about a megabyte. */
    private static void make(Path path) throws IOException {
        var catalogue = CatalogueReader.shipped();
        Build build = Dunlin.build(catalogue.rules());
        List<LogEntry> entries = new ArrayList<>(
                DunlinHistory.of(Derivation.of(build, catalogue)).entries());
        List<Photo> photos = new ArrayList<>();
        Random random = new Random(3);
        for (int i = 0; i < PHOTOS; i++) {
            photos.add(photo(random));
        }
        while (entries.size() < ENTRIES) {
            int n = entries.size() + 1;
            Labour labour = new Labour(
                    new Labour.Stock("box " + n),
                    "",
                    n % 3 == 0 ? "T. Lind" : "M. Oake",
                    LocalDateTime.parse("2026-11-23T08:00").plusMinutes(n),
                    10,
                    "",
                    "counted twice",
                    n % 10 == 0 ? List.of(photos.get(n / 10 % PHOTOS).sha256()) : List.of());
            entries.add(new LogEntry(
                    n,
                    Instant.parse("2026-11-23T08:00:00Z").plusSeconds(n),
                    Optional.empty(),
                    Optional.of(labour),
                    ""));
        }
        BuildFile.create(path, new Document(build, Logbook.of(entries, List.of()), photos))
                .close();
    }

    private static Photo photo(Random random) throws IOException {
        BufferedImage image = new BufferedImage(1200, 900, BufferedImage.TYPE_INT_RGB);
        for (int y = 0; y < 900; y++) {
            for (int x = 0; x < 1200; x++) {
                image.setRGB(x, y, random.nextInt(0x1000000));
            }
        }
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        ImageIO.write(image, "jpeg", out);
        return Photo.of("image/jpeg", out.toByteArray());
    }
}
