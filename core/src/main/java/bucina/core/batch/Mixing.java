package bucina.core.batch;

import bucina.core.catalogue.Catalogue;
import bucina.core.log.Mark;
import bucina.core.log.Operation;
import bucina.core.measure.InputException;
import bucina.core.measure.Unit;
import bucina.core.plan.Batch;
import bucina.core.plan.Build;
import bucina.core.plan.Compound;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.progress.Task;
import bucina.core.stack.FaceReading;
import bucina.core.stack.HoleReading;
import bucina.core.state.Snapshot;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Batches of primer and sealant: what may be mixed, for which surfaces, and what one still covers. Pure. */
public final class Mixing {

    private Mixing() {}

    /** Compounds to choose from: those this builder mixed before with the times used last, then those that ship. */
    public static List<Compound> known(Build build, Catalogue catalogue) {
        Map<String, Compound> byName = new LinkedHashMap<>();
        build.workshop()
                .batches()
                .reversed()
                .forEach(b -> byName.putIfAbsent(b.compound().name(), b.compound()));
        catalogue
                .compounds()
                .forEach(c -> byName.putIfAbsent(
                        c.name(), new Compound(c.name(), c.kind(), c.induction(), c.life(), c.stir())));
        return List.copyOf(byName.values());
    }

    /** Where the times of a compound come from. */
    public static String source(Compound compound, Catalogue catalogue) {
        return catalogue.compounds().stream()
                .filter(c -> c.name().equals(compound.name())
                        && c.life() == compound.life()
                        && c.induction() == compound.induction()
                        && c.stir() == compound.stir())
                .findFirst()
                .map(Catalogue.ShippedCompound::source)
                .orElse("your own times; the can governs");
    }

    /**
     * Something a batch can be for: one sheet, or one place where two touch.
     *
     * @param words    what it is
     * @param state    how far it is, in a phrase
     * @param ready    true if nothing keeps it from being covered now
     * @param area     nm²
     * @param holes    through it
     * @param surfaces what is covered
     */
    public record Offer(
            String words, String state, boolean ready, double area, int holes, List<Batch.Surface> surfaces) {}

    /** What a batch can be for on a face: whole sheets from both sides, or only where sheets touch. */
    public static List<Offer> offers(Snapshot snapshot, FaceReading face, boolean matingOnly) {
        List<Offer> offers = new ArrayList<>();
        if (matingOnly) {
            for (Mating m : Mating.of(face)) {
                offers.add(offer(
                        m.near().name() + " on " + m.far().name(),
                        Readiness.of(snapshot.log(), m),
                        2 * m.area(),
                        List.of(
                                new Batch.Surface(m.near().id(), true),
                                new Batch.Surface(m.far().id(), false))));
            }
        } else {
            whole(face, offers, snapshot);
        }
        offers.sort(Comparator.comparingInt(o -> o.state.equals("riveted up") ? 2 : o.ready ? 0 : 1));
        return offers;
    }

    private static void whole(FaceReading face, List<Offer> offers, Snapshot snapshot) {
        for (Layer l : face.face().layers()) {
            offers.add(offer(
                    l.name(),
                    Readiness.of(snapshot.log(), face, l),
                    2 * Mating.area(l.outline()),
                    List.of(new Batch.Surface(l.id(), false), new Batch.Surface(l.id(), true))));
        }
    }

    private static Offer offer(String words, Readiness r, double area, List<Batch.Surface> surfaces) {
        return new Offer(words, r.words(), r.ready() && !r.done(), area, r.holes(), surfaces);
    }

    /**
     * The build with a batch mixed.
     *
     * @param zone of the shop: a shelf life ends with a day there
     * @throws InputException if cans of it are in the stores and none of them may be used
     */
    public static Build mixed(Build build, Compound compound, Instant at, ZoneId zone, List<Batch.Surface> covers) {
        Cans.keeps(build, compound.name(), at, zone).ifPresent(why -> {
            throw new InputException(why + ". Put a good can down in Stores, or say there that this one is gone");
        });
        return build.withWorkshop(
                build.workshop().with(Batch.mixed(new Id.Batch(build.nextId()), compound, at, covers)),
                build.nextId() + 1);
    }

    /** The build with a batch changed; as it is if the batch is gone. */
    public static Build changed(Build build, Id.Batch id, UnaryOperator<Batch> change) {
        return build.workshop().batches().stream()
                .filter(b -> b.id().equals(id))
                .findFirst()
                .map(b -> build.withWorkshop(build.workshop().with(change.apply(b)), build.nextId()))
                .orElse(build);
    }

