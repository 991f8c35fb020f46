package bucina.desk.sumsroom;

import bucina.core.catalogue.Catalogue;
import bucina.core.explain.Why;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.plan.KeptSum;
import bucina.core.plan.Part;
import bucina.core.plan.Tool;
import bucina.core.plan.Workshop;
import bucina.core.state.Snapshot;
import bucina.core.sums.Answer;
import bucina.core.sums.Bench;
import bucina.core.sums.Figures;
import bucina.core.sums.Sum;
import bucina.core.sums.SumForm;
import bucina.core.sums.Sums;
import bucina.desk.look.Palette;
import bucina.desk.look.ShownPane;
import bucina.desk.look.Ui;
import bucina.desk.section.SectionView;
import bucina.desk.session.Aside;
import bucina.desk.session.Latest;
import bucina.desk.session.Session;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.application.Platform;
import javafx.beans.value.ObservableValue;
import javafx.event.EventHandler;
import javafx.geometry.Insets;
import javafx.scene.control.Label;
import javafx.scene.control.Slider;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import org.jspecify.annotations.Nullable;

/*
 * Design. A sum is worked out on a thread of its own, latest wish only: what is typed is taken as a form, answered
 * off the interface thread, and shown if
 * nothing was typed since. While the figures cannot be used, the last answer stays and the sentence says what is wrong.
 */

/** The room of the bench sums. Works with no build open; with one, sums can be kept with it. */
public final class SumsRoom extends ShownPane {

    /**
     * What the room stands in.
     *
     * @param session the build that is open; empty where none is
     * @param unit    that answers are shown in
     * @param why     opens a number up
     * @param gauge   true if a gauge may send readings
     */
    public record Host(
            Catalogue catalogue,
            Optional<Session> session,
            ObservableValue<Unit> unit,
            Consumer<Why> why,
            boolean gauge) {}

    private final Host host;
    private final Aside aside = new Aside(Platform::runLater);
    private final Latest benches = new Latest(aside);
    private final Latest answers = new Latest(aside);
    private final SumList list;
    private final SumSide side;
    private final PictureView picture;
    private final SectionView section = new SectionView();
    private final Slider setting = new Slider(0, 1.3, 1);
    private final Label title = Ui.label("", "room-title");
    private final Label question = Ui.wrapped("", "soft");
    private final AnswerTable table = new AnswerTable();
    private final Map<String, SumForm> begun = new HashMap<>();
    private Optional<Snapshot> of = Optional.empty();
    private Bench bench;
    private SumForm form;
    private @Nullable SumForm pulledFrom;

    public SumsRoom(Host host) {
        this.host = host;
        this.bench = Bench.bare(host.catalogue());
        this.form = SumForm.fresh(Sums.ALL.getFirst(), bench, host.unit().getValue());
        getStyleClass().add("logbook");
        list = new SumList(this::choose, this::open);
        side = new SumSide(this);
        picture = new PictureView((grip, dx, dy, begin) -> pull(grip, dx, dy));
        picture.setId("sum-picture");
        setting.setAccessibleText("How far the rivet is set");
        setting.valueProperty().addListener((o, was, now) -> section.set(now.doubleValue()));
        StackPane middle = new StackPane(picture, new VBox(4, section, setting));
        VBox.setVgrow(section, Priority.ALWAYS);
        VBox head = new VBox(2, title, question);
        head.setPadding(new Insets(10, 14, 8, 14));
        setLeft(list);
        BorderPane centre = new BorderPane(middle, head, null, table, null);
        setCenter(centre);
        setRight(side);
        ties.on(host.unit(), () -> {
            if (!begun.isEmpty()) {
                answer();
            }
        });
        host.session()
                .ifPresent(s -> ties.on(s.snapshotProperty(), () -> {
                    if (getScene() != null) {
                        refresh(() -> list.kept(kept(), form.kept()));
                    }
                }));
    }

    /** Shows the room: the sum that was open, or the first. */
    @Override
    public void enter() {
        refresh(() -> {
            if (begun.isEmpty()) {
                choose(Sums.ALL.getFirst());
            } else {
                list.kept(kept(), form.kept());
                answer();
            }
            side.focus();
        });
    }

    /** Opens the bend bench for a part: what was kept of it, or a fresh one with its sheet. */
    public void form(Part part, Length thickness) {
        refresh(() -> kept().stream()
                .filter(k -> k.part().equals(Optional.of(part.id())))
                .findFirst()
                .ifPresentOrElse(this::open, () -> {
                    show(SumForm.of(part, thickness, bench, host.unit().getValue()));
                    side.focus();
                }));
    }

    /** Opens a kept sum. */
    public void kept(KeptSum sum) {
        refresh(() -> {
            open(sum);
            side.focus();
        });
    }

    /** Opens a sum by its code. */
    public void sum(String code) {
        refresh(() -> {
            Sums.of(code).ifPresent(this::choose);
            side.focus();
        });
    }

    /** Draws in the colours of one variant. */
    public void use(Palette palette, double scale) {
        picture.use(palette, scale);
        section.use(palette, scale);
        double wide = 1 + (scale - 1) * 0.7;
        list.setPrefWidth(SumList.WIDTH * wide);
        list.setMinWidth(SumList.WIDTH * wide);
        side.setPrefWidth(SumSide.WIDTH * wide);
        side.setMinWidth(SumSide.WIDTH * wide);
    }

    /** Takes over what the build has become, then goes on; counting its demand is not for this thread. */
    private void refresh(Runnable then) {
        Optional<Snapshot> now = host.session().map(Session::snapshot);
        if (now.isEmpty() || now.equals(of)) {
            then.run();
            return;
        }
        benches.ask(
                () -> Bench.of(host.catalogue(), now.get().derivation()),
                fresh -> {
                    of = now;
                    bench = fresh;
                    then.run();
                },
                side::refuse);
    }

