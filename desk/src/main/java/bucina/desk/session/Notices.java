package bucina.desk.session;

import java.util.Map;
import java.util.Optional;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;

/** What was saved, done or refused last, in words of three lengths. Interface thread only. */
public final class Notices {

    private static final String UNDONE = "Undone";
    /** What does not end in "ed". */
    private static final Map<String, String> IRREGULAR = Map.ofEntries(
            Map.entry("beginning", "began"),
            Map.entry("bringing", "brought"),
            Map.entry("keeping", "kept"),
            Map.entry("laying", "laid"),
            Map.entry("making", "made"),
            Map.entry("putting", "put"),
            Map.entry("reading", "read"),
            Map.entry("saying", "said"),
            Map.entry("taking", "took"),
            Map.entry("withdrawing", "withdrew"));

    private final ReadOnlyStringWrapper status = new ReadOnlyStringWrapper("");
    private final ReadOnlyStringWrapper brief = new ReadOnlyStringWrapper("");
    private final ReadOnlyObjectWrapper<Optional<Said>> said = new ReadOnlyObjectWrapper<>(Optional.empty());

    /**
     * @param onlyReads why nothing may be written; empty if it may
     */
    Notices(Optional<String> onlyReads) {
        status.set(onlyReads.orElse("All saved."));
        brief.set(onlyReads.isPresent() ? "Only reads" : "All saved");
    }

    /** One line about the last thing saved or refused. */
    public ReadOnlyStringProperty statusProperty() {
        return status.getReadOnlyProperty();
    }

    /**
     * What was just done or refused, to be read from where one stands.
     *
     * @param words one sentence
     * @param good  true if it was done
     * @param undo  true if undo takes it back
     */
    public record Said(String words, boolean good, boolean undo) {}

    /** What was said last; every saying is a new one, also of the same words. Empty at first. */
    public ReadOnlyObjectProperty<Optional<Said>> saidProperty() {
        return said.getReadOnlyProperty();
    }

    /** The last thing saved in two or three words, for where there is no room for more. */
    public ReadOnlyStringProperty briefProperty() {
        return brief.getReadOnlyProperty();
    }

    /** Shows one line about something that was asked for and could not be. */
    void say(String line) {
        status.set(line);
        said.set(Optional.empty());
        said.set(Optional.of(new Said(line, false, false)));
    }

    /**
     * Something is on the disk.
     *
     * @param word     in two or three words
     * @param sentence about the disk
     * @param words    about what was done
     */
    void saved(String word, String sentence, String words) {
        brief.set(word);
        status.set(sentence);
        said.set(Optional.empty());
        said.set(Optional.of(new Said(words, true, !word.equals(UNDONE))));
    }

    /** Something is not. */
    void notSaved(String sentence) {
        brief.set("Not saved");
        status.set("Not saved: " + sentence);
        said.set(Optional.empty());
        said.set(Optional.of(new Said("Not saved: " + sentence, false, false)));
    }

    /** The file cannot be written to any more; a card says so. */
    void lost(String sentence) {
        brief.set("File lost");
        status.set(sentence);
    }

    /** The file is there again. */
    void found() {
        brief.set("All saved");
        status.set("The file is there again. All saved.");
    }

    /** Something was taken back or done again. */
    void moved(String words) {
        saved(words.startsWith(UNDONE) ? UNDONE : "Done again", words + ".", words + ".");
    }

    /** Words of something done as a sentence about the past: {@code Marked 12 holes deburred.} */
    static String past(String words) {
        int end = words.indexOf(' ') < 0 ? words.length() : words.indexOf(' ');
        String doing = words.substring(0, end);
        String did = doing.endsWith("ing")
                ? IRREGULAR.getOrDefault(doing, doing.substring(0, doing.length() - 3) + "ed")
                : doing;
        String past = did + words.substring(end);
        return Character.toUpperCase(past.charAt(0)) + past.substring(1) + ".";
    }
}
