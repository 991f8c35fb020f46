package bucina.desk.card;

import bucina.core.bulletin.Bulletins;
import bucina.core.job.Job;
import bucina.core.measure.InputException;
import bucina.core.order.WhatIf;
import bucina.core.plan.Build;
import bucina.core.plan.Bulletin;
import bucina.core.plan.Part;
import bucina.core.reach.ToolCrib;
import bucina.core.state.Snapshot;
import bucina.desk.look.Fields;
import bucina.desk.look.ShownBox;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import bucina.desk.session.Latest;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** What a change would do to the work, before it is made: a part at another time, a tool less, a bulletin. */
public final class WhatIfCard extends ShownBox {

    private static final int SHOWN = 6;

    /**
     * One change that can be tried.
     *
     * @param words    what it is
     * @param change   the build with it; reads the number typed where it wants one
     * @param numbered true if a number belongs to it
     */
    private record Try(String words, UnaryOperator<Build> change, boolean numbered) {}

    private final Desk desk;
    private final Runnable done;
    private final Latest latest;
    private final ComboBox<Try> which;
    private final TextField number;
    private final VBox says = new VBox(4);
    private final Label wrong = Ui.wrapped("", "stop-text");
    private final Button make = Ui.button("Make it so", "Ctrl+Enter", this::make, "primary");

    public WhatIfCard(Desk desk, Runnable done) {
        super(10);
        this.desk = desk;
        this.done = done;
        latest = desk.session().latest();
        getStyleClass().add("card");
        setId("what-if-card");
        setMaxSize(760, USE_PREF_SIZE);
        Fields f = new Fields();
        List<Try> all = tries();
        which = f.choice("What if", all, all.getFirst(), Try::words, "what-if-which", t -> ask());
        number = f.live("its number in the fitting order", "1", "what-if-number", t -> ask());
        make.setId("what-if-make");
        make.setDisable(true);
        Button away = Ui.button("Leave it as it is", "Esc", done, "quiet");
        HBox ways = new HBox(8, make, Ui.spring(), away);
        ways.setAlignment(Pos.CENTER_LEFT);
        says.setId("what-if-says");
        says.setMinHeight(150);
        getChildren().addAll(Ui.label("What if", "card-title"), f, wrong, says, ways);
        ask();
    }

    private List<Try> tries() {
        Snapshot now = desk.session().snapshot();
        Stream<Try> parts = now.build().parts().stream()
                .map(p -> new Try(p.name() + " went on at another time", b -> b.with(moved(b.part(p.id()))), true));
        Stream<Try> tools = ToolCrib.of(now.build(), desk.session().catalogue()).stream()
                .map(t -> new Try(
                        "there was no " + t.name(),
                        b -> ToolCrib.less(b, t, desk.session().catalogue()),
                        false));
        Stream<Try> papers = now.build().papers().bulletins().stream()
                .map(b -> new Try(said(b), x -> Bulletins.switched(x, b.id()), false));
        return Stream.of(papers, parts, tools).flatMap(s -> s).toList();
    }

    private static String said(Bulletin b) {
        return "bulletin " + b.name() + (b.inForce() ? " was not in force" : " came into force");
    }

    private Part moved(Part part) {
        String typed = number.getText().strip();
        if (!typed.matches("\\d{1,4}")) {
            throw new InputException("the fitting order is a number from 0, like 3, was \"" + typed + "\"");
        }
        return part.withFittingOrder(Integer.parseInt(typed));
    }

    private void ask() {
        make.setDisable(true);
        Ui.shown(wrong, false);
        Try asked = which.getValue();
        number.setDisable(!asked.numbered);
        Snapshot now = desk.session().snapshot();
        Build would;
        try {
            would = asked.change.apply(now.build()).checked();
        } catch (InputException e) {
            latest.drop();
            refused(e.getMessage());
            return;
        }
        LocalDate today = desk.session().today();
        says.getChildren().setAll(Ui.label("Working it out.", "soft"));
        latest.ask(() -> WhatIf.of(now.derivation(), would, now.log(), today), this::show, this::refused);
    }

    private void show(WhatIf is) {
        make.setDisable(desk.session().readOnly());
        List<String> lines = new ArrayList<>();
        lines.add(minutes("Between jobs", is.lost()) + " " + minutes("Work", is.work()));
        some("new", is.added().stream().map(Job::words).toList(), lines);
        some("no more", is.gone().stream().map(Job::words).toList(), lines);
        some("held", told(is.held()), lines);
        some("free", is.freed().stream().map(Job::words).toList(), lines);
        some("with another set-up", told(is.changed()), lines);
        says.getChildren()
                .setAll(lines.stream().map(l -> Ui.wrapped(l, "plain")).toList());
        is.rings().forEach(r -> says.getChildren().add(Ui.wrapped(r, "stop-text")));
        if (is.nothing()) {
            says.getChildren().add(Ui.wrapped("Nothing about the work would change.", "soft"));
        }
    }

    private static List<String> told(Map<Job, String> jobs) {
        return jobs.entrySet().stream()
                .map(e -> e.getKey().words() + " (" + e.getValue() + ")")
                .toList();
    }

    private static String minutes(String what, WhatIf.Pair pair) {
        return String.format(
                Locale.ROOT, "%s: %.0f min, now %.0f (%+.0f).", what, pair.would(), pair.is(), pair.more());
    }

    private static void some(String what, List<String> jobs, List<String> lines) {
        if (!jobs.isEmpty()) {
            lines.add(jobs.size() + (jobs.size() == 1 ? " job would be " : " jobs would be ") + what + ": "
                    + String.join("; ", jobs.subList(0, Math.min(SHOWN, jobs.size())))
                    + (jobs.size() > SHOWN ? "; and more." : "."));
        }
    }

    private void make() {
        if (make.isDisabled()) {
            return;
        }
        Try asked = which.getValue();
        make.setDisable(true);
        desk.session().plan(asked.words, asked.change, done, this::refused);
    }

    private void refused(String sentence) {
        says.getChildren().clear();
        wrong.setText(sentence);
        Ui.shown(wrong, true);
    }

    /** Puts the keyboard into the first field. */
    @Override
    public void enter() {
        which.requestFocus();
    }

    @Override
    public void close() {
        latest.drop();
        super.close();
    }

    @Override
    public void act() {
        make();
    }
}
