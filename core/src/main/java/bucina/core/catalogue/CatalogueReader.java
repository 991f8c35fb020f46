package bucina.core.catalogue;

import bucina.core.bend.RadiusTable;
import bucina.core.bend.SheetStrength;
import bucina.core.blind.BlindRivet;
import bucina.core.blind.BlindTable;
import bucina.core.blind.PulledSize;
import bucina.core.bolt.BoltThread;
import bucina.core.bolt.Nut;
import bucina.core.bolt.Washer;
import bucina.core.cleco.ClecoSize;
import bucina.core.dress.Screw;
import bucina.core.material.Material;
import bucina.core.measure.DrillSize;
import bucina.core.measure.DrillTable;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.Unit;
import bucina.core.nutplate.NutPlate;
import bucina.core.plan.Compound;
import bucina.core.plan.Tool;
import bucina.core.rivet.HeadStyle;
import bucina.core.rivet.RivetSize;
import bucina.core.rule.Rule;
import bucina.core.rule.RuleKey;
import bucina.core.rule.RuleSet;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/** Reads the tables of a {@link Catalogue}. A row that cannot be used is named by table, line, column and value. */
public final class CatalogueReader {

    private static final CSVFormat FORMAT = CSVFormat.DEFAULT
            .builder()
            .setHeader()
            .setSkipHeaderRecord(true)
            .setTrim(true)
            .setIgnoreEmptyLines(true)
            .get();

    private CatalogueReader() {}

    /** The catalogue that ships with the program. */
    public static Catalogue shipped() {
        return read(CatalogueReader::shippedTable);
    }

    /** The rule set that ships with the program. */
    public static RuleSet shippedRules() {
        return RuleSet.of("handbook", rows("rules", shippedTable("rules"), CatalogueReader::rule));
    }

    /**
     * Opens one of the shipped tables: {@code drills}, {@code rivets}, {@code blind}, {@code pulled}, {@code rules},
     * {@code rule-choices},
     * {@code bend-radius}, {@code sheets}, {@code bolts}, {@code nuts}, {@code washers},
     * {@code screws}, {@code clecos}, {@code nutplates}, {@code tools}, {@code compounds} or
     * {@code minutes}. The caller closes it.
     */
    public static Reader shippedTable(String name) {
        InputStream in = CatalogueReader.class.getResourceAsStream("/bucina/core/data/" + name + ".csv");
        if (in == null) {
            throw new IllegalStateException("the program lacks its own table " + name + ".csv");
        }
        return new InputStreamReader(in, StandardCharsets.UTF_8);
    }

    /**
     * Reads and closes the tables. Rules that the table lacks keep their shipped value, so that a table older than a
     * rule still serves.
     *
     * @param tables gives a table by its name, as {@link #shippedTable} does
     * @throws InputException if a row cannot be used
     */
    public static Catalogue read(Function<String, Reader> tables) {
        return new Catalogue(
                new DrillTable(rows("drills", tables.apply("drills"), CatalogueReader::drill)),
                rows("rivets", tables.apply("rivets"), CatalogueReader::rivet),
                new BlindTable(rows("blind", tables.apply("blind"), CatalogueReader::blind)),
                rows("pulled", tables.apply("pulled"), CatalogueReader::pulled),
                RuleSet.filled("handbook", rows("rules", tables.apply("rules"), CatalogueReader::rule), shippedRules()),
                rows("rule-choices", tables.apply("rule-choices"), CatalogueReader::choice),
                new RadiusTable(rows("bend-radius", tables.apply("bend-radius"), CatalogueReader::radius)),
                rows("sheets", tables.apply("sheets"), CatalogueReader::sheet),
                rows("bolts", tables.apply("bolts"), CatalogueReader::bolt),
                rows("nuts", tables.apply("nuts"), CatalogueReader::nut),
                rows("washers", tables.apply("washers"), CatalogueReader::washer),
                rows("screws", tables.apply("screws"), CatalogueReader::screw),
                rows("clecos", tables.apply("clecos"), CatalogueReader::cleco),
                rows("nutplates", tables.apply("nutplates"), CatalogueReader::nutPlate),
                rows("tools", tables.apply("tools"), CatalogueReader::tool),
                rows("compounds", tables.apply("compounds"), CatalogueReader::compound),
                TypicalMinutes.filled(
                        rows("minutes", tables.apply("minutes"), CatalogueReader::minutes),
                        rows("minutes", shippedTable("minutes"), CatalogueReader::minutes)));
    }

