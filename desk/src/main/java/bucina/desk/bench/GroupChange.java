package bucina.desk.bench;

import bucina.core.callout.Callout;
import bucina.core.edit.Edit;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.plan.Bolting;
import bucina.core.plan.Fastener;
import bucina.core.plan.Group;
import bucina.core.plan.Hold;
import bucina.core.plan.HolePlan;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Row;
import bucina.core.plan.Tool;
import bucina.core.reach.HeadSide;
import bucina.core.reach.Reach;
import bucina.core.reach.ToolCrib;
import bucina.core.stack.Bolted;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import bucina.core.state.Snapshot;
import bucina.desk.look.Fields;
import bucina.desk.look.Ui;
import bucina.desk.session.Desk;
import bucina.desk.session.Latest;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.VBox;

/** A group: its callout, what the drawing says of its holes, its dies, its heads and the sheets it catches. */
final class GroupChange extends ChangeForm {

    private final Latest riveted;

    GroupChange(Desk desk, Consumer<String> refused) {
        super(desk, refused);
        riveted = desk.session().latest();
    }

    /** Fields for the group of a hole. */
    void show(VBox body, HoleReading reading) {
        Group group = reading.group();
        Fields f = new Fields();
        callout(f, group);
        hold(f, group);
        present(f, group);
        f.choice(
                "Set",
                List.of(false, true),
                group.holes().wet(),
                wet -> wet ? "wet, with sealant" : "dry",
                "group-wet",
                wet -> wet(group, wet));
        if (group.fastener() instanceof Fastener.Hardware h && h.bolt()) {
            bolting(f, group, h);
        }
        with(f, reading);
        under(f, reading);
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
        body.getChildren().addAll(Ui.label("Group " + group.code() + ", " + group.name(), "strong"), f);
        heads(body, reading);
        backRiveted(body, reading);
        body.getChildren().add(keys(group, reading));
    }

    /** What the rule says of the heads, where it says otherwise than the plan, and why the plan does. */
    private void heads(VBox body, HoleReading hole) {
        Group group = hole.group();
        Map<String, HeadSide> rows = new LinkedHashMap<>();
        for (Row row : group.rows()) {
            List<HoleReading> holes = row.holes().stream()
                    .flatMap(h -> desk.face().of(h.id()).stream())
                    .toList();
            HeadSide.of(holes, desk.snapshot().parts()).ifPresent(side -> rows.put(row.name(), side));
        }
        HeadSide rule = rows.get(hole.row().name());
        if (rule == null) {
            return;
        }
        String where = group.headFar() ? "far" : "near";
        List<String> others = rows.entrySet().stream()
                .filter(r -> r.getValue().decides() && r.getValue().far() != rule.far())
                .map(Map.Entry::getKey)
                .toList();
        boolean against = rule.decides() && rule.far() != group.headFar();
        body.getChildren()
                .add(Ui.wrapped(
                        "Heads are on the " + where + " side. By the rule " + rule.words() + "."
                                + told(
                                        rule.otherwise().stream()
                                                .map(HoleReading::label)
                                                .toList(),
                                        "of the row")
                                + told(others, "of the group, by rows,"),
                        against && group.holes().headWhy().isEmpty() ? "attention-text" : "soft"));
        Fields why = new Fields();
        why.committed(
                "Heads, why",
                group.holes().headWhy(),
                "group-head-why",
                t -> reading(() -> does(
                        "saying why the heads of " + group.code() + " are there",
                        b -> Edit.group(
                                b, group.id(), g -> g.withHoles(g.holes().because(t.strip()))))));
        body.getChildren().add(why);
    }

    private static String told(List<String> others, String of) {
        return others.isEmpty()
                ? ""
                : " " + others.size() + " " + of + " would say the other side, first " + others.getFirst()
                        + ": heads go the same way along a row and in a group.";
    }

    /** The kind of tool that it is set with; where none is wanted, one that most parts leave room for. */
    private void with(Fields f, HoleReading reading) {
        List<Optional<Tool.Kind>> kinds = new ArrayList<>(List.of(Optional.empty()));
        Reach.wanted(reading).stream()
                .filter(w -> w == Reach.Work.SQUEEZE || w == Reach.Work.PULL)
                .forEach(w -> w.kinds(reading).forEach(k -> kinds.add(Optional.of(k))));
        if (kinds.size() > 1) {
            Group group = reading.group();
            f.choice(
                    "Set with",
                    kinds,
                    group.holes().with(),
                    k -> k.map(Tool.Kind::word).orElse("what reaches most"),
                    "group-with",
                    k -> holes(group, "saying what " + group.code() + " is set with", h -> h.setWith(k)));
        }
    }

