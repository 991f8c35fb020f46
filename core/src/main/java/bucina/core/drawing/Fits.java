package bucina.core.drawing;

import bucina.core.blind.PulledSize;
import bucina.core.catalogue.Catalogue;
import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.Unit;
import bucina.core.plan.Fastener;
import bucina.core.rivet.HeadStyle;
import bucina.core.rivet.RivetSize;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;

/** What goes into a hole of a size, where somebody has chosen a fastener. */
final class Fits {

    private static final Length BODY_LESS = Length.mm(.1);

    private final Intake.Choices choices;
    private final Map<Long, Optional<Fastener>> byHole = new HashMap<>();

    Fits(Intake.Choices choices) {
        this.choices = choices;
    }

    /** A diameter to a tenth of a micrometre, nm. */
    static long size(Length diameter) {
        return Math.round(diameter.nanometres() / 100) * 100;
    }

    /** The size of the holes of the fastener chosen. */
    Length hole() {
        return switch (choices.fastener()) {
            case Fastener.SolidRivet r ->
                choices.catalogue().rivets().stream()
                        .filter(s -> s.head() == r.head() && s.dash() == r.dash())
                        .map(RivetSize::hole)
                        .findFirst()
                        .orElse(r.shank());
            case Fastener.PulledRivet p -> p.diameter().plus(BODY_LESS);
            default -> choices.fastener().shank();
        };
    }

    /** A fastener for a hole, or hardware the drawing does not name; empty where it fits nothing in the tables. */
    Optional<Fastener> goesInto(long hole) {
        return fastener(hole).or(() -> hardware(hole));
    }

    /** A hole larger than the chosen fastener's is for hardware that the drawing does not name. */
    private Optional<Fastener> hardware(long hole) {
        Length size = Length.nm(hole);
        return size.atMost(choices.fastener().shank().times(1.25))
                ? Optional.empty()
                : Optional.of(new Fastener.Hardware("Hole " + size, size, size, false));
    }

    /** The fastener whose final hole has this size, with the head that was chosen if there is one. */
    Optional<Fastener> fastener(long hole) {
        return byHole.computeIfAbsent(hole, this::look);
    }

    private Optional<Fastener> look(long hole) {
        Catalogue catalogue = choices.catalogue();
        HeadStyle head = choices.fastener() instanceof Fastener.SolidRivet r ? r.head() : HeadStyle.FLUSH;
        String family = choices.fastener() instanceof Fastener.PulledRivet p ? p.family() : "iso15977";
        Stream<Fastener> solid = catalogue.rivets().stream()
                .filter(s -> s.head() == head && size(s.hole()) == hole)
                .map((RivetSize s) -> new Fastener.SolidRivet(head, "AD", s.dash()));
        Stream<Fastener> pulled = catalogue.pulled().stream()
                .filter(s -> s.family().equals(family) && size(s.diameter().plus(BODY_LESS)) == hole)
                .map((PulledSize s) -> new Fastener.PulledRivet(family, s.diameter(), false));
        boolean pulledFirst = choices.fastener() instanceof Fastener.PulledRivet;
        return (pulledFirst ? Stream.concat(pulled, solid) : Stream.concat(solid, pulled)).findFirst();
    }

    /** What goes into holes that are not those of the fastener chosen, one sentence for each size. */
    List<String> others(List<Intake.Line> lines, Unit unit) {
        Map<Long, Integer> sizes = new TreeMap<>();
        lines.stream()
                .filter(Intake.Line::sized)
                .forEach(l -> l.holes().forEach(h -> sizes.merge(size(h.diameter()), 1, Integer::sum)));
        List<String> words = new ArrayList<>();
        sizes.forEach((size, many) -> {
            Optional<Fastener> other = goesInto(size);
            if (!other.equals(Optional.of(choices.fastener()))) {
                words.add(words(size, many, other, unit));
            }
        });
        return words;
    }

    private String words(long size, int many, Optional<Fastener> other, Unit unit) {
        String chosen = choices.fastener().name();
        String holes = many
                + (many == 1 ? " hole of " : " holes of ")
                + LengthFormat.trade(Length.nm(size), unit)
                + (many == 1 ? " is" : " are");
        return other.map(o ->
                        holes + " for " + (o instanceof Fastener.Hardware ? "hardware that is not named" : o.name())
                                + ", not " + chosen + ".")
                .orElse(holes + " no size of a rivet in the tables: planned as " + chosen
                        + ", and to be opened up or looked at.");
    }
}
