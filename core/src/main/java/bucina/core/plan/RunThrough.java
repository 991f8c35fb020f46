package bucina.core.plan;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;

/**
 * Something that runs through parts: conduit, wire, tube, cable.
 *
 * @param id       its id
 * @param name     as people call it, not blank
 * @param kind     which it is
 * @param size     across, over 0
 * @param hand     it lies on; empty for none
 * @param bay      it lies in; empty for none
 * @param stations what it goes through, in order
 * @param ends     where it stops; may be empty
 * @param string   true if a string is left in it
 * @param crosses  what it crosses and which lies over; may be empty
 */
public record RunThrough(
        Id.Run id,
        String name,
        Kind kind,
        Length size,
        Hand hand,
        Optional<Id.Bay> bay,
        List<Station> stations,
        String ends,
        boolean string,
        String crosses)
        implements Kept {

    private static final int LONGEST = 1000;

    /** What runs through. */
    public enum Kind {
        CONDUIT,
        WIRE,
        TUBE,
        CABLE;

        /** The word in files and for people. */
        public String code() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    /**
     * One part it goes through.
     *
     * @param part    the part
     * @param hole    opening in it, over 0
     * @param bushing inside of the bushing or grommet; empty for none
     * @param fitted  true once the bushing is in, or where there is none
     */
    public record Station(Id.Part part, Length hole, Optional<Length> bushing, boolean fitted) {
        public Station {
            Objects.requireNonNull(part, "part");
            if (!hole.positive() || bushing.filter(b -> !b.positive()).isPresent()) {
                throw new InputException("a hole and the inside of its bushing are over 0, was " + hole);
            }
            if (bushing.filter(b -> b.atLeast(hole)).isPresent()) {
                throw new InputException("a bushing of " + bushing.get() + " inside does not sit in a hole of " + hole
                        + ": its inside is the smaller one");
            }
        }

        /** What is left for what runs through. */
        public Length clear() {
            return bushing.orElse(hole);
        }
    }

    public RunThrough {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(kind, "kind");
        Objects.requireNonNull(hand, "hand");
        Objects.requireNonNull(bay, "bay");
        Names.check("what runs through", name);
        stations = List.copyOf(stations);
        if (!size.positive()) {
            throw new InputException(name + " needs its size across, over 0, was " + size);
        }
        if (ends.length() > LONGEST || crosses.length() > LONGEST) {
            throw new InputException("notes on " + name + " have up to " + LONGEST + " characters each");
        }
    }

    /** Stations that it does not go through: their hole or bushing is no larger than it is. */
    public List<Station> tight() {
        return stations.stream().filter(s -> size.atLeast(s.clear())).toList();
    }

    @Override
    public List<Id.Part> parts() {
        return stations.stream().map(Station::part).toList();
    }

    @Override
    public String called() {
        return kind.code() + " " + name;
    }
}
