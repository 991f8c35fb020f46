package bucina.desk.session;

import bucina.core.measure.InputException;
import bucina.store.Photo;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import javax.imageio.ImageIO;
import org.apache.commons.imaging.Imaging;
import org.apache.commons.imaging.formats.jpeg.JpegImageMetadata;
import org.apache.commons.imaging.formats.jpeg.exif.ExifRewriter;
import org.apache.commons.imaging.formats.tiff.TiffImageMetadata;
import org.apache.commons.imaging.formats.tiff.constants.ExifTagConstants;
import org.apache.commons.imaging.formats.tiff.write.TiffOutputDirectory;
import org.apache.commons.imaging.formats.tiff.write.TiffOutputField;
import org.apache.commons.imaging.formats.tiff.write.TiffOutputSet;

/** What a camera writes into a photograph beside the picture: when it was taken, and where. */
public final class PhotoData {

    private static final DateTimeFormatter EXIF = DateTimeFormatter.ofPattern("yyyy:MM:dd HH:mm:ss");
    /** Pixels of the largest picture that is unpacked to be scaled. */
    private static final long MOST = 64_000_000;

    private PhotoData() {}

    /** When it was taken, by the camera's clock; empty where it does not say. */
    public static Optional<LocalDateTime> taken(Photo photo) {
        return exif(photo)
                .flatMap(e -> read(() -> {
                    String[] text = e.getFieldValue(ExifTagConstants.EXIF_TAG_DATE_TIME_ORIGINAL);
                    return LocalDateTime.parse(text[0].strip(), EXIF);
                }));
    }

    /** True if it says where it was taken, or what it says of it cannot be read. */
    public static boolean placed(Photo photo) {
        return exif(photo)
                .filter(e ->
                        read(() -> e.getGpsInfo() != null || !gps(e).isEmpty()).orElse(true))
                .isPresent();
    }

    private static List<TiffOutputField> gps(TiffImageMetadata exif) throws IOException {
        TiffOutputDirectory gps = exif.getOutputSet().getGpsDirectory();
        return gps == null ? List.of() : gps.getFields();
    }

    private static Optional<TiffImageMetadata> exif(Photo photo) {
        return read(() -> Imaging.getMetadata(photo.content()))
                .filter(JpegImageMetadata.class::isInstance)
                .flatMap(d -> Optional.ofNullable(((JpegImageMetadata) d).getExif()));
    }

    /**
     * What the library reads of a stranger's picture; empty where that is damaged. It lets out whatever error its own
     * code runs into then: of casts, of indexes, of sizes.
     */
    private static <T> Optional<T> read(Callable<T> reading) {
        try {
            return Optional.ofNullable(reading.call());
        } catch (Exception e) {
            return Optional.empty();
        }
    }

    /**
     * The same picture without where it was taken; when stays.
     *
     * @throws InputException if what the camera wrote cannot be taken out
     */
    public static Photo withoutPlace(Photo photo) {
        if (!placed(photo)) {
            return photo;
        }
        return read(() -> withoutGps(photo))
                .filter(p -> !placed(p))
                .or(() -> read(() -> withoutExif(photo)).filter(p -> !placed(p)))
                .orElseThrow(() -> new InputException(
                        "where this photograph was taken cannot be taken out of it: save it anew without, as a PNG"));
    }

    private static Photo withoutGps(Photo photo) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        TiffOutputSet set = exif(photo).orElseThrow().getOutputSet();
        TiffOutputDirectory gps = set.getGpsDirectory();
        if (gps != null) {
            List.copyOf(gps.getFields()).forEach(f -> gps.removeField(f.tag));
        }
        new ExifRewriter().updateExifMetadataLossless(photo.content(), out, set);
        return Photo.of(photo.type(), out.toByteArray());
    }

    private static Photo withoutExif(Photo photo) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        new ExifRewriter().removeExifMetadata(photo.content(), out);
        return Photo.of(photo.type(), out.toByteArray());
    }

    /**
     * The picture no larger than so many points either way; itself where it is no larger.
     *
     * @throws InputException if it cannot be unpacked
     */
    public static Photo scaled(Photo photo, int most) {
        try {
            BufferedImage image = ImageIO.read(new ByteArrayInputStream(photo.content()));
            if (image == null || (long) image.getWidth() * image.getHeight() > MOST) {
                throw new InputException(
                        "this picture cannot be made smaller here: it is too large or of another kind");
            }
            double share = Math.min(1, (double) most / Math.max(image.getWidth(), image.getHeight()));
            if (share == 1) {
                return photo;
            }
            int wide = (int) Math.max(1, Math.round(image.getWidth() * share));
            int high = (int) Math.max(1, Math.round(image.getHeight() * share));
            BufferedImage small = new BufferedImage(wide, high, BufferedImage.TYPE_INT_RGB);
            Graphics2D g = small.createGraphics();
            g.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
            g.drawImage(image, 0, 0, wide, high, null);
            g.dispose();
            ByteArrayOutputStream out = new ByteArrayOutputStream();
            ImageIO.write(small, "jpeg", out);
            return Photo.of("image/jpeg", out.toByteArray());
        } catch (IOException e) {
            throw new InputException("this picture cannot be unpacked: " + e.getMessage(), e);
        }
    }
}
