package bucina.store.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import bucina.core.bend.Bracket;
import bucina.core.bend.BracketFlat;
import bucina.core.bend.NeutralLine;
import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.demo.Dunlin;
import bucina.core.demo.Locker;
import bucina.core.drawing.Drawing;
import bucina.core.drawing.FlatDrawing;
import bucina.core.drawing.Template;
import bucina.core.hold.Holds;
import bucina.core.measure.Angle;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.plan.Build;
import bucina.core.sheet.Box;
import bucina.core.sheet.Corner;
import bucina.core.sheet.Point;
import bucina.core.stack.Derivation;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.ImageType;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;

/** A page rendered at 600 dpi is measured in pixels. */
class TemplatePdfTest {

    private static final int DPI = 600;
    private static final double PX = DPI / 25.4;
    private static final List<Supplier<InputStream>> FONT = List.of(
            () -> PDDocument.class.getResourceAsStream("/org/apache/pdfbox/resources/ttf/LiberationSans-Regular.ttf"));

    private final Catalogue catalogue = CatalogueReader.shipped();
    private final Build dunlin = Dunlin.build(catalogue.rules());

    private static boolean dark(BufferedImage image, double xMm, double yMm) {
        int x = (int) Math.round(xMm * PX);
        int y = image.getHeight() - 1 - (int) Math.round(yMm * PX);
        return x >= 0 && y >= 0 && x < image.getWidth() && y < image.getHeight() && (image.getRGB(x, y) & 0xff) < 128;
    }

    /** The middle of the dark run that lies nearest to a place on a line, mm; along x or along y. */
    private static double crossing(BufferedImage image, double x, double y, boolean alongX) {
        double best = Double.NaN;
        for (double d = -1; d <= 1; d += 0.5 / PX) {
            boolean hit = dark(image, alongX ? x + d : x, alongX ? y : y + d);
            if (hit && (Double.isNaN(best) || Math.abs(d) < Math.abs(best))) {
                best = d;
            }
        }
        return best;
    }

    private static String text(byte[] pdf) throws IOException {
        try (PDDocument document = Loader.loadPDF(pdf)) {
            return new PDFTextStripper().getText(document);
        }
    }

    private static Template plain(Drawing.Shape... shapes) {
        return new Template("Slot", "", "from above", "right", "up", new Drawing(List.of(shapes)));
    }

    /** A slot of 40 by 10 mm between centres, with its round ends at x -5 and 45. */
    private static Drawing.Path slot() {
        double mm = 1e6;
        return new Drawing.Path(
                "S",
                List.of(
                        Corner.of(new Point(0, -5 * mm)),
                        new Corner(new Point(40 * mm, -5 * mm), 1),
                        Corner.of(new Point(40 * mm, 5 * mm)),
                        new Corner(new Point(0, 5 * mm), 1)),
                true);
    }

    @Test
    void the_round_ends_of_a_slot_and_a_disc_are_printed_whole() throws IOException {
        Drawing.Path disc = new Drawing.Path(
                "D", List.of(new Corner(new Point(10e6, 30e6), 1), new Corner(new Point(30e6, 30e6), 1)), true);
        Template template = plain(slot(), disc);
        try (PDDocument document = Loader.loadPDF(TemplatePdf.write(template, Paper.A4, "Dunlin", FONT))) {
            assertThat(document.getNumberOfPages()).isEqualTo(1);
            BufferedImage image = new PDFRenderer(document).renderImageWithDPI(0, DPI, ImageType.GRAY);
            // The drawing is 50 by 45 mm: from -5 to 45 and from -5 to 40.
            double x0 = 12 + 5 + 4;
            double y0 = Paper.A4.height() - 22 - (45 + 8) + 5 + 4;
            assertThat(crossing(image, x0 - 5, y0, true)).isCloseTo(0, within(0.2));
            assertThat(crossing(image, x0 + 45, y0, true)).isCloseTo(0, within(0.2));
            assertThat(crossing(image, x0 + 40 + 5 * Math.sqrt(.5), y0 + 5 * Math.sqrt(.5), true))
                    .isCloseTo(0, within(0.2));
            assertThat(crossing(image, x0 + 20, y0 + 40, false)).isCloseTo(0, within(0.2));
            assertThat(crossing(image, x0 + 20, y0 + 20, false)).isCloseTo(0, within(0.2));
        }
    }

