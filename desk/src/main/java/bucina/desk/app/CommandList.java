package bucina.desk.app;

import bucina.desk.session.Command;
import java.util.ArrayList;
import java.util.List;

/** Commands that one part of the window contributes. */
abstract class CommandList {

    private final List<Command> commands = new ArrayList<>();

    /** In the order of the search box. */
    final List<Command> all() {
        return List.copyOf(commands);
    }

    /** Adds one that only looks. */
    protected final void add(String id, String words, String key, Command.Scope scope, Runnable does) {
        commands.add(Command.looks(id, words, key, scope, does));
    }

    /** Adds one that changes a record or the plan. */
    protected final void addChanging(String id, String words, String key, Command.Scope scope, Runnable does) {
        commands.add(Command.changes(id, words, key, scope, does));
    }
}
