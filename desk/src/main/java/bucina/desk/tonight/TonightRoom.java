package bucina.desk.tonight;

import bucina.core.evening.Tonight;
import bucina.core.job.Hold;
import bucina.core.job.Job;
import bucina.core.log.Deed;
import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.log.Work;
import bucina.core.order.OrderOfWork;
import bucina.core.order.Ring;
import bucina.core.plan.Assembly;
import bucina.core.plan.Id;
import bucina.core.reach.ToolCrib;
import bucina.desk.look.Palette;
import bucina.desk.look.ShownPane;
import bucina.desk.look.Ui;
import bucina.desk.look.Worded;
import bucina.desk.session.Desk;
import bucina.desk.session.Evening;
import bucina.desk.session.EveningCard;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;

/** What now: the evening as jobs on a band of hours, what to lay out, and everything else that is open behind it. */
public final class TonightRoom extends ShownPane {

    /** What the list shows. */
    private enum Show {
        TONIGHT("tonight"),
        OPEN("all that is open, in order"),
        WAITS("what waits, and why");

        private final String word;

        Show(String word) {
            this.word = word;
        }
    }

    private final Desk desk;
    private final Evening evening;
    private final Label where = Ui.wrapped("", "soft");
    private final Label length = Ui.label("", "bench-title");
    private final Label sums = Ui.wrapped("", "soft");
    private final Label rings = Ui.wrapped("", "stop-text");
    private final CheckBox helper = new CheckBox("somebody helps");
    private final ComboBox<Optional<Assembly>> assembly = new ComboBox<>();
    private final ComboBox<Show> show = new ComboBox<>();
    private final ListView<JobLine> list = new ListView<>();
    private final LayOutView layOut;
    private final WorkBand band = new WorkBand();
    private final OrderBar orders;
    private final Button begin;
    private final VBox plan = new VBox(8);
    private final EveningRun run;
    private Palette palette = Palette.LIGHT;
    private double window = 400;
    private boolean filling;

    public TonightRoom(Desk desk) {
        this.desk = desk;
        evening = new Evening(desk);
        ties.keep(evening::close);
        layOut = new LayOutView(desk);
        orders = new OrderBar(desk, evening, () -> line(0), () -> line(-1));
        run = new EveningRun(desk, evening, this::planAgain);
        ties.keep(run::close);
        getStyleClass().add("tonight-room");
        begin = Ui.button("Begin", "Enter", () -> begin(false), "primary");
        begin.setId("evening-begin");
        // Until it is worked out there is nothing to begin.
        begin.setDisable(true);
        layPlan();
        ties.on(evening.plannedProperty(), this::fill);
        ties.on(desk.session().snapshotProperty(), () -> {
            if (getScene() != null) {
                evening.ask();
            }
        });
        setCenter(plan);
    }

    private void layPlan() {
        VBox listed = new VBox(6, list, orders);
        VBox.setVgrow(list, Priority.ALWAYS);
        listed.setMinWidth(0);
        HBox middle = new HBox(16, listed, layOut);
        HBox.setHgrow(listed, Priority.ALWAYS);
        VBox.setVgrow(middle, Priority.ALWAYS);
        list.setId("evening-list");
        list.setMinWidth(0);
        list.widthProperty().addListener((o, was, now) -> list.refresh());
        list.setAccessibleText("Jobs");
        list.setCellFactory(v -> new JobCell(() -> palette, orders::before));
        list.getSelectionModel().selectedItemProperty().addListener((o, was, now) -> orders.fill());
        list.setPlaceholder(Ui.wrapped(
                "Nothing is open here. Jobs come from the plan: make a panel or bring in a drawing"
                        + " on the sheet, or write down a job of your own with Ctrl+L.",
                "soft"));
        list.setOnKeyPressed(e -> {
            if (e.getCode() == KeyCode.UP && e.isAltDown()) {
                line(0).ifPresent(job -> line(-1).ifPresent(other -> orders.before(job, other)));
                e.consume();
            } else if (e.getCode() == KeyCode.ENTER && !begin.isDisabled()) {
                begin(true);
                e.consume();
            }
        });
        plan.getChildren().setAll(top(), middle, zoom(), band);
        plan.setPadding(new Insets(12, 16, 10, 16));
    }

    /** The job so many lines below the one picked; empty if there is none. */
    private Optional<String> line(int below) {
        int at = list.getSelectionModel().getSelectedIndex() + below;
        return at >= 0 && at < list.getItems().size()
                ? Optional.of(list.getItems().get(at).id())
                : Optional.empty();
    }

