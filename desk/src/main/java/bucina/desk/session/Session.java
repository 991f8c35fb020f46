package bucina.desk.session;

import bucina.core.bulletin.Bulletins;
import bucina.core.callout.Queries;
import bucina.core.catalogue.Catalogue;
import bucina.core.guard.MarkCheck;
import bucina.core.log.Addition;
import bucina.core.log.LogEntry;
import bucina.core.log.Mark;
import bucina.core.log.PartMark;
import bucina.core.measure.InputException;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.stack.Derivation;
import bucina.core.state.Snapshot;
import bucina.store.Photo;
import bucina.store.file.BuildFile;
import bucina.store.file.FileState;
import bucina.store.file.OutFile;
import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.concurrent.Executor;
import java.util.concurrent.atomic.AtomicReference;
import java.util.function.Consumer;
import java.util.function.IntConsumer;
import java.util.function.Supplier;
import java.util.function.UnaryOperator;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** One open build: what it holds, what can be undone, and the way to write to it. */
public final class Session implements AutoCloseable {

    private final OnDisk disk;
    private final Catalogue catalogue;
    private final Clock clock;
    private final Executor worker;
    private final Executor ui;
    private final ReadOnlyObjectWrapper<Snapshot> snapshot = new ReadOnlyObjectWrapper<>();
    private final Aside aside;
    private final Notices notices;
    private final History history = new History(this);
    private final CopyKeeper copies = new CopyKeeper(this);
    private final AtomicReference<Runnable> trying = new AtomicReference<>();
    private Consumer<List<Mark>> marked = marks -> {};
    /** The bulletin being written: every change of the plan goes into it too. */
    private volatile Optional<Id.Bulletin> recording = Optional.empty();

    private Session(
            BuildFile file,
            Catalogue catalogue,
            Snapshot first,
            long seen,
            Optional<String> onlyReads,
            Clock clock,
            Executor worker,
            Executor ui) {
        this.catalogue = catalogue;
        this.clock = clock;
        this.worker = worker;
        this.ui = ui;
        this.aside = new Aside(ui);
        snapshot.set(first);
        notices = new Notices(onlyReads);
        file.said().forEach(notices::say);
        disk = new OnDisk(file, catalogue, clock, worker, ui, notices, first, seen, snapshot::set);
    }

    /**
     * Opens a build. Reads and derives on the calling thread.
     *
     * @param onlyReads why nothing may be written, as {@link WindowLock#onlyReads} says; empty to write
     * @param worker    runs one job after another, off the interface thread
     * @param ui        runs on the interface thread
     */
    public static Session open(
            Path path, Optional<String> onlyReads, Catalogue catalogue, Clock clock, Executor worker, Executor ui) {
        return open(path, onlyReads, () -> catalogue, clock, worker, ui);
    }

    /** As the other, with a catalogue that may still be read while the file is. */
    static Session open(
            Path path,
            Optional<String> onlyReads,
            Supplier<Catalogue> tables,
            Clock clock,
            Executor worker,
            Executor ui) {
        BuildFile file = onlyReads.isPresent() ? BuildFile.openToRead(path) : BuildFile.open(path);
        try {
            long seen = file.changes();
            // Checked at the first look, and before anything is written.
            BuildFile.Contents contents = file.readAhead();
            Catalogue catalogue = tables.get();
            Snapshot first = Snapshot.of(Derivation.of(contents.build(), catalogue), contents.log());
            return new Session(file, catalogue, first, seen, onlyReads, clock, worker, ui);
        } catch (RuntimeException e) {
            file.close();
            throw e;
        }
    }

    /** What is shown. Changes on the interface thread only. */
    public ReadOnlyObjectProperty<Snapshot> snapshotProperty() {
        return snapshot.getReadOnlyProperty();
    }

    /** What is shown now. */
    public Snapshot snapshot() {
        return snapshot.get();
    }

    /** What was saved, done or refused last, in words. */
    public Notices notices() {
        return notices;
    }

    /** Shows one line about something that was asked for and could not be. */
    public void say(String line) {
        notices.say(line);
    }

