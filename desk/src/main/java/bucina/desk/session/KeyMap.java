package bucina.desk.session;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** All keys in the order of the alphabet, by where they work: on the screen and on paper. */
public final class KeyMap {

    private KeyMap() {}

    /**
     * The keys whose words or names hold a text.
     *
     * @param wanted in any letters; blank for all
     */
    public static Map<String, List<Map.Entry<String, String>>> of(List<Command> commands, String wanted) {
        Map<String, List<Map.Entry<String, String>>> places = new LinkedHashMap<>();
        for (Command.Scope scope : Command.Scope.values()) {
            List<Map.Entry<String, String>> keys = new ArrayList<>(commands.stream()
                    .filter(c -> c.scope() == scope && !c.key().isEmpty() && holds(c, wanted))
                    .sorted(Comparator.comparing((Command c) -> c.key().length() > 1)
                            .thenComparing(Command::key))
                    .map(c -> Map.entry(c.key(), c.words() + (c.changes() ? " (changes the record)" : "")))
                    .toList());
            if (!keys.isEmpty()) {
                places.put(where(scope), List.copyOf(keys));
            }
        }
        return places;
    }

    private static boolean holds(Command c, String wanted) {
        String text = wanted.strip().toLowerCase(Locale.ROOT);
        return (c.key() + " " + c.words()).toLowerCase(Locale.ROOT).contains(text);
    }

    /** Where keys of a scope work. */
    static String where(Command.Scope scope) {
        return switch (scope) {
            case ALWAYS -> "Everywhere, while something is typed too";
            case FREE -> "In every room, while nothing is typed";
            case SHEET -> "On the sheet";
            case LOGBOOK -> "In the logbook";
            case PARTS -> "In the parts room";
        };
    }
}
