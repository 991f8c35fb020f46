package bucina.core.log;

import bucina.core.measure.InputException;
import bucina.core.plan.Id;
import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * Heads of one group looked at or measured after they were set, each with what the builder decided.
 *
 * @param group the group
 * @param code  its code at the time
 * @param gauge what they were measured with; may be empty
 * @param heads not empty
 */
public record Proof(Id.Group group, String code, String gauge, List<Head> heads) implements Labour.What {

    public Proof {
        Objects.requireNonNull(group, "group");
        Objects.requireNonNull(gauge, "gauge");
        heads = List.copyOf(heads);
        if (heads.isEmpty()) {
            throw new InputException("proof of " + code + " needs the heads that were looked at");
        }
    }

    /**
     * One head.
     *
     * @param hole    its hole; empty in a group without geometry
     * @param number  in a group without geometry its number in setting order, over 0; else 0
     * @param reading as measured, its hole not named again; empty where it was only looked at
     * @param go      true if a go/no-go gauge passed it
     * @param seen    defects
     * @param hits    how often it was set once more before, at least 0
     * @param judged  by the rules in force at the time
     * @param decided by the builder
     * @param reason  why the builder decided otherwise; not blank then
     */
    public record Head(
            Optional<Work.LoggedHole> hole,
            int number,
            Optional<Work.Reading> reading,
            boolean go,
            List<Seen> seen,
            int hits,
            Verdict judged,
            Verdict decided,
            String reason) {

        public Head {
            Objects.requireNonNull(judged, "judged");
            Objects.requireNonNull(decided, "decided");
            seen = List.copyOf(seen);
            reading = reading.map(r -> r.of(""));
            if (hole.isPresent() ? number != 0 : number < 1) {
                throw new InputException("a head is named by its hole, or in a group without holes by its number");
            }
            if (hits < 0) {
                throw new InputException("a head was set again 0 times or more, was " + hits);
            }
            if (decided != judged && reason.isBlank()) {
                throw new InputException("the table says " + judged.code() + " of " + called(hole, number)
                        + ", decided was " + decided.code() + ": give the reason");
            }
        }

        /** How it is called: {@code R3.14}, or {@code no. 7}. */
        public String called() {
            return called(hole, number);
        }

        private static String called(Optional<Work.LoggedHole> hole, int number) {
            return hole.map(Work.LoggedHole::label).orElse("no. " + number);
        }
    }

    @Override
    public String words() {
        long bad = heads.stream().filter(h -> h.decided() != Verdict.LEAVE).count();
        return "proved " + heads.size() + " of " + code + (bad == 0 ? "" : ", " + bad + " not left");
    }

    @Override
    public String kind() {
        return "proof";
    }
}
