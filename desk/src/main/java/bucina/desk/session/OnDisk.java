package bucina.desk.session;

import bucina.core.catalogue.Catalogue;
import bucina.core.guard.LogCheck;
import bucina.core.log.Addition;
import bucina.core.log.Logbook;
import bucina.core.measure.InputException;
import bucina.core.plan.Build;
import bucina.core.stack.Derivation;
import bucina.core.state.Snapshot;
import bucina.store.Document;
import bucina.store.Photo;
import bucina.store.file.BuildFile;
import bucina.store.file.BuildFileException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.Callable;
import java.util.concurrent.Executor;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.IntConsumer;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/*
 * Design. The file is touched by the worker only, one job after another; results come back on the interface thread.
 * What the window shows is one immutable snapshot; it is replaced after the disk has it, never before, so the window
 * cannot show as saved what is not.
 */

/** The build file of a session, and the one way to write to it. */
final class OnDisk {

    private final BuildFile file;
    private final Catalogue catalogue;
    private final Clock clock;
    private final Executor worker;
    private final Executor ui;
    private final Notices notices;
    private final Consumer<Snapshot> shown;
    /** What the file holds as far as the worker knows; ahead of what is shown until that has caught up. */
    private volatile Snapshot latest;

    private volatile long seen;
    /** As the worker knows it. */
    private volatile Optional<Lost> lostNow = Optional.empty();

    private final ReadOnlyObjectWrapper<Optional<Lost>> lost = new ReadOnlyObjectWrapper<>(Optional.empty());

    /**
     * Takes over an open file.
     *
     * @param first  what it holds
     * @param seen   what {@link BuildFile#changes} said before it was read
     * @param shown  told, on the interface thread, what it holds after each write
     */
    OnDisk(
            BuildFile file,
            Catalogue catalogue,
            Clock clock,
            Executor worker,
            Executor ui,
            Notices notices,
            Snapshot first,
            long seen,
            Consumer<Snapshot> shown) {
        this.file = file;
        this.catalogue = catalogue;
        this.clock = clock;
        this.worker = worker;
        this.ui = ui;
        this.notices = notices;
        this.latest = first;
        this.seen = seen;
        this.shown = shown;
    }

    /** What the file holds; may be asked by any thread. */
    Snapshot latest() {
        return latest;
    }

    BuildFile file() {
        return file;
    }

    /**
     * Adds to the log.
     *
     * @param asked what, of what the file holds; an entry in it is checked here
     */
    void add(
            Function<Snapshot, Addition> asked,
            List<Photo> photos,
            Consumer<Addition.Done> then,
            Consumer<String> refused) {
        job(
                () -> {
                    Now now = new Now();
                    Addition.Done done = file.add(others -> checked(asked, now.told(others)), photos, clock);
                    Logbook log = done.onto(now.is.log());
                    return new Written<>(
                            done,
                            now.after(
                                    done.entry().map(e -> now.is.logged(log, e)).orElseGet(() -> now.is.marked(log))));
                },
                written -> then.accept(written.what),
                refused);
    }

    private Addition checked(Function<Snapshot, Addition> asked, Snapshot now) {
        Addition addition = asked.apply(now);
        addition.draft()
                .ifPresent(d ->
                        new LogCheck(now.derivation(), now.log(), now.holds()).accept(d, LocalDateTime.now(clock)));
        return addition;
    }

    /** A plan as it was when the change came to be written, and as it is after. */
    record Plans(Build before, Build after) {}

    void savePlan(UnaryOperator<Build> change, Consumer<Plans> then, Consumer<String> refused) {
        job(
                () -> {
                    Snapshot now = latest;
                    Build after = change.apply(now.build()).checked();
                    Derivation derived = now.derivation().after(after);
                    file.save(after);
                    return new Written<>(new Plans(now.build(), after), now.planned(derived));
                },
                written -> then.accept(written.what),
                refused);
    }

    /** A photograph's bytes, off the interface thread. */
    void photo(String sha256, Consumer<Photo> then) {
        worker.execute(() -> {
            try {
                file.photo(sha256).ifPresent(p -> ui.execute(() -> then.accept(p)));
            } catch (BuildFileException e) {
                ui.execute(() -> notices.say(e.getMessage()));
            }
        });
    }

    /** Looks whether the file is there and sound, and reads it again if another process has written to it. */
    void look() {
        worker.execute(() -> {
            try {
                file.present();
                file.checked();
                reread(file.changes());
                found();
            } catch (BuildFileException e) {
                failed(e);
            }
        });
    }

