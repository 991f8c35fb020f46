package bucina.core.sums;

import bucina.core.measure.InputException;
import bucina.core.opening.StepDrill;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** One sum of the bench. Stateless. */
public interface Sum {

    /** What it is called and what it is for. */
    About about();

    /** The word in what is kept: {@code bend}. */
    default String code() {
        return about().code;
    }

    /** Its name in the list. */
    default String title() {
        return about().title;
    }

    /** The question it answers, one sentence. */
    default String question() {
        return about().question;
    }

    /** The group it stands in. */
    default Family family() {
        return about().family;
    }

    /** Its fields, in order. */
    List<Ask> asks(Bench bench);

    /**
     * Works it out.
     *
     * @throws InputException if the figures cannot be used, with one sentence
     */
    Answer answer(Figures figures);

    /**
     * The figures after a grip of the picture was pulled.
     *
     * @param grip its number
     * @param dx   how far in x, nm
     * @param dy   in y
     * @return fields that change; empty if the grip is none of this sum's
     */
    default Map<String, String> pulled(Figures figures, int grip, double dx, double dy) {
        return Map.of();
    }

    /** A drill that was typed in and may go into the tool crib; empty where there is none. */
    default Optional<StepDrill> drill(Figures figures) {
        return Optional.empty();
    }

    /**
     * A sum in words.
     *
     * @param code     the word in what is kept
     * @param family   the group it stands in
     * @param title    its name in the list
     * @param question that it answers, one sentence
     */
    record About(String code, Family family, String title, String question) {}

    /** Groups of sums. */
    enum Family {
        FORM("Form"),
        CUT("Cut and open"),
        FASTEN("Fasten");

        private final String word;

        Family(String word) {
            this.word = word;
        }

        /** Over the group. */
        public String word() {
            return word;
        }
    }
}