    private VBox top() {
        Button less = Ui.button("−", "", () -> hours(-.5));
        less.setAccessibleText("Half an hour less");
        less.setId("evening-less");
        Button more = Ui.button("+", "", () -> hours(.5));
        more.setAccessibleText("Half an hour more");
        more.setId("evening-more");
        helper.setId("evening-helper");
        helper.setSelected(evening.helper());
        helper.selectedProperty().addListener((o, was, now) -> wish());
        assembly.setConverter(new Worded<>(a -> a.map(Assembly::name).orElse("the whole build")));
        assembly.setId("evening-assembly");
        assembly.setAccessibleText("What to work on");
        assembly.valueProperty().addListener((o, was, now) -> wish());
        show.getItems().setAll(Show.values());
        show.setConverter(new Worded<>(s -> s.word));
        show.setValue(Show.TONIGHT);
        show.setId("evening-show");
        show.setAccessibleText("What is listed");
        show.valueProperty().addListener((o, was, now) -> fill());
        HBox hours = new HBox(8, less, length, more);
        hours.setAlignment(Pos.CENTER_LEFT);
        FlowPane line =
                new FlowPane(14, 6, Ui.label("Tonight", "room-title"), hours, helper, assembly, show, begin, card());
        line.setAlignment(Pos.CENTER_LEFT);
        Ui.shown(rings, false);
        return new VBox(4, line, where, sums, rings);
    }

    private Button card() {
        Button card = Ui.button("Card to print", "", () -> EveningCard.write(desk, evening), "quiet");
        card.setId("evening-card");
        return card;
    }

    private HBox zoom() {
        HBox line = new HBox(
                6,
                Ui.label("All open work", "strong"),
                Ui.button("this week", "", () -> window(400), "quiet", "slim"),
                Ui.button("this month", "", () -> window(2000), "quiet", "slim"),
                Ui.button("to the last rivet", "", () -> window(Double.MAX_VALUE), "quiet", "slim"),
                Ui.spring(),
                Ui.label("copper: something is changed first; green: a good place to stop; hatched: waits", "soft"));
        line.setAlignment(Pos.CENTER_LEFT);
        return line;
    }

    private void window(double minutes) {
        window = minutes;
        fill();
    }

    private void hours(double by) {
        evening.wish(evening.hours() + by, helper.isSelected(), evening.assembly());
        fill();
    }

    private void wish() {
        if (!filling) {
            evening.wish(
                    evening.hours(),
                    helper.isSelected(),
                    Optional.ofNullable(assembly.getValue()).flatMap(a -> a.map(Assembly::id)));
        }
    }

    // ---- shown

    private void fill() {
        length.setText(String.format(Locale.ROOT, "%.1f h", evening.hours()));
        where.setText(whereWasI());
        assemblies();
        evening.plannedProperty().get().ifPresent(this::fill);
        run.fill();
    }

    private void assemblies() {
        filling = true;
        List<Optional<Assembly>> all = new ArrayList<>(List.of(Optional.empty()));
        desk.session().snapshot().build().assemblies().forEach(a -> all.add(Optional.of(a)));
        Optional<Id.Assembly> of = evening.assembly();
        if (!assembly.getItems().equals(all)) {
            assembly.getItems().setAll(all);
        }
        assembly.setValue(all.stream()
                .filter(a -> a.map(Assembly::id).equals(of))
                .findFirst()
                .orElse(Optional.empty()));
        filling = false;
    }

    private void fill(Evening.Planned planned) {
        Tonight tonight = planned.tonight();
        int at = Math.max(0, list.getSelectionModel().getSelectedIndex());
        // Of lines of one height the list measures none but those shown.
        list.setFixedCellSize((show.getValue() == Show.WAITS ? 72 : 52)
                * desk.look().scaleProperty().get()
                / 100.0);
        list.getItems().setAll(lines(planned));
        list.getSelectionModel()
                .clearAndSelect(Math.min(at, Math.max(0, list.getItems().size() - 1)));
        orders.fill();
        layOut.show(planned, palette);
        rings.setText(planned.order().rings().stream().map(Ring::sentence).collect(Collectors.joining(" ")));
        Ui.shown(rings, !planned.order().rings().isEmpty());
        double minutes = evening.hours() * 60;
        band.show(planned.order().steps(), minutes, window, palette);
        begin.setDisable(desk.session().readOnly() || tonight.stints().isEmpty());
        begin.setText(evening.underWay() ? "Go on" : "Begin");
        double work =
                tonight.stints().stream().mapToDouble(Tonight.Stint::minutes).sum();
        double all = planned.order().steps().stream()
                .mapToDouble(s -> s.job().op().move() ? 0 : s.job().minutes().mid())
                .sum();
        sums.setText(String.format(
                        Locale.ROOT,
                        "%d jobs, %.0f min of work and %.0f min between them. %s"
                                + "Open in all: %d jobs, about %.0f h; %.0f min go between them in this order, "
                                + "%.0f as drawn.",
                        tonight.stints().size(),
                        work,
                        tonight.minutes() - work,
                        helpers(tonight),
                        planned.order().steps().size(),
                        all / 60,
                        planned.order().lost(),
                        planned.order().asDrawn())
                + since(planned));
    }

