package bucina.desk.app;

import static bucina.desk.session.Command.Scope.ALWAYS;
import static bucina.desk.session.Command.Scope.FREE;

import bucina.desk.card.OutCard;
import bucina.desk.session.Desk;
import java.util.Optional;

/** Commands that open something for the face shown, or change how it is looked at. */
final class FaceCommands extends CommandList {

    private final Desk desk;
    private final DeskWindow window;

    FaceCommands(Desk desk, DeskWindow window) {
        this.desk = desk;
        this.window = window;
        add("make-panel", "Make a panel", "P", FREE, window.cards()::makePanel);
        add("bring-in", "Bring in a drawing or a hole table", "I", FREE, window.cards()::bringIn);
        add(
                "structure",
                "Assemblies and faces: name, order, move, delete",
                "Ctrl+E",
                ALWAYS,
                window.cards()::structure);
        add("bins", "Bins: clecos and rivets on hand", "Ctrl+I", ALWAYS, window.cards()::bins);
        add("ribs", "Ribs and frames: web and flanges in one go", "Ctrl+F", ALWAYS, window.cards()::ribs);
        add(
                "log-work",
                "Log work that sets no fastener: parts, jobs of your own, stock",
                "Ctrl+L",
                ALWAYS,
                () -> window.cards().work(Optional.empty(), window.minutes()));
        add("callouts", "Callouts: read them in", "K", FREE, window.cards()::callouts);
        before();
        add("nut-plates", "Nut plates behind screws", "O", FREE, window.cards()::nutPlates);
        add(
                "write-out",
                "Write out: templates, drawings, tables",
                "X",
                FREE,
                () -> window.cards().writeOut(OutCard.What.FACE));
        add("fit", "Fit the face to the view", "0", FREE, () -> window.sheet().fit());
        add("zoom-in", "Zoom in", "+", FREE, () -> window.sheet().zoom(1.4));
        add("zoom-in-2", "Zoom in", "=", FREE, () -> window.sheet().zoom(1.4));
        add("zoom-out", "Zoom out", "-", FREE, () -> window.sheet().zoom(1 / 1.4));
        add("legend", "Legend of the glyphs", "L", FREE, desk.look()::turnLegend);
        add("bench-mode", "Bench mode: the job in large type", "B", FREE, desk.look()::turnBench);
        add("typed-stack", "Typed stack: an answer without a drawing", "N", FREE, window.cards()::addTyped);
    }

    /** What is proved, closed out, photographed and shown to whoever inspects it. */
    private void proof() {
        add(
                "close-out",
                "Close out a bay: what is open behind its lid, and sign it",
                "",
                ALWAYS,
                window.cards()::closeOut);
        add("gagings", "Readings with limits, and what runs through", "", ALWAYS, window.cards()::gagings);
        add("doubts", "In doubt: drifts, and what a wrong fact makes doubtful", "", ALWAYS, window.cards()::doubts);
        add("photos", "Photographs: bring in, pin, look at", "", ALWAYS, window.cards()::photos);
        add(
                "temporary",
                "Temporary: bolts, straps and what else comes out again; what is owed",
                "",
                ALWAYS,
                window.cards()::temporary);
        add(
                "merge",
                "Two benches: bring another file of this build together with it",
                "",
                ALWAYS,
                window.cards()::merge);
        add(
                "evidence",
                "Evidence of the whole build, as PDF or table",
                "",
                ALWAYS,
                () -> window.cards().writeOut(OutCard.What.EVIDENCE));
    }

    /** What is asked before work is done: reach, bays, what would be if. */
    private void before() {
        add(
                "what-if",
                "What if: a part at another time, a tool less, a bulletin",
                "Ctrl+T",
                ALWAYS,
                window.cards()::whatIf);
        add("bays", "Bays: which part closes one, and what is open inside", "Ctrl+H", ALWAYS, window.cards()::bays);
        proof();
        add(
                "hatches",
                "Arms and hatches: what is within reach through openings",
                "Ctrl+J",
                FREE,
                window.cards()::hatches);
        add("crib", "Will the tool fit? The tool crib, and what it reaches", "V", FREE, window.cards()::reach);
        add("reach", "Reach on the sheet: what tools get where, or stop", "Z", FREE, desk.over()::turnReach);
        add("apart", "Before taking apart: index marks and readings", "Ctrl+D", ALWAYS, window.cards()::apart);
    }
}
