package bucina.core.form;

import bucina.core.log.Logbook;
import bucina.core.log.Work;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.LengthParser;
import bucina.core.measure.Unit;
import bucina.core.part.PartStates;
import bucina.core.plan.Hole;
import bucina.core.plan.Part;
import bucina.core.plan.Row;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/** Reads what people type into a log entry, at the bench and on the command line. */
public final class Entries {

    private Entries() {}

    /**
     * Reads when something was done: {@code 2026-11-20T19:30}, {@code 2026-11-20 19:30}, {@code 2026-11-20} (noon),
     * or with an offset, which is
     * turned into the wall clock here.
     */
    public static LocalDateTime when(String text) {
        String clean = text.strip().replace(' ', 'T');
        try {
            if (clean.length() == 10) {
                return LocalDate.parse(clean).atTime(12, 0);
            }
            boolean offset = clean.endsWith("Z") || clean.lastIndexOf('+') > 10 || clean.lastIndexOf('-') > 10;
            return offset
                    ? OffsetDateTime.parse(clean)
                            .atZoneSameInstant(ZoneId.systemDefault())
                            .toLocalDateTime()
                    : LocalDateTime.parse(clean);
        } catch (DateTimeParseException e) {
            throw new InputException(
                    "\"" + text.strip() + "\" is not a date and time: write it like 2026-11-20T19:30", e);
        }
    }

    /** Reads shop heads {@code .150x.048, .151x.047}; nothing for a blank text. */
    public static List<Work.Reading> readings(String text, LengthParser lengths) {
        List<Work.Reading> list = new ArrayList<>();
        if (text == null || text.isBlank()) {
            return list;
        }
        for (String part : text.split("[,;]", -1)) {
            reading(part, lengths, list);
        }
        return list;
    }

    private static void reading(String part, LengthParser lengths, List<Work.Reading> list) {
        String[] pair = part.strip().split("\\s*[xX×]\\s*", -1);
        if (pair.length != 2) {
            throw new InputException(
                    "\"" + part.strip() + "\" is not a reading: write diameter x height, like .150x.048");
        }
        Length diameter = lengths.parsePositive(pair[0], "shop head diameter");
        list.add(new Work.Reading(diameter, lengths.parsePositive(pair[1], "shop head height")));
    }

    /** Readings of a gauge put behind what is typed: first a head's diameter, then its height. */
    public static String plus(String text, List<Length> readings, Unit unit) {
        StringBuilder all = new StringBuilder(text.replaceAll("[,;\\s]*$", ""));
        for (Length reading : readings) {
            String last = all.substring(Math.max(all.lastIndexOf(","), all.lastIndexOf(";")) + 1)
                    .strip();
            boolean height = !last.isEmpty() && !last.matches("\\S+\\s*[xX×]\\s*\\S+");
            all.append(height ? last.matches(".*[xX×]") ? "" : "x" : all.isEmpty() ? "" : ", ")
                    .append(LengthFormat.reading(reading, unit));
        }
        return all.toString();
    }

    /**
     * Parts as people write them, with commas; none for nothing written.
     *
     * @throws InputException if one is not in the build
     */
    public static List<Part> parts(String names, PartStates states) {
        return Arrays.stream(names.split(",", -1))
                .map(String::strip)
                .filter(s -> !s.isEmpty())
                .map(s -> states.named(s)
                        .orElseThrow(() -> new InputException("there is no part \"" + s
                                + "\": write names or numbers with commas, as the parts list has them")))
                .distinct()
                .toList();
    }

    /** The holes of a row named by labels: {@code 1-40}, {@code 1,3,5-9}. */
    public static List<Work.LoggedHole> named(Row row, String labels) {
        List<Work.LoggedHole> named = new ArrayList<>();
        for (String part : labels.split(",", -1)) {
            String clean = part.strip();
            if (!clean.matches("\\d{1,6}(\\s*-\\s*\\d{1,6})?")) {
                throw new InputException("\"" + clean + "\" is not a range of holes: write it like 1-40 or 1,3,5-9");
            }
            String[] ends = clean.split("\\s*-\\s*");
            int from = Integer.parseInt(ends[0]);
            int to = Integer.parseInt(ends[ends.length - 1]);
            if (from > to) {
                throw new InputException("\"" + clean + "\" runs backward: write the lower label first, like 1-40");
            }
            List<Hole> within = row.holes().stream()
                    .filter(h -> h.label() >= from && h.label() <= to)
                    .toList();
            boolean ended = within.stream().noneMatch(h -> h.label() == from)
                    || within.stream().noneMatch(h -> h.label() == to);
            if (ended) {
                throw new InputException("row " + row.name() + " has no hole "
                        + (within.stream().noneMatch(h -> h.label() == from) ? from : to)
                        + "; its labels run from "
                        + row.holes().stream().mapToInt(Hole::label).min().orElse(0) + " to "
                        + row.holes().stream().mapToInt(Hole::label).max().orElse(0));
            }
            within.forEach(h -> named.add(new Work.LoggedHole(h.id(), row.label(h))));
        }
        return named;
    }

    /** The holes of a row that are not set yet. */
    public static List<Work.LoggedHole> open(Row row, Logbook log) {
        return row.holes().stream()
                .filter(h -> !log.state(h, List.of()).set())
                .map(h -> new Work.LoggedHole(h.id(), row.label(h)))
                .toList();
    }
}
