package bucina.desk.card;

import bucina.core.form.Entries;
import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.measure.InputException;
import bucina.core.plan.Assembly;
import bucina.core.plan.Id;
import bucina.core.plan.OwnJob;
import bucina.core.plan.Part;
import bucina.desk.look.Fields;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** A job of the builder's own: a new one, or one that is there, which can be changed and taken out. */
final class OwnJobFields extends VBox {

    private final Desk desk;
    private final Consumer<String> refused;
    private final ComboBox<Optional<OwnJob>> job;
    private final TextField name;
    private final TextField page;
    private final ComboBox<Optional<Assembly>> assembly;
    private final TextField parts;
    private final TextField notes;
    private final Button out;

    OwnJobFields(Desk desk, Consumer<String> refused) {
        super(6);
        this.desk = desk;
        this.refused = refused;
        Fields f = new Fields();
        job = f.choice(
                "Job",
                jobs(),
                Optional.empty(),
                j -> j.map(OwnJob::name).orElse("a new one"),
                "work-job",
                chosen -> fill(chosen == null ? Optional.empty() : chosen));
        name = f.add("Its name", new TextField(), "work-name");
        page = f.add("Page", new TextField(), "work-page");
        List<Optional<Assembly>> all = new ArrayList<>(List.of(Optional.empty()));
        desk.snapshot().build().assemblies().forEach(a -> all.add(Optional.of(a)));
        assembly = f.choice(
                "Assembly",
                all,
                Optional.of(desk.ref().assembly()),
                a -> a.map(Assembly::name).orElse("the whole build"),
                "work-assembly",
                a -> {});
        parts = f.add("On parts", new TextField(), "work-parts");
        parts.setPromptText("parts it is about, with commas; in a bay it is done before that is closed");
        notes = f.add("To remember", new TextField(), "work-notes");
        name.setPromptText("press the bushing into the bracket");
        page.setPromptText("page or step of the manual");
        notes.setPromptText("mirrored on the other hand");
        Button keep = Ui.button("Keep the job, log nothing", "", this::keepAlone, "quiet");
        keep.setId("work-keep");
        out = Ui.button("Take it out", "", this::out, "quiet");
        out.setId("work-out");
        Ui.shown(out, false);
        getChildren().addAll(f, new HBox(8, keep, out));
    }

    private void keepAlone() {
        try {
            keep(j -> again(Optional.of(j)));
        } catch (InputException e) {
            refused.accept(e.getMessage());
        }
    }

    private List<Optional<OwnJob>> jobs() {
        List<Optional<OwnJob>> jobs = new ArrayList<>(List.of(Optional.empty()));
        desk.session().snapshot().build().workshop().jobs().forEach(j -> jobs.add(Optional.of(j)));
        return jobs;
    }

    private void fill(Optional<OwnJob> chosen) {
        name.setText(chosen.map(OwnJob::name).orElse(""));
        page.setText(chosen.map(OwnJob::page).orElse(""));
        notes.setText(chosen.map(OwnJob::notes).orElse(""));
        parts.setText(chosen.map(OwnJob::parts).orElse(List.of()).stream()
                .map(p -> desk.session().snapshot().build().part(p).name())
                .collect(Collectors.joining(", ")));
        assembly.setValue(
                chosen.isEmpty()
                        ? Optional.of(desk.ref().assembly())
                        : assembly.getItems().stream()
                                .filter(a ->
                                        a.map(Assembly::id).equals(chosen.get().assembly()))
                                .findFirst()
                                .orElse(Optional.empty()));
        Ui.shown(out, chosen.isPresent());
    }

    private void again(Optional<OwnJob> chosen) {
        job.getItems().setAll(jobs());
        job.setValue(chosen);
        refused.accept("");
    }

    /**
     * Keeps the job as the fields say it, and goes on with it.
     *
     * @throws InputException if it has no name, or a part is not in the build
     */
    void keep(Consumer<OwnJob> then) {
        Optional<OwnJob> was = job.getValue();
        Id.Own id = was.map(OwnJob::id)
                .orElseGet(() -> new Id.Own(desk.session().snapshot().build().nextId()));
        OwnJob told = new OwnJob(
                id,
                name.getText().strip(),
                page.getText().strip(),
                assembly.getValue().map(Assembly::id),
                Entries.parts(parts.getText(), desk.session().snapshot().parts()).stream()
                        .map(Part::id)
                        .toList(),
                notes.getText().strip());
        if (was.equals(Optional.of(told))) {
            then.accept(told);
            return;
        }
        desk.session()
                .plan(
                        (was.isEmpty() ? "adding the job " : "changing the job ") + told.name(),
                        b -> b.withWorkshop(b.workshop().with(told), Math.max(b.nextId(), id.n() + 1)),
                        () -> then.accept(told),
                        refused);
    }

    /** A job that hours are logged on stays: its entries name it. */
    private void out() {
        OwnJob gone = job.getValue().orElseThrow();
        var log = desk.session().snapshot().log();
        long entries = log.entries().stream()
                .filter(log::inForce)
                .filter(e -> of(e).equals(Optional.of(gone.id())))
                .count();
        if (entries > 0) {
            refused.accept("The job " + gone.name() + " stays: " + entries
                    + (entries == 1 ? " entry names it." : " entries name it.")
                    + " Withdraw them in the logbook first.");
            return;
        }
        desk.session()
                .plan(
                        "taking out the job " + gone.name(),
                        b -> b.withWorkshop(b.workshop().without(gone.id()), b.nextId()),
                        () -> again(Optional.empty()),
                        refused);
    }

    private static Optional<Id.Own> of(LogEntry entry) {
        return entry.labour()
                .map(Labour::what)
                .filter(Labour.Own.class::isInstance)
                .map(w -> ((Labour.Own) w).job());
    }
}
