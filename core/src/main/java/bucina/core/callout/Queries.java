package bucina.core.callout;

import bucina.core.measure.InputException;
import bucina.core.plan.Build;
import bucina.core.plan.Group;
import bucina.core.plan.Id;
import bucina.core.plan.Paperwork;
import bucina.core.plan.Query;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Opens queries where counts differ, closes those that settled themselves, answers the rest. */
public final class Queries {

    private Queries() {}

    /**
     * The build with a query for every group whose callout counts otherwise than its holes, and with those queries
     * answered whose counts agree
     * now. A difference that was answered once is not asked again.
     */
    public static Build kept(Build build, LocalDate today) {
        Build next = build;
        for (Build.FaceRef ref : build.faces()) {
            for (Group group : ref.face().groups()) {
                next = kept(next, group, today);
            }
        }
        return next;
    }

    private static Build kept(Build build, Group group, LocalDate today) {
        Optional<Integer> drawing = Callout.count(group.callout());
        int sheet = group.count();
        boolean differ = drawing.isPresent() && drawing.get() != sheet;
        Build next = build;
        boolean asked = false;
        for (Query q : build.papers().queries()) {
            if (!q.group().equals(group.id()) || q.count().isEmpty()) {
                continue;
            }
            boolean same = differ
                    && q.count().get().drawing() == drawing.get()
                    && q.count().get().sheet() == sheet;
            asked |= same;
            if (q.open() && !same) {
                next = close(differ, drawing, sheet, group, next, q, today);
            }
        }
        if (differ && !asked) {
            next = ask(next, group, drawing, sheet, today);
        }
        return next;
    }

    private static Build ask(Build next, Group group, Optional<Integer> drawing, int sheet, LocalDate today) {
        return asked(
                next,
                group.id(),
                group.code() + ": the drawing calls for " + drawing.get() + ", the sheet has " + sheet + ".",
                Optional.of(new Query.Counts(drawing.get(), sheet)),
                today);
    }

    private static Build close(
            boolean differ, Optional<Integer> drawing, int sheet, Group group, Build next, Query q, LocalDate today) {
        String text = differ
                ? "the counts have changed: asked again"
                : drawing.isEmpty()
                        ? "the callout no longer counts"
                        : "the sheet has " + sheet + " holes now, as the callout says";
        String source = group.callout().isBlank() ? "the plan" : "callout " + group.callout();
        return next.withPapers(next.papers().with(q.answered(new Query.Answer(text, source, today))), next.nextId());
    }

    /** The build with a question opened about a group. */
    public static Build ask(Build build, Id.Group group, String text, LocalDate today) {
        if (text.isBlank()) {
            throw new InputException("a query needs its question in words, such as \"which side is the head?\"");
        }
        return asked(build, group, text.strip(), Optional.empty(), today);
    }

    private static Build asked(
            Build build, Id.Group group, String text, Optional<Query.Counts> counts, LocalDate today) {
        Query query = new Query(new Id.Query(build.nextId()), group, today, text, counts, Optional.empty());
        return build.withPapers(build.papers().with(query), build.nextId() + 1);
    }

    /** The build with a query answered. */
    public static Build answer(Build build, Id.Query id, String text, String source, LocalDate today) {
        checkAnswer(text, source);
        Query query = build.papers().queries().stream()
                .filter(q -> q.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new InputException("that query is no longer in the build"));
        return build.withPapers(
                build.papers().with(query.answered(new Query.Answer(text.strip(), source.strip(), today))),
                build.nextId());
    }

    private static void checkAnswer(String text, String source) {
        if (text.isBlank() || source.isBlank()) {
            throw new InputException(
                    "an answer needs words and a source, such as \"18, the arrow at rib 4 is old\" from \"Sheet 31 "
                            + "rev D\"");
        }
    }

    /** The open queries of a group. */
    public static List<Query> open(Paperwork papers, Id.Group group) {
        List<Query> open = new ArrayList<>();
        for (Query q : papers.queries()) {
            if (q.open() && q.group().equals(group)) {
                open.add(q);
            }
        }
        return open;
    }
}
