package bucina.desk.session;

import bucina.core.log.LogEntry;
import bucina.core.log.Mark;
import bucina.core.plan.Build;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;

/** What was done in this session: taken back and done again through the session's own ways of writing. */
public final class History {

    private static final int MOST_UNDO = 500;

    private final Session session;
    private final Deque<Doing> done = new ArrayDeque<>();
    private final Deque<Doing> undone = new ArrayDeque<>();

    History(Session session) {
        this.session = session;
    }

    /** What undo would take back, in words; empty if nothing. */
    public Optional<String> undoWords() {
        return Optional.ofNullable(done.peek()).map(Doing::words);
    }

    /** What redo would do again, in words; empty if nothing. */
    public Optional<String> redoWords() {
        return Optional.ofNullable(undone.peek()).map(Doing::words);
    }

    void remember(Doing doing) {
        done.push(doing);
        undone.clear();
        while (done.size() > MOST_UNDO) {
            done.removeLast();
        }
    }

    /** Takes back the last thing done: an entry by a correcting entry, a change of the plan by the plan as it was. */
    public void undo(Consumer<String> refused) {
        Doing last = done.poll();
        switch (last) {
            case null -> refused.accept("There is nothing to undo in this session.");
            case Doing.Logged logged -> takeBack(logged, backTo(done, logged, refused));
            case Doing.Marked marked ->
                session.disk()
                        .write(
                                now -> turned(marked),
                                marks -> moved(undone, marked, "Undone: " + marked.words()),
                                backTo(done, marked, refused));
            case Doing.Planned planned ->
                session.disk()
                        .savePlan(
                                b -> replan(b, planned.before()),
                                plans -> moved(undone, planned, "Undone: " + planned.words()),
                                backTo(done, planned, refused));
        }
    }

    private void takeBack(Doing.Logged logged, Consumer<String> refused) {
        int id = logged.entry().orElseThrow();
        LogEntry.Draft back = logged.instead()
                .flatMap(LogEntry::work)
                .map(w -> LogEntry.Draft.replace(
                        id,
                        w,
                        "undone: as entry " + logged.instead().orElseThrow().id() + " said"))
                .orElseGet(() -> LogEntry.Draft.withdraw(id, "undone"));
        session.disk()
                .append(
                        back,
                        List.of(),
                        entry -> moved(
                                undone, logged.as(entry.id()), "Undone by entry " + entry.id() + ": " + logged.words()),
                        refused);
    }

    /** Does again what was undone last. */
    public void redo(Consumer<String> refused) {
        Doing last = undone.poll();
        switch (last) {
            case null -> refused.accept("There is nothing to do again.");
            case Doing.Marked marked ->
                session.disk()
                        .write(
                                now -> marked.marks(),
                                marks -> moved(done, marked, "Done again: " + marked.words()),
                                backTo(undone, marked, refused));
            case Doing.Planned planned ->
                session.disk()
                        .savePlan(
                                b -> replan(b, planned.after()),
                                plans -> moved(done, planned, "Done again: " + planned.words()),
                                backTo(undone, planned, refused));
            case Doing.Logged logged -> {
                int id = logged.entry().orElseThrow();
                LogEntry.Draft again = logged.content()
                        .work()
                        .map(w -> LogEntry.Draft.replace(id, w, "done again"))
                        .orElseGet(() -> LogEntry.Draft.withdraw(id, "done again"));
                session.disk()
                        .append(
                                again,
                                List.of(),
                                entry -> moved(
                                        done,
                                        logged.as(entry.id()),
                                        "Done again by entry " + entry.id() + ": " + logged.words()),
                                backTo(undone, logged, refused));
            }
        }
    }

    /**
     * What is being undone leaves its stack at once, so that a second press takes the one below; refused, it goes back.
     */
    private static Consumer<String> backTo(Deque<Doing> stack, Doing doing, Consumer<String> refused) {
        return sentence -> {
            stack.push(doing);
            refused.accept(sentence);
        };
    }

    /** The plan as {@code wanted} was, with the ids given out since kept out of reach. */
    private static Build replan(Build now, Build wanted) {
        return wanted.withNextId(now.nextId());
    }

    private void moved(Deque<Doing> to, Doing as, String words) {
        to.push(as);
        session.notices().moved(words);
    }

    private List<Mark> turned(Doing.Marked marked) {
        return marked.marks().stream().map(m -> m.turned(session.instant())).toList();
    }
}
