package bucina.desk.bench;

import bucina.core.callout.Callout;
import bucina.core.edit.Edit;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.plan.Group;
import bucina.core.plan.Hold;
import bucina.core.plan.HolePlan;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.stack.HoleReading;
import bucina.desk.look.Fields;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import javafx.scene.control.Button;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** A group: its callout, what the drawing says of its holes, its dies, its heads and the sheets it catches. */
final class GroupChange extends ChangeForm {

    GroupChange(Desk desk, Consumer<String> refused) {
        super(desk, refused);
    }

    /** Fields for the group of a hole. */
    void show(VBox body, HoleReading reading) {
        Group group = reading.group();
        Fields f = new Fields();
        callout(f, group);
        hold(f, group);
        present(f, group);
        f.committed(
                "Page",
                group.page(),
                "group-page",
                t -> does(group.code() + ": page " + t, b -> Edit.group(b, group.id(), g -> g.withPage(t.strip()))));
        f.committed(
                "Die angle",
                group.holes().dieAngle().map(a -> a + "°").orElse(""),
                "group-dies",
                t -> reading(() -> dies(group, t)));
        body.getChildren()
                .addAll(Ui.label("Group " + group.code() + ", " + group.name(), "strong"), f, keys(group, reading));
    }

    private FlowPane keys(Group group, HoleReading reading) {
        return buttons(
                button(
                        group.headFar() ? "Heads to the near side" : "Heads to the far side",
                        "",
                        "group-head",
                        () -> does(
                                "turning the heads of " + group.code(),
                                b -> Edit.group(b, group.id(), g -> g.withHeadFar(!g.headFar())))),
                expects(reading));
    }

    private void present(Fields f, Group group) {
        f.committed(
                "Hole at present",
                group.holes().present().map(this::exact).orElse(""),
                "group-present",
                t -> reading(() -> {
                    Optional<Length> present = t.isBlank()
                            ? Optional.empty()
                            : Optional.of(desk.lengths().parsePositive(t, "present hole"));
                    does(
                            "saying the present hole of " + group.code(),
                            b -> Edit.group(
                                    b,
                                    group.id(),
                                    g -> g.withHoles(new HolePlan(
                                            present,
                                            g.holes().hold(),
                                            g.holes().until(),
                                            g.holes().dieAngle()))));
                }));
    }

    private void hold(Fields f, Group group) {
        f.choice(
                "Drawing says",
                List.of(Hold.values()),
                group.holes().hold(),
                Hold::word,
                "group-hold",
                h -> hold(group, h));
        if (group.holes().hold() == Hold.OPEN) {
            f.committed(
                    "Open until",
                    group.holes().until(),
                    "group-until",
                    t -> reading(() -> does(
                            "saying what " + group.code() + " waits for",
                            b -> Edit.group(
                                    b, group.id(), g -> g.withHoles(g.holes().with(Hold.OPEN, t))))));
        }
    }

    private void callout(Fields f, Group group) {
        TextField callout = f.committed(
                "Callout",
                group.callout(),
                "group-callout",
                t -> reading(() -> {
                    Callout read = Callout.parse(t);
                    does(
                            "reading the callout of " + group.code(),
                            b -> Edit.group(b, group.id(), g -> g.withFastener(read.fastener(), read.text())));
                }));
        callout.setPromptText(group.count() + "× " + group.fastener().name());
    }

    /**
     * Says which sheets the drawing lists for the group: those of this hole. A hole that misses one, or catches
     * another, is then a finding.
     */
    private Button expects(HoleReading reading) {
        Group group = reading.group();
        boolean listed = !group.expects().isEmpty();
        Set<Id.Layer> sheets =
                listed ? Set.of() : reading.layers().stream().map(Layer::id).collect(Collectors.toSet());
        return button(
                listed ? "Forget the sheets it must catch" : "Every hole must catch these sheets",
                "",
                "group-expects",
                () -> does(
                        "saying what " + group.code() + " must catch",
                        b -> Edit.group(b, group.id(), g -> g.expecting(sheets))));
    }

    private void hold(Group group, Hold hold) {
        String until = hold == Hold.OPEN && group.holes().until().isBlank()
                ? "the drawing says so"
                : group.holes().until();
        does(
                "saying what is held open",
                b -> Edit.group(b, group.id(), g -> g.withHoles(g.holes().with(hold, until))));
    }

    private void dies(Group group, String typed) {
        Optional<Integer> angle = angle(typed);
        does(
                "saying the dies of " + group.code(),
                b -> Edit.group(
                        b,
                        group.id(),
                        g -> g.withHoles(new HolePlan(
                                g.holes().present(), g.holes().hold(), g.holes().until(), angle))));
    }

    private static Optional<Integer> angle(String typed) {
        String digits = typed.replaceAll("[°\\s]", "");
        if (!digits.isEmpty() && !digits.matches("\\d{1,3}")) {
            throw new InputException(
                    "the angle of dimple dies must be 60 to 150 degrees like 100, was \"" + typed.strip() + "\"");
        }
        return digits.isEmpty() ? Optional.empty() : Optional.of(Integer.valueOf(digits));
    }
}
