package bucina.core.job;

import bucina.core.log.Logbook;
import bucina.core.log.Proof;
import bucina.core.log.Verdict;
import bucina.core.log.Work;
import bucina.core.measure.InputException;
import bucina.core.plan.Group;
import bucina.core.plan.Id;
import bucina.core.prove.Judge;
import bucina.core.prove.Proving;
import bucina.core.stack.Derivation;
import bucina.core.stack.HoleReading;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** Heads of a job of proof, measured all in one go. */
final class Measured {

    private Measured() {}

    /**
     * The proof that readings make.
     *
     * @param jobs     of one row, or of one group without geometry
     * @param readings one for each head that is due, in setting order; none of pulled rivets, which are looked at
     * @throws InputException if no head is due, or there are more readings or fewer than heads
     */
    static Proof proof(List<Job> jobs, Derivation derivation, Logbook log, List<Work.Reading> readings) {
        Job.Place place = jobs.getFirst().place().orElseThrow();
        Group group = place.group();
        Set<Id.Hole> asked = jobs.stream()
                .flatMap(j -> j.place().orElseThrow().holes().stream())
                .map(h -> h.hole().id())
                .collect(Collectors.toSet());
        List<Proving.Line> due = Proving.of(derivation, log, place.face().id(), group).due().stream()
                .filter(l -> l.hole().map(h -> asked.contains(h.id())).orElse(true))
                .toList();
        if (due.isEmpty()) {
            throw new InputException("no head of " + jobs.getFirst().id()
                    + " is due: what the sample asks for is not set yet, or was measured and is to be decided on");
        }
        boolean looked = Proving.head(group.fastener()) == Judge.Head.BLIND;
        if (readings.size() != (looked ? 0 : due.size())) {
            String heads = due.stream().map(Proving.Line::called).collect(Collectors.joining(", "));
            throw new InputException(
                    looked
                            ? "heads of pulled rivets are looked at, not measured: leave the readings out for " + heads
                            : "each head is measured: give " + due.size()
                                    + " readings, diameter x height like .190x.062, in this order: " + heads
                                    + "; there are "
                                    + readings.size());
        }
        Judge judge = new Judge(derivation.build().rules());
        List<Proof.Head> heads = new ArrayList<>();
        for (int i = 0; i < due.size(); i++) {
            Optional<Work.Reading> reading = looked ? Optional.empty() : Optional.of(readings.get(i));
            heads.add(head(due.get(i), reading, judge, derivation, place));
        }
        return new Proof(group.id(), group.code(), "", heads);
    }

    private static Proof.Head head(
            Proving.Line line, Optional<Work.Reading> reading, Judge judge, Derivation derivation, Job.Place place) {
        Optional<HoleReading> at =
                line.hole().flatMap(h -> derivation.face(place.face().id()).of(h.id()));
        Verdict says = judge.of(Proving.subject(
                        place.group(),
                        at,
                        line.entry().work().map(w -> w.setup().tool()),
                        p -> derivation.build().part(p).material(),
                        reading,
                        List.of(),
                        0))
                .said()
                .verdict();
        int number = line.hole().isPresent() ? 0 : line.number();
        return new Proof.Head(line.hole(), number, reading, reading.isEmpty(), List.of(), 0, says, says, "");
    }
}