    private static TypicalMinutes.Line minutes(CSVRecord r) {
        return new TypicalMinutes.Line(r.get("key"), number(r, "minutes"), r.get("what"), r.get("source"));
    }

    private static <E> E word(CSVRecord row, String column, E[] values, Function<E, String> code) {
        return Arrays.stream(values)
                .filter(v -> code.apply(v).equals(row.get(column)))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("\"" + row.get(column) + "\" is not one of "
                        + Arrays.stream(values).map(code).collect(Collectors.joining(", "))));
    }

    private static Catalogue.ShippedCompound compound(CSVRecord r) {
        return new Catalogue.ShippedCompound(
                r.get("name"),
                word(r, "kind", Compound.Kind.values(), Compound.Kind::code),
                (int) number(r, "induction_min"),
                (int) number(r, "life_min"),
                (int) number(r, "stir_min"),
                r.get("source"));
    }

    private static Catalogue.CribTool tool(CSVRecord r) {
        return new Catalogue.CribTool(
                word(r, "kind", Tool.Kind.values(), Tool.Kind::code),
                r.get("name"),
                Arrays.stream(r.get("sizes_in").split(" +"))
                        .map(t -> Length.of(new BigDecimal(t), Unit.INCH))
                        .toList(),
                r.get("source"));
    }

    private static NutPlate nutPlate(CSVRecord r) {
        return NutPlate.twoLug(
                r.get("size"),
                inches(r, "hole_in"),
                r.get("drill"),
                inches(r, "lug_in"),
                inches(r, "rivet_in"),
                r.get("source"));
    }

    private static ClecoSize cleco(CSVRecord r) {
        return new ClecoSize(
                r.get("size_in"),
                r.get("colour"),
                length(r, "hole_from_mm", Unit.MM),
                length(r, "hole_to_mm", Unit.MM),
                r.get("source"));
    }

    private static Screw screw(CSVRecord r) {
        return new Screw(
                r.get("size"),
                inches(r, "shank_in"),
                inches(r, "sharp_in"),
                inches(r, "typical_in"),
                r.get("drill"),
                inches(r, "hole_in"),
                r.get("source"));
    }

    private static Washer washer(CSVRecord r) {
        Map<String, Length> outside = new HashMap<>();
        for (String thread : List.of("10-32", "1/4-28", "5/16-24")) {
            // A table of the builder's own may be older than these columns.
            String column = "outside_" + thread.replaceAll("[/-]", "_") + "_in";
            if (r.isMapped(column)) {
                outside.put(thread, inches(r, column));
            }
        }
        return new Washer(r.get("name"), inches(r, "thickness_in"), outside, r.get("source"));
    }

    private static <T> List<T> rows(String table, Reader reader, Function<CSVRecord, T> row) {
        List<T> found = new ArrayList<>();
        try (CSVParser parser = FORMAT.parse(reader)) {
            for (CSVRecord line : parser) {
                try {
                    found.add(row.apply(line));
                } catch (IllegalArgumentException | InputException e) {
                    throw new InputException(
                            "table " + table + ", line " + (line.getRecordNumber() + 1) + ": " + e.getMessage(), e);
                }
            }
        } catch (InputException e) {
            throw e;
        } catch (IOException | UncheckedIOException | IllegalArgumentException | IllegalStateException e) {
            throw new InputException(
                    "table " + table + " cannot be read (" + e.getMessage()
                            + "). Its first line names its columns, each once; text with commas stands in quotes",
                    e);
        }
        return found;
    }

    private static DrillSize drill(CSVRecord row) {
        return new DrillSize(row.get("name"), inches(row, "diameter_in"), row.get("source"));
    }

    private static Rule rule(CSVRecord row) {
        String code = row.get("key");
        RuleKey key = RuleKey.of(code)
                .orElseThrow(() -> new InputException("\"" + code + "\" is no rule; edge.least.flush is one"));
        return new Rule(key, row.get("value"), row.get("source"), "");
    }

    private static Catalogue.RuleChoice choice(CSVRecord row) {
        String code = row.get("key");
        Optional<RuleKey> key = code.isEmpty()
                ? Optional.empty()
                : Optional.of(RuleKey.of(code)
                        .orElseThrow(() -> new InputException("\"" + code + "\" is no rule; edge.least.flush is one")));
        return new Catalogue.RuleChoice(row.get("name"), key, row.get("value"), row.get("reason"));
    }

    private static RadiusTable.Row radius(CSVRecord row) {
        return new RadiusTable.Row(
                Material.parse(row.get("material")),
                inches(row, "thickness_in"),
                Double.parseDouble(row.get("practical_t")),
                Double.parseDouble(row.get("safe_t")),
                row.get("source"));
    }

    private static SheetStrength sheet(CSVRecord row) {
        return new SheetStrength(
                Material.parse(row.get("material")),
                number(row, "yield_ksi"),
                number(row, "modulus_msi"),
                number(row, "density_lb_in3"),
                row.get("source"));
    }

    private static BoltThread bolt(CSVRecord row) {
        List<Length> grips = grips(row);
        return new BoltThread(
                row.get("thread"),
                row.get("series"),
                inches(row, "shank_in"),
                (int) number(row, "threads_per_in"),
                grips,
                (int) number(row, "shortest_eighths"),
                inches(row, "beyond_grip_in"),
                inches(row, "head_in"),
                new BoltThread.Torque(number(row, "tension_low"), number(row, "tension_high")),
                new BoltThread.Torque(number(row, "shear_low"), number(row, "shear_high")),
                row.get("source"));
    }

    private static List<Length> grips(CSVRecord row) {
        List<Length> grips = new ArrayList<>();
        for (String grip : row.get("grips_in").isBlank()
                ? new String[0]
                : row.get("grips_in").split(" +")) {
            grips.add(Length.of(new BigDecimal(grip), Unit.INCH));
        }
        while (!grips.isEmpty() && grips.size() < (int) number(row, "lengths")) {
            grips.add(grips.getLast().plus(inches(row, "grip_step_in")));
        }
        return grips;
    }

    private static Nut nut(CSVRecord row) {
        Nut.Kind kind = Arrays.stream(Nut.Kind.values())
                .filter(k -> k.code().equals(row.get("kind")))
                .findFirst()
                .orElseThrow(() -> new InputException(
                        "column kind must be tension, shear, castle or shear-castle, was \"" + row.get("kind") + "\""));
        return new Nut(row.get("name"), kind, row.get("thread"), inches(row, "height_in"), row.get("source"));
    }

    private static double number(CSVRecord row, String column) {
        try {
            return Double.parseDouble(row.get(column));
        } catch (NumberFormatException e) {
            throw new InputException(
                    "column " + column + " must be a number like 50, was \"" + row.get(column) + "\"", e);
        }
    }

    private static PulledSize pulled(CSVRecord row) {
        return new PulledSize(
                row.get("family"),
                length(row, "diameter_mm", Unit.MM),
                length(row, "head_mm", Unit.MM),
                length(row, "cone_mm", Unit.MM),
                length(row, "mandrel_mm", Unit.MM),
                row.get("source"));
    }

    private static RivetSize rivet(CSVRecord row) {
        List<BigDecimal> stocked = Arrays.stream(row.get("stocked_sixteenths").split(" +"))
                .map(BigDecimal::new)
                .toList();
        return new RivetSize(
                head(row.get("head")),
                Integer.parseInt(row.get("dash")),
                inches(row, "hole_in"),
                row.get("drill"),
                inches(row, "head_diameter_in"),
                inches(row, "head_height_in"),
                inches(row, "cup_depth_in"),
                stocked,
                row.get("source"));
    }

    private static HeadStyle head(String word) {
        return Arrays.stream(HeadStyle.values())
                .filter(h -> h.name().equals(word))
                .findFirst()
                .orElseThrow(() -> new InputException("head \"" + word + "\" must be one of "
                        + Arrays.stream(HeadStyle.values()).map(Enum::name).collect(Collectors.joining(", "))));
    }

    private static BlindTable.Row blind(CSVRecord row) {
        Length diameter = length(row, "diameter_mm", Unit.MM);
        String name = row.get("diameter_mm") + " × " + row.get("length_mm");
        return new BlindTable.Row(
                row.get("family"),
                diameter,
                new BlindRivet(
                        name,
                        Optional.of(length(row, "length_mm", Unit.MM)),
                        length(row, "grip_min_mm", Unit.MM),
                        length(row, "grip_max_mm", Unit.MM),
                        Optional.of(length(row, "mandrel_mm", Unit.MM)),
                        row.get("source")));
    }

    private static Length inches(CSVRecord row, String column) {
        return length(row, column, Unit.INCH);
    }

    private static Length length(CSVRecord row, String column, Unit unit) {
        try {
            return Length.of(new BigDecimal(row.get(column)), unit);
        } catch (NumberFormatException e) {
            throw new InputException(
                    "column " + column + " must be a figure in " + unit.symbol() + " like .098, was \""
                            + row.get(column) + "\"",
                    e);
        }
    }
}
