package bucina.desk.card;

import bucina.core.form.PartTable;
import bucina.core.plan.Build;
import bucina.core.state.Snapshot;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.scene.control.Button;
import javafx.stage.FileChooser;

/** Takes a list of parts in, pasted from a spreadsheet or from a CSV file, and writes one out. */
public final class PartListsCard extends TableCard {

    private static final int NAMED = 6;

    private final Desk desk;
    private boolean changes;

    public PartListsCard(Desk desk, Runnable done) {
        super(desk, done, "part-list");
        this.desk = desk;
        setId("part-lists-card");
        Button out = Ui.button("Write all parts to a CSV file", "", this::write, "quiet");
        out.setId("part-list-out");
        lay(
                "Lists of parts",
                "Paste from a spreadsheet, headings first: number, name, quantity, hand, kind, alloy, "
                        + "called, measured, place, standing, due, page, aliases. A line whose number "
                        + "or name is here already changes that part.",
                "number\tname\thand\talloy\tcalled\nDS-104\tMain rib 3\tleft\t6061-T4\t.032",
                out);
    }

    @Override
    String read(String table) {
        Snapshot now = desk.session().snapshot();
        PartTable.Taken taken = PartTable.parse(table).onto(now.build(), now.parts(), desk.lengths());
        changes = !taken.added().isEmpty() || !taken.changed().isEmpty();
        Set<String> unknown = PartTable.unknown(table);
        return some(taken.added(), "more") + "; " + some(taken.changed(), "changed") + "."
                + (unknown.isEmpty() ? "" : " Left out: column " + String.join(", ", unknown) + ".");
    }

    @Override
    boolean changes() {
        return changes;
    }

    private static String some(List<String> names, String what) {
        String first = String.join(", ", names.subList(0, Math.min(NAMED, names.size())));
        return names.size()
                + (names.size() == 1 ? " part " : " parts ")
                + what
                + (names.isEmpty() ? "" : " (" + first + (names.size() > NAMED ? ", ..." : "") + ")");
    }

    @Override
    Build taken(Build build, String table) {
        return PartTable.parse(table)
                .onto(build, desk.session().snapshot().parts(), desk.lengths())
                .build();
    }

    @Override
    String words() {
        return "taking a list of parts in";
    }

    private void write() {
        FileChooser chooser = chooser("Write the parts");
        chooser.setInitialFileName("parts.csv");
        Snapshot now = desk.session().snapshot();
        Optional.ofNullable(chooser.showSaveDialog(getScene().getWindow()))
                .ifPresent(f -> desk.session()
                        .writeOut(
                                f.toPath(),
                                () -> PartTable.csv(now.parts(), desk.unit()).getBytes(StandardCharsets.UTF_8),
                                () -> desk.session().say("Written to " + f + "."),
                                this::refused));
    }
}