    @Test
    void sizes_written_out_count_the_round_ends() {
        Drawing drawing = new Drawing(List.of(slot()));
        assertThat(SvgWriter.write(drawing)).contains("width=\"60.0mm\"").contains("height=\"20.0mm\"");
        assertThat(DxfWriter.write(drawing).replace("\r", ""))
                .containsPattern("EXTMIN\\s+10\\s+-5(\\.0*)?\\s")
                .containsPattern("EXTMAX\\s+10\\s+45(\\.0*)?\\s");
    }

    @Test
    void a_flat_of_a_bracket_prints_true() throws IOException {
        Bracket.Sheet sheet = new Bracket.Sheet(Length.in(.040), Length.in(.125), new NeutralLine.Factor(0.446));
        Angle right = Angle.degrees(90);
        Bracket bracket = new Bracket(
                Bracket.rectangle(Length.in(3), Length.in(2)),
                sheet,
                List.of(new Bracket.Flange(0, Length.in(.75), right), new Bracket.Flange(1, Length.in(.75), right)),
                List.of(
                        new Bracket.Hole(Optional.empty(), Length.in(1), Length.in(1.25), Length.in(.19)),
                        new Bracket.Hole(Optional.of(0), Length.in(1.5), Length.in(.45), Length.in(.098))),
                Optional.empty(),
                Bracket.Grain.UNKNOWN);
        Template template = FlatDrawing.of("Rib clip", BracketFlat.of(bracket));
        try (PDDocument document = Loader.loadPDF(TemplatePdf.write(template, Paper.A4, "Dunlin", FONT))) {
            assertThat(document.getNumberOfPages()).isEqualTo(1);
            BufferedImage image = new PDFRenderer(document).renderImageWithDPI(0, DPI, ImageType.GRAY);
            // One page: the lower left of the drawing with its 4 mm of air lies at the window's corner, a window as
            // high as the drawing under the head.
            Box box = template.drawing().box().orElseThrow();
            double x0 = 12 - box.minX() / 1e6 + 4;
            double y0 = Paper.A4.height() - 22 - (box.height() / 1e6 + 8) - box.minY() / 1e6 + 4;
            double in = 25.4;
            // Hand: SB .165, BA .2243725, reach .8093725. Left edge x 0; free edge of side 1 at y .165 - .8093725 =
            // -.6443725; of side 2 at x 3.6443725.
            assertThat(crossing(image, x0, y0 + 1 * in, true)).isCloseTo(0, within(0.2));
            assertThat(crossing(image, x0 + 1.5 * in, y0 - .6443725 * in, false))
                    .isCloseTo(0, within(0.2));
            assertThat(crossing(image, x0 + 3.6443725 * in, y0 + 1 * in, true)).isCloseTo(0, within(0.2));
            // Tangents of side 1 at y .165 and -.0593725; the relief hole of .25 at (2.835, .165) is cut round on its
            // inner side.
            assertThat(crossing(image, x0 + 1.2 * in, y0 + .165 * in, false)).isCloseTo(0, within(0.2));
            assertThat(crossing(image, x0 + 1.2 * in, y0 - .0593725 * in, false))
                    .isCloseTo(0, within(0.2));
            double diagonal = .125 * Math.sqrt(0.5);
            assertThat(crossing(image, x0 + (2.835 - diagonal) * in, y0 + (.165 + diagonal) * in, true))
                    .isCloseTo(0, within(0.2));
            // The hole .45 up side 1 lies at y -(.45 - .1056275) = -.3443725; its right edge .049 beyond 1.5.
            assertThat(crossing(image, x0 + 1.549 * in, y0 - .3443725 * in, true))
                    .isCloseTo(0, within(0.2));
        }
    }

    @Test
    void the_calibration_bar_and_the_holes_measure_true() throws IOException {
        Build build = Locker.build(catalogue.rules());
        Build.FaceRef ref = build.face("Locker floor").orElseThrow();
        FaceReading reading = Derivation.of(build, catalogue).face(ref.face().id());
        Template template = Template.face(ref, reading);
        byte[] pdf = TemplatePdf.write(template, Paper.A4, build.name(), FONT);
        try (PDDocument document = Loader.loadPDF(pdf)) {
            assertThat(document.getNumberOfPages())
                    .isEqualTo(TemplatePdf.tiles(template, Paper.A4)[0] * TemplatePdf.tiles(template, Paper.A4)[1]);
            BufferedImage image = new PDFRenderer(document)
                    .renderImageWithDPI(
                            document.getNumberOfPages() - TemplatePdf.tiles(template, Paper.A4)[0],
                            DPI,
                            ImageType.GRAY);
            // The bar begins 12 mm from the left, 13 mm up; its end ticks stand 100 mm apart.
            double left = 12 + crossing(image, 12, 15, true);
            double right = 112 + crossing(image, 112, 15, true);
            assertThat(right - left).isCloseTo(100, within(0.2));
            // The upright one stands 8 mm from the left, 22 mm up; its ticks lie to the left of it.
            double low = 22 + crossing(image, 6, 22, false);
            double high = 122 + crossing(image, 6, 122, false);
            assertThat(high - low).isCloseTo(100, within(0.2));
            assertThat(crossing(image, 8, 66, true)).isCloseTo(0, within(0.2));
            measureHoles(image, template, reading.readings());
        }
    }

