package bucina.core.batch;

import bucina.core.plan.Build;
import bucina.core.plan.Can;
import bucina.core.plan.Id;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.UnaryOperator;

/** How cans of primer and sealant stand: shelf life, frozen, thawing, to be worked until. */
public final class Cans {

    /** A shelf life that ends within so many days is said. */
    public static final int SOON = 30;

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);
    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("d MMM HH:mm", Locale.ENGLISH);

    private Cans() {}

    /** How a can stands. */
    public enum State {
        GOOD,
        SOON_PAST,
        PAST,
        FROZEN,
        THAWING,
        READY,
        GONE_OFF,
        GONE;

        /** True if what is in it may be used now. */
        public boolean usable() {
            return this == GOOD || this == SOON_PAST || this == READY;
        }
    }

    /** What a can is at a moment, and what that is in words. */
    public record Standing(State state, String words) {}

    /** Of a can at a moment. */
    public static Standing standing(Can can, Instant now, ZoneId zone) {
        LocalDate today = LocalDate.ofInstant(now, zone);
        if (can.gone().isPresent()) {
            return new Standing(
                    State.GONE, "gone since " + DAY.format(can.gone().get()));
        }
        if (can.useBy().filter(today::isAfter).isPresent()) {
            return new Standing(
                    State.PAST,
                    "past its shelf life since " + DAY.format(can.useBy().get()));
        }
        Optional<Instant> taken = can.frozen().flatMap(Can.Frozen::taken);
        if (taken.isPresent()) {
            return thawed(can.frozen().get(), taken.get(), now, zone);
        }
        if (can.frozen().isPresent()) {
            return new Standing(
                    State.FROZEN,
                    "frozen" + until(can, today) + "; once out it thaws "
                            + can.frozen().get().thaw() + " min and can be worked for "
                            + can.frozen().get().life() + " min");
        }
        boolean soon = can.useBy()
                .filter(d -> ChronoUnit.DAYS.between(today, d) <= SOON)
                .isPresent();
        return new Standing(
                soon ? State.SOON_PAST : State.GOOD,
                can.useBy().isEmpty() ? "no shelf life said" : "good" + until(can, today));
    }

    private static String until(Can can, LocalDate today) {
        return can.useBy()
                .map(d -> {
                    long days = ChronoUnit.DAYS.between(today, d);
                    return " until " + DAY.format(d)
                            + (days <= SOON ? ", " + days + (days == 1 ? " day" : " days") : "");
                })
                .orElse("");
    }

    private static Standing thawed(Can.Frozen frozen, Instant taken, Instant now, ZoneId zone) {
        Instant ready = taken.plus(Duration.ofMinutes(frozen.thaw()));
        Instant end = taken.plus(Duration.ofMinutes(frozen.life()));
        if (now.isBefore(ready)) {
            return new Standing(
                    State.THAWING, "thawing until " + TIME.withZone(zone).format(ready));
        }
        return now.isBefore(end)
                ? new Standing(
                        State.READY, "to be worked until " + TIME.withZone(zone).format(end))
                : new Standing(
                        State.GONE_OFF, "gone off since " + TIME.withZone(zone).format(end));
    }

    /**
     * What keeps a compound from being mixed: every can of it that is there may not be used. Empty where none is kept.
     */
    public static Optional<String> keeps(Build build, String compound, Instant now, ZoneId zone) {
        List<String> why = new ArrayList<>();
        for (Can can : build.workshop().cans()) {
            if (can.gone().isEmpty() && can.name().strip().equalsIgnoreCase(compound.strip())) {
                Standing standing = standing(can, now, zone);
                if (standing.state.usable()) {
                    return Optional.empty();
                }
                why.add(standing.words);
            }
        }
        return why.isEmpty()
                ? Optional.empty()
                : Optional.of(
                        "No can of " + compound.strip() + " in the stores may be used: " + String.join("; ", why));
    }

    /** The build with a can more; its id is given out here. */
    public static Build with(Build build, Can can) {
        long id = build.nextId();
        Can is = new Can(
                new Id.Can(id), can.name(), can.kind(), can.amount(), can.useBy(), can.frozen(), can.bin(), can.gone());
        return build.withWorkshop(build.workshop().with(is), id + 1);
    }

    /** The build with a can changed; as it is if the can is not there. */
    public static Build changed(Build build, Id.Can id, UnaryOperator<Can> change) {
        return build.workshop().cans().stream()
                .filter(c -> c.id().equals(id))
                .findFirst()
                .map(c -> build.withWorkshop(build.workshop().with(change.apply(c)), build.nextId()))
                .orElse(build);
    }
}
