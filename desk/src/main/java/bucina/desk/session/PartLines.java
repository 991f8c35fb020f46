package bucina.desk.session;

import bucina.core.part.Owing;
import bucina.core.part.PartStates;
import bucina.core.plan.Face;
import bucina.core.plan.Id;
import bucina.core.plan.Part;
import bucina.core.plan.Standing;
import bucina.core.refit.LookAlikes;
import bucina.core.state.Snapshot;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Predicate;

/** The parts of a build as lines of a list: sorted, filtered, searched. Pure. */
public final class PartLines {

    private PartLines() {}

    /**
     * A part as the list shows it.
     *
     * @param part     which
     * @param standing as one thing
     * @param stands   in words
     * @param faces    names of the faces it lies on
     * @param owing    what it owes and what was done to it
     * @param likes    what it is mixed up with
     */
    public record Line(
            Part part,
            Standing standing,
            String stands,
            List<String> faces,
            List<Owing> owing,
            List<LookAlikes> likes) {

        /** How much is still owed to it. */
        public int owed() {
            return (int) owing.stream().filter(Owing::open).count();
        }

        private boolean holds(List<String> words) {
            return words.stream().allMatch(text()::contains);
        }

        private String text() {
            return String.join(
                            " ",
                            part.name(),
                            part.particulars().number(),
                            String.join(" ", part.particulars().aliases()),
                            part.material().code(),
                            part.kind().word(),
                            part.particulars().page(),
                            part.particulars().place(),
                            stands,
                            String.join(" ", faces),
                            String.join(
                                    " ",
                                    owing.stream()
                                            .filter(Owing::open)
                                            .map(Owing::words)
                                            .toList()))
                    .toLowerCase(Locale.ROOT);
        }
    }

    /** In which order the list stands. */
    public enum Sort {
        FITTING("in the order they go on", Comparator.comparing(l -> l.part.fittingOrder())),
        NUMBER("by number", Comparator.comparing(l -> l.part.particulars().number())),
        NAME("by name", Comparator.comparing(l -> l.part.name())),
        STANDING("as they stand", Comparator.comparing(Line::standing)),
        OWED("most owed first", Comparator.comparing(l -> -l.owed())),
        PAGE("by page", Comparator.comparing(l -> l.part.particulars().page()));

        private final String word;
        private final Comparator<Line> order;

        Sort(String word, Comparator<Line> order) {
            this.word = word;
            this.order = order;
        }

        /** On the choice. */
        public String word() {
            return word;
        }
    }

    /** Which parts are listed. */
    public enum Show {
        ALL("all parts", l -> true),
        OWED("that owe something", l -> l.owed() > 0),
        NOT_ON("not on", l -> !l.standing.inPlace()),
        ON("that are on", l -> l.standing.inPlace()),
        AWAY("out or short", l -> l.standing.away()),
        ALIKE("easily mixed up", l -> !l.likes.isEmpty());

        private final String word;
        private final Predicate<Line> holds;

        Show(String word, Predicate<Line> holds) {
            this.word = word;
            this.holds = holds;
        }

        /** On the choice. */
        public String word() {
            return word;
        }
    }

    /** Every part of a build. */
    public static List<Line> of(Snapshot snapshot, Map<Id.Part, List<LookAlikes>> likes) {
        PartStates states = snapshot.parts();
        return states.all().stream()
                .map(p -> new Line(
                        p,
                        states.of(p.id()),
                        states.words(p.id()),
                        states.faces(p.id()).stream().map(Face::name).toList(),
                        states.owing(p.id()),
                        likes.getOrDefault(p.id(), List.of())))
                .toList();
    }

    /** The lines that are shown, in order; those with every word of a search somewhere in them. */
    public static List<Line> shown(List<Line> all, Show show, Sort sort, String search) {
        // Nothing is put into words for an empty search.
        List<String> words = search.isBlank()
                ? List.of()
                : List.of(search.strip().toLowerCase(Locale.ROOT).split("\\s+"));
        return all.stream()
                .filter(show.holds)
                .filter(l -> words.isEmpty() || l.holds(words))
                .sorted(sort.order.thenComparing(l -> l.part.fittingOrder()).thenComparing(l -> l.part.name()))
                .toList();
    }

    /** What is owed over all parts, in a few words; the commonest first. */
    public static String together(List<Line> lines) {
        int owed = lines.stream().mapToInt(Line::owed).sum();
        long on = lines.stream().filter(l -> l.standing.inPlace()).count();
        long away = lines.stream().filter(l -> l.standing.away()).count();
        return lines.size() + (lines.size() == 1 ? " part, " : " parts, ") + on + " on"
                + (away == 0 ? "" : ", " + away + " out or short") + ", " + owed + " things owed";
    }
}
