package bucina.core.part;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import bucina.core.catalogue.CatalogueReader;
import bucina.core.demo.Dunlin;
import bucina.core.demo.DunlinHistory;
import bucina.core.edit.AssemblyEdits;
import bucina.core.edit.PartEdits;
import bucina.core.log.Logbook;
import bucina.core.measure.InputException;
import bucina.core.measure.Unit;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Hand;
import bucina.core.plan.Id;
import bucina.core.plan.Layer;
import bucina.core.plan.Part;
import bucina.core.plan.Standing;
import bucina.core.stack.Derivation;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

class PartEditsTest {

    private final Build dunlin = Dunlin.build(CatalogueReader.shipped().rules());
    private final Derivation derivation = Derivation.of(dunlin, CatalogueReader.shipped());
    private final Logbook log = DunlinHistory.of(derivation);

    private static Part part(Build build, String name) {
        return build.parts().stream()
                .filter(p -> p.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    /** Which sheets lie together in one part, by name of the part. */
    private static Map<String, Set<Id.Layer>> sheets(Build build) {
        Map<String, Set<Id.Layer>> sheets = new HashMap<>();
        for (Part part : build.parts()) {
            sheets.put(
                    part.name(),
                    build.faces().stream()
                            .flatMap(f -> f.face().layers().stream())
                            .filter(l -> l.part().equals(part.id()))
                            .map(Layer::id)
                            .collect(Collectors.toSet()));
        }
        return sheets;
    }

    @Test
    void joined_and_split_again_the_parts_are_as_they_were() {
        Random random = new Random(13);
        List<Part> parts = dunlin.parts();
        for (int i = 0; i < 200; i++) {
            Part a = parts.get(random.nextInt(parts.size()));
            Part b = parts.get(random.nextInt(parts.size()));
            if (a.equals(b)) {
                continue;
            }
            Set<Id.Layer> own = sheets(dunlin).get(b.name());
            Build joined = PartEdits.join(dunlin, a.id(), b.id());
            assertThat(joined.parts()).hasSize(parts.size() - 1);
            assertThat(PartStates.of(joined).named(b.name()))
                    .as("known by its other name")
                    .isPresent();
            Build again = PartEdits.split(joined, a.id(), own, b.name());
            assertThat(sheets(again)).isEqualTo(sheets(dunlin));
            assertThat(part(again, a.name()).material()).isEqualTo(a.material());
            assertThat(part(again, a.name()).particulars().aliases()).doesNotContain(b.name());
        }
    }

    @Test
    void how_a_part_stands_is_the_same_asked_from_any_of_its_faces() {
        Random random = new Random(14);
        Build build = dunlin;
        for (int i = 0; i < 200; i++) {
            PartStates states = PartStates.of(Derivation.of(build, CatalogueReader.shipped()), log);
            Part part = build.parts().get(random.nextInt(build.parts().size()));
            Standing next = Standing.values()[random.nextInt(Standing.values().length)];
            try {
                build = PartEdits.stands(build, states, part.id(), next);
            } catch (InputException e) {
                assertThat(states.faces(part.id())).allMatch(f -> riveted(part.id(), f));
                continue;
            }
            PartStates now = PartStates.of(Derivation.of(build, CatalogueReader.shipped()), log);
            for (Face face : now.faces(part.id())) {
                assertThat(now.at(part.id(), face.id())).isEqualTo(riveted(part.id(), face) ? Standing.ON : next);
                assertThat(now.inPlace(part.id(), face.id())).isEqualTo(next.inPlace() || riveted(part.id(), face));
            }
            if (i == 0) {
                assertThat(now.faces(part.id())).isNotEmpty();
            }
        }
    }

    /** The judge: a rivet or bolt of the log goes through a sheet of the part on the face. */
    private boolean riveted(Id.Part part, Face face) {
        return derivation.face(face.id()).readings().stream()
                .filter(r -> r.layers().stream().anyMatch(l -> l.part().equals(part)))
                .filter(r -> !r.group().fastener().name().startsWith("MS27039"))
                .anyMatch(r -> log.installedBy(r.hole().id()).isPresent());
    }

    @Test
    void a_wrapped_skin_is_lifted_where_no_rivet_holds_it_and_stays_where_one_does() {
        PartStates states = PartStates.of(derivation, log);
        Id.Part rib = part(dunlin, "Main rib 3").id();
        assertThat(states.of(rib)).isEqualTo(Standing.DRY);
        Build off = PartEdits.stands(dunlin, states, rib, Standing.OFF);
        PartStates now = PartStates.of(Derivation.of(off, CatalogueReader.shipped()), log);
        for (Face face : now.faces(rib)) {
            assertThat(now.inPlace(rib, face.id()))
                    .as(face.name())
                    .isEqualTo(face.name().contains("web"));
        }
        assertThat(now.words(rib)).contains("for good on Main spar web, Rear spar web");
    }

    @Test
    void a_part_on_for_good_everywhere_is_not_taken_off() {
        PartStates states = PartStates.of(derivation, log);
        assertThatThrownBy(() -> PartEdits.stands(
                        dunlin, states, part(dunlin, "Rear spar doubler").id(), Standing.OFF))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("on for good on Rear spar web");
    }

    @Test
    void screws_never_make_a_part_be_on_for_good() {
        Logbook bare = Logbook.EMPTY;
        PartStates states = PartStates.of(derivation, bare);
        dunlin.parts()
                .forEach(p -> dunlin.faces()
                        .forEach(f -> assertThat(states.forGood(p.id(), f.face().id()))
                                .isFalse()));
        assertThat(dunlin.group("LS-8").orElseThrow().group().fastener().permanent())
                .isFalse();
        assertThat(dunlin.group("MW-3").orElseThrow().group().fastener().permanent())
                .isTrue();
    }

    @Test
    void taken_apart_is_one_command_and_leaves_what_rivets_hold() {
        PartStates states = PartStates.of(derivation, log);
        Id.Assembly all = dunlin.assemblies().getFirst().id();
        Build apart = PartEdits.apart(dunlin, states, all);
        for (Part part : apart.parts()) {
            if (states.of(part.id()) == Standing.DRY) {
                assertThat(part.standing()).isEqualTo(Standing.OFF);
            } else {
                assertThat(part.standing()).isEqualTo(part(dunlin, part.name()).standing());
            }
        }
        PartStates now = PartStates.of(Derivation.of(apart, CatalogueReader.shipped()), log);
        assertThatThrownBy(() -> PartEdits.apart(apart, now, all)).hasMessageContaining("nothing to take apart");
    }

    @Test
    void a_sheet_given_to_another_part_takes_its_bare_part_away() {
        Layer ring = dunlin.face("Lower skin").orElseThrow().face().layers().get(1);
        Build given =
                PartEdits.give(dunlin, ring.id(), part(dunlin, "Lower skin").id());
        assertThat(given.part(part(dunlin, "Lower skin").id())).isNotNull();
        // Something is said of the ring, so it stays in the list, on no face.
        assertThat(given.parts()).hasSameSizeAs(dunlin.parts());
        assertThat(PartStates.of(given).faces(part(dunlin, "Access ring").id())).isEmpty();
        assertThat(PartEdits.drop(given, part(dunlin, "Access ring").id()).parts())
                .hasSize(dunlin.parts().size() - 1);
        assertThatThrownBy(
                        () -> PartEdits.drop(dunlin, part(dunlin, "Access ring").id()))
                .hasMessageContaining("lies on Lower skin");
    }

    @Test
    void faces_move_between_assemblies_with_their_parts() {
        Id.Face web = dunlin.face("Main spar web").orElseThrow().face().id();
        Build two = AssemblyEdits.add(dunlin, "Spar", Hand.LEFT, Unit.INCH);
        Id.Assembly spar = two.assemblies().getLast().id();
        Build moved = AssemblyEdits.move(two, web, spar);
        assertThat(moved.face(web).orElseThrow().assembly().id()).isEqualTo(spar);
        assertThat(sheets(moved)).isEqualTo(sheets(dunlin));
        Build named = AssemblyEdits.face(moved, web, "Web", "from aft", "outboard", "down");
        assertThat(named.face("Web").orElseThrow().face().viewed()).isEqualTo("from aft");
        assertThatThrownBy(() -> AssemblyEdits.addFace(named, spar, "web", "", "", ""))
                .hasMessageContaining("already");
        Build dropped = AssemblyEdits.drop(named, spar);
        assertThat(dropped.faces()).hasSize(3);
        assertThat(dropped.checked()).isSameAs(dropped);
    }
}
