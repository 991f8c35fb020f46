package bucina.core.form;

import bucina.core.edit.AssemblyEdits;
import bucina.core.edit.PartEdits;
import bucina.core.material.Material;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.LengthParser;
import bucina.core.part.PartStates;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.plan.Part;
import bucina.core.plan.Particulars;
import bucina.core.plan.Standing;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * What is typed of a part. What is null is left as it is; an empty text takes away what was said.
 *
 * @param number   as stamped
 * @param hand     left, right or none
 * @param kind     code of a {@link Part.Kind}
 * @param alloy    alloy and temper
 * @param called   gauge called for
 * @param measured gauge measured
 * @param place    where it lies
 * @param standing code of a {@link Standing}
 * @param due      the day it is due, ISO
 * @param page     of the manual
 * @param lengths  reads the gauges
 */
public record PartForm(
        @Nullable String number,
        @Nullable String hand,
        @Nullable String kind,
        @Nullable String alloy,
        @Nullable String called,
        @Nullable String measured,
        @Nullable String place,
        @Nullable String standing,
        @Nullable String due,
        @Nullable String page,
        LengthParser lengths) {

    /** The alloy of a part of which nobody says one. */
    public static final String USUAL = "2024-T3";

    /** Nothing typed. */
    public static PartForm none(LengthParser lengths) {
        return new PartForm(null, null, null, null, null, null, null, null, null, null, lengths);
    }

    /**
     * The build with a part more.
     *
     * @throws InputException if there is a part of that name, or a figure cannot be read
     */
    public Build add(Build build, String name) {
        String clean = name.strip();
        if (build.parts().stream().anyMatch(p -> p.name().equalsIgnoreCase(clean))) {
            throw new InputException(
                    "there is a part " + clean + " already: give this one another name, or change that " + "one");
        }
        int order = build.parts().stream().mapToInt(Part::fittingOrder).max().orElse(0) + 1;
        Part part = new Part(
                new Id.Part(build.nextId()),
                clean,
                Material.parse(alloy == null ? USUAL : alloy),
                order,
                Standing.CRATE,
                Part.Kind.SHEET,
                Particulars.NONE);
        Build with = PartEdits.add(build, part);
        return set(with, PartStates.of(with), part.id());
    }

    /**
     * The build with what was typed said of a part.
     *
     * @param states how its parts stand
     * @throws InputException if a figure cannot be read, or it cannot stand so
     */
    public Build set(Build build, PartStates states, Id.Part id) {
        Build next = PartEdits.part(build, id, this::said);
        if (standing == null) {
            return next;
        }
        next = PartEdits.stands(next, states, id, word(Standing.values(), Standing::code, standing, "standing"));
        Optional<LocalDate> day = due == null ? next.part(id).particulars().due() : day(due);
        return PartEdits.part(next, id, p -> dated(p, day));
    }

    private Part said(Part part) {
        Particulars p = part.particulars();
        Particulars said = p.stamped(
                        number == null ? p.number() : number.strip(),
                        p.aliases(),
                        hand == null ? p.hand() : AssemblyEdits.hand(hand))
                .withGauge(
                        called == null ? p.called() : gauge(called, "the gauge called for"),
                        measured == null ? p.measured() : gauge(measured, "the gauge measured"))
                .withPlace(place == null ? p.place() : place.strip())
                .withPage(page == null ? p.page() : page.strip());
        Part next = part.as(
                        part.name(),
                        alloy == null ? part.material() : Material.parse(alloy),
                        kind == null ? part.kind() : word(Part.Kind.values(), Part.Kind::code, kind, "kind"))
                .with(said);
        return due == null || standing != null ? next : dated(next, day(due));
    }

    private static Part dated(Part part, Optional<LocalDate> day) {
        if (day.isPresent() && !part.standing().away()) {
            throw new InputException("a day it is due goes with a part that is out or short; " + part.name() + " is "
                    + part.standing().word());
        }
        return part.with(part.particulars().withDue(day));
    }

    private Optional<Length> gauge(String text, String what) {
        return text.isBlank() ? Optional.empty() : Optional.of(lengths.parsePositive(text, what));
    }

    private static Optional<LocalDate> day(String text) {
        if (text.isBlank()) {
            return Optional.empty();
        }
        try {
            return Optional.of(LocalDate.parse(text.strip()));
        } catch (DateTimeException e) {
            throw new InputException(
                    "\"" + text.strip() + "\" is no day: write year, month and day like 2026-12-04", e);
        }
    }

    private static <E extends Enum<E>> E word(E[] values, Function<E, String> code, String text, String what) {
        return Arrays.stream(values)
                .filter(v -> code.apply(v).equalsIgnoreCase(text.strip()))
                .findFirst()
                .orElseThrow(() -> new InputException(what + " \"" + text.strip() + "\" is not known: write one of "
                        + Arrays.stream(values).map(code).collect(Collectors.joining(", "))));
    }

    /**
     * The part that is meant.
     *
     * @throws InputException if there is none of that name or number
     */
    public Part named(PartStates states, String name) {
        return states.named(name)
                .orElseThrow(() -> new InputException("there is no part \"" + name + "\"; this build has "
                        + (states.all().isEmpty()
                                ? "none"
                                : states.all().stream().map(Part::name).collect(Collectors.joining(", ")))));
    }
}
