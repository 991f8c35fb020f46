package bucina.desk.session;

import bucina.store.file.BuildFile;
import bucina.store.file.BuildFileException;
import bucina.store.file.Copies;
import bucina.store.file.FileState;
import bucina.store.file.Loss;
import java.nio.file.Path;
import java.time.Duration;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.function.Consumer;

/** Makes copies of the open build, by and by and when asked. Used on the interface thread; copies are made off it. */
public final class CopyKeeper {

    /** How long after a copy that could not be made the next try is. */
    private static final Duration AGAIN = Duration.ofMinutes(10);

    private final Session session;
    private Optional<Last> last = Optional.empty();
    private LocalDateTime notBefore = LocalDateTime.MIN;
    private boolean busy;
    private boolean copy;
    private Optional<Path> original = Optional.empty();

    /** The newest copy: when it was made and of what; empty of what if there is none. */
    private record Last(LocalDateTime made, Optional<FileState> of) {}

    CopyKeeper(Session session) {
        this.session = session;
    }

    /**
     * Makes a copy if one is due: the build was written to, and the last copy is old enough.
     *
     * @return true if something is on its way
     */
    public boolean look(CopyWish wish) {
        LocalDateTime now = session.clockTime();
        boolean wanted = !session.readOnly()
                && wish.every() != CopyWish.Every.ASKED
                && session.lostProperty().get().isEmpty();
        if (busy || !wanted || now.isBefore(notBefore)) {
            return false;
        }
        if (last.isEmpty()) {
            work(() -> newest(wish));
            return true;
        }
        if (due(last.get(), session.state(), wish, now)) {
            work(() -> made(wish, now));
            return true;
        }
        return false;
    }

    private static boolean due(Last last, FileState state, CopyWish wish, LocalDateTime now) {
        boolean untouched = state.plan() == 0 && state.log() == 0;
        return !untouched
                && !last.of.equals(Optional.of(state))
                && (last.of.isEmpty()
                        || !now.isBefore(last.made.plus(wish.every().time())));
    }

    /**
     * What is open is a copy itself, looked at.
     *
     * @param of the build; empty if that is not known
     */
    void looksAtCopy(Optional<Path> of) {
        copy = true;
        original = of;
    }

    /** True if what is open is a copy itself, looked at. */
    public boolean ofACopy() {
        return copy;
    }

    /** The build that copies are of; empty if a copy is looked at and nobody has said of which. */
    public Optional<Path> build() {
        return copy ? original : Optional.of(session.path());
    }

    /** Makes a copy now. */
    public void now(CopyWish wish, Consumer<LocalDateTime> then, Consumer<String> refused) {
        if (copy) {
            refused.accept("This is a copy already: copied again it would seem to be newer than it is.");
            return;
        }
        LocalDateTime now = session.clockTime();
        session.aside(
                () -> made(wish, now),
                copy -> {
                    last = Optional.of(copy);
                    then.accept(copy.made);
                },
                refused);
    }

    /** Makes a copy under another name, where nothing lies yet. */
    public void to(Path place, Runnable then, Consumer<String> refused) {
        session.aside(
                () -> {
                    Copies.to(session.path(), place);
                    return place;
                },
                p -> then.run(),
                refused);
    }

    /** Looks afresh: the wish is another. */
    public void wished() {
        last = Optional.empty();
        notBefore = LocalDateTime.MIN;
    }

    private void work(Callable<Last> job) {
        busy = true;
        session.aside(
                job,
                copy -> {
                    busy = false;
                    last = Optional.of(copy);
                },
                sentence -> {
                    busy = false;
                    notBefore = session.clockTime().plus(AGAIN);
                    session.say(sentence);
                });
    }

    private Last made(CopyWish wish, LocalDateTime now) {
        Copies copies = wish.of(session.path());
        Copies.Made made = copies.make(session.path(), now);
        copies.thin(session.path(), wish.keep(), now);
        return new Last(made.copy().made(), Optional.of(made.state()));
    }

    private Last newest(CopyWish wish) {
        Copies copies = wish.of(session.path());
        if (wish.folder().isPresent()) {
            copies.gather(session.path());
        }
        return copies.of(session.path()).stream()
                .filter(c -> Copies.made(c.path()).isPresent())
                .findFirst()
                .map(c -> new Last(c.made(), state(c.path())))
                .orElse(new Last(LocalDateTime.MIN, Optional.empty()));
    }

    /** In what state the build was; empty if the copy cannot be opened. */
    private static Optional<FileState> state(Path copy) {
        try (BuildFile file = BuildFile.openToRead(copy)) {
            return Optional.of(file.state());
        } catch (BuildFileException e) {
            return Optional.empty();
        }
    }

    /**
     * A copy as it is offered.
     *
     * @param entries in its log; empty if it is not sound and cannot be gone back to
     * @param lost    what would be lost by going back to it
     */
    public record Offer(Copies.Copy copy, Optional<Integer> entries, Optional<Loss> lost) {

        /** Where it is. */
        public Path path() {
            return copy.path();
        }

        /** When it was made, by the clock of the shop. */
        public LocalDateTime made() {
            return copy.made();
        }

        /** What would be lost, in words. */
        public String words() {
            return lost.map(LossWords::of).orElse("This copy is damaged.");
        }
    }

    /**
     * Reads through the copies of the build and says what each has and has not that the build has, newest first; none
     * where it is not known which build that is.
     */
    public void offers(CopyWish wish, Consumer<List<Offer>> then, Consumer<String> refused) {
        BuildFile.Contents now = new BuildFile.Contents(
                session.snapshot().build(), session.snapshot().log());
        Optional<Path> build = build();
        Losing losing = copy ? h -> Loss.of(build.orElseThrow(), h) : h -> Loss.of(now, h);
        session.aside(
                () -> build.stream()
                        .flatMap(b -> wish.of(b).of(b).stream())
                        .map(c -> offer(c, Copies.held(c), losing))
                        .toList(),
                then,
                refused);
    }

    private interface Losing {
        Loss by(Copies.Held copy);
    }

    private static Offer offer(Copies.Copy copy, Optional<Copies.Held> held, Losing losing) {
        return new Offer(copy, held.map(h -> h.contents().log().entries().size()), held.map(losing::by));
    }

    /** The last good copy of a build that is damaged or gone; takes as long as it takes. */
    public static Optional<Offer> lastGood(CopyWish wish, Path build) {
        return wish.of(build).lastGood(build).map(h -> offer(h.copy(), Optional.of(h), held -> Loss.of(build, held)));
    }
}
