package bucina.desk.look;

import static org.assertj.core.api.Assertions.assertThat;

import javafx.scene.Parent;
import javafx.scene.Scene;
import javafx.scene.layout.VBox;
import javafx.stage.Stage;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.testfx.framework.junit5.ApplicationExtension;
import org.testfx.framework.junit5.Start;

@ExtendWith(ApplicationExtension.class)
class ScrollTest {

    private Parent scroll = new VBox();

    @Start
    void open(Stage stage) {
        scroll = Scroll.of(new VBox());
        stage.setScene(new Scene(scroll));
        stage.show();
    }

    @Test
    void keeps_no_picture_of_what_is_in_view() {
        assertThat(scroll.lookup(".viewport").isCache()).isFalse();
    }
}
