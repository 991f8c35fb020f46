package bucina.core.demo;

import bucina.core.edit.Edit;
import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Operation;
import bucina.core.log.PartMark;
import bucina.core.log.Work;
import bucina.core.measure.Length;
import bucina.core.part.Owing;
import bucina.core.part.PartStates;
import bucina.core.part.PartTask;
import bucina.core.plan.Build;
import bucina.core.plan.Group;
import bucina.core.plan.Hand;
import bucina.core.plan.Id;
import bucina.core.plan.OwnJob;
import bucina.core.plan.Part;
import bucina.core.plan.Particulars;
import bucina.core.plan.Row;
import bucina.core.plan.Standing;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** What is said of the parts of the demonstration, the work done on them, and jobs of the builder's own. */
final class DunlinLife {

    /** The evening on which what was not written down was. */
    private static final Instant WRITTEN = Instant.parse("2026-11-22T18:00:00Z");

    private static final LocalDate DUE = LocalDate.of(2026, 12, 4);

    private DunlinLife() {}

    /** The build with its parts told of: numbers, pages, gauges, one short and one out for finishing. */
    static Build told(Build build) {
        Build next = build;
        int n = 101;
        for (Part part : build.parts()) {
            next = next.with(told(build, part, "DS-" + n++));
        }
        for (Build.FaceRef ref : build.faces()) {
            for (Group group : ref.face().groups()) {
                String section = ref.face().name().contains("skin") ? "section 8" : "section 6";
                next = Edit.group(next, group.id(), g -> g.withPage(section));
            }
        }
        return DunlinStores.stocked(next.withWorkshop(
                        next.workshop()
                                .with(job(
                                        next,
                                        0,
                                        "Read section 7 twice",
                                        "section 7",
                                        "rib order, and which way the flanges turn"))
                                .with(job(
                                        next,
                                        1,
                                        "Press the bushing into the hinge plate",
                                        "sheet 33",
                                        "reamed 5/16, flange outboard; mirrored on the other hand")),
                        next.nextId() + 2))
                .checked();
    }

    private static OwnJob job(Build build, int i, String name, String page, String notes) {
        return new OwnJob(
                new Id.Own(build.nextId() + i),
                name,
                page,
                Optional.of(build.assemblies().getFirst().id()),
                List.of(),
                notes);
    }

    private static Part told(Build build, Part part, String number) {
        Part.Kind kind = kind(part.name());
        Length gauge = build.faces().stream()
                .flatMap(f -> f.face().layers().stream())
                .filter(l -> l.part().equals(part.id()))
                .map(l -> l.thickness())
                .max(Length::compareTo)
                .orElseThrow();
        boolean left = part.name().contains("skin")
                || part.name().contains("cuff")
                || part.name().contains("spar");
        Particulars said = Particulars.NONE
                .stamped(number, List.of(), left ? Hand.LEFT : Hand.NONE)
                .withGauge(
                        Optional.of(gauge),
                        part.name().equals("Main spar") ? Optional.of(Length.in(.0625)) : Optional.empty())
                .withPage(page(kind))
                .withPlace(part.fitted() ? "" : "crate 2")
                .withTasks(
                        part.name().startsWith("Main rib") ? List.of(PartTask.DEBURR_OPENINGS.code()) : List.of(),
                        Set.of());
        Part next = part.as(part.name(), part.material(), kind).with(said);
        return switch (part.name()) {
            case "Trailing edge strip" ->
                next.with(said.withPlace("ordered again")).with(Standing.SHORT);
            case "Root cuff" -> {
                Part out = next.with(Standing.OUT);
                yield out.with(said.withPlace("powder coater").withDue(Optional.of(DUE)));
            }
            default -> next;
        };
    }

    private static Part.Kind kind(String name) {
        String word = name.replaceFirst(" \\d+$", "");
        return switch (word) {
            case "Main spar", "Rear spar" -> Part.Kind.SPAR;
            case "Upper skin", "Lower skin", "Root cuff" -> Part.Kind.SKIN;
            case "Nose rib", "Main rib", "Aft rib" -> Part.Kind.RIB;
            case "Trailing edge strip" -> Part.Kind.ANGLE;
            default -> Part.Kind.SHEET;
        };
    }