    /** Where the file is. */
    public Path path() {
        return disk.file().path();
    }

    /** True if nothing can be written here. */
    public boolean readOnly() {
        return disk.file().readOnly();
    }

    /** The catalogue in force. */
    public Catalogue catalogue() {
        return catalogue;
    }

    /** Wall clock of the shop, to the minute. */
    public LocalDateTime now() {
        return LocalDateTime.now(clock).withSecond(0).withNano(0);
    }

    /** What was done in this session, to be taken back and done again. */
    public History history() {
        return history;
    }

    /**
     * Writes an entry down.
     *
     * @param then    told the entry once it is on the disk
     * @param refused told the sentence if it cannot be
     */
    public void log(LogEntry.Draft draft, List<Photo> photos, Consumer<LogEntry> then, Consumer<String> refused) {
        log(Addition.of(draft), photos, then, refused);
    }

    /** Keeps photographs in the file, by their content; what they show is said by a pin. */
    public void keep(List<Photo> photos, Runnable then, Consumer<String> refused) {
        disk.add(now -> Addition.ofMarks(List.of()), photos, done -> then.run(), refused);
    }

    /**
     * Writes an entry down together with what was marked, as one.
     *
     * @param addition with an entry in it
     * @param then     told the entry once it is on the disk
     * @param refused  told the sentence if it cannot be
     */
    public void log(Addition addition, List<Photo> photos, Consumer<LogEntry> then, Consumer<String> refused) {
        Optional<LogEntry> instead =
                addition.draft().orElseThrow().corrects().flatMap(snapshot().log()::entry);
        disk.add(
                now -> addition,
                photos,
                done -> {
                    LogEntry entry = done.entry().orElseThrow();
                    Doing.Logged logged = Doing.Logged.of(done, instead);
                    history.remember(logged);
                    notices.saved(
                            "Entry " + entry.id() + " saved",
                            "Saved: entry " + entry.id() + " is on the disk.",
                            Notices.past(logged.words()));
                    then.accept(entry);
                },
                refused);
    }

    /**
     * Marks progress, or takes it back; all of it or none is on the disk when {@code then} runs.
     *
     * @param words   what is done, for undo: {@code marking 12 holes deburred}
     * @param because why holes that must wait are marked now; blank for no reason
     */
    public void mark(String words, List<Mark> marks, String because, Runnable then, Consumer<String> refused) {
        disk.add(
                now -> Addition.ofMarks(
                        new MarkCheck(now.derivation(), now.log(), now.holds()).accepted(marks, because)),
                List.of(),
                written -> {
                    history.remember(new Doing.Marked(written.marks(), List.of(), words));
                    marked.accept(written.marks());
                    notices.saved("Marks saved", "Marks saved.", Notices.past(words));
                    then.run();
                },
                refused);
    }

    /** Tells somebody what was marked on holes, each time once it is on the disk. */
    public void onMarked(Consumer<List<Mark>> told) {
        marked = told;
    }

    /** Marks what was done to parts, or takes it back. */
    public void markParts(String words, List<PartMark> marks, Runnable then, Consumer<String> refused) {
        disk.add(
                now -> Addition.ofParts(marks),
                List.of(),
                written -> {
                    history.remember(new Doing.Marked(List.of(), written.parts(), words));
                    notices.saved("Marks saved", "Marks saved.", Notices.past(words));
                    then.run();
                },
                refused);
    }

    /** The time, for marks. */
    public Instant instant() {
        return clock.instant();
    }

    /** The bulletin being written; empty if none is. */
    public Optional<Id.Bulletin> recording() {
        return recording;
    }

    /** Begins to write changes into the bulletin that was begun last. */
    public void recordLast() {
        record(Optional.of(snapshot().build().papers().bulletins().getLast().id()));
    }

    /** Begins to write changes into a bulletin, or ends it. */
    public void record(Optional<Id.Bulletin> bulletin) {
        recording = bulletin;
    }