    /** Why the file cannot be written to any more; empty while it can. */
    ReadOnlyObjectProperty<Optional<Lost>> lostProperty() {
        return lost.getReadOnlyProperty();
    }

    /** The file is there again; one that is damaged stays so. */
    private void found() {
        if (lostNow.filter(l -> l.kind() != Lost.Kind.DAMAGED).isPresent()) {
            lostNow = Optional.empty();
            ui.execute(() -> {
                notices.found();
                lost.set(Optional.empty());
            });
        }
    }

    /**
     * Before anything of the build goes out: what is printed is what was written. For any thread but the interface's.
     *
     * @throws BuildFileException if the file is damaged
     * @throws InputException     if that is known already
     */
    void sound() {
        lostNow.filter(l -> l.kind() == Lost.Kind.DAMAGED).ifPresent(l -> {
            throw new InputException(l.sentence());
        });
        file.checked();
    }

    private void failed(BuildFileException e) {
        Optional<Lost> before = lostNow;
        Optional<Lost> now = Lost.of(e);
        lostNow = now.or(() -> before);
        if (now.isEmpty()) {
            ui.execute(() -> notices.say(e.getMessage()));
        } else if (!now.map(Lost::kind).equals(before.map(Lost::kind))) {
            ui.execute(() -> {
                notices.lost(e.getMessage());
                lost.set(now);
            });
        }
    }

    /**
     * Writes what is in memory to another file, with the photographs that can still be read.
     *
     * @param then told how many photographs could not, once it is on the disk
     */
    void rescue(Path to, IntConsumer then, Consumer<String> refused) {
        worker.execute(() -> {
            try {
                Snapshot now = latest;
                Set<String> named = now.log().entries().stream()
                        .flatMap(e -> e.deed().stream())
                        .flatMap(w -> w.photos().stream())
                        .collect(Collectors.toCollection(TreeSet::new));
                List<Photo> photos =
                        named.stream().flatMap(p -> readable(p).stream()).toList();
                BuildFile.create(to, new Document(now.build(), now.log(), photos))
                        .close();
                ui.execute(() -> then.accept(named.size() - photos.size()));
            } catch (BuildFileException e) {
                ui.execute(() -> refused.accept(e.getMessage()));
            }
        });
    }

    private Optional<Photo> readable(String sha256) {
        try {
            return file.photo(sha256);
        } catch (BuildFileException e) {
            return Optional.empty();
        }
    }

    /** What the file holds while it is written to: what is known here, or what another process has made of it. */
    private final class Now {
        private Snapshot is = latest;
        private boolean others;

        Snapshot told(Optional<BuildFile.Contents> contents) {
            others = contents.isPresent();
            is = contents.map(OnDisk.this::taken).orElse(is);
            return is;
        }

        /** What is shown after the write; where others wrote too, the file is read whole. */
        Snapshot after(Snapshot mine) {
            return others ? taken(file.read()) : mine;
        }
    }

    private Snapshot taken(BuildFile.Contents contents) {
        Derivation before = latest.derivation();
        return Snapshot.of(
                before.build().equals(contents.build()) ? before : Derivation.of(contents.build(), catalogue),
                contents.log());
    }

    private void reread(long changes) {
        if (changes != seen) {
            seen = changes;
            Snapshot next = taken(file.read());
            latest = next;
            ui.execute(() -> {
                shown.accept(next);
                notices.saved(
                        "Read again",
                        "Read again: another Bucina wrote to this build.",
                        "Read again: another Bucina wrote to this build.");
            });
        }
    }

    private record Written<T>(T what, Snapshot next) {}

    private <T> void job(Callable<Written<T>> work, Consumer<Written<T>> then, Consumer<String> refused) {
        worker.execute(() -> {
            try {
                Written<T> written = work.call();
                latest = written.next;
                ui.execute(() -> {
                    shown.accept(written.next);
                    then.accept(written);
                });
            } catch (BuildFileException e) {
                ui.execute(() -> {
                    notices.notSaved(e.getMessage());
                    refused.accept(e.getMessage());
                });
                failed(e);
            } catch (InputException e) {
                String sentence = String.valueOf(e.getMessage());
                ui.execute(() -> {
                    notices.notSaved(sentence);
                    refused.accept(sentence);
                });
            } catch (Exception | OutOfMemoryError | StackOverflowError e) {
                String sentence = FaultLog.write("writing to the build", e) + " The file is as it was.";
                ui.execute(() -> {
                    notices.notSaved(sentence);
                    refused.accept(sentence);
                });
            }
        });
    }
}