    private static String page(Part.Kind kind) {
        return switch (kind) {
            case SPAR -> "section 6";
            case RIB -> "section 7";
            case SKIN -> "section 8";
            default -> "section 6, step 4";
        };
    }

    /** The log with the work done on parts before and between the rivets, and other evenings. */
    static Logbook lived(Build build, Logbook log) {
        List<LogEntry> entries = new ArrayList<>(log.entries());
        add(entries, own(build, 0), "section 7", "M. Oake", "2026-09-05T19:00", 45, "");
        add(entries, own(build, 1), "sheet 33", "M. Oake", "2026-09-26T11:00", 50, "pressed square, turns free");
        add(
                entries,
                new Labour.Stock("rivets, boxes 1 to 4"),
                "",
                "T. Lind",
                "2026-10-17T10:00",
                35,
                "two bags of -4 short");
        add(
                entries,
                on(build, "Main rib 3", PartTask.DEBURR_OPENINGS),
                "section 7",
                "M. Oake",
                "2026-11-15T14:20",
                25,
                "");
        add(
                entries,
                on(build, "Main rib 4", PartTask.DEBURR_EDGES),
                "section 7",
                "M. Oake",
                "2026-11-15T14:45",
                15,
                "");
        add(
                entries,
                on(build, "Nose rib 2", PartTask.FLUTE),
                "section 7",
                "M. Oake",
                "2026-11-16T19:10",
                40,
                "five flutes, measured again");
        add(entries, swept(build, "US-4", Operation.DEBURRED, 2), "section 8", "M. Oake", "2026-11-22T15:20", 35, "");
        return Logbook.of(entries, log.marks(), marks(build, log));
    }

    private static void add(
            List<LogEntry> entries, Labour.What what, String page, String who, String done, int minutes, String note) {
        LocalDateTime at = LocalDateTime.parse(done);
        entries.add(new LogEntry(
                entries.size() + 1,
                WRITTEN.plusSeconds(60L * entries.size()),
                Optional.empty(),
                Optional.of(new Labour(what, page, who, at, minutes, "", note, List.of())),
                ""));
    }

    private static Labour.Own own(Build build, int i) {
        OwnJob job = build.workshop().jobs().get(i);
        return new Labour.Own(job.id(), job.name());
    }

    private static Labour.OnPart on(Build build, String name, PartTask task) {
        return new Labour.OnPart(part(build, name).id(), name, task.code());
    }

    private static Part part(Build build, String name) {
        return build.parts().stream()
                .filter(p -> p.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private static Labour.Holes swept(Build build, String code, Operation operation, int rows) {
        Group group = build.group(code).orElseThrow().group();
        List<Work.LoggedHole> holes = new ArrayList<>();
        for (Row row : group.rows().subList(0, rows)) {
            row.holes().forEach(h -> holes.add(new Work.LoggedHole(h.id(), row.label(h))));
        }
        return new Labour.Holes(List.of(new Labour.Sweep(operation, group.id(), group.code(), holes)));
    }

    /** Spars, doublers and the first ribs are done; the later main ribs still owe their edges and lightening holes. */
    private static List<PartMark> marks(Build build, Logbook log) {
        PartStates states = PartStates.of(build);
        Instant at = Instant.parse("2026-09-10T18:00:00Z");
        List<PartMark> marks = new ArrayList<>();
        for (Part part : build.parts()) {
            boolean later = part.name().matches("Main rib [5-9]");
            if (part.fitted() && part.kind() != Part.Kind.SKIN) {
                for (Owing owing : states.owing(part.id())) {
                    boolean left = later
                            && (owing.task().equals(PartTask.DEBURR_EDGES.code())
                                    || owing.task().equals(PartTask.DEBURR_OPENINGS.code()));
                    if (!left) {
                        marks.add(new PartMark(part.id(), owing.task(), at));
                    }
                }
            }
        }
        return marks;
    }
}
