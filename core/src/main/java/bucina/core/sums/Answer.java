package bucina.core.sums;

import bucina.core.drawing.Template;
import bucina.core.explain.Why;
import bucina.core.measure.Unit;
import bucina.core.rule.Finding;
import bucina.core.rule.Level;
import bucina.core.stack.Solution;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * What a sum says.
 *
 * @param lines   the numbers, the most wanted first, each with its why
 * @param notes   what to mind, the gravest first
 * @param picture of it
 * @param table   figures that are compared or taken to the bench; empty where there are none
 * @param flat    to write out in true size; empty where there is none
 * @param section a fastener in its stack, shown as its section; empty where the picture is drawn
 */
public record Answer(
        List<Why> lines,
        List<Note> notes,
        Picture picture,
        Optional<Table> table,
        Optional<Template> flat,
        Optional<Solution> section) {

    /** Something to mind. */
    public record Note(Level level, String text) {}

    /**
     * A table.
     *
     * @param heads one for each column, with its unit
     * @param rows  cells
     */
    public record Table(List<String> heads, List<List<String>> rows) {
        public Table {
            heads = List.copyOf(heads);
            rows = rows.stream().map(List::copyOf).toList();
        }
    }

    public Answer {
        lines = List.copyOf(lines);
        notes = List.copyOf(notes);
    }

    /** Collects an answer. */
    static final class Maker {
        private final List<Why> lines = new ArrayList<>();
        private final List<Note> notes = new ArrayList<>();
        private final List<List<String>> rows = new ArrayList<>();
        private List<String> heads = List.of();
        private Optional<Template> flat = Optional.empty();
        private Optional<Solution> section = Optional.empty();

        Maker line(String title, String value, String formula, String filled, String source, String note) {
            lines.add(new Why(title, value, formula, filled, source, note));
            return this;
        }

        Maker lines(List<Why> more) {
            lines.addAll(more);
            return this;
        }

        Maker note(Level level, String text) {
            notes.add(new Note(level, text));
            return this;
        }

        Maker findings(List<Finding> findings, Unit unit) {
            findings.forEach(
                    f -> note(f.level(), f.message().in(unit) + " " + f.remedy().in(unit)));
            return this;
        }

        Maker heads(String... names) {
            heads = List.of(names);
            return this;
        }

        Maker row(String... cells) {
            rows.add(List.of(cells));
            return this;
        }

        Maker flat(Template template) {
            flat = Optional.of(template);
            return this;
        }

        Maker section(Solution solution) {
            section = Optional.of(solution);
            return this;
        }

        Answer answer(Picture.Panel... panels) {
            notes.sort(Comparator.comparing(n -> n.level().ordinal()));
            return new Answer(
                    lines,
                    notes,
                    new Picture(List.of(panels)),
                    heads.isEmpty() ? Optional.empty() : Optional.of(new Table(heads, rows)),
                    flat,
                    section);
        }
    }
}
