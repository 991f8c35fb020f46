package bucina.desk.card;

import bucina.core.drawing.FaceDrawing;
import bucina.core.drawing.Template;
import bucina.core.drawing.XRay;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.plan.Build;
import bucina.core.plan.Row;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import bucina.core.state.Snapshot;
import bucina.desk.look.Fields;
import bucina.desk.look.ShownBox;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import bucina.desk.session.EvidenceOut;
import bucina.desk.session.Places;
import bucina.desk.session.Printing;
import bucina.store.drawing.DxfWriter;
import bucina.store.drawing.HeldOpenPdf;
import bucina.store.drawing.HoleCsv;
import bucina.store.drawing.Paper;
import bucina.store.drawing.Progress;
import bucina.store.drawing.SvgWriter;
import bucina.store.drawing.TemplatePdf;
import bucina.store.file.OutFile;
import java.io.File;
import java.nio.charset.StandardCharsets;
import java.nio.file.InvalidPathException;
import java.nio.file.Path;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Callable;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.stage.FileChooser;

/** Writes the face or the row out: templates in true size, drawings, the hole table, the sheet of what stays open. */
public final class OutCard extends ShownBox {

    /** What can be written. */
    public enum What {
        FACE("face template, true size (PDF)", "pdf"),
        STRIP("strip of the row, true size (PDF)", "pdf"),
        EVIDENCE("evidence of the whole build (PDF)", "pdf"),
        EVIDENCE_HERE("evidence of this assembly (PDF)", "pdf"),
        EVIDENCE_CSV("evidence, an entry a line (CSV)", "csv"),
        XRAY("X-ray of the face as it is set, true size (PDF)", "pdf"),
        HELD("sheet of what stays open (PDF)", "pdf"),
        FACE_SVG("face template, true size (SVG)", "svg"),
        FACE_DXF("face template, true size (DXF)", "dxf"),
        DXF("sheets and holes (DXF)", "dxf"),
        SVG("sheets and holes (SVG)", "svg"),
        CSV("hole table (CSV)", "csv");

        private final String word;
        private final String ending;

        What(String word, String ending) {
            this.word = word;
            this.ending = ending;
        }

        String word() {
            return word;
        }
    }

    private static final Set<What> EVIDENCE = EnumSet.of(What.EVIDENCE, What.EVIDENCE_HERE, What.EVIDENCE_CSV);

    private final Desk desk;
    private final ComboBox<What> what;
    private final ComboBox<Paper> paper;
    private final TextField path;
    private final Label says = Ui.wrapped("", "soft");
    private final Label error = Ui.wrapped("", "stop-text");
    private final WorkBar work = new WorkBar("out-stop");

    public OutCard(Desk desk, What first, Runnable away) {
        super(10);
        this.desk = desk;
        getStyleClass().add("card");
        setId("out-card");
        setMaxSize(560, USE_PREF_SIZE);
        Fields f = new Fields();
        what = f.choice("Write", List.of(What.values()), first, What::word, "out-what", w -> look());
        paper = f.choice("Paper", List.of(Paper.A4, Paper.LETTER), Paper.A4, Paper::name, "out-paper", p -> look());
        path = f.add("File", new TextField(), "out-path");
        Button go = goes();
        lay(desk, f, go, away);
        look();
    }

    private Button goes() {
        Button go = Ui.button("Write it", "Enter", this::go, "primary");
        go.setId("out-go");
        go.setDefaultButton(true);
        return go;
    }

    private void lay(Desk desk, Fields f, Button go, Runnable away) {
        getChildren()
                .addAll(
                        Ui.label("Write out " + desk.face().face().name(), "bench-title"),
                        f,
                        says,
                        work,
                        error,
                        new HBox(
                                8,
                                Ui.button("Choose a file", "", this::choose),
                                go,
                                Ui.button("Close", "Esc", away, "quiet")));
    }

    /** Puts the keyboard into the first field. */
    @Override
    public void enter() {
        path.requestFocus();
    }

    private Optional<Row> row() {
        return desk.cursor().map(c -> c.row());
    }

    private void look() {
        Ui.shown(error, false);
        What w = what.getValue();
        paper.setDisable(!w.ending.equals("pdf"));
        String stem = stem(w).toLowerCase(Locale.ROOT).replaceAll("[^a-z0-9]+", "-");
        String folder = folder();
        path.setText(Path.of(folder, stem + "." + w.ending).toString());
        says.setText(words(w));
    }

    private String stem(What w) {
        return switch (w) {
            case STRIP -> row().map(r -> "row " + r.name()).orElse("row");
            case HELD -> "leave open";
            case EVIDENCE, EVIDENCE_CSV -> "evidence " + desk.snapshot().build().name();
            case EVIDENCE_HERE -> "evidence " + desk.ref().assembly().name();
            case XRAY ->
                "x-ray "
                        + spot().map(HoleReading::label)
                                .orElse(desk.face().face().name());
            case FACE, FACE_SVG, FACE_DXF, DXF, SVG, CSV -> desk.face().face().name();
        };
    }

