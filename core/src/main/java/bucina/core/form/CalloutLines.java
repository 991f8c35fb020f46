package bucina.core.form;

import bucina.core.callout.Callout;
import bucina.core.dress.Preparation;
import bucina.core.edit.Edit;
import bucina.core.measure.InputException;
import bucina.core.plan.Build;
import bucina.core.plan.Group;
import bucina.core.plan.Id;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** Callouts as pasted, one on a line, some with a group's code before a colon. */
public final class CalloutLines {

    private record Line(String code, Callout callout) {}

    private final List<Line> lines = new ArrayList<>();

    /**
     * Reads the lines.
     *
     * @throws InputException that names the line which is no callout
     */
    public CalloutLines(String text) {
        int n = 0;
        for (String line : text.split("\\R")) {
            n++;
            if (line.isBlank()) {
                continue;
            }
            int colon = line.indexOf(':');
            try {
                lines.add(new Line(
                        colon < 0 ? "" : line.substring(0, colon).strip(), Callout.parse(line.substring(colon + 1))));
            } catch (InputException e) {
                throw new InputException("line " + n + ": " + e.getMessage(), e);
            }
        }
    }

    /** What will happen, in a sentence. */
    public String sentence(Build build) {
        List<String> words = new ArrayList<>();
        for (Line line : lines) {
            words(line, build, words);
        }
        return words.isEmpty() ? "Nothing typed yet." : String.join("\n", words);
    }

    private static void words(Line line, Build build, List<String> words) {
        Optional<Build.GroupRef> there = line.code.isEmpty() ? Optional.empty() : build.group(line.code);
        int holes = there.map(g -> g.group().count()).orElse(0);
        boolean query = line.callout.count().isPresent() && line.callout.count().get() != holes;
        words.add(line.callout.text()
                + (there.isPresent()
                        ? " for " + there.get().group().code()
                        : " as a new group" + (line.code.isEmpty() ? "" : " " + line.code))
                + (query ? ", a query: the sheet has " + holes : "") + ".");
    }

    /** The build with the callouts read in; new groups go onto a face. */
    public Build onto(Build build, Id.Face face) {
        if (lines.isEmpty()) {
            throw new InputException("no callout is typed yet: write one on a line, like 18× MS20426AD3-4");
        }
        Build next = build;
        for (Line line : lines) {
            Optional<Build.GroupRef> there = line.code.isEmpty() ? Optional.empty() : next.group(line.code);
            next = there.isPresent()
                    ? Edit.group(
                            next,
                            there.get().group().id(),
                            g -> g.withFastener(line.callout.fastener(), line.callout.text()))
                    : added(next, face, line);
        }
        return next.checked();
    }

    private static Build added(Build build, Id.Face face, Line line) {
        String code = line.code.isEmpty() ? Edit.freeCode(build, "C") : line.code;
        Group group = new Group(
                new Id.Group(build.nextId()),
                code,
                line.callout.fastener().name(),
                line.callout.fastener(),
                false,
                line.callout.fastener().flush() ? Preparation.AUTO : Preparation.NONE,
                line.callout.text(),
                List.of(),
                Optional.empty(),
                Set.of(),
                Set.of());
        return Edit.face(build, face, f -> f.plus(group)).withNextId(build.nextId() + 1);
    }
}
