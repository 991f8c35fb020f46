package bucina.desk.session;

import bucina.core.catalogue.Catalogue;
import bucina.core.measure.InputException;
import bucina.store.file.Copies;
import bucina.store.file.Restore;
import java.nio.file.Path;
import java.time.Clock;
import java.time.LocalDateTime;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.CompletionException;
import java.util.concurrent.Executor;
import java.util.function.Supplier;

/**
 * A build opened for a window.
 *
 * @param lock makes this its one window that writes; empty for a copy, which is only read
 */
public record Opened(Session session, Optional<WindowLock> lock, Prefs prefs) {

    /**
     * Opens it on the calling thread.
     *
     * @param prefs  keep which build was open last
     * @param worker runs one job after another, off the interface thread
     * @param ui     runs on the interface thread
     */
    public static Opened now(ToOpen what, Prefs prefs, Executor worker, Executor ui) {
        // The tables are read beside the file.
        CompletableFuture<Catalogues.InForce> tables = CompletableFuture.supplyAsync(Catalogues::read);
        Path path = path(what, () -> inForce(tables).catalogue(), prefs);
        Optional<String> copy = copy(what, path);
        Optional<WindowLock> lock = copy.isPresent() ? Optional.empty() : Optional.of(WindowLock.of(path));
        try {
            Optional<String> onlyReads = copy.or(() -> lock.flatMap(WindowLock::onlyReads));
            Optional<String> back = back(what, onlyReads);
            Session session = Session.open(
                    path, onlyReads, () -> inForce(tables).catalogue(), Clock.systemDefaultZone(), worker, ui);
            inForce(tables).said().forEach(session::say);
            back.ifPresent(session::say);
            Optional<Path> build = copy.isEmpty() ? Optional.of(path) : original(what);
            build.filter(b -> !(what instanceof ToOpen.Practice p && !p.empty()))
                    .ifPresent(prefs::opened);
            if (copy.isPresent()) {
                session.copies().looksAtCopy(build);
            }
            return new Opened(session, lock, prefs);
        } catch (RuntimeException e) {
            lock.ifPresent(WindowLock::close);
            throw e;
        }
    }

    /** Why a copy is only read; empty for what is none. */
    private static Optional<String> copy(ToOpen what, Path path) {
        return what instanceof ToOpen.Copy || Copies.made(path).isPresent()
                ? Optional.of("This is a copy"
                        + Copies.made(path).map(t -> " of " + t.toLocalDate()).orElse("")
                        + ": the window only reads it.")
                : Optional.empty();
    }

    private static Optional<Path> original(ToOpen what) {
        return what instanceof ToOpen.Copy c ? Optional.of(c.of()) : Optional.empty();
    }

    /** Goes back to a copy, where that was chosen; says so. */
    private static Optional<String> back(ToOpen what, Optional<String> onlyReads) {
        if (!(what instanceof ToOpen.Back b)) {
            return Optional.empty();
        }
        onlyReads.ifPresent(why -> {
            throw new InputException("The copy did not take the place of " + b.build() + ". " + why);
        });
        Optional<Path> kept = Restore.copy(
                b.copy(),
                b.build(),
                LocalDateTime.now(Clock.systemDefaultZone()).withNano(0));
        return Optional.of("Gone back to the copy."
                + kept.map(k -> " What lay there is kept as " + k.getFileName() + ".")
                        .orElse(""));
    }

    private static Path path(ToOpen what, Supplier<Catalogue> catalogue, Prefs prefs) {
        return switch (what) {
            case ToOpen.File f -> f.path();
            case ToOpen.Copy c -> c.path();
            case ToOpen.Back b -> b.build();
            case ToOpen.New n ->
                DemoBuild.empty(n.path(), prefs.schooled(catalogue.get().rules()));
            case ToOpen.Practice p ->
                p.empty()
                        ? DemoBuild.empty(
                                Places.free(DemoBuild.folder(), "my-panel"),
                                prefs.schooled(catalogue.get().rules()))
                        : DemoBuild.file(DemoBuild.Which.GUIDED, catalogue, true);
            case ToOpen.Demo d -> DemoBuild.file(d.which(), catalogue, d.fresh());
            case ToOpen.Last l ->
                prefs.last().orElseGet(() -> DemoBuild.file(DemoBuild.Which.STABILATOR, catalogue, false));
        };
    }

    private static Catalogues.InForce inForce(CompletableFuture<Catalogues.InForce> tables) {
        try {
            return tables.join();
        } catch (CompletionException e) {
            throw e.getCause() instanceof RuntimeException cause ? cause : e;
        }
    }

    /** Closes the build and gives up the lock. */
    public void close() {
        session.close();
        unlock();
    }

    /** Gives up the lock. */
    public void unlock() {
        lock.ifPresent(WindowLock::close);
    }
}