    /** The hole whose surroundings are seen through; empty for the whole face. */
    private Optional<HoleReading> spot() {
        return desk.cursor();
    }

    /** The folder named so far; the home folder where none can be told. */
    private String folder() {
        try {
            return path.getText().isBlank()
                    ? System.getProperty("user.home")
                    : Optional.ofNullable(Path.of(path.getText()).getParent())
                            .map(Path::toString)
                            .orElse(".");
        } catch (InvalidPathException e) {
            return System.getProperty("user.home");
        }
    }

    private String words(What w) {
        if (w == What.STRIP && row().isEmpty()) {
            return "Pick a hole first: the strip is of its row.";
        }
        if (w == What.EVIDENCE || w == What.EVIDENCE_HERE) {
            return "Hours, people, maps, entries, readings, pictures, papers and rules, with the newest hash.";
        }
        if (w == What.FACE || w == What.STRIP || w == What.XRAY) {
            int[] tiles = TemplatePdf.tiles(template(w), paper.getValue());
            return "True size on " + tiles[0] + " by " + tiles[1] + " pieces of "
                    + paper.getValue().name()
                    + " with overlap marks, and bars of 100 mm both ways to check the print with.";
        }
        return w == What.HELD ? "To tape up beside the part." : "Lengths in millimetres.";
    }

    private Template template(What w) {
        Build.FaceRef ref = desk.ref();
        if (w == What.XRAY) {
            Snapshot now = desk.snapshot();
            return XRay.of(
                    ref,
                    desk.face(),
                    now.build().rules(),
                    now.log(),
                    Length.in(.125),
                    spot().map(h -> h.hole().at()),
                    Length.in(6));
        }
        return w == What.STRIP
                ? Template.strip(ref, row().orElseThrow(), desk.face())
                : Template.face(ref, desk.face());
    }

    private void choose() {
        FileChooser chooser = new FileChooser();
        chooser.setTitle("Write out");
        chooser.setInitialFileName(path.getText().replaceAll(".*[/\\\\]", ""));
        File file = chooser.showSaveDialog(getScene().getWindow());
        if (file != null) {
            path.setText(file.getPath());
        }
    }

    private void go() {
        What w = what.getValue();
        if (w == What.STRIP && row().isEmpty()) {
            refuse(words(w));
            return;
        }
        Path to;
        try {
            to = Places.file(path.getText(), "rib-4." + w.ending);
        } catch (InputException e) {
            refuse(e.getMessage());
            return;
        }
        says.setText("Writing.");
        if (EVIDENCE.contains(w)) {
            Path file = desk.session().path();
            OutFile.Content evidence = w != What.EVIDENCE_CSV
                    ? EvidenceOut.pdf(
                            file,
                            desk.session().snapshot(),
                            w == What.EVIDENCE
                                    ? Optional.empty()
                                    : Optional.of(desk.ref().assembly().id()),
                            paper.getValue(),
                            desk.unit(),
                            desk.session().now(),
                            work.begin())
                    : EvidenceOut.csv(file, desk.session().snapshot());
            desk.session().writeOut(to, evidence, () -> written("Written to " + to + "."), this::refuse);
            return;
        }
        Callable<byte[]> content = content(w);
        desk.session().writeOut(to, content, () -> written("Written to " + to + "."), this::refuse);
    }

    private void written(String sentence) {
        work.done();
        says.setText(sentence);
    }

    private Callable<byte[]> content(What w) {
        Progress progress = work.begin();
        Snapshot snapshot = desk.snapshot();
        FaceReading face = desk.face();
        Build.FaceRef ref = desk.ref();
        Paper on = paper.getValue();
        Optional<Template> template =
                w == What.FACE || w == What.STRIP || w == What.XRAY ? Optional.of(template(w)) : Optional.empty();
        var unit = desk.unit();
        return () -> switch (w) {
            case FACE, STRIP, XRAY ->
                TemplatePdf.write(template.orElseThrow(), on, snapshot.build().name(), Printing.FONTS, progress);
            case HELD -> HeldOpenPdf.write(ref, face, snapshot.holds(), unit, on, Printing.FONTS);
            case FACE_SVG -> SvgWriter.write(Template.face(ref, face).marked()).getBytes(StandardCharsets.UTF_8);
            case FACE_DXF -> DxfWriter.write(Template.face(ref, face).marked()).getBytes(StandardCharsets.UTF_8);
            case DXF -> DxfWriter.write(FaceDrawing.of(face)).getBytes(StandardCharsets.UTF_8);
            case SVG -> SvgWriter.write(FaceDrawing.of(face)).getBytes(StandardCharsets.UTF_8);
            case EVIDENCE, EVIDENCE_HERE, EVIDENCE_CSV ->
                throw new IllegalStateException("evidence is written as it is made");
            case CSV -> HoleCsv.write(face.readings()).getBytes(StandardCharsets.UTF_8);
        };
    }

    private void refuse(String sentence) {
        error.setText(sentence);
        Ui.shown(error, true);
        written("");
    }
}
