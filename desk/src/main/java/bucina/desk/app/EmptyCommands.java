package bucina.desk.app;

import static bucina.desk.session.Command.Scope.ALWAYS;
import static bucina.desk.session.Command.Scope.FREE;

import bucina.desk.guided.Guided;
import bucina.desk.guided.GuidedJobs;
import bucina.desk.session.DemoBuild;
import bucina.desk.session.Desk;
import bucina.desk.session.ToOpen;
import java.util.function.Consumer;

/** What can be asked for where a build has no face yet: the same words and keys as in the window it becomes. */
final class EmptyCommands extends CommandList {

    /**
     * @param open opens another build in the place of this one
     */
    EmptyCommands(EmptyView view, BuildFiles files, Consumer<ToOpen> open, Guided guided) {
        add("make-panel", "Make a panel", "P", FREE, view::panel);
        add("bring-in", "Bring in a drawing or a hole table", "I", FREE, view::bring);
        add("room-sums", Desk.Room.SUMS.title(), Desk.Room.SUMS.key(), ALWAYS, view::sums);
        add("new-build", "Begin a build", "Ctrl+N", ALWAYS, files::begin);
        add("open-build", "Open a build", "Ctrl+O", ALWAYS, files::other);
        demo("demo-stabilator", "Demo 1: the stabilator", "Ctrl+F1", DemoBuild.Which.STABILATOR, open);
        demo("demo-locker", "Demo 2: the belly locker", "Ctrl+F2", DemoBuild.Which.LOCKER, open);
        demo("demo-box", "Demo 3: a practice box", "Ctrl+F3", DemoBuild.Which.BOX, open);
        add("copies", "Copies of this build: look, go back, how they are kept", "Ctrl+B", ALWAYS, view::copies);
        add("unit", "Inch or millimetre", "U", FREE, view::turn);
        add("theme", "Day or night theme", "T", FREE, view::turnDark);
        add("text-larger", "Larger text", "Ctrl++", ALWAYS, () -> view.scale(25));
        add("text-larger-2", "Larger text", "Ctrl+=", ALWAYS, () -> view.scale(25));
        add("text-smaller", "Smaller text", "Ctrl+-", ALWAYS, () -> view.scale(-25));
        add("help", "Guide: what can be done here, or put it away", "F1", ALWAYS, view::help);
        add("guided-first", "Guided job: a first job, on the demo", "", ALWAYS, () -> {
            open.accept(new ToOpen.Practice(false));
            guided.begin(GuidedJobs.first());
        });
        add("guided-panel", "Guided job: a panel of your own", "", ALWAYS, () -> guided.begin(GuidedJobs.panel()));
        add("about", "About: version, licences, where the data lies", "", ALWAYS, view::about);
        add("put-away", "Put away what lies over the window", "Esc", ALWAYS, view::escape);
    }

    private void demo(String id, String words, String key, DemoBuild.Which which, Consumer<ToOpen> open) {
        add(id, words, key, ALWAYS, () -> open.accept(new ToOpen.Demo(which, false)));
    }
}
