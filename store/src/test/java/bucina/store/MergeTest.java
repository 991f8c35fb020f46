package bucina.store;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.catalogue.CatalogueReader;
import bucina.core.demo.PracticeBox;
import bucina.core.edit.HoleEdits;
import bucina.core.log.Labour;
import bucina.core.log.LogEntry;
import bucina.core.log.Logbook;
import bucina.core.log.Mark;
import bucina.core.log.Operation;
import bucina.core.log.PartMark;
import bucina.core.material.Material;
import bucina.core.measure.Length;
import bucina.core.plan.Build;
import bucina.core.plan.Deviation;
import bucina.core.plan.Id;
import bucina.core.plan.OwnJob;
import bucina.core.plan.Part;
import bucina.core.stores.Balance;
import bucina.store.json.BuildJson;
import bucina.store.json.Json;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

class MergeTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 11, 29);

    /** A bench that works on: its plan, its log, and the tokens of its plan. */
    private static final class Bench {

        private Build build;
        private Logbook log;
        private Map<Integer, Chain.Link> chain;
        private final List<String> plans;
        private final Random random;
        private int hour;

        Bench(Build build, Logbook log, Map<Integer, Chain.Link> chain, List<String> plans, Random random) {
            this.build = build;
            this.log = log;
            this.chain = chain;
            this.plans = new ArrayList<>(plans);
            this.random = random;
        }

        Bench copy(int apart, Random with) {
            Bench copy = new Bench(build, log, chain, plans, with);
            copy.build = build.withNextId(build.nextId() + apart);
            copy.hour = hour;
            return copy;
        }

        void work(int steps) {
            for (int i = 0; i < steps; i++) {
                switch (random.nextInt(7)) {
                    case 0, 1 -> enter(Optional.empty());
                    case 2 -> {
                        List<LogEntry> open =
                                log.entries().stream().filter(log::inForce).toList();
                        enter(
                                open.isEmpty()
                                        ? Optional.empty()
                                        : Optional.of(open.get(random.nextInt(open.size()))
                                                .id()));
                    }
                    case 3 -> mark();
                    case 4 -> plan(part(build));
                    case 5 -> plan(deviate(build));
                    default -> plan(job(build));
                }
                hour++;
            }
        }

        private Instant now() {
            return Instant.parse("2026-11-01T08:00:00Z").plusSeconds(3600L * hour + random.nextInt(3));
        }

        private void enter(Optional<Integer> corrects) {
            Labour labour = new Labour(
                    new Labour.Stock("box " + random.nextInt(1000)),
                    "",
                    random.nextBoolean() ? "A" : "B",
                    LocalDateTime.parse("2026-11-01T08:00").plusHours(hour),
                    random.nextInt(60),
                    "",
                    "",
                    List.of());
            LogEntry entry = new LogEntry(
                    log.nextId(), now(), corrects, Optional.of(labour), corrects.isPresent() ? "wrong" : "");
            log = log.plus(entry);
            chain = Chain.bind(log.entries(), chain);
        }

        private void mark() {
            var face = build.faces().getFirst().face();
            var row = face.groups().getFirst().rows().getFirst();
            log = log.plus(List.of(new Mark(
                    row.holes().get(random.nextInt(row.holes().size())).id(),
                    face.layers().getFirst().id(),
                    Mark.Side.BOTH,
                    random.nextBoolean() ? Operation.FINAL_SIZE : Operation.DEBURRED,
                    now())));
            log = log.plusOnParts(List.of(new PartMark(build.parts().getFirst().id(), "clean", now())));
        }

        private void plan(Build changed) {
            build = changed.checked();
            plans.add("t" + random.nextLong());
        }

        private Build part(Build b) {
            Part first = b.parts().get(random.nextInt(b.parts().size()));
            Build renamed = random.nextBoolean()
                    ? b.with(first.as("Part " + random.nextInt(1000), Material.parse("6061-T6"), first.kind()))
                    : b;
            List<Part> parts = new ArrayList<>(renamed.parts());
            parts.add(new Part(new Id.Part(b.nextId()), "New " + b.nextId(), Material.parse("2024-T3"), 90, true));
            return renamed.withParts(parts, b.nextId() + 1);
        }

        private Build deviate(Build b) {
            var row = b.faces().getFirst().face().groups().getFirst().rows().getFirst();
            return HoleEdits.deviate(
                    b,
                    Set.of(row.holes().get(random.nextInt(row.holes().size())).id()),
                    Optional.of(new Deviation(
                            Optional.of(Length.in(.1 + random.nextInt(20) / 1000.0)),
                            Optional.empty(),
                            Optional.empty(),
                            "egged " + random.nextInt(100))));
        }

        private Build job(Build b) {
            List<OwnJob> jobs = b.workshop().jobs();
            boolean again = !jobs.isEmpty() && random.nextBoolean();
            Id.Own id = again ? jobs.get(random.nextInt(jobs.size())).id() : new Id.Own(b.nextId());
            OwnJob job = new OwnJob(id, "Job " + random.nextInt(1000), "", Optional.empty(), List.of(), "");
            return b.withWorkshop(b.workshop().with(job), again ? b.nextId() : b.nextId() + 1);
        }

        Merge.Side side() {
            return new Merge.Side(new Document(build, log, List.of(), chain), plans);
        }
    }

    private static Set<String> hashes(Document d) {
        return d.chain().values().stream().map(Chain.Link::hash).collect(Collectors.toSet());
    }

    private static String text(Merge.Merged m) {
        return Json.line(BuildJson.write(m.document()));
    }

    @Test
    void five_hundred_pairs_that_went_apart_come_together_whole_either_way_round_and_once() {
        Build box = PracticeBox.build(CatalogueReader.shipped().rules());
        Random random = new Random(11);
        int differed = 0;
        for (int i = 0; i < 500; i++) {
            Bench base = new Bench(box, Logbook.EMPTY, Map.of(), List.of("t0"), new Random(random.nextLong()));
            base.work(random.nextInt(8));
            Bench a = base.copy(0, new Random(random.nextLong()));
            Bench b = base.copy(40_000, new Random(random.nextLong()));
            a.work(random.nextInt(10));
            b.work(random.nextInt(10));
            Merge.Merged both = Merge.of(a.side(), b.side(), TODAY);
            String how = "pair " + i;
            whole(both.document(), a, b, base.plans.size(), how);
            assertThat(text(Merge.of(b.side(), a.side(), TODAY))).as(how).isEqualTo(text(both));
            Merge.Side again = new Merge.Side(both.document(), both.plans());
            assertThat(text(Merge.of(again, a.side(), TODAY))).as(how).isEqualTo(text(both));
            assertThat(text(Merge.of(b.side(), again, TODAY))).as(how).isEqualTo(text(both));
            differed += both.document().build().papers().bulletins().isEmpty() ? 0 : 1;
        }
        assertThat(differed).isBetween(50, 450);
    }

    private static void whole(Document is, Bench a, Bench b, int before, String how) {
        Set<String> all = new HashSet<>(hashes(a.side().document()));
        all.addAll(hashes(b.side().document()));
        assertThat(hashes(is)).as(how).isEqualTo(all);
        assertThat(is.log().entries()).hasSize(all.size());
        List<Chain.Text> texts = is.log().entries().stream()
                .map(e -> Chain.Text.of(e, is.chain().get(e.id())))
                .toList();
        assertThat(Chain.verify(texts, texts.size(), Chain.heads(is.chain().values()))
                        .why())
                .as(how)
                .isEmpty();
        assertThat(is.log().marks()).as(how).containsAll(a.log.marks()).containsAll(b.log.marks());
        assertThat(is.log().partMarks()).containsAll(a.log.partMarks()).containsAll(b.log.partMarks());
        String plan = Json.line(BuildJson.plan(is.build()));
        for (Bench bench : List.of(a, b)) {
            Set<Long> ids = is.build().parts().stream().map(p -> p.id().n()).collect(Collectors.toSet());
            assertThat(ids)
                    .as(how)
                    .containsAll(
                            bench.build.parts().stream().map(p -> p.id().n()).toList());
            if (bench.plans.size() == before) {
                // Nothing was changed here since they parted: what the other changed stands.
                continue;
            }
            bench.build.parts().forEach(p -> assertThat(plan).as(how).contains("\"" + p.name() + "\""));
            bench.build.workshop().jobs().forEach(j -> assertThat(plan).as(how).contains("\"" + j.name() + "\""));
            bench.build.faces().getFirst().face().groups().getFirst().rows().getFirst().holes().stream()
                    .flatMap(h -> h.deviation().stream())
                    .forEach(d -> assertThat(plan).as(how).contains("\"" + d.reason() + "\""));
        }
    }

    @Test
    void one_line_of_plans_is_no_difference_and_two_corrections_of_one_entry_both_stay() {
        Build box = PracticeBox.build(CatalogueReader.shipped().rules());
        Bench base = new Bench(box, Logbook.EMPTY, Map.of(), List.of("t0"), new Random(1));
        base.enter(Optional.empty());
        Bench a = base.copy(0, new Random(2));
        Bench b = base.copy(40_000, new Random(3));
        a.plan(a.part(a.build));
        a.hour = 1;
        a.enter(Optional.of(1));
        b.hour = 2;
        b.enter(Optional.of(1));
        Merge.Merged both = Merge.of(a.side(), b.side(), TODAY);
        assertThat(both.document().build().parts()).isEqualTo(a.build.parts());
        assertThat(both.document().build().papers().bulletins()).isEmpty();
        Logbook log = both.document().log();
        assertThat(log.entries()).hasSize(3);
        assertThat(log.entries())
                .filteredOn(log::inForce)
                .extracting(LogEntry::id)
                .containsExactly(3);
    }

    @Test
    void hardware_that_both_benches_counted_is_one_kit_and_that_is_said() {
        Build box = PracticeBox.build(CatalogueReader.shipped().rules());
        Bench base = new Bench(box, Logbook.EMPTY, Map.of(), List.of("t0"), new Random(1));
        base.enter(Optional.empty());
        Bench a = base.copy(0, new Random(2));
        Bench b = base.copy(40_000, new Random(3));
        a.plan(Balance.with(a.build, "MS20470AD4-5", i -> i.withKit(100)));
        b.plan(Balance.with(b.build, "AN470AD4-5", i -> i.withKit(120)));
        b.plan(Balance.with(b.build, "MS20426AD3-4", i -> i.withKit(50)));
        Merge.Merged both = Merge.of(a.side(), b.side(), TODAY);
        assertThat(both.said())
                .contains("Counted on both benches and taken as one kit, with the larger count and what each bought: "
                        + "MS20470AD4-5.");
        assertThat(Balance.kept(both.document().build(), "MS20470AD4-5")
                        .orElseThrow()
                        .kit())
                .isEqualTo(120);
    }
}
