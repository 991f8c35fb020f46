package bucina.desk.card;

import bucina.core.measure.InputException;
import bucina.core.measure.LengthParser;
import bucina.core.measure.Unit;
import bucina.desk.gauge.Gauge;
import bucina.desk.gauge.GaugePost;
import bucina.desk.gauge.SerialGauge;
import bucina.desk.gauge.SimulatedGauge;
import bucina.desk.look.ShownBox;
import bucina.desk.look.Ui;
import bucina.desk.session.Aside;
import java.util.List;
import javafx.application.Platform;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** Which gauge sends readings, and what came of them. */
public final class GaugeCard extends ShownBox {

    private final LengthParser lengths;
    private final GaugePost post;
    private final TextField port = new TextField();
    private final TextField jaws = new TextField();
    private final VBox lately = new VBox(3);
    private final Label error = Ui.wrapped("", "stop-text");
    private final HBox simulated;

    /**
     * @param lengths reads what the jaws of the simulated caliper stand at
     * @param unit    of figures that name none
     * @param away    puts the card away
     */
    public GaugeCard(LengthParser lengths, Unit unit, GaugePost post, Runnable away) {
        super(10);
        this.lengths = lengths;
        this.post = post;
        getStyleClass().add("card");
        setId("gauge-card");
        setMaxSize(430, USE_PREF_SIZE);
        layPort();
        Button serial = Ui.button("Connect", "", this::serial);
        serial.setId("gauge-connect");
        Button stand = Ui.button("Use the simulated caliper", "", () -> connect(new SimulatedGauge()));
        stand.setId("gauge-simulated");
        Button off = Ui.button("No gauge", "", this::off, "quiet");
        off.setId("gauge-off");
        layJaws(unit);
        Button send = Ui.button("Send", "Enter", this::press, "primary");
        send.setId("gauge-send");
        simulated = new HBox(8, Ui.kept("Jaws at, " + unit.symbol(), "field-name"), jaws, send);
        HBox line = new HBox(8, port, serial);
        for (HBox box : List.of(simulated, line)) {
            box.setAlignment(Pos.CENTER_LEFT);
        }
        Label status = Ui.wrapped("", "strong");
        status.setId("gauge-status");
        status.textProperty().bind(post.statusProperty());
        Label to = Ui.wrapped("", "plain");
        to.textProperty().bind(post.goesToProperty());
        error.setId("gauge-error");
        Ui.shown(error, false);
        lately.setMinHeight(96);
        Label found = Ui.wrapped("Looking for ports.", "tiny");
        ties.keep(post.lately().subscribe(this::fill));
        ties.keep(status.textProperty()::unbind);
        ties.keep(to.textProperty()::unbind);
        lay(status, to, line, found, stand, off, away);
        fill();
        shown();
        findPorts(found);
    }

    private void lay(Label status, Label to, HBox line, Label found, Button stand, Button off, Runnable away) {
        getChildren()
                .addAll(
                        Ui.label("Gauge", "bench-title"),
                        status,
                        to,
                        line,
                        found,
                        new HBox(8, stand, off),
                        simulated,
                        error,
                        Ui.label("Came last", "strong"),
                        lately,
                        new HBox(Ui.button("Close, it goes on", "Esc", away, "quiet")));
    }

    private static void findPorts(Label found) {
        new Aside(Platform::runLater)
                .run(
                        SerialGauge::ports,
                        ports -> found.setText(
                                ports.isEmpty()
                                        ? "No port is there now."
                                        : "Ports there now: " + String.join(", ", ports)),
                        found::setText);
    }

    private void layJaws(Unit unit) {
        jaws.setId("gauge-jaws");
        jaws.setPromptText(unit == Unit.INCH ? ".1780" : "4.52");
        jaws.setAccessibleText("Jaws of the simulated caliper stand at");
        jaws.setOnAction(e -> press());
        HBox.setHgrow(jaws, Priority.ALWAYS);
    }

    private void layPort() {
        port.setId("gauge-port");
        port.setPromptText("port, like COM3");
        port.setAccessibleText("Serial port");
        port.setOnAction(e -> serial());
        HBox.setHgrow(port, Priority.ALWAYS);
    }

    /** Puts the keyboard where the work goes on: to the jaws of the simulated caliper, or to the port. */
    @Override
    public void enter() {
        (simulated.isVisible() ? jaws : port).requestFocus();
    }

    private void serial() {
        String name = port.getText().strip();
        if (name.isEmpty()) {
            say("No port is named: write one, like COM3 or the path of the device.");
        } else {
            connect(new SerialGauge(name));
        }
    }

    private void connect(Gauge gauge) {
        Ui.shown(error, false);
        post.connect(gauge);
        shown();
        if (simulated.isVisible()) {
            jaws.requestFocus();
        }
    }

    private void off() {
        Ui.shown(error, false);
        post.off();
        shown();
    }

    private void shown() {
        Ui.shown(
                simulated, post.gauge().filter(SimulatedGauge.class::isInstance).isPresent());
    }

    private void press() {
        try {
            var length = lengths.parse(jaws.getText());
            Ui.shown(error, false);
            post.gauge().filter(SimulatedGauge.class::isInstance).ifPresent(g -> ((SimulatedGauge) g).press(length));
            jaws.selectAll();
        } catch (InputException e) {
            say("Jaws: " + e.getMessage());
        }
    }

    private void say(String text) {
        error.setText(text);
        Ui.shown(error, true);
    }

    private void fill() {
        lately.getChildren()
                .setAll(post.lately().stream().map(t -> Ui.kept(t, "plain")).toList());
        if (post.lately().isEmpty()) {
            lately.getChildren()
                    .add(Ui.wrapped(
                            "Nothing yet. A reading goes into the field that had the keyboard last, behind what "
                                    + "stands there.",
                            "soft"));
        }
    }
}
