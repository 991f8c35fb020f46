package bucina.store.json;

import bucina.core.log.CloseOut;
import bucina.core.log.GaugeCheck;
import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Operation;
import bucina.core.log.PartMark;
import bucina.core.log.Proof;
import bucina.core.log.Reset;
import bucina.core.log.Seen;
import bucina.core.log.Taken;
import bucina.core.log.Tightened;
import bucina.core.log.Verdict;
import bucina.core.log.Work;
import bucina.core.measure.Length;
import bucina.core.plan.Build;
import bucina.core.plan.Gaging;
import bucina.core.plan.Group;
import bucina.core.plan.Hole;
import bucina.core.plan.Id;
import bucina.core.plan.OwnJob;
import bucina.core.plan.Part;
import bucina.core.plan.Row;
import java.time.Instant;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** A log with an entry of every kind that sets no fastener, and marks on parts. */
public final class FullLog {

    private static final Instant AT = Instant.parse("2026-11-25T10:00:00.250Z");

    private FullLog() {}

    public static Logbook of(Build build) {
        Part part = build.parts().getFirst();
        OwnJob job = build.workshop().jobs().getFirst();
        Group group = build.faces().getFirst().face().groups().getFirst();
        Row row = group.rows().getFirst();
        Hole hole = row.holes().getFirst();
        List<Work.LoggedHole> holes = List.of(new Work.LoggedHole(hole.id(), row.label(hole)));
        List<Labour.What> all = List.of(
                new Labour.Holes(List.of(new Labour.Sweep(Operation.DEBURRED, group.id(), group.code(), holes))),
                new Labour.Holes(List.of(new Labour.Sweep(
                        Operation.TORQUED, group.id(), group.code(), holes, Optional.of(new Tightened(60.5, 8))))),
                new Labour.OnPart(part.id(), part.name(), "deburr-edges"),
                new Labour.Own(job.id(), job.name()),
                new Labour.Stock("rivets, box 3"),
                new Labour.Found("Root rib", List.of(part.id()), holes, List.of(), 0),
                new Labour.Found("MW-9", List.of(), List.of(), List.of(new Id.Group(900)), 3),
                proof(group, holes.getFirst()),
                new GaugeCheck("caliper 2", Length.in(.25), Length.in(.2495)),
                new Reset("hand squeezer", "flush set", Optional.of(Length.in(.104))),
                new Reset("gun", "", Optional.empty()),
                new CloseOut(
                        new Id.Bay(900),
                        "Nose bay",
                        List.of(new CloseOut.Left("US-1: 2 not set", "pulled from outside")),
                        List.of(new CloseOut.Counted("mandrels", 48, 48))),
                new Taken(new Id.Gaging(901), "Horn to skin", Length.in(.2).nanometres(), Gaging.In.LENGTH, true),
                new Taken(new Id.Gaging(902), "Twist", 1.25, Gaging.In.DEGREES, false));
        List<LogEntry> entries = new ArrayList<>();
        for (Labour.What what : all) {
            entries.add(new LogEntry(entries.size() + 1, AT, Optional.empty(), Optional.of(labour(what)), ""));
        }
        entries.add(new LogEntry(
                entries.size() + 1, AT, Optional.empty(), Optional.of(mended(group, holes.getFirst())), ""));
        return Logbook.of(
                entries,
                List.of(),
                List.of(
                        new PartMark(part.id(), "flute", AT, true, Optional.of(Length.in(.004)), "at the nose"),
                        new PartMark(part.id(), "deburr-edges", AT),
                        new PartMark(part.id(), "deburr-edges", AT).turned(AT.plusSeconds(9))));
    }

    private static Proof proof(Group group, Work.LoggedHole hole) {
        return new Proof(
                group.id(),
                group.code(),
                "caliper 2",
                List.of(
                        new Proof.Head(
                                Optional.of(hole),
                                0,
                                Optional.of(new Work.Reading(hole.label(), Length.in(.19), Length.in(.048))),
                                false,
                                List.of(Seen.of(Seen.What.CUT, Length.in(.001)), Seen.gap(30, false)),
                                1,
                                Verdict.LEAVE,
                                Verdict.ASK,
                                "it looks odd"),
                        new Proof.Head(
                                Optional.of(hole),
                                0,
                                Optional.empty(),
                                true,
                                List.of(Seen.of(Seen.What.FOLD)),
                                0,
                                Verdict.REPLACE,
                                Verdict.REPLACE,
                                ""),
                        new Proof.Head(
                                Optional.empty(),
                                3,
                                Optional.empty(),
                                true,
                                List.of(),
                                0,
                                Verdict.LEAVE,
                                Verdict.LEAVE,
                                "")));
    }

    private static Work mended(Group group, Work.LoggedHole hole) {
        return new Work(
                group.id(),
                group.code(),
                List.of(hole),
                1,
                "MS20426AD4-4",
                Optional.of(Length.in(.25)),
                "M. Oake",
                LocalDateTime.parse("2026-11-25T12:00"),
                15,
                new Work.Setup("gun", Optional.empty(), Optional.of(Length.in(.131)), "flush set"),
                List.of(new Work.Reading(hole.label(), Length.in(.19), Length.in(.06))),
                List.of(),
                "second drill-out",
                "",
                List.of(),
                Optional.of(new Work.Removal(Optional.of(Length.in(.131)), "folded over")));
    }

    private static Labour labour(Labour.What what) {
        return new Labour(
                what,
                "sheet 7",
                "M. Oake",
                LocalDateTime.parse("2026-11-25T11:00"),
                what instanceof Labour.Found ? 0 : 25,
                "because",
                "a note",
                List.of());
    }
}