    /** Five holes on the lower left page: the rim of each is where the plan says, left and above. */
    private static void measureHoles(BufferedImage image, Template template, List<HoleReading> readings) {
        var box = template.drawing().box().orElseThrow();
        double x0 = 12 - (box.minX() / 1e6 - 4);
        double y0 = 22 - (box.minY() / 1e6 - 4);
        int measured = 0;
        for (HoleReading r : readings) {
            double x = x0 + r.hole().at().x() / 1e6;
            double y = y0 + r.hole().at().y() / 1e6;
            double radius = r.solution().hole().mm() / 2;
            if (measured == 5 || x > 180 || y > 250) {
                continue;
            }
            double off = radius * Math.sqrt(0.5);
            assertThat(crossing(image, x - off, y + off, true)).as(r.label()).isCloseTo(0, within(0.2));
            assertThat(crossing(image, x + off, y + off, false)).as(r.label()).isCloseTo(0, within(0.2));
            assertThat(crossing(image, x, y + radius + 0.8, true))
                    .as("cross of " + r.label())
                    .isCloseTo(0, within(0.2));
            measured++;
        }
        assertThat(measured).isEqualTo(5);
    }

    @Test
    void every_page_says_hand_face_directions_and_which_page_it_is() throws IOException {
        Build.FaceRef ref = dunlin.face("Upper skin").orElseThrow();
        Template template = Template.face(
                ref, Derivation.of(dunlin, catalogue).face(ref.face().id()));
        byte[] pdf = TemplatePdf.write(template, Paper.LETTER, dunlin.name(), FONT);
        try (PDDocument document = Loader.loadPDF(pdf)) {
            PDFTextStripper words = new PDFTextStripper();
            for (int page = 1; page <= document.getNumberOfPages(); page++) {
                words.setStartPage(page);
                words.setEndPage(page);
                assertThat(words.getText(document))
                        .contains(
                                "LEFT HAND",
                                "seen from above, outside",
                                "outboard",
                                "aft",
                                "100 mm",
                                "page " + page + " of " + document.getNumberOfPages());
            }
        }
    }

    @Test
    void a_strip_gives_every_station_three_ways_on_few_pages() throws IOException {
        Build.FaceRef ref = dunlin.face("Upper skin").orElseThrow();
        FaceReading reading = Derivation.of(dunlin, catalogue).face(ref.face().id());
        Template strip =
                Template.strip(ref, ref.face().groups().getFirst().rows().getFirst(), reading);
        byte[] pdf = TemplatePdf.write(strip, Paper.A4, dunlin.name(), FONT);
        assertThat(text(pdf))
                .contains("Row R1 of Upper skin", "1.202", "~1 13/64", "30.53 mm", "R1.48, outboard", "LEFT HAND");
        try (PDDocument document = Loader.loadPDF(pdf)) {
            assertThat(document.getNumberOfPages()).isEqualTo(2);
        }
    }

    @Test
    void the_sheet_to_tape_up_lists_what_stays_open() throws IOException {
        Build.FaceRef ref = dunlin.face("Upper skin").orElseThrow();
        FaceReading reading = Derivation.of(dunlin, catalogue).face(ref.face().id());
        assertThat(text(HeldOpenPdf.write(ref, reading, new Holds(dunlin), Unit.INCH, Paper.A4, FONT)))
                .contains("LEAVE OPEN", "LEFT HAND", "R3.1 to R3.39", "Held open for Trailing edge strip");
        Build.FaceRef web = dunlin.face("Rear spar web").orElseThrow();
        assertThat(text(HeldOpenPdf.write(
                        web,
                        Derivation.of(dunlin, catalogue).face(web.face().id()),
                        new Holds(dunlin),
                        Unit.MM,
                        Paper.LETTER,
                        FONT)))
                .contains("Nothing is held open");
        assertThatThrownBy(() -> Paper.of("a3"))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("a4 or letter");
    }
}
