package bucina.core.log;

import bucina.core.measure.InputException;
import bucina.core.plan.Id;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * Work that sets no fastener: holes worked, a part worked, a job of the builder's own, stock taken, what was found as
 * it is, heads proved, a gauge checked, a set-up made anew, a bay closed out, a reading taken.
 *
 * @param what        what was done
 * @param page        of the manual; may be empty
 * @param who         not blank
 * @param done        when it was done, wall clock of the shop
 * @param minutes     time taken, 0 to 100 000; 0 of what was found
 * @param explanation why it was done although something was missing; may be empty
 * @param note        may be empty
 * @param photos      photographs by the SHA-256 of their content, lower-case hex
 */
public record Labour(
        What what,
        String page,
        String who,
        LocalDateTime done,
        int minutes,
        String explanation,
        String note,
        List<String> photos)
        implements Deed {

    /** What was done. */
    public sealed interface What permits Holes, OnPart, Own, Stock, Found, Proof, GaugeCheck, Reset, CloseOut, Taken {

        /** In a few words, for a list: {@code deburred 48 of US-1}. */
        String words();

        /** The word in files. */
        String kind();
    }

    /**
     * Holes worked: what was marked while the timer ran.
     *
     * @param sweeps one for each operation and group, not empty
     */
    public record Holes(List<Sweep> sweeps) implements What {
        public Holes {
            sweeps = List.copyOf(sweeps);
            require(!sweeps.isEmpty(), "work on holes needs the holes that were worked");
        }

        @Override
        public String words() {
            Sweep first = sweeps.getFirst();
            return first.words() + (sweeps.size() == 1 ? "" : " and " + (sweeps.size() - 1) + " more");
        }

        @Override
        public String kind() {
            return "holes";
        }
    }

    /**
     * One operation on holes of one group.
     *
     * @param operation what
     * @param group     the group
     * @param code      its code at the time
     * @param holes     each once, not empty
     * @param tightened of bolts that were torqued; empty for other work, and where nobody said
     */
    public record Sweep(
            Operation operation,
            Id.Group group,
            String code,
            List<Work.LoggedHole> holes,
            Optional<Tightened> tightened) {

        /** Holes worked with nothing tightened. */
        public Sweep(Operation operation, Id.Group group, String code, List<Work.LoggedHole> holes) {
            this(operation, group, code, holes, Optional.empty());
        }

        public Sweep {
            Objects.requireNonNull(operation, "operation");
            Objects.requireNonNull(tightened, "tightened");
            require(
                    tightened.isEmpty() || operation == Operation.TORQUED,
                    "a torque goes with bolts that were torqued, not " + operation.code());
            Objects.requireNonNull(group, "group");
            holes = List.copyOf(holes);
            require(!holes.isEmpty(), "work on holes of " + code + " needs the holes that were worked");
        }

        String words() {
            return operation.code().replace('-', ' ') + " " + holes.size() + " of " + code
                    + tightened.map(t -> ", " + t.words()).orElse("");
        }
    }

    /**
     * A part worked.
     *
     * @param part the part
     * @param name its name at the time
     * @param task what was done to it: a code such as {@code deburr-edges}, or the builder's own words
     */
    public record OnPart(Id.Part part, String name, String task) implements What {
        public OnPart {
            Objects.requireNonNull(part, "part");
            require(!task.isBlank(), "work on a part needs what was done, such as deburr-edges");
        }

        @Override
        public String words() {
            return name + ": " + task.replace('-', ' ');
        }

        @Override
        public String kind() {
            return "part";
        }
    }

    /**
     * A job of the builder's own.
     *
     * @param job  the job
     * @param name its name at the time
     */
    public record Own(Id.Own job, String name) implements What {
        public Own {
            Objects.requireNonNull(job, "job");
            require(!name.isBlank(), "a job needs a name, such as press the bushing");
        }

        @Override
        public String words() {
            return name;
        }

        @Override
        public String kind() {
            return "own";
        }
    }

    /**
     * Stock taken.
     *
     * @param counted what was counted, in words; not blank
     */
    public record Stock(String counted) implements What {
        public Stock {
            require(!counted.isBlank(), "taking stock needs what was counted, such as rivets, box 3");
        }

        @Override
        public String words() {
            return "took stock: " + counted;
        }

        @Override
        public String kind() {
            return "stock";
        }
    }

    /**
     * What was found as it is: done by somebody, some day. It counts as done, never as proved.
     *
     * @param name  the part or group at the time
     * @param parts parts found finished
     * @param holes holes found with their fasteners in
     * @param group a group without geometry that was found set, with its count; none for count 0
     * @param count how many of that group
     */
    public record Found(String name, List<Id.Part> parts, List<Work.LoggedHole> holes, List<Id.Group> group, int count)
            implements What {
        public Found {
            parts = List.copyOf(parts);
            holes = List.copyOf(holes);
            group = List.copyOf(group);
            require(
                    !parts.isEmpty() || !holes.isEmpty() || count > 0,
                    "what is found as it is needs a part, or a group with holes that are not set yet");
            require(group.size() == (count > 0 ? 1 : 0), "a count found goes with one group");
        }

        @Override
        public String words() {
            return "as found: " + name;
        }

        @Override
        public String kind() {
            return "as-found";
        }
    }

    public Labour {
        Objects.requireNonNull(what, "what");
        Objects.requireNonNull(page, "page");
        Objects.requireNonNull(done, "done");
        photos = List.copyOf(photos);
        require(!who.isBlank(), "who did it is missing: write a name or initials");
        require(minutes >= 0 && minutes <= 100_000, "minutes must be 0 to 100000, was " + minutes);
        require(
                minutes == 0 || !(what instanceof Found),
                "what was found as it is took no time of yours: 0 minutes, was " + minutes);
        require(
                photos.stream().allMatch(p -> p.matches("[0-9a-f]{64}")),
                "a photograph is named by the SHA-256 of its content");
    }

    @Override
    public Labour explained(String because) {
        return new Labour(what, page, who, done, minutes, because, note, photos);
    }

    private static void require(boolean holds, String sentence) {
        if (!holds) {
            throw new InputException(sentence);
        }
    }
}