    /**
     * What a batch is for, and how much of it still waits.
     *
     * @param sheets  it covers, in words
     * @param waiting for a sealant: open holes through surfaces it covers, in the order of rows
     * @param pace    of this builder at the first of them; empty if nothing tells
     * @param toPrime for a primer: marks that say its sheets are primed
     */
    public record Standing(
            Batch batch, String sheets, List<HoleReading> waiting, Optional<Pace> pace, List<Mark> toPrime) {

        /** What goes in before it goes off, in a sentence. */
        public String forecast(Optional<Pace> given, Duration left) {
            Optional<Pace> known = given.or(() -> pace);
            if (waiting.isEmpty()) {
                return "No open hole goes through what it covers.";
            }
            if (known.isEmpty()) {
                return waiting.size()
                        + " holes wait. How many go in is not known yet: log some with their minutes, or give "
                        + "minutes each.";
            }
            Pace p = known.get();
            Pace.Fits fits = p.fits(left);
            String learned = "At %.1f min each (%.1f to %.1f, %s)"
                    .formatted(
                            p.usual(),
                            p.fast(),
                            p.slow(),
                            p.count() == 0 ? p.of() : "from " + p.count() + " of " + p.of());
            if (fits.sure() >= waiting.size()) {
                return learned + " all " + waiting.size() + " holes that wait go in: about "
                        + Math.round(Math.ceil(p.usual() * waiting.size())) + " min.";
            }
            String stop = fits.sure() == 0
                    ? " Begin none."
                    : " Plan to " + waiting.get(fits.sure() - 1).label() + ", then look at it.";
            return learned + " " + fits.sure() + " surely go in, about " + Math.min(fits.usual(), waiting.size())
                    + ", of " + waiting.size() + " that wait." + stop;
        }
    }

    /** Where a batch stands in the work. Goes over every face it covers, so not for the interface thread. */
    public static Standing standing(Snapshot snapshot, Batch batch, Instant now) {
        Set<Batch.Surface> covers = new HashSet<>(batch.covers());
        Set<Id.Layer> layers = new LinkedHashSet<>();
        batch.covers().forEach(s -> layers.add(s.layer()));
        List<String> names = new ArrayList<>();
        List<HoleReading> waiting = new ArrayList<>();
        List<Mark> marks = new ArrayList<>();
        for (Build.FaceRef ref : snapshot.build().faces()) {
            List<Layer> here = ref.face().layers().stream()
                    .filter(l -> layers.contains(l.id()))
                    .toList();
            if (here.isEmpty()) {
                continue;
            }
            FaceReading face = snapshot.face(ref.face().id());
            here.forEach(l -> names.add(l.name()));
            if (batch.compound().kind() == Compound.Kind.SEALANT) {
                sealed(face, covers, snapshot, waiting);
            } else {
                primed(here, face, snapshot, marks, now);
            }
        }
        Optional<Pace> pace = waiting.isEmpty()
                ? Optional.empty()
                : Pace.of(snapshot.log(), snapshot.build(), waiting.getFirst().group());
        List<String> distinct = names.stream().distinct().toList();
        return new Standing(
                batch,
                distinct.isEmpty()
                        ? "no sheet that is still there"
                        : distinct.size() > 4
                                ? String.join(", ", distinct.subList(0, 3)) + " and " + (distinct.size() - 3) + " more"
                                : String.join(", ", distinct),
                waiting,
                pace,
                marks);
    }

    private static void primed(List<Layer> here, FaceReading face, Snapshot snapshot, List<Mark> marks, Instant now) {
        for (Layer l : here) {
            List<HoleReading> holes = face.readings().stream()
                    .filter(r -> r.layers().contains(l) && !snapshot.set(r))
                    .toList();
            marks.addAll(new Task(Operation.PRIMED, Mark.Side.BOTH, Optional.of(l.id()))
                    .marks(snapshot.log(), holes, true, now));
        }
    }

    private static void sealed(
            FaceReading face, Set<Batch.Surface> covers, Snapshot snapshot, List<HoleReading> waiting) {
        Set<Id.Hole> through = new HashSet<>();
        Mating.of(face).stream()
                .filter(m -> covers.contains(new Batch.Surface(m.near().id(), true))
                        && covers.contains(new Batch.Surface(m.far().id(), false)))
                .forEach(m -> m.holes().forEach(h -> through.add(h.hole().id())));
        face.readings().stream()
                .filter(r -> through.contains(r.hole().id()) && !snapshot.set(r))
                .forEach(waiting::add);
    }

    /** An area in the unit of the reader. */
    public static String area(double area, Unit unit) {
        return unit == Unit.INCH ? Math.round(area / (25.4e6 * 25.4e6)) + " in²" : Math.round(area / 1e14) + " cm²";
    }

    /**
     * Whole minutes as typed: {@code 45}, {@code 1:30} or {@code 2 h}.
     *
     * @throws InputException if it is none
     */
    public static int minutes(String what, String text) {
        String clean = text.strip().toLowerCase(Locale.ROOT);
        Matcher m = Pattern.compile("(?:(\\d{1,3}) ?(?:h|:) ?)?(?:(\\d{1,5}) ?(?:min)?)?")
                .matcher(clean);
        if (clean.isEmpty() || !m.matches()) {
            throw new InputException(
                    what + " \"" + text.strip() + "\" is no time in minutes: write it like 45, 1:30 or 2 h");
        }
        return (m.group(1) == null ? 0 : 60 * Integer.parseInt(m.group(1)))
                + (m.group(2) == null ? 0 : Integer.parseInt(m.group(2)));
    }
}
