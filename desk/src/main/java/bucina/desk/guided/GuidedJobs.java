package bucina.desk.guided;

import bucina.core.log.Operation;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.desk.session.Desk;
import bucina.desk.session.Stage;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.stream.Stream;

/** The jobs that are led through: one on the demonstration, one of the builder's own. */
public final class GuidedJobs {

    private static final String GROUP = "US-3";
    private static final String PANEL_CARD = "#panel-card";

    private GuidedJobs() {}

    /** From finding a group to its entry in the logbook, which is taken back again. On the demonstration. */
    public static GuidedJob first() {
        return new GuidedJob(
                "A first job, on the demo",
                List.of(
                        find(),
                        along(),
                        GuidedJob.Step.desk(
                                "Ask a number why",
                                "Every number with a ? opens. Click Use at the right: the formula, your figures in it,"
                                        + " and where the rule comes from.",
                                ".number",
                                d -> d.whyProperty().get().isPresent()),
                        GuidedJob.Step.desk(
                                "Put it away",
                                "Esc puts away whatever lies over the sheet.",
                                "#why-card",
                                d -> d.whyProperty().get().isEmpty()),
                        GuidedJob.Step.desk(
                                "Pick the whole group",
                                "G picks the group of the hole you stand on, R its row, Ctrl+A the face.",
                                "#sheet",
                                GuidedJobs::picked),
                        stage(Stage.SET, "The stages are the order of the work. 5 is Set: log what went in."),
                        typed(),
                        logged(),
                        room(
                                Desk.Room.LOGBOOK,
                                "Look it up",
                                "F7 is the logbook. Your entry is the first. Entries are never changed, only"
                                        + " corrected."),
                        GuidedJob.Step.change(
                                "Take it back",
                                "Ctrl+Z. Nothing is rubbed out: a second entry withdraws the first, and the holes are"
                                        + " open again.",
                                "#undo",
                                GuidedJobs::installed,
                                false),
                        room(
                                Desk.Room.TONIGHT,
                                "What now?",
                                "F2 answers it, each evening. It is where a build opens.")),
                "That is the round: find it, see what goes in and why, do it, log it. F1 explains whatever is on the"
                        + " screen.");
    }

    /** From an empty build to the first logged group. */
    public static GuidedJob panel() {
        return new GuidedJob(
                "A panel of your own",
                Stream.concat(made().stream(), worked().stream()).toList(),
                "The first group of your own is in the logbook. F2 says what is next.");
    }

    /** How the panel is made. */
    private static List<GuidedJob.Step> made() {
        return List.of(
                new GuidedJob.Step(
                        "Make a panel",
                        "P. A few figures make a skin with its rows of holes.",
                        "#empty-panel",
                        eyes -> now -> now.there(PANEL_CARD)),
                new GuidedJob.Step(
                        "Type the skin",
                        "Name, length, and the chord at root and tip: say 12 by 6 inches, or 300 by 150 mm. It"
                                + " is drawn as you type.",
                        "#panel-name",
                        eyes -> now -> filled(now, "#panel-name", "#panel-length", "#panel-root", "#panel-tip")),
                new GuidedJob.Step(
                        "Put a spar under it",
                        "Spars at y: half way, 3 inches or 75 mm. The holes lie on its flange.",
                        "#panel-spars",
                        eyes -> now -> filled(now, "#panel-spars")),
                new GuidedJob.Step(
                        "Choose the rivet",
                        "For the first time one with a head that stands up, so that nothing is dimpled:"
                                + " MS20470AD3, or ISO 15977 3.2.",
                        "#panel-rivet",
                        eyes -> now -> now.typed("#panel-rivet").matches(".*(470|15977).*")),
                new GuidedJob.Step(
                        "Make it",
                        "Enter. It is made, saved and checked; the rail says what the check found.",
                        "#panel-go",
                        eyes -> now -> now.desk().isPresent() && !now.there(PANEL_CARD)));
    }