    /** Sheets that come to lie over the holes without being joined by them: those there are, one alone, one more. */
    private void under(Fields f, HoleReading reading) {
        Group group = reading.group();
        Set<Id.Layer> is = group.holes().under();
        Set<Set<Id.Layer>> choices = new LinkedHashSet<>(List.of(Set.of()));
        choices.add(is);
        for (Layer layer : desk.face().face().layers()) {
            if (layer.outline().covers(reading.hole().at())) {
                Set<Id.Layer> more = new HashSet<>(is);
                more.add(layer.id());
                choices.add(Set.of(layer.id()));
                choices.add(more);
            }
        }
        f.choice(
                "Comes under",
                List.copyOf(choices),
                is,
                this::names,
                "group-under",
                sheets -> holes(group, "saying what " + group.code() + " comes under", h -> h.under(sheets)));
    }

    private String names(Set<Id.Layer> sheets) {
        return sheets.isEmpty()
                ? "nothing"
                : desk.face().face().layers().stream()
                        .filter(l -> sheets.contains(l.id()))
                        .map(Layer::name)
                        .collect(Collectors.joining(" and "));
    }

    private void holes(Group group, String words, UnaryOperator<HolePlan> change) {
        if (!change.apply(group.holes()).equals(group.holes())) {
            does(words, b -> Edit.group(b, group.id(), g -> g.withHoles(change.apply(g.holes()))));
        }
    }

    /** Where flush heads can be back-riveted, that is offered. */
    private void backRiveted(VBox body, HoleReading hole) {
        if (!Reach.Work.SQUEEZE.kinds(hole).contains(Tool.Kind.BACK_RIVET)
                || !(hole.solution().fastener() instanceof Fastener.SolidRivet)) {
            return;
        }
        Label offer = Ui.wrapped("", "soft");
        Ui.shown(offer, false);
        body.getChildren().add(offer);
        Snapshot now = desk.snapshot();
        FaceReading face = desk.face();
        riveted.ask(
                () -> backRiveted(
                        face, hole, now, ToolCrib.of(now.build(), desk.session().catalogue())),
                words -> {
                    offer.setText(words);
                    Ui.shown(offer, !words.isEmpty());
                },
                sentence -> {});
    }

    /** How many of a row can be back-riveted, in words; empty for none. */
    private static String backRiveted(FaceReading face, HoleReading hole, Snapshot now, List<Tool> crib) {
        List<HoleReading> row = hole.row().holes().stream()
                .flatMap(h -> face.of(h.id()).stream())
                .toList();
        long there = Reach.of(face, row, now.build(), crib, List.of(), now.log()).stream()
                .filter(r -> r.tools().stream().anyMatch(t -> t.kind() == Tool.Kind.BACK_RIVET))
                .count();
        return there == 0
                ? ""
                : "Back-riveting gets at " + there + " of " + row.size() + " in "
                        + hole.row().name()
                        + ": the plate under the heads, the set straight in from behind. Choose it at \"Set with\".";
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

    private void wet(Group group, boolean wet) {
        if (wet != group.holes().wet()) {
            does(
                    "saying how " + group.code() + " is set",
                    b -> Edit.group(b, group.id(), g -> g.withHoles(g.holes().with(wet))));
        }
    }

    /** The nut, which part the wrench turns, and whether the holes are reamed. */
    private void bolting(Fields f, Group group, Fastener.Hardware bolt) {
        Bolting is = bolt.bolting();
        TextField nut = f.committed(
                "Nut",
                is.nut(),
                "group-nut",
                t -> reading(() -> {
                    Bolted.checkNut(t, bolt, desk.snapshot().derivation().catalogue());
                    bolted(group, bolt, new Bolting(t.strip(), is.headTurns(), is.reamed()));
                }));
        nut.setPromptText("as the bolt asks, or castle:.25");
        f.choice(
                "Wrench turns",
                List.of(false, true),
                is.headTurns(),
                head -> head ? "the head" : "the nut",
                "group-turns",
                head -> bolted(group, bolt, new Bolting(is.nut(), head, is.reamed())));
        f.choice(
                "Holes",
                List.of(false, true),
                is.reamed(),
                reamed -> reamed ? "are reamed to size" : "are drilled to size",
                "group-reamed",
                reamed -> bolted(group, bolt, new Bolting(is.nut(), is.headTurns(), reamed)));
    }

    private void bolted(Group group, Fastener.Hardware bolt, Bolting bolting) {
        if (!bolting.equals(bolt.bolting())) {
            Fastener.Hardware changed =
                    new Fastener.Hardware(bolt.name(), bolt.shank(), bolt.hole(), bolt.flush(), bolting);
            does(
                    "saying how the bolts of " + group.code() + " are fitted",
                    b -> Edit.group(b, group.id(), g -> g.withFastener(changed, g.callout())));
        }
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
                                    g -> g.withHoles(
                                            g.holes().with(present, g.holes().dieAngle()))));
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
                        b, group.id(), g -> g.withHoles(g.holes().with(g.holes().present(), angle))));
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
