package bucina.desk.app;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.desk.look.Thumbnails;
import bucina.store.Photo;
import java.io.ByteArrayOutputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.zip.CRC32;
import java.util.zip.Deflater;
import java.util.zip.DeflaterOutputStream;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Label;
import javafx.scene.image.ImageView;
import javafx.scene.layout.StackPane;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.api.FxRobot;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;

/** Pictures of strangers are unpacked off the interface thread, and not if they are too large. */
@ExtendWith(ApplicationExtension.class)
class ThumbnailsTest {

    private final StackPane root = new StackPane();

    @Start
    void start(Stage stage) {
        stage.setScene(new Scene(root, 400, 300));
        stage.show();
    }

    private static Photo png(int wide, int high) throws IOException {
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        bytes.write(new byte[] {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1a, '\n'});
        ByteArrayOutputStream head = new ByteArrayOutputStream();
        DataOutputStream out = new DataOutputStream(head);
        out.writeInt(wide);
        out.writeInt(high);
        // One bit a point, grey.
        out.write(new byte[] {1, 0, 0, 0, 0});
        chunk(bytes, "IHDR", head.toByteArray());
        ByteArrayOutputStream rows = new ByteArrayOutputStream();
        try (DeflaterOutputStream packed = new DeflaterOutputStream(rows, new Deflater(9))) {
            byte[] row = new byte[1 + (wide + 7) / 8];
            for (int y = 0; y < high; y++) {
                packed.write(row);
            }
        }
        chunk(bytes, "IDAT", rows.toByteArray());
        chunk(bytes, "IEND", new byte[0]);
        return Photo.of("image/png", bytes.toByteArray());
    }

    private static void chunk(ByteArrayOutputStream to, String type, byte[] content) throws IOException {
        ByteArrayOutputStream named = new ByteArrayOutputStream();
        named.write(type.getBytes(StandardCharsets.US_ASCII));
        named.write(content);
        CRC32 sum = new CRC32();
        sum.update(named.toByteArray());
        DataOutputStream out = new DataOutputStream(to);
        out.writeInt(content.length);
        out.write(named.toByteArray());
        out.writeInt((int) sum.getValue());
    }

    private Node shown(FxRobot robot, Photo photo) throws Exception {
        robot.interact(() -> {
            StackPane place = (StackPane) Thumbnails.of(photo, 64);
            assertThat(place.getChildren()).as("nothing is unpacked here").isEmpty();
            root.getChildren().setAll(place);
        });
        StackPane place = (StackPane) root.getChildren().getFirst();
        OnWindow.until(() -> !place.getChildren().isEmpty());
        return place.getChildren().getFirst();
    }

    @Test
    void a_picture_is_shown(FxRobot robot) throws Exception {
        assertThat(shown(robot, png(120, 90))).isInstanceOf(ImageView.class);
    }

    @Test
    void a_picture_that_would_unpack_to_gigabytes_is_not_unpacked(FxRobot robot) throws Exception {
        Photo bomb = png(40_000, 40_000);
        assertThat(bomb.content().length).isLessThan(300_000);
        assertThat(((Label) shown(robot, bomb)).getText())
                .contains(bomb.sha256().substring(0, 8), "too large to be shown, 40000 by 40000 points");
    }

    @Test
    void what_is_no_picture_is_said(FxRobot robot) throws Exception {
        Photo none = Photo.of("image/png", "BM and nothing else".getBytes(StandardCharsets.US_ASCII));
        assertThat(((Label) shown(robot, none)).getText()).contains("cannot be shown");
    }
}
