package bucina.desk.session;

import bucina.core.plan.Fastener;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import bucina.core.stack.Solution;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * The different rivet lengths of one face, short to long: in Study a hole is drawn the fuller the longer its rivet.
 * Immutable.
 */
public final class LengthClasses {

    /**
     * One length.
     *
     * @param name  {@code MS20426AD3-3.5}; for hardware its name
     * @param place from 0 for the shortest rivet; -1 for hardware, -2 where nothing does
     */
    public record Class(String name, int place) {}

    private final List<Class> classes;
    private final Map<Solution, Integer> places = new IdentityHashMap<>();

    private LengthClasses(List<Class> classes) {
        this.classes = List.copyOf(classes);
    }

    /** The lengths on a face. */
    public static LengthClasses of(FaceReading face) {
        Map<Double, List<Solution>> byLength = new TreeMap<>();
        List<Class> others = new ArrayList<>();
        Map<Solution, Boolean> seen = new IdentityHashMap<>();
        Map<Solution, Integer> special = new IdentityHashMap<>();
        for (HoleReading reading : face.readings()) {
            Solution s = reading.solution();
            if (seen.put(s, true) == null) {
                if (s.fastener() instanceof Fastener.Hardware h) {
                    special.put(s, -1);
                    add(others, new Class(h.name(), -1));
                } else if (s.length().isEmpty()) {
                    special.put(s, -2);
                    add(others, new Class("nothing stocked does", -2));
                } else {
                    byLength.computeIfAbsent(s.length().get().nanometres(), k -> new ArrayList<>())
                            .add(s);
                }
            }
        }
        List<Class> classes = new ArrayList<>();
        int place = 0;
        for (List<Solution> same : byLength.values()) {
            for (Solution s : same) {
                special.put(s, place);
            }
            String names = String.join(
                    ", ",
                    same.stream()
                            .map(s -> s.designation().orElse("") + (s.cut() ? " cut" : ""))
                            .distinct()
                            .sorted()
                            .toList());
            classes.add(new Class(names, place++));
        }
        classes.addAll(others);
        classes.sort(Comparator.comparingInt(Class::place).reversed());
        LengthClasses made = new LengthClasses(classes.reversed());
        made.places.putAll(special);
        return made;
    }

    private static void add(List<Class> list, Class one) {
        if (!list.contains(one)) {
            list.add(one);
        }
    }

    /** Every class: hardware and what nothing does first, then short to long. */
    public List<Class> classes() {
        return classes;
    }

    /** How many different rivet lengths there are. */
    public int lengths() {
        return (int) classes.stream().filter(c -> c.place >= 0).count();
    }

    /** The place of a hole's length, as in {@link Class#place}. */
    public int place(HoleReading reading) {
        return places.getOrDefault(reading.solution(), -2);
    }
}