    /** How it is drilled, deburred and riveted. */
    private static List<GuidedJob.Step> worked() {
        return List.of(
                stage(Stage.DRILL, "3 is Drill. At the right stands what can be marked."),
                whole("Ctrl+A picks every hole of the face."),
                marked("Drilled to final size", "Ctrl+Enter marks what you did: here, that you drilled them."),
                GuidedJob.Step.desk(
                        "Now deburring",
                        "Choose Deburred, both sides.",
                        "#task-deburred",
                        d -> d.taskProperty().get().operation() == Operation.DEBURRED),
                marked(
                        "Deburred",
                        "Ctrl+Enter, with the holes picked still (Ctrl+A if they are not). A rivet goes into no"
                                + " hole that is not ready."),
                stage(Stage.SET, "5 is Set. The length to use and the closed gap of the squeezer stand there."),
                GuidedJob.Step.change(
                        "Log it",
                        "Your initials, the minutes, Ctrl+Enter.",
                        "#log-who",
                        d -> d.snapshot().log().entries().size(),
                        true));
    }

    private static boolean filled(Eyes eyes, String... ids) {
        return List.of(ids).stream().noneMatch(id -> eyes.typed(id).isBlank());
    }

    private static Optional<Build.GroupRef> group(Desk desk) {
        return desk.snapshot().build().group(GROUP);
    }

    private static boolean picked(Desk desk) {
        return group(desk)
                .filter(g ->
                        desk.selectionProperty().get().face().equals(g.face().id()))
                .filter(g -> desk.selectionProperty().get().holes().size()
                        == g.group().count())
                .isPresent();
    }

    private static int installed(Desk desk) {
        return group(desk).map(g -> desk.snapshot().log().installed(g.group())).orElse(0);
    }

    private static GuidedJob.Step find() {
        return GuidedJob.Step.desk(
                "Find a group",
                "Ctrl+K, type US-3, Enter. Whatever has a name is found there: holes, parts, commands, this guide.",
                "#find",
                GuidedJobs::picked);
    }

    private static GuidedJob.Step along() {
        return new GuidedJob.Step(
                "Step along the row",
                "Arrow right goes from hole to hole. At the right the section of each, to scale; below, the row laid"
                        + " out straight.",
                "#strip",
                eyes -> {
                    Optional<Id.Hole> first = cursor(eyes);
                    return now -> cursor(now).isPresent() && !cursor(now).equals(first);
                });
    }

    private static Optional<Id.Hole> cursor(Eyes eyes) {
        return eyes.desk().flatMap(d -> d.selectionProperty().get().cursor());
    }

    private static GuidedJob.Step stage(Stage stage, String text) {
        Predicate<Desk> there =
                d -> d.stageProperty().get() == stage && d.roomProperty().get() == Desk.Room.SHEET;
        return GuidedJob.Step.desk(
                "Go to " + stage.word(), text, "#stage-" + stage.name().toLowerCase(Locale.ROOT), there);
    }

    private static GuidedJob.Step room(Desk.Room room, String title, String text) {
        return GuidedJob.Step.desk(
                title,
                text,
                "#room-" + room.name().toLowerCase(Locale.ROOT),
                d -> d.roomProperty().get() == room);
    }

    private static GuidedJob.Step typed() {
        return new GuidedJob.Step(
                "Who, and how long",
                "Your initials and the minutes it took. Tab goes from field to field.",
                "#log-who",
                eyes -> now -> filled(now, "#log-who", "#log-minutes"));
    }

    private static GuidedJob.Step logged() {
        return GuidedJob.Step.change(
                "Log it",
                "Ctrl+Enter. It is on the disk at that moment; the foot of the sheet says so. This one is only for"
                        + " practice.",
                "#log-go",
                GuidedJobs::installed,
                true);
    }

    private static GuidedJob.Step whole(String text) {
        return GuidedJob.Step.desk(
                "Pick the whole face",
                text,
                "#sheet",
                d -> d.selectionProperty().get().holes().size() == d.face().size());
    }

    private static GuidedJob.Step marked(String title, String text) {
        return GuidedJob.Step.change(
                title, text, "#work-mark", d -> d.snapshot().log().marks().size(), true);
    }
}
