package bucina.core.stack;

import bucina.core.bolt.BoltChoice;
import bucina.core.bolt.BoltThread;
import bucina.core.bolt.Nut;
import bucina.core.bolt.Washer;
import bucina.core.catalogue.Catalogue;
import bucina.core.log.Operation;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.LengthParser;
import bucina.core.measure.Unit;
import bucina.core.plan.Fastener;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * What a bolt of the catalogue takes in one stack: grip, washers, nut and torque, as the handbook's section 4.3 has it.
 *
 * @param thread  its thread, with the torque
 * @param nut     empty where the catalogue has none that the designation asks for
 * @param fault   why the nut asked for is not known; empty where it is
 * @param chosen  true if it is named by its series alone: its length comes from the stack
 * @param choice  every bolt and its washers that fits; empty without a nut or a stack
 * @param fit     the one used: the bolt as designated, else the best; empty where it does not fit
 * @param secured wired, pinned or neither
 */
public record Bolted(
        BoltThread thread,
        Optional<Nut> nut,
        String fault,
        boolean chosen,
        Optional<BoltChoice> choice,
        Optional<BoltChoice.Fit> fit,
        Optional<Operation> secured) {

    private static final Pattern NAME = Pattern.compile("(AN\\d+)(H?)(?:-?(\\d{1,2})(A?))?");
    private static final String SELF_LOCKING = "tension-lock";

    /** What a designation says: {@code AN4H-6A} is a drilled head on an undrilled shank. */
    private record Name(BoltThread thread, boolean drilledHead, Optional<String> dash, boolean undrilled) {

        static Optional<Name> of(Fastener.Hardware bolt, Catalogue catalogue) {
            Matcher m = NAME.matcher(bolt.name().strip().toUpperCase(Locale.ROOT));
            return m.matches()
                    ? catalogue.bolts().stream()
                            .filter(t -> t.series().equals(m.group(1)))
                            .findFirst()
                            .map(t -> new Name(
                                    t, !m.group(2).isEmpty(), Optional.ofNullable(m.group(3)), "A".equals(m.group(4))))
                    : Optional.empty();
        }

        /** True if a slotted nut and a cotter belong to it. */
        boolean pinned() {
            return dash.isPresent() && !undrilled;
        }

        boolean is(BoltChoice.Fit fit) {
            String plain = fit.bolt().designation().replaceFirst("A$", "");
            return dash.map(d -> plain.equals(thread.series() + "-" + d)).orElse(true);
        }

        /** The nut asked for, else the one that belongs to it; empty where the catalogue has none of that. */
        Optional<Nut> nut(String asked, Catalogue catalogue) {
            return asked.isEmpty() && pinned()
                    ? Optional.empty()
                    : Optional.of(Nut.of(
                            catalogue.nuts(),
                            asked.isEmpty() ? SELF_LOCKING : asked,
                            thread.name(),
                            new LengthParser(Unit.INCH, catalogue.drills())::parse));
        }
    }

    /** Empty for hardware that is no bolt of the catalogue. */
    static Optional<Bolted> of(Fastener.Hardware bolt, List<Length> layers, Catalogue catalogue) {
        return Name.of(bolt, catalogue).map(name -> {
            Optional<Nut> nut;
            String fault = "";
            try {
                nut = name.nut(bolt.bolting().nut(), catalogue);
            } catch (InputException e) {
                nut = Optional.empty();
                fault = e.getMessage();
            }
            return of(bolt, name, nut, fault, layers, catalogue);
        });
    }

    private static Bolted of(
            Fastener.Hardware bolt,
            Name name,
            Optional<Nut> nut,
            String fault,
            List<Length> layers,
            Catalogue catalogue) {
        BoltChoice.Turn turn = bolt.bolting().headTurns() ? BoltChoice.Turn.HEAD : BoltChoice.Turn.NUT;
        Optional<BoltChoice> choice = nut.filter(n -> !layers.isEmpty())
                .map(n -> BoltChoice.of(new BoltChoice.Joint(name.thread, layers, n, turn, 0), catalogue.washers()));
        boolean pinned = nut.map(n -> n.kind().slotted()).orElse(name.pinned());
        return new Bolted(
                name.thread,
                nut,
                fault,
                name.dash.isEmpty(),
                choice,
                choice.flatMap(c -> c.fits().stream().filter(name::is).findFirst()),
                pinned
                        ? Optional.of(Operation.PINNED)
                        : name.drilledHead ? Optional.of(Operation.WIRED) : Optional.empty());
    }

    /**
     * Sees that a nut can be found for a bolt.
     *
     * @param typed its name, or kind and height; empty for the one that the designation asks for
     * @throws InputException if there is none, with those there are
     */
    public static void checkNut(String typed, Fastener.Hardware bolt, Catalogue catalogue) {
        Name.of(bolt, catalogue).ifPresent(n -> n.nut(typed.strip(), catalogue));
    }

    /** The socket that fits head and nut, {@code 7/16 in socket}. */
    public String socket() {
        return LengthFormat.fraction(thread.head()) + " socket";
    }

    /** Torque to set on a dry thread, without running drag. */
    public BoltThread.Torque torque() {
        return nut.filter(n -> n.kind().shear()).isPresent() ? thread.shear() : thread.tension();
    }

    /** True if the nut drags while it runs down: the drag is measured and added. */
    public boolean drags() {
        return nut.map(n -> !n.kind().slotted()).orElse(false);
    }

    /** Torque to set with the running drag added, in words: {@code 50–70 in-lb + drag}. */
    public String torqueWords() {
        return Math.round(torque().low()) + "–" + Math.round(torque().high()) + " in-lb" + (drags() ? " + drag" : "");
    }

    /** Washers under head and nut: {@code 2 regular under the nut}; empty where there are none or nothing fits. */
    public String washers() {
        List<String> words = new ArrayList<>();
        fit.ifPresent(f -> {
            under("head", f.underHead(), words);
            under("nut", f.underNut(), words);
        });
        return String.join(", ", words);
    }

    private static void under(String what, List<Washer> washers, List<String> words) {
        Map<String, Long> kinds = washers.stream()
                .collect(Collectors.groupingBy(Washer::name, LinkedHashMap::new, Collectors.counting()));
        kinds.forEach((kind, n) -> words.add(n + " " + kind + " under the " + what));
    }
}