    private static String helpers(Tonight tonight) {
        int n = tonight.helper().size();
        return n == 0
                ? ""
                : (n == 1 ? "1 job waits" : n + " jobs wait") + " for a second pair of hands: "
                        + tonight.helper().getFirst().words() + (n == 1 ? ". " : " and more. ");
    }

    private List<JobLine> lines(Evening.Planned planned) {
        var crib = ToolCrib.of(planned.of().build(), desk.session().catalogue());
        List<JobLine> lines = new ArrayList<>();
        if (show.getValue() == Show.TONIGHT) {
            double from = 0;
            double whole = Math.max(evening.hours() * 60, planned.tonight().minutes());
            List<Tonight.Stint> stints = planned.tonight().stints();
            for (int i = 0; i < stints.size(); i++) {
                Tonight.Stint s = stints.get(i);
                lines.add(JobLine.of(
                        s, crib, from, whole, planned.tonight().stops().contains(i), fresh(planned, s.job())));
                from += s.lost() + s.minutes();
            }
            return lines;
        }
        for (OrderOfWork.Step step : planned.order().steps()) {
            if (show.getValue() == Show.OPEN || step.waits()) {
                lines.add(JobLine.of(step, crib, why(planned, step.job()), fresh(planned, step.job())));
            }
        }
        return lines;
    }

    private static boolean fresh(Evening.Planned planned, Job job) {
        return planned.since().filter(s -> s.fresh().contains(job.id())).isPresent();
    }

    /** What came since the build was looked at on another day; blank if nothing did. */
    private static String since(Evening.Planned planned) {
        return planned.since()
                .filter(s -> !s.fresh().isEmpty() || s.gone() > 0)
                .map(s -> " Since " + s.day() + ": " + s.fresh().size() + " new, " + s.gone() + " done or gone.")
                .orElse("");
    }

    /** Why a job cannot be done now, in a sentence; blank if it can. */
    private static String why(Evening.Planned planned, Job job) {
        int place = planned.jobs().place(job.id());
        return planned.jobs().holds(place).stream()
                .map(Hold::text)
                .findFirst()
                .or(() -> planned.jobs().demands(place).stream()
                        .map(d -> d.text() + " (first: "
                                + planned.jobs()
                                        .job(planned.jobs().place(d.job()))
                                        .words() + ")")
                        .findFirst())
                .orElse("");
    }

    private String whereWasI() {
        Optional<LogEntry> last = desk.session().snapshot().log().entries().reversed().stream()
                .filter(desk.session().snapshot().log()::inForce)
                .findFirst();
        String said = last.flatMap(LogEntry::deed)
                .map(TonightRoom::words)
                .map(w -> "Where was I? Last: " + w + ".")
                .orElse("Nothing is logged yet.");
        return evening.underWay() ? said + " The evening is under way: " + evening.left() + " jobs left." : said;
    }

    private static String words(Deed deed) {
        String when =
                DateTimeFormatter.ofPattern("EEE d MMM, HH:mm", Locale.ENGLISH).format(deed.done());
        String what =
                switch (deed) {
                    case Work w -> w.count() + " × " + w.designation() + " in " + w.groupCode();
                    case Labour l -> l.what().words();
                };
        return what + ", " + when;
    }

    // ---- under way

    private void begin(boolean byEnter) {
        if (!evening.underWay()) {
            int at = show.getValue() == Show.TONIGHT
                    ? Math.max(0, list.getSelectionModel().getSelectedIndex())
                    : 0;
            evening.begin(at);
        }
        setCenter(run);
        run.begin(byEnter);
    }

    /** Goes back from the job that is on to the plan; true if it did. */
    public boolean back() {
        boolean was = getCenter() == run;
        if (was) {
            planAgain();
        }
        return was;
    }

    private void planAgain() {
        setCenter(plan);
        fill();
        list.requestFocus();
    }

    @Override
    public void use(Palette colours, double scale) {
        palette = colours;
        fill();
    }

    @Override
    public void enter() {
        evening.ask();
        fill();
        if (getCenter() == plan) {
            list.requestFocus();
        } else {
            run.enter();
        }
        BorderPane.setMargin(plan, Insets.EMPTY);
    }
}
