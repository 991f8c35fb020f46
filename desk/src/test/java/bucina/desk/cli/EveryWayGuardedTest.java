package bucina.desk.cli;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.demo.PracticeBox;
import bucina.core.dress.Dress;
import bucina.core.edit.PartEdits;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Mark;
import bucina.core.log.Operation;
import bucina.core.log.Work;
import bucina.core.plan.Build;
import bucina.core.plan.Come;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.plan.Standing;
import bucina.core.progress.Task;
import bucina.core.rule.RuleKey;
import bucina.core.stack.HoleReading;
import bucina.desk.session.Session;
import bucina.store.Document;
import bucina.store.file.BuildFile;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;

/**
 * Random evenings at a box whose ribs lie on three faces: parts come on and off, holes are marked, fasteners logged, in
 * the window and on the command line. A judge that knows the list of P1 to P3 says what was allowed.
 */
class EveryWayGuardedTest extends OnCommandLine {

    private static final Set<Standing> IN_PLACE = EnumSet.of(Standing.DRY, Standing.ON);

    private final Catalogue catalogue = CatalogueReader.shipped();
    private final Random random = new Random(20261128);
    private int inWindow;
    private int byCommand;
    private int drilled;
    private int refused;

    @Test
    void window_and_command_line_set_and_match_drill_nothing_that_is_not_ready() {
        for (int b = 0; b < 5; b++) {
            file = folder.resolve("box" + b + ".bucina");
            BuildFile.create(file, new Document(box(), Logbook.EMPTY, List.of()))
                    .close();
            evening(file);
        }
        assertThat(inWindow).isGreaterThan(5);
        assertThat(byCommand).isGreaterThan(3);
        assertThat(drilled).isGreaterThan(10);
        assertThat(refused).isGreaterThan(50);
    }

    private Build box() {
        Build box = PracticeBox.build(catalogue
                .rules()
                .with(RuleKey.HOLES_COME, random.nextBoolean() ? "final" : "under", "test")
                .with(RuleKey.DEBURR_MARKED, "not-marked", "test"));
        return box.withParts(
                box.parts().stream()
                        .map(p -> p.with(random.nextInt(5) > 0 ? Standing.DRY : pick(List.of(Standing.values()))))
                        .toList(),
                box.nextId());
    }

    private <T> T pick(List<T> of) {
        return of.get(random.nextInt(of.size()));
    }

    private void evening(Path path) {
        for (int turn = 0; turn < 4; turn++) {
            try (Session session =
                    Session.open(path, Optional.empty(), catalogue, CLOCK, Runnable::run, Runnable::run)) {
                for (int step = 0; step < 25; step++) {
                    inWindow(session);
                }
            }
            for (int i = 0; i < 4; i++) {
                byCommand(path);
            }
        }
    }

    private HoleReading hole(Session session) {
        return pick(session.snapshot().build().faces().stream()
                .flatMap(f -> session.snapshot().face(f.face().id()).readings().stream())
                .toList());
    }

    private void inWindow(Session session) {
        Build build = session.snapshot().build();
        HoleReading hole = hole(session);
        switch (random.nextInt(6)) {
            case 0 -> {
                stands(session, pick(build.parts()));
            }
            case 1, 2 -> {
                Logbook before = session.snapshot().log();
                boolean ready = ready(build, hole, before);
                session.log(
                        draft(hole),
                        List.of(),
                        e -> {
                            assertThat(ready).as(hole.label()).isTrue();
                            inWindow++;
                        },
                        s -> {
                            refused++;
                            assertThat(session.snapshot().log()).isSameAs(before);
                        });
            }
            default -> {
                Operation operation = pick(List.of(Operation.values()));
                List<Mark> marks =
                        Task.of(operation).marks(session.snapshot().log(), List.of(hole), true, session.instant());
                boolean on = on(build, hole);
                session.mark(
                        "marking",
                        marks,
                        "",
                        () -> {
                            if (operation == Operation.MATCH_DRILLED && !marks.isEmpty()) {
                                assertThat(on).as(hole.label()).isTrue();
                                drilled++;
                            }
                        },
                        s -> refused++);
            }
        }
    }

    private void stands(Session session, Part part) {
        Standing to = random.nextInt(4) > 0 ? Standing.DRY : pick(List.of(Standing.values()));
        session.plan("stands", b -> PartEdits.stands(b, session.snapshot().parts(), part.id(), to), () -> {}, s -> {});
    }

    private void byCommand(Path path) {
        HoleReading hole;
        boolean ready;
        try (Session session = Session.open(path, Optional.empty(), catalogue, CLOCK, Runnable::run, Runnable::run)) {
            hole = hole(session);
            ready = ready(session.snapshot().build(), hole, session.snapshot().log());
        }
        int exit = line(
                "log FILE add --group {} --row {} --holes {} --designation {} --who M --at 2026-11-23T19:30 --minutes 5"
                        + " --note odd",
                hole.group().code(),
                hole.row().name(),
                hole.hole().label(),
                hole.solution().designation().orElse("none"));
        assertThat(exit).as(err).isIn(0, 1, 2);
        if (exit == 0) {
            assertThat(ready).as(hole.label()).isTrue();
            byCommand++;
        }
    }

    /** On, or said to be on for good on just this face. */
    private static boolean on(Build build, HoleReading hole) {
        return hole.layers().stream()
                .map(l -> build.part(l.part()))
                .allMatch(p -> IN_PLACE.contains(p.standing())
                        || p.particulars().forGood().stream().anyMatch(f -> lies(build, f, hole)));
    }

    private static boolean lies(Build build, Id.Face face, HoleReading hole) {
        return build.faces().stream()
                .map(Build.FaceRef::face)
                .filter(f -> f.id().equals(face))
                .anyMatch(f -> f.layers().contains(hole.layers().getFirst()));
    }

    /** The judge: every sheet on, at size, and dressed as the solution says. */
    private static boolean ready(Build build, HoleReading hole, Logbook log) {
        boolean under = build.rules().rule(RuleKey.HOLES_COME).value().equals("under");
        if (!on(build, hole) || log.installedBy(hole.hole().id()).isPresent()) {
            return false;
        }
        for (int i = 0; i < hole.layers().size(); i++) {
            Layer layer = hole.layers().get(i);
            Dress dress = hole.solution().dressing().plies().get(i).dress();
            Come.State comes = layer.holes().of(hole.row().id()).state();
            boolean size = has(log, hole, layer, Operation.FINAL_SIZE) || has(log, hole, layer, Operation.CLEARED);
            if (under && comes != Come.State.AT_SIZE && !size
                    || dress == Dress.DIMPLE && !has(log, hole, layer, Operation.DIMPLED)
                    || dress == Dress.COUNTERSINK && !has(log, hole, layer, Operation.COUNTERSUNK)) {
                return false;
            }
        }
        return true;
    }

    private static boolean has(Logbook log, HoleReading hole, Layer layer, Operation operation) {
        return log.marked(hole.hole().id(), layer.id(), operation, Mark.Side.BOTH);
    }

    private static LogEntry.Draft draft(HoleReading hole) {
        return LogEntry.Draft.install(new Work(
                new Id.Group(hole.group().id().n()),
                hole.group().code(),
                List.of(new Work.LoggedHole(hole.hole().id(), hole.label())),
                1,
                hole.solution().designation().orElse("none"),
                hole.solution().length(),
                "M. Oake",
                LocalDateTime.parse("2026-11-23T10:00"),
                1,
                Work.Setup.NONE,
                new ArrayList<>(),
                List.of(),
                "",
                "odd length is noted",
                List.of()));
    }
}
