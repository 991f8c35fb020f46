package bucina.desk.session;

import bucina.core.log.Addition;
import bucina.core.log.LogEntry;
import bucina.core.log.Mark;
import bucina.core.log.PartMark;
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
                        .add(
                                now -> new Addition(
                                        Optional.empty(), turned(marked.marks()), turnedOnParts(marked.parts())),
                                List.of(),
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
                .flatMap(LogEntry::deed)
                .map(w -> LogEntry.Draft.replace(
                        id,
                        w,
                        "undone: as entry " + logged.instead().orElseThrow().id() + " said"))
                .orElseGet(() -> LogEntry.Draft.withdraw(id, "undone"));
        session.disk()
                .add(
                        now -> new Addition(Optional.of(back), turned(logged.marks()), turnedOnParts(logged.parts())),
                        List.of(),
                        written -> {
                            int by = written.entry().orElseThrow().id();
                            moved(undone, logged.as(by), "Undone by entry " + by + ": " + logged.words());
                        },
                        refused);
    }

    /** Does again what was undone last. */
    public void redo(Consumer<String> refused) {
        Doing last = undone.poll();
        switch (last) {
            case null -> refused.accept("There is nothing to do again.");
            case Doing.Marked marked ->
                session.disk()
                        .add(
                                now -> new Addition(Optional.empty(), marked.marks(), marked.parts()),
                                List.of(),
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
                        .deed()
                        .map(w -> LogEntry.Draft.replace(id, w, "done again"))
                        .orElseGet(() -> LogEntry.Draft.withdraw(id, "done again"));
                session.disk()
                        .add(
                                now -> new Addition(Optional.of(again), logged.marks(), logged.parts()),
                                List.of(),
                                written -> {
                                    int by = written.entry().orElseThrow().id();
                                    moved(done, logged.as(by), "Done again by entry " + by + ": " + logged.words());
                                },
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

    private List<Mark> turned(List<Mark> marks) {
        return marks.stream().map(m -> m.turned(session.instant())).toList();
    }

    private List<PartMark> turnedOnParts(List<PartMark> marks) {
        return marks.stream().map(m -> m.turned(session.instant())).toList();
    }
}
