package bucina.core.log;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.catalogue.CatalogueReader;
import bucina.core.demo.Dunlin;
import bucina.core.demo.DunlinHistory;
import bucina.core.part.Pages;
import bucina.core.part.PartStates;
import bucina.core.plan.Build;
import bucina.core.stack.Derivation;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class HoursTest {

    private final Build dunlin = Dunlin.build(CatalogueReader.shipped().rules());
    private final Derivation derivation = Derivation.of(dunlin, CatalogueReader.shipped());
    private final Logbook log = DunlinHistory.of(derivation);

    @Test
    void the_hours_of_the_demonstration_add_up_to_the_minute_by_kind_by_assembly_and_entry_by_entry() {
        Hours hours = Hours.of(dunlin, log);
        int each = log.entries().stream()
                .filter(log::inForce)
                .mapToInt(e -> e.deed().map(Deed::minutes).orElse(0))
                .sum();
        int kinds = 0;
        for (Hours.Kind kind : Hours.Kind.values()) {
            kinds += hours.of(kind);
        }
        assertThat(hours.total()).isEqualTo(each).isEqualTo(kinds);
        // 45 + 50 min of own jobs, 35 of stock, 25 + 15 + 40 on parts, 35 on holes, beside the rivets.
        assertThat(hours.of(Hours.Kind.OWN)).isEqualTo(95);
        assertThat(hours.of(Hours.Kind.STOCK)).isEqualTo(35);
        assertThat(hours.of(Hours.Kind.PART)).isEqualTo(80);
        assertThat(hours.of(Hours.Kind.HOLES)).isEqualTo(35);
        assertThat(hours.lines()).extracting(Hours.Line::assembly).containsExactly("Stabilator", "the whole build");
    }

    @Test
    void a_corrected_entry_no_longer_counts() {
        LogEntry own = log.entries().stream()
                .filter(e ->
                        e.labour().filter(l -> l.what() instanceof Labour.Own).isPresent())
                .findFirst()
                .orElseThrow();
        Logbook without = log.plus(LogEntry.Draft.withdraw(own.id(), "twice").numbered(log.nextId(), own.entered()));
        assertThat(Hours.of(dunlin, without).of(Hours.Kind.OWN)).isEqualTo(50);
    }

    @Test
    void the_hours_of_all_people_are_all_hours_and_whoever_worked_most_stands_first() {
        Map<String, Integer> people = Hours.byPerson(log);
        assertThat(people.values().stream().mapToInt(m -> m).sum())
                .isEqualTo(Hours.of(dunlin, log).total());
        assertThat(List.copyOf(people.values())).isSortedAccordingTo(Comparator.reverseOrder());
        LogEntry own = log.entries().stream()
                .filter(e ->
                        e.labour().filter(l -> l.what() instanceof Labour.Own).isPresent())
                .findFirst()
                .orElseThrow();
        String who = own.deed().orElseThrow().who();
        Logbook without = log.plus(LogEntry.Draft.withdraw(own.id(), "twice").numbered(log.nextId(), own.entered()));
        assertThat(Hours.byPerson(without))
                .containsEntry(who, people.get(who) - own.deed().orElseThrow().minutes());
    }

    @Test
    void pages_stand_in_the_order_of_their_figures_with_what_is_done_on_each() {
        List<Pages> pages = Pages.of(dunlin, PartStates.of(derivation, log), log);
        assertThat(pages)
                .extracting(Pages::page)
                .containsExactly("section 6", "section 6, step 4", "section 7", "section 8", "sheet 33");
        Pages bushing = pages.getLast();
        assertThat(bushing.jobs()).hasSize(1);
        assertThat(bushing.done()).isEqualTo(1);
        assertThat(pages.get(3).groups()).hasSize(15);
        assertThat(pages.get(2).parts()).extracting(p -> p.name()).contains("Main rib 3", "Aft rib 2");
    }
}
