package bucina.store.file;

import bucina.core.log.Addition;
import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.log.Mark;
import bucina.core.log.Operation;
import bucina.core.log.PartMark;
import bucina.core.plan.Build;
import bucina.core.plan.Hole;
import bucina.core.plan.Id;
import bucina.core.plan.Part;
import bucina.store.Demo;
import bucina.store.Document;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/** Does one after another until it is killed, and says each only after it has returned. */
final class Busy {
    /** What is done and confirmed, with a number. */
    enum Deed {
        ENTRY,
        MARK,
        PLAN,
        IMPORTED,
        MIGRATED,
        CLOSED
    }

    /** After so many it begins again. */
    static final int DEEDS = 9;

    private final Path folder;
    private final Document demo;
    private Optional<BuildFile> open = Optional.empty();
    private int marks;
    private int round;

    private Busy(Path folder, int round) {
        this.folder = folder;
        this.round = round;
        try (BuildFile sound = BuildFile.openToRead(folder.resolve("sound"))) {
            demo = sound.document();
        }
    }

    /** Folder, number of the first round, which deed it begins with, how many it does. */
    public static void main(String[] args) throws IOException {
        Busy busy = new Busy(Path.of(args[0]), Integer.parseInt(args[1]));
        int from = Integer.parseInt(args[2]);
        int most = Integer.parseInt(args[3]);
        for (int deed = from; deed < from + most; deed++) {
            busy.deed(deed % DEEDS);
        }
    }

    private static void confirm(Deed deed, long number) {
        System.out.println(deed + " " + number);
        System.out.flush();
    }

    private BuildFile file() {
        if (open.isEmpty()) {
            BuildFile file = BuildFile.open(folder.resolve("killed.bucina"));
            marks = file.read().log().marks().size();
            open = Optional.of(file);
        }
        return open.get();
    }

    private void deed(int which) throws IOException {
        Build build = demo.build();
        switch (which) {
            case 0 ->
                confirm(
                        Deed.ENTRY,
                        file().append(Demo.entry(build, round, "note"), List.of(), Clock.systemUTC(), o -> {})
                                .id());
            case 3 -> confirm(Deed.ENTRY, work(file(), build).id());
            case 1, 4 -> {
                OnFile.mark(file(), o -> marks(build));
                marks += 2;
                confirm(Deed.MARK, marks);
            }
            case 2, 5 -> {
                Build next = build.withNextId(Math.max(build.nextId(), round * 100L) + which);
                file().save(next);
                confirm(Deed.PLAN, next.nextId());
            }
            case 6 -> {
                file().close();
                open = Optional.empty();
                confirm(Deed.CLOSED, round);
            }
            case 7 -> {
                BuildFile.create(folder.resolve("imported-" + round + ".bucina"), demo)
                        .close();
                confirm(Deed.IMPORTED, round);
            }
            default -> migrate();
        }
    }

    private void migrate() throws IOException {
        Path old = folder.resolve("old-" + round + ".bucina");
        Files.copy(folder.resolve("old"), folder.resolve("part"), StandardCopyOption.REPLACE_EXISTING);
        Files.move(folder.resolve("part"), old, StandardCopyOption.ATOMIC_MOVE);
        BuildFile.open(old).close();
        confirm(Deed.MIGRATED, round);
        round++;
    }

    /** Work on a part, and what was marked with it. */
    private static LogEntry work(BuildFile file, Build build) {
        Part part = build.parts().getFirst();
        Labour labour = new Labour(
                new Labour.OnPart(part.id(), part.name(), "clean"),
                "",
                "M. Oake",
                LocalDateTime.parse("2026-11-23T10:00"),
                5,
                "",
                "",
                List.of());
        Addition addition = new Addition(
                Optional.of(LogEntry.Draft.install(labour)),
                List.of(),
                List.of(new PartMark(part.id(), "clean", Instant.EPOCH)));
        return file.add(o -> addition, List.of(), Clock.systemUTC()).entry().orElseThrow();
    }

    private static List<Mark> marks(Build build) {
        Hole hole = build.group("US-3")
                .orElseThrow()
                .group()
                .rows()
                .getFirst()
                .holes()
                .getFirst();
        return Stream.of(Mark.Side.NEAR, Mark.Side.FAR)
                .map(side ->
                        new Mark(hole.id(), new Id.Layer(1), side, Operation.DEBURRED, Instant.EPOCH, true, "twice"))
                .toList();
    }
}
