package bucina.core.log;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.plan.Id;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * What one entry says was installed.
 *
 * @param group       the group
 * @param groupCode   its code at the time
 * @param holes       the holes; empty for a group with a typed stack
 * @param count       how many fasteners went in, over 0; equals the number of holes where there are any
 * @param designation as used, printed the one way; not blank
 * @param length      as used (after cutting); empty for hardware
 * @param who         not blank
 * @param done        when it was done, wall clock of the shop
 * @param minutes     time taken, at least 0
 * @param setup       tool, setting and hole size
 * @param readings    sample of shop heads measured
 * @param rejects     what went wrong and what was done about each
 * @param explanation why a length graded short or long, or another rivet, was used, or why holes that were not ready
 *     were set all the same; may be empty
 * @param note        may be empty
 * @param photos      photographs by the SHA-256 of their content, lower-case hex
 * @param removal     what was drilled out of the holes before; empty where they were open
 */
public record Work(
        Id.Group group,
        String groupCode,
        List<LoggedHole> holes,
        int count,
        String designation,
        Optional<Length> length,
        String who,
        LocalDateTime done,
        int minutes,
        Setup setup,
        List<Reading> readings,
        List<Reject> rejects,
        String explanation,
        String note,
        List<String> photos,
        Optional<Removal> removal)
        implements Deed {

    /** Fasteners set in open holes. */
    public Work(
            Id.Group group,
            String groupCode,
            List<LoggedHole> holes,
            int count,
            String designation,
            Optional<Length> length,
            String who,
            LocalDateTime done,
            int minutes,
            Setup setup,
            List<Reading> readings,
            List<Reject> rejects,
            String explanation,
            String note,
            List<String> photos) {
        this(
                group,
                groupCode,
                holes,
                count,
                designation,
                length,
                who,
                done,
                minutes,
                setup,
                readings,
                rejects,
                explanation,
                note,
                photos,
                Optional.empty());
    }

    public Work {
        Objects.requireNonNull(removal, "removal");
        Objects.requireNonNull(group, "group");
        Objects.requireNonNull(done, "done");
        Objects.requireNonNull(setup, "setup");
        holes = List.copyOf(holes);
        readings = List.copyOf(readings);
        rejects = List.copyOf(rejects);
        photos = List.copyOf(photos);
        require(count > 0, "count must be over 0, was " + count);
        require(
                holes.isEmpty() || holes.size() == count,
                "count is " + count + " but " + holes.size() + " holes are named");
        require(!designation.isBlank(), "a designation is missing: write it like MS20426AD3-3.5");
        require(!who.isBlank(), "who did it is missing: write a name or initials");
        require(minutes >= 0 && minutes <= 100_000, "minutes must be 0 to 100000, was " + minutes);
        require(
                photos.stream().allMatch(p -> p.matches("[0-9a-f]{64}")),
                "a photograph is named by the SHA-256 of its content");
        long rejected = rejects.stream().mapToLong(Reject::count).sum();
        for (Reject reject : rejects) {
            require(
                    reject.hole().isEmpty()
                            || holes.stream().anyMatch(h -> h.label().equals(reject.hole())),
                    "a reject names hole " + reject.hole() + ", which the entry does not cover");
        }
        checkReadings(holes, readings, removal);
        require(rejected <= count, "more rejects than fasteners: " + rejected + " of " + count);
    }

    private static void checkReadings(List<LoggedHole> holes, List<Reading> readings, Optional<Removal> removal) {
        for (Reading reading : readings) {
            require(
                    reading.hole().isEmpty()
                            || holes.stream().anyMatch(h -> h.label().equals(reading.hole())),
                    "a reading names hole " + reading.hole() + ", which the entry does not cover");
        }
        require(
                removal.isEmpty() || holes.size() == 1,
                "a rivet drilled out is logged hole by hole, was " + holes.size() + " holes");
    }

    /**
     * The reading of one hole: the one that names it, else the n-th that names none, if it is the n-th hole.
     *
     * @param place of the hole among those of the entry, from 0
     */
    public Optional<Reading> reading(int place) {
        Optional<Reading> named = holes.isEmpty()
                ? Optional.empty()
                : readings.stream()
                        .filter(r -> r.hole().equals(holes.get(place).label()))
                        .reduce((a, b) -> b);
        return named.or(() -> {
            List<Reading> unnamed =
                    readings.stream().filter(r -> r.hole().isEmpty()).toList();
            return place < unnamed.size() ? Optional.of(unnamed.get(place)) : Optional.empty();
        });
    }

    @Override
    public Work explained(String because) {
        return new Work(
                group,
                groupCode,
                holes,
                count,
                designation,
                length,
                who,
                done,
                minutes,
                setup,
                readings,
                rejects,
                because,
                note,
                photos,
                removal);
    }

    /** How many of them are in and sound: all but the rejects that left a hole open. */
    public int sound() {
        return count
                - rejects.stream()
                        .filter(r -> !r.what().filled())
                        .mapToInt(Reject::count)
                        .sum();
    }

    private static void require(boolean holds, String sentence) {
        if (!holds) {
            throw new InputException(sentence);
        }
    }

    /**
     * A hole as it was called when it was logged.
     *
     * @param id    the hole
     * @param label {@code R3.14}
     */
    public record LoggedHole(Id.Hole id, String label) {}

    /**
     * How it was set up.
     *
     * @param tool    may be empty
     * @param setting closed gap of the squeezer, or what the tool has
     * @param hole    hole size as measured or drilled
     * @param die     or rivet set; may be empty
     */
    public record Setup(String tool, Optional<Length> setting, Optional<Length> hole, String die) {

        /** With no die said. */
        public Setup(String tool, Optional<Length> setting, Optional<Length> hole) {
            this(tool, setting, hole, "");
        }

        /** Nothing said. */
        public static final Setup NONE = new Setup("", Optional.empty(), Optional.empty());
    }

    /**
     * What was drilled out before.
     *
     * @param hole as measured afterwards; empty where it was not
     * @param why  it had to go, not blank
     */
    public record Removal(Optional<Length> hole, String why) {
        public Removal {
            require(!why.isBlank(), "what was drilled out needs its reason, such as the head was folded over");
            require(
                    hole.isEmpty() || hole.get().positive(),
                    "the hole measures over 0 after drilling out, such as .131");
        }
    }

    /**
     * One shop head as measured.
     *
     * @param hole     label of the hole; empty where nobody said
     * @param diameter over 0
     * @param height   over 0
     */
    public record Reading(String hole, Length diameter, Length height) {

        /** A head of which nobody said in which hole it is. */
        public Reading(Length diameter, Length height) {
            this("", diameter, height);
        }

        /** The same of a hole. */
        public Reading of(String label) {
            return new Reading(label, diameter, height);
        }

        public Reading {
            require(
                    diameter.positive() && height.positive(),
                    "a reading is a diameter and a height over 0, like .150x.048");
        }
    }

    /**
     * Rejected fasteners.
     *
     * @param hole  label of the hole; empty where only a count is known
     * @param count over 0; 1 where a hole is named
     * @param what  what was done about it
     * @param note  may be empty
     */
    public record Reject(String hole, int count, Disposition what, String note) {
        public Reject {
            Objects.requireNonNull(what, "what");
            require(
                    count > 0 && (hole.isEmpty() || count == 1),
                    "a reject counts 1 where its hole is named, over 0 otherwise, was " + count);
        }
    }
}