    /**
     * Changes the plan by a function of the build as it is; the change can be undone. Queries open and settle with
     * it, and it goes into the bulletin being written.
     */
    public void plan(String words, UnaryOperator<Build> change, Runnable then, Consumer<String> refused) {
        UnaryOperator<Build> kept = recorded(change);
        disk.savePlan(
                kept,
                plans -> {
                    history.remember(new Doing.Planned(plans.before(), plans.after(), words));
                    notices.saved("Plan saved", "Plan saved.", Notices.past(words));
                    then.run();
                },
                refused);
    }

    private UnaryOperator<Build> recorded(UnaryOperator<Build> change) {
        return build -> {
            Build after = Queries.kept(change.apply(build), LocalDate.now(clock));
            return recording
                    .filter(id -> build.papers().bulletins().stream().anyMatch(b -> b.id().equals(id)))
                    .map(id -> Bulletins.recorded(build, after, id))
                    .orElse(after);
        };
    }

    /**
     * Derives a change without writing it, for a drag: {@code then} is told what it would be. Of changes that come
     * faster than they are derived only the last is.
     */
    public void attempt(UnaryOperator<Build> change, Consumer<Snapshot> then) {
        Runnable job = () -> {
            try {
                Snapshot now = disk.latest();
                Snapshot tried = now.tried(now.derivation().after(change.apply(now.build())));
                ui.execute(() -> then.accept(tried));
            } catch (InputException e) {
                ui.execute(() -> say(e.getMessage()));
            }
        };
        if (trying.getAndSet(job) == null) {
            worker.execute(() -> trying.getAndSet(null).run());
        }
    }

    /** The zone of the shop's clock. */
    public ZoneId zone() {
        return clock.getZone();
    }

    /** Today, by the shop's clock. */
    public LocalDate today() {
        return LocalDate.now(clock);
    }

    /** Runs something long off the interface thread, such as reading a drawing; failures come as sentences. */
    public <T> void aside(Callable<T> work, Consumer<T> then, Consumer<String> refused) {
        aside.run(work, then, refused);
    }

    /** A question that is answered off the interface thread again and again, the latest wish only. */
    public Latest latest() {
        return new Latest(aside);
    }

    /**
     * Makes a file's content and writes it, off the interface thread; a file that is there already is left as it is.
     */
    public void writeOut(Path path, Callable<byte[]> content, Runnable then, Consumer<String> refused) {
        writeOut(
                path,
                out -> {
                    try {
                        out.write(content.call());
                    } catch (IOException | RuntimeException e) {
                        throw e;
                    } catch (Exception e) {
                        throw new IOException(e);
                    }
                },
                then,
                refused);
    }

    /** As {@link #writeOut(Path, Callable, Runnable, Consumer)}, written as it is made. */
    public void writeOut(Path path, OutFile.Content content, Runnable then, Consumer<String> refused) {
        aside(
                () -> {
                    disk.sound();
                    OutFile.write(path, content, false);
                    return path;
                },
                p -> then.run(),
                refused);
    }

    /** A photograph's bytes, off the interface thread. */
    public void photo(String sha256, Consumer<Photo> then) {
        disk.photo(sha256, then);
    }

    /** Copies of this build. */
    public CopyKeeper copies() {
        return copies;
    }

    /** In what state the file is as far as is known here. */
    FileState state() {
        return disk.file().state();
    }

    /** Wall clock of the shop, to the second. */
    LocalDateTime clockTime() {
        return LocalDateTime.now(clock).withNano(0);
    }

    /** Why the file cannot be written to any more, gone, replaced or damaged; empty while it can. */
    public ReadOnlyObjectProperty<Optional<Lost>> lostProperty() {
        return disk.lostProperty();
    }

    /**
     * Writes what is in memory to a new file, with the photographs that can still be read from the old one.
     *
     * @param then told how many photographs could not, once it is on the disk
     */
    public void rescue(Path to, IntConsumer then, Consumer<String> refused) {
        disk.rescue(to, then, refused);
    }

    /** Looks whether the file is there, and reads it again if another process has written to it. */
    public void look() {
        disk.look();
    }

    OnDisk disk() {
        return disk;
    }

    @Override
    public void close() {
        disk.file().close();
    }
}
