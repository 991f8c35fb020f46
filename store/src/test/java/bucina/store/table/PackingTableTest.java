package bucina.store.table;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatExceptionOfType;

import bucina.core.catalogue.CatalogueReader;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.stores.TakeIn;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Packing lists as makers and spreadsheets write them. */
class PackingTableTest {

    private static PackingTable.Reading read(String text) {
        return PackingTable.read(text, Unit.INCH, CatalogueReader.shipped().drills());
    }

    @Test
    void columns_may_stand_in_any_order_with_what_nobody_asked_for_between() {
        PackingTable.Reading read = read("""
                weight,Qty,Crate,Description,P/N,Gauge
                1.2,2,crate 1,Nose rib,DS-110,.025
                """);
        assertThat(read.lines())
                .containsExactly(new TakeIn.Line(
                        "DS-110", "Nose rib", 2, "crate 1", Optional.of(Length.in(.025)), Optional.empty()));
        assertThat(read.understood())
                .containsExactlyInAnyOrder(
                        "Qty as a count",
                        "Description as a name",
                        "P/N as a number",
                        "Gauge as a gauge",
                        "Crate as a crate");
        assertThat(read.notes()).containsExactly("Nothing is taken from: weight.");
    }

    @Test
    void units_stand_in_the_heading_and_decimals_behind_a_comma() {
        PackingTable.Reading read = read("""
                Lieferschein 4711;;;;
                Teilenummer;Benennung;Menge;Dicke (mm);Länge (cm)
                DL-3;Haut;1;0,81;152,4
                DL-4;Rippe;4;1,02;
                """);
        assertThat(read.lines().getFirst().gauge()).contains(Length.mm(.81));
        assertThat(read.lines().getFirst().length()).contains(Length.mm(1524));
        assertThat(read.lines().get(1).length()).isEmpty();
        assertThat(read.understood()).contains("Dicke (mm) as a gauge in millimetres", "decimals after a comma");
        assertThat(read.notes()).containsExactly("1 line before the headings passed over.");
    }

    @Test
    void a_designation_is_a_number_alone_and_a_name_beside_numbers() {
        assertThat(read("designation,qty\nMS20426AD3-3.5,420\n")
                        .lines()
                        .getFirst()
                        .number())
                .isEqualTo("MS20426AD3-3.5");
        TakeIn.Line line =
                read("Référence,Désignation,Qté\nDS-1,Longeron,1\n").lines().getFirst();
        assertThat(line.number()).isEqualTo("DS-1");
        assertThat(line.name()).isEqualTo("Longeron");
    }

    @Test
    void titles_between_crates_and_a_sum_at_the_end_are_no_lines() {
        assertThat(read("""
                number,name,qty
                ,Crate 1,
                DS-1,Spar,1
                ,,
                ,Crate 2,
                DS-2,Rib,2 pcs
                DS-3,Rib,3.0
                """).lines()).extracting(TakeIn.Line::count).containsExactly(1, 2, 3);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "name,weight\\nSpar,1 | for how many",
                "number,qty\\nDS-1,two | line 2 of the list: \"two\" is no count",
                "number,qty\\nDS-1,-1 | \"-1\" is no count",
                "number,qty\\nDS-1,1.5 | \"1.5\" is no count",
                "number,qty\\nDS-1,99999999 | is no count",
                "number,qty,gauge\\nDS-1,1,thick | line 2 of the list: a gauge",
                "number,qty,gauge\\nDS-1,1,-.032 | line 2",
                "number,qty | no line below them",
                "'' | no line names a column",
                "number,qty\\nDS-1,\"1 | cannot be read"
            })
    void what_is_wrong_is_told_with_its_line(String list, String says) {
        assertThatExceptionOfType(InputException.class)
                .isThrownBy(() -> read(list.replace("\\n", "\n")))
                .withMessageContaining(says);
    }

    @Test
    void whatever_bytes_come_it_reads_or_refuses_with_one_sentence() {
        Random random = new Random(16);
        String good = "P/N;name;qty;gauge (mm)\nDS-1;Spar;1;0,81\nDS-2;\"Rib; left\";2;1,02\n";
        for (int i = 0; i < 4000; i++) {
            StringBuilder text = new StringBuilder(good);
            for (int k = 0; k <= random.nextInt(6); k++) {
                int at = random.nextInt(text.length());
                switch (random.nextInt(3)) {
                    case 0 -> text.setCharAt(at, (char) random.nextInt(300));
                    case 1 -> text.deleteCharAt(at);
                    default -> text.insert(at, ";\"\n\t,é{}'=9".charAt(random.nextInt(11)));
                }
            }
            try {
                assertThat(read(text.toString()).lines()).isNotEmpty();
            } catch (InputException e) {
                assertThat(e.getMessage()).isNotBlank().doesNotContain("Exception");
            }
        }
    }

    @Test
    void a_list_in_portuguese_is_read() {
        var read = read("Numero;Descrição;Quantidade\nDS-104;Rear spar;2\n");
        assertThat(read.lines()).singleElement().satisfies(l -> {
            assertThat(l.name()).isEqualTo("Rear spar");
            assertThat(l.count()).isEqualTo(2);
        });
    }
}
