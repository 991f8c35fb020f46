package bucina.desk.session;

/**
 * One thing the builder can ask for, with its key. Keys, hints on buttons, the search box and help read one list of
 * them.
 *
 * @param id      stable, kebab-case, {@code mark-and-go-on}
 * @param words   what the search box calls it
 * @param key     as it is written on controls: {@code Ctrl+Enter}, {@code F2}, {@code Space}; empty for none
 * @param scope   where the key works
 * @param changes true if it changes a record or the plan: a held key does it once
 * @param does    what it does
 */
public record Command(String id, String words, String key, Scope scope, boolean changes, Runnable does) {

    /** Where a key works. */
    public enum Scope {
        /** Everywhere, while text is typed and over a card too. */
        ALWAYS,
        /** Where nothing is typed and no card lies over the window. */
        FREE,
        /** Where nothing is typed, in the sheet room: what is done there is done to what is seen. */
        SHEET,
        /** Where nothing is typed, in the logbook room. */
        LOGBOOK,
        /** Where nothing is typed, in the parts room. */
        PARTS
    }

    public Command {
        if (!id.matches("[a-z0-9]+(-[a-z0-9]+)*")) {
            throw new IllegalArgumentException("a command's id is kebab-case like mark-and-go-on, was " + id);
        }
    }

    /** The same, doing something else. */
    public Command doing(Runnable other) {
        return new Command(id, words, key, scope, changes, other);
    }

    /** A command that only looks. */
    public static Command looks(String id, String words, String key, Scope scope, Runnable does) {
        return new Command(id, words, key, scope, false, does);
    }

    /** A command that changes something. */
    public static Command changes(String id, String words, String key, Scope scope, Runnable does) {
        return new Command(id, words, key, scope, true, does);
    }
}
