package bucina.desk.rack;

import bucina.core.measure.Unit;
import bucina.core.plan.Assembly;
import bucina.core.plan.Face;
import bucina.core.plan.Group;
import bucina.core.plan.Hand;
import bucina.core.plan.Id;
import bucina.core.state.Snapshot;
import bucina.desk.look.Palette;
import bucina.desk.look.Steps;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.layout.VBox;

/*
 * Design. A build can have hundreds of faces, and the list is brought up to date at every entry and every other face:
 * a row is made once for what it names, stays as long as that does, and writes a count only where it changed.
 */

/** The assemblies with their faces, and the groups of the face shown. */
final class FaceList extends VBox {

    /** What a row names: as long as that is the same, the row is. */
    private sealed interface Line {}

    private record Heading(Id.Assembly assembly, String name, String note) implements Line {}

    private record OfFace(Id.Face face, String name) implements Line {}

    private record OfGroup(Id.Group group, String code, String name) implements Line {}

    /** Rows put into the window at once. */
    private static final int AT_ONCE = 20;

    private final Desk desk;
    private final Steps coming = new Steps();
    private final Map<Line, Node> rows = new HashMap<>();

    FaceList(Desk desk) {
        super(2);
        this.desk = desk;
    }

    /** Brings every row up to what is shown. */
    void fill(Palette palette) {
        Snapshot now = desk.snapshot();
        Id.Face shown = desk.selectionProperty().get().face();
        Map<Line, Node> before = Map.copyOf(rows);
        rows.clear();
        List<Node> wanted = new ArrayList<>();
        for (Assembly assembly : now.build().assemblies()) {
            wanted.add(row(new Heading(assembly.id(), assembly.name(), note(assembly)), before));
            for (Face face : assembly.faces()) {
                boolean here = face.id().equals(shown);
                FaceRow row = (FaceRow) row(new OfFace(face.id(), face.name()), before);
                row.count(now.installed(face), face.count(), palette);
                row.current(here);
                wanted.add(row);
                if (here) {
                    face.groups().forEach(g -> wanted.add(row(new OfGroup(g.id(), g.code(), g.name()), before)));
                }
            }
        }
        put(wanted);
        mark();
    }

    /** Puts the rows there; where many are new, some at a time. */
    private void put(List<Node> wanted) {
        int there = getChildren().size() + AT_ONCE;
        Ui.put(this, wanted.subList(0, Math.min(there, wanted.size())));
        List<Runnable> rest = new ArrayList<>();
        for (int to = there; to < wanted.size(); to += AT_ONCE) {
            List<Node> more = wanted.subList(0, Math.min(to + AT_ONCE, wanted.size()));
            rest.add(() -> Ui.put(this, more));
        }
        coming.begin(rest);
    }

    private Node row(Line line, Map<Line, Node> before) {
        Node row = Optional.ofNullable(before.get(line)).orElseGet(() -> made(line));
        rows.put(line, row);
        return row;
    }

    private Node made(Line line) {
        return switch (line) {
            case Heading h -> new VBox(2, Ui.wrapped(h.name(), "rack-assembly"), Ui.wrapped(h.note(), "rack-note"));
            case OfFace f -> new FaceRow(f.name(), () -> desk.show(f.face()));
            case OfGroup g ->
                new GroupRow(
                        g.code(),
                        g.name(),
                        () -> desk.snapshot().build().group(g.code()).ifPresent(desk::show));
        };
    }

    private static String note(Assembly assembly) {
        return (assembly.hand() == Hand.NONE ? "no hand" : assembly.hand().word() + " hand") + ", drawn in "
                + (assembly.unit() == Unit.INCH ? "inches" : "mm")
                + (assembly.drawings().isEmpty() ? "" : ". " + String.join(", ", assembly.drawings()));
    }

    /** Shows which group the hole looked at belongs to, and how far each of the face has come. */
    void mark() {
        Optional<Id.Group> picked = desk.typedGroupProperty()
                .get()
                .or(() -> desk.cursor().map(c -> c.group().id()));
        for (Group group : desk.face().face().groups()) {
            if (rows.get(new OfGroup(group.id(), group.code(), group.name())) instanceof GroupRow row) {
                row.count(
                        desk.snapshot().installed(group),
                        group.count(),
                        picked.filter(group.id()::equals).isPresent());
            }
        }
    }
}
