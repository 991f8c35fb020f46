package bucina.core.guard;

import bucina.core.Plans;
import bucina.core.catalogue.Catalogue;
import bucina.core.catalogue.CatalogueReader;
import bucina.core.hold.Holds;
import bucina.core.job.Jobs;
import bucina.core.log.CloseOut;
import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Mark;
import bucina.core.log.Operation;
import bucina.core.log.Work;
import bucina.core.material.Material;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.plan.Assembly;
import bucina.core.plan.Bay;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Fastener;
import bucina.core.plan.Hand;
import bucina.core.plan.Hole;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.plan.Row;
import bucina.core.progress.Task;
import bucina.core.rule.RuleKey;
import bucina.core.sheet.Outline;
import bucina.core.sheet.Point;
import bucina.core.stack.Derivation;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** A box with a bay: a web with two bolts through it and a bracket, under a lid. */
abstract class OnBays {

    static final LocalDateTime NOW = LocalDateTime.parse("2026-11-28T10:00");
    static final Instant AT = Instant.parse("2026-11-27T10:00:00Z");
    static final Fastener BOLT = new Fastener.Hardware("AN4-6A", Length.in(.25), Length.in(.25), false);
    static final Fastener SCREW = new Fastener.Hardware("MS27039-0806", Length.in(.164), Length.in(.166), false);

    final Catalogue catalogue = CatalogueReader.shipped();
    Logbook log = Logbook.EMPTY;

    static Part part(long id, String name, int order) {
        Part part = new Part(new Id.Part(id), name, Material.parse("2024-T3"), order, true);
        return part.with(part.particulars().notOwing("deburr-edges"));
    }

    static Layer layer(long id, long part, double thick) {
        return new Layer(
                new Id.Layer(id),
                new Id.Part(part),
                "L" + id,
                Length.in(thick),
                Outline.rectangle(Point.in(0, 0), Point.in(20, 4)));
    }

    static Row row(long id, String name, int holes) {
        List<Hole> list = new ArrayList<>();
        for (int i = 0; i < holes; i++) {
            list.add(new Hole(new Id.Hole(id + 1 + i), i + 1, Point.in(2 + 2 * i, 2), Optional.empty()));
        }
        return new Row(new Id.Row(id), name, holes + 1, list);
    }

    Derivation box(Fastener lid, Bay... bays) {
        Face inside = new Face(
                new Id.Face(3),
                "Web",
                "from above",
                "outboard",
                "forward",
                List.of(layer(11, 1, .125), layer(12, 5, .125)),
                List.of(Plans.group(20, "B-1", BOLT, List.of(row(100, "R1", 2)))));
        Face top = new Face(
                new Id.Face(4),
                "Top",
                "from above",
                "outboard",
                "forward",
                List.of(layer(13, 6, .032), layer(14, 1, .063)),
                List.of(Plans.group(21, "L-1", lid, List.of(row(200, "R2", 3)))));
        Build build = new Build(
                "Test",
                "Dunlin",
                catalogue
                        .rules()
                        .with(RuleKey.HOLES_COME, "final", "test")
                        .with(RuleKey.DEBURR_MARKED, "not-marked", "t"),
                100_000,
                List.of(part(1, "Web", 1), part(5, "Bracket", 2), part(6, "Lid", 3), part(7, "Cover", 4)),
                List.of(new Assembly(new Id.Assembly(2), "Box", Hand.LEFT, Unit.INCH, List.of(), List.of(inside, top))),
                Map.of());
        for (Bay bay : bays) {
            build = build.withWorkshop(build.workshop().with(bay), 100_000);
        }
        return Derivation.of(build.checked(), catalogue);
    }

    static Bay bay(long... closers) {
        return new Bay(
                new Id.Bay(900),
                "Nose bay",
                Arrays.stream(closers).mapToObj(Id.Part::new).toList(),
                Set.of(),
                "");
    }

    static Work work(long group, String code, String designation, String because, long... holes) {
        return Plans.set(
                Plans.group(group, code, BOLT, List.of()),
                designation,
                because,
                Arrays.stream(holes)
                        .mapToObj(h -> new Work.LoggedHole(new Id.Hole(h), (h < 200 ? "R1." : "R2.") + h % 100))
                        .toArray(Work.LoggedHole[]::new));
    }

    void add(Derivation derivation, Work work) {
        LogEntry.Draft draft = LogEntry.Draft.install(work);
        new LogCheck(derivation, log).accept(draft, NOW);
        log = log.plus(draft.numbered(log.nextId(), AT));
    }

    void mark(Derivation derivation, Operation operation) {
        List<Mark> marks =
                Task.of(operation).marks(log, derivation.face(new Id.Face(3)).readings(), true, AT.plusSeconds(60));
        log = log.plus(new MarkCheck(derivation, log).accepted(marks, ""));
    }

    Jobs jobs(Derivation derivation) {
        return Jobs.of(derivation, log, new Holds(derivation, log), LocalDate.parse("2026-11-28"));
    }

    static List<String> before(Jobs jobs, String id) {
        return jobs.demands(jobs.place(id)).stream()
                .map(d -> d.rule() + " " + d.job())
                .toList();
    }

    void sign(Derivation derivation, List<CloseOut.Left> left, CloseOut.Counted... counted) {
        LogEntry.Draft draft = LogEntry.Draft.install(new Labour(
                new CloseOut(new Id.Bay(900), "Nose bay", left, List.of(counted)),
                "",
                "M. Oake",
                NOW.minusHours(1),
                5,
                "",
                "",
                List.of()));
        new LogCheck(derivation, log).accept(draft, NOW);
        log = log.plus(draft.numbered(log.nextId(), AT));
    }
}
