package bucina.core.plan;

import bucina.core.measure.InputException;
import java.time.LocalDate;
import java.util.Objects;
import java.util.Optional;

/**
 * A question about the drawing. It holds its group until it is answered.
 *
 * @param id     its id
 * @param group  the group held
 * @param opened the day it was asked
 * @param text   the question, not blank
 * @param count  for a count that does not match: the drawing's and the sheet's; empty for a question in words
 * @param answer the answer; empty while it is open
 */
public record Query(
        Id.Query id, Id.Group group, LocalDate opened, String text, Optional<Counts> count, Optional<Answer> answer)
        implements Kept {

    /**
     * Two counts that differ.
     *
     * @param drawing what the callout says
     * @param sheet   how many holes there are
     */
    public record Counts(int drawing, int sheet) {}

    /**
     * An answer with where it came from.
     *
     * @param text   the answer, not blank
     * @param source who or what says so, {@code Sheet 31 rev D}; not blank
     * @param on     the day
     */
    public record Answer(String text, String source, LocalDate on) {

        public Answer {
            Objects.requireNonNull(on, "on");
            if (text.isBlank() || source.isBlank()) {
                throw new InputException(
                        "an answer needs words and a source, such as \"18, the arrow at rib 4 is old\" from \"Sheet "
                                + "31 rev D\"");
            }
        }
    }

    public Query {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(group, "group");
        Objects.requireNonNull(opened, "opened");
        Objects.requireNonNull(count, "count");
        Objects.requireNonNull(answer, "answer");
        if (text.isBlank()) {
            throw new InputException("a query needs its question in words");
        }
    }

    @Override
    public String called() {
        return "query " + id.n();
    }

    /** True while it holds its group. */
    public boolean open() {
        return answer.isEmpty();
    }

    /** This query answered. */
    public Query answered(Answer given) {
        return new Query(id, group, opened, text, count, Optional.of(given));
    }
}
