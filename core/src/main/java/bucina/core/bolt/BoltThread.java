package bucina.core.bolt;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import java.util.ArrayList;
import java.util.List;

/**
 * A thread with the bolts made in it.
 *
 * @param name         {@code 10-32}
 * @param series       {@code AN3}; empty where the catalogue has no bolts of the thread
 * @param shank        nominal, over 0
 * @param perInch      threads an inch, over 0
 * @param grips        of each length in eighths, from the shortest; empty where there are no bolts
 * @param firstEighth  length of the shortest, in eighths
 * @param beyond       length less grip
 * @param head         across the flats
 * @param tension      torque for a tension nut, dry
 * @param shear        torque for a shear nut, dry
 * @param source       where the figures stand
 */
public record BoltThread(
        String name,
        String series,
        Length shank,
        int perInch,
        List<Length> grips,
        int firstEighth,
        Length beyond,
        Length head,
        Torque tension,
        Torque shear,
        String source) {

    /**
     * A range of torque.
     *
     * @param low  in-lb
     * @param high in-lb, at least low
     */
    public record Torque(double low, double high) {
        public Torque {
            if (!(low > 0 && high >= low)) {
                throw new InputException("a torque range rises from over 0, was " + low + " to " + high + " in-lb");
            }
        }

        /** With the running drag of the nut added. */
        public Torque plus(double drag) {
            return new Torque(low + drag, high + drag);
        }
    }

    /**
     * One bolt.
     *
     * @param designation {@code AN3-5}: the dash counts eighths, written 10 for 1 in, 20 for 2 in
     */
    public record Bolt(String designation, Length grip, Length length) {}

    public BoltThread {
        grips = List.copyOf(grips);
        if (perInch <= 0) {
            throw new InputException("threads an inch must be over 0, was " + perInch);
        }
    }

    /** One turn of the thread. */
    public Length pitch() {
        return Length.nm(Length.in(1).nanometres() / perInch);
    }

    /** Every bolt of the thread, shortest first. */
    public List<Bolt> bolts() {
        List<Bolt> bolts = new ArrayList<>();
        for (int i = 0; i < grips.size(); i++) {
            int eighths = firstEighth + i;
            int dash = eighths / 8 * 10 + eighths % 8;
            bolts.add(new Bolt(series + "-" + dash, grips.get(i), grips.get(i).plus(beyond)));
        }
        return bolts;
    }

    /**
     * The thread with this name.
     *
     * @throws InputException if the catalogue has no bolts of it; the message lists those it has
     */
    public static BoltThread of(List<BoltThread> table, String name) {
        return table.stream()
                .filter(t -> t.name.equals(name.strip()) && !t.grips.isEmpty())
                .findFirst()
                .orElseThrow(() ->
                        new InputException("\"" + name.strip() + "\" is no thread with bolts in the catalogue: it has "
                                + String.join(
                                        ", ",
                                        table.stream()
                                                .filter(t -> !t.grips.isEmpty())
                                                .map(BoltThread::name)
                                                .toList())));
    }
}
