package bucina.desk.help;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.rule.RuleCode;
import bucina.core.rule.RuleKey;
import bucina.core.sums.Sum;
import bucina.core.sums.Sums;
import bucina.desk.look.Shown;
import bucina.desk.session.Stage;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaModifier;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** The guide in the program is the guide in docs; it leads everywhere and says something of everything. */
class GuideTest {

    private static final Path DOCS = Path.of("../docs/guide");

    private final Guide guide = Guide.shipped();

    @Test
    void every_page_of_the_folder_is_reached_from_the_first_and_is_shipped_as_it_is() throws IOException {
        Set<String> files;
        try (Stream<Path> all = Files.list(DOCS)) {
            files = all.map(p -> p.getFileName().toString().replaceFirst("\\.md$", ""))
                    .collect(Collectors.toCollection(TreeSet::new));
        }
        assertThat(guide.pages()).extracting(Guide.Page::name).containsExactlyInAnyOrderElementsOf(files);
        for (String file : files) {
            assertThat(getClass().getResourceAsStream("/bucina/desk/guide/" + file + ".md"))
                    .hasBinaryContent(Files.readAllBytes(DOCS.resolve(file + ".md")));
        }
    }

    @Test
    void no_link_is_dead_and_every_picture_is_there() {
        for (Guide.Page page : guide.pages()) {
            for (String link : page.links()) {
                Guide.Place to = Guide.place(link, page.name())
                        .orElseThrow(() -> new AssertionError(page.name() + " leads out of the guide: " + link));
                assertThat(guide.page(to.page()))
                        .as("%s in %s", link, page.name())
                        .isPresent();
                assertThat(guide.page(to.page()).orElseThrow().has(to.anchor()))
                        .as("%s in %s", link, page.name())
                        .isTrue();
            }
            for (String picture : page.pictures()) {
                assertThat(DOCS.resolve(picture)).exists();
            }
        }
    }

    @Test
    void every_room_card_and_stage_has_its_page() {
        Set<String> screens = new ClassFileImporter()
                .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS).importPackages("bucina.desk").stream()
                        .filter(c -> c.isAssignableTo(Shown.class)
                                && !c.isInterface()
                                && !c.getModifiers().contains(JavaModifier.ABSTRACT))
                        .map(JavaClass::getSimpleName)
                        .filter(n -> n.endsWith("Card") || n.endsWith("Room") || n.equals("BenchMode"))
                        .filter(n -> !n.equals("PictureCard"))
                        .collect(Collectors.toCollection(TreeSet::new));
        Stream.of(Stage.values()).forEach(s -> screens.add("stage-" + s.name().toLowerCase(Locale.ROOT)));
        screens.addAll(List.of("EmptyView", "FirstStart", "changing"));
        assertThat(screens).hasSizeGreaterThan(45);
        assertThat(screens.stream().filter(s -> guide.about(s).isEmpty())).isEmpty();
    }

    @Test
    void every_finding_limit_and_sum_has_its_section_which_says_something() {
        List<String> keys = Stream.of(
                        Stream.of(RuleCode.values()).map(RuleCode::code),
                        Stream.of(RuleKey.values()).map(RuleKey::code),
                        Sums.ALL.stream().map(Sum::code))
                .flatMap(s -> s)
                .toList();
        Map<String, Guide.Section> said = guide.pages().stream()
                .flatMap(p -> p.sections().stream())
                .filter(s -> !s.key().isEmpty())
                .collect(Collectors.toMap(s -> s.place().page() + " " + s.key(), s -> s));
        assertThat(said).hasSize(keys.size());
        for (String key : keys) {
            Guide.Place place = guide.about(key).orElseThrow(() -> new AssertionError("nothing of " + key));
            assertThat(said.get(place.page() + " " + key).text()).as(key).hasSizeGreaterThan(20);
        }
    }

    @Test
    void a_limit_is_called_what_it_is_called_in_the_rules() {
        for (RuleKey key : RuleKey.values()) {
            Guide.Place place = guide.about(key.code()).orElseThrow();
            assertThat(guide.page(place.page()).orElseThrow().sections())
                    .anyMatch(s -> s.title().equals(key.title()) && s.key().equals(key.code()));
        }
    }

    @Test
    void a_number_leads_to_its_term() {
        assertThat(guide.about(guide.term("Edge, least 2.5 D")))
                .hasValueSatisfying(p -> assertThat(p.anchor()).isEqualTo("edge-distance"));
        for (String title :
                List.of("Grip G", "Use", "Effective grip Ge", "Shop head", "Squeezer gap", "Hole", "Torque")) {
            assertThat(guide.about(guide.term(title)))
                    .as(title)
                    .hasValueSatisfying(p -> assertThat(p.page()).isEqualTo("terms"));
        }
        assertThat(guide.about(guide.term("Bars cut")))
                .hasValueSatisfying(p -> assertThat(p.page()).isEqualTo("numbers"));
    }

    @Test
    void words_are_found_where_they_stand_those_of_titles_first() {
        assertThat(guide.find("knife edge", 5))
                .first()
                .satisfies(s -> assertThat(s.key()).isEqualTo("knife-edge"));
        assertThat(guide.find("behind mandrel body", 9)).isNotEmpty();
        assertThat(guide.find("xylophone", 9)).isEmpty();
    }

    @Test
    void what_no_page_can_be_is_our_mistake() {
        assertThat(Guide.anchor("Too near an edge edge-distance-least"))
                .isEqualTo("too-near-an-edge-edge-distance-least");
        assertThat(Guide.place("https://elsewhere", "index")).isEmpty();
        assertThat(Guide.place("#use", "terms")).contains(new Guide.Place("terms", "use"));
    }
}
