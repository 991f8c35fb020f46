package bucina.desk.session;

import bucina.core.measure.InputException;
import bucina.store.Photo;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.DateTimeException;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Optional;
import javax.imageio.ImageIO;
import org.apache.commons.imaging.Imaging;
import org.apache.commons.imaging.common.ImageMetadata;
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
        return exif(photo).flatMap(e -> {
            try {
                String[] text = e.getFieldValue(ExifTagConstants.EXIF_TAG_DATE_TIME_ORIGINAL);
                return text == null || text.length == 0
                        ? Optional.empty()
                        : Optional.of(LocalDateTime.parse(text[0].strip(), EXIF));
            } catch (IOException | DateTimeException x) {
                return Optional.empty();
            }
        });
    }

    /** True if it says where it was taken. */
    public static boolean placed(Photo photo) {
        return exif(photo)
                .filter(e -> {
                    try {
                        return e.getGpsInfo() != null || !gps(e).isEmpty();
                    } catch (IOException x) {
                        return true;
                    }
                })
                .isPresent();
    }

    private static List<TiffOutputField> gps(TiffImageMetadata exif) throws IOException {
        TiffOutputDirectory gps = exif.getOutputSet().getGpsDirectory();
        return gps == null ? List.of() : gps.getFields();
    }

    private static Optional<TiffImageMetadata> exif(Photo photo) {
        try {
            ImageMetadata data = Imaging.getMetadata(photo.content());
            return data instanceof JpegImageMetadata jpeg ? Optional.ofNullable(jpeg.getExif()) : Optional.empty();
        } catch (IOException | IllegalArgumentException | IndexOutOfBoundsException e) {
            // What a stranger's camera wrote and nobody can read says nothing.
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
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            TiffOutputSet set = exif(photo).orElseThrow().getOutputSet();
            TiffOutputDirectory gps = set.getGpsDirectory();
            if (gps != null) {
                List.copyOf(gps.getFields()).forEach(f -> gps.removeField(f.tag));
            }
            new ExifRewriter().updateExifMetadataLossless(photo.content(), out, set);
        } catch (IOException | IllegalArgumentException e) {
            out.reset();
            try {
                new ExifRewriter().removeExifMetadata(photo.content(), out);
            } catch (IOException x) {
                throw new InputException(
                        "where this photograph was taken cannot be taken out of it: save it anew without, as a PNG", x);
            }
        }
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