    private List<KeptSum> kept() {
        return host.session().map(s -> s.snapshot().build().workshop().sums()).orElse(List.of());
    }

    private void choose(Sum sum) {
        SumForm was = begun.get(sum.code());
        show(
                was != null && was.kept().isEmpty()
                        ? was
                        : SumForm.fresh(sum, bench, host.unit().getValue()));
    }

    private void open(KeptSum kept) {
        SumForm.of(kept, bench)
                .ifPresentOrElse(
                        this::show,
                        () -> side.refuse(
                                "This program does not know the sum \"" + kept.kind() + "\": use a newer one."));
    }

    private void show(SumForm next) {
        form = next;
        begun.put(next.sum().code(), next);
        title.setText(next.sum().title());
        question.setText(next.sum().question());
        list.kept(kept(), next.kept());
        list.mark(next.sum(), next.kept());
        side.ask(next, bench);
        answer();
    }

    /** A field was typed into. */
    void typed(String key, String text) {
        form = form.with(Map.of(key, text));
        begun.put(form.sum().code(), form);
        answer();
    }

    void named(String text) {
        form = form.named(text);
        begun.put(form.sum().code(), form);
    }

    private void answer() {
        SumForm asked = form;
        Bench with = bench;
        Unit unit = host.unit().getValue();
        answers.ask(
                () -> {
                    Figures figures = asked.figures(with, unit);
                    return new Answered(
                            asked.sum().answer(figures),
                            asked.sum().drill(figures).isPresent());
                },
                a -> show(a.answer, a.drill),
                side::refuse);
    }

    /** An answer, and whether its steps are a drill's. */
    private record Answered(Answer answer, boolean drill) {}

    private void show(Answer answer, boolean drill) {
        side.show(
                answer,
                drill,
                host.session().isPresent() && !host.session().get().readOnly());
        table.show(answer.table());
        boolean cut = answer.section().isPresent();
        picture.setVisible(!cut);
        section.getParent().setVisible(cut);
        if (cut) {
            section.show(answer.section(), List.of(), List.of(), host.unit().getValue());
        } else {
            picture.show(answer.picture());
        }
    }

    private void pull(int grip, double dx, double dy) {
        SumForm from = pulledFrom != null && picture.holding() ? pulledFrom : holdOn();
        try {
            Map<String, String> changed =
                    from.sum().pulled(from.figures(bench, host.unit().getValue()), grip, dx, dy);
            form = from.with(changed);
            begun.put(form.sum().code(), form);
            side.put(changed);
            answer();
        } catch (InputException e) {
            side.refuse(e.getMessage());
        }
    }

    private SumForm holdOn() {
        pulledFrom = form;
        picture.addEventHandler(MouseEvent.MOUSE_RELEASED, new EventHandler<>() {
            @Override
            public void handle(MouseEvent e) {
                pulledFrom = null;
                picture.removeEventHandler(MouseEvent.MOUSE_RELEASED, this);
            }
        });
        return form;
    }

    // ---- keeping

    void why(Why number) {
        host.why().accept(number);
    }

    void keep() {
        host.session().ifPresent(s -> {
            SumForm asked = form;
            Id.Sum[] id = {null};
            s.plan(
                    "keeping the sum " + asked.called(),
                    b -> {
                        boolean there = asked.kept().flatMap(b.workshop()::sum).isPresent();
                        id[0] = there ? asked.kept().get() : new Id.Sum(b.nextId());
                        return b.withWorkshop(
                                b.workshop().with(asked.keep(id[0])), there ? b.nextId() : b.nextId() + 1);
                    },
                    () -> {
                        form = form.kept(Optional.of(id[0]));
                        list.kept(kept(), form.kept());
                        list.mark(form.sum(), form.kept());
                        side.kept(form);
                    },
                    side::refuse);
        });
    }

    void drop() {
        host.session()
                .ifPresent(s -> form.kept()
                        .ifPresent(id -> s.plan(
                                "dropping a kept sum",
                                b -> b.withWorkshop(b.workshop().without(id), b.nextId()),
                                () -> {
                                    form = form.kept(Optional.empty());
                                    list.kept(kept(), Optional.empty());
                                    list.mark(form.sum(), Optional.empty());
                                    side.kept(form);
                                },
                                side::refuse)));
    }

    void crib() {
        host.session()
                .ifPresent(s -> form.sum()
                        .drill(form.figures(bench, host.unit().getValue()))
                        .ifPresent(d -> {
                            String name = form.name().isBlank()
                                    ? d.name()
                                    : form.name().strip();
                            s.plan(
                                    "putting " + name + " in the tool crib",
                                    b -> cribbed(b, name, d.steps()),
                                    () -> refresh(() -> {
                                        SumForm next = form.with(Map.of("drill", name));
                                        show(next);
                                    }),
                                    side::refuse);
                        }));
    }

    /** A drill of the same name is put in the place of the old one. */
    private static Build cribbed(Build b, String name, List<Length> steps) {
        Workshop shop = b.workshop();
        List<Tool> tools = new ArrayList<>(
                shop.tools().stream().filter(t -> !t.name().equals(name)).toList());
        tools.add(new Tool(new Id.Tool(b.nextId()), Tool.Kind.STEP_DRILL, name, steps));
        return b.withWorkshop(shop.withTools(tools), b.nextId() + 1);
    }

    Host host() {
        return host;
    }

    SumForm form() {
        return form;
    }

    Aside aside() {
        return aside;
    }

    @Override
    public void close() {
        super.close();
        benches.drop();
        answers.drop();
    }
}
