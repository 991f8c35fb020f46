package bucina.store.svg;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import bucina.core.drawing.Drawing;
import bucina.core.drawing.Intake;
import bucina.core.drawing.Left;
import bucina.core.measure.InputException;
import bucina.core.measure.Unit;
import bucina.core.sheet.Ring;
import bucina.store.drawing.FileUnit;
import bucina.store.drawing.Progress;
import bucina.store.drawing.Reading;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What is seen of an SVG comes in as browsers show it, with figures worked by hand. */
class SvgReaderTest {

    private static final String SPACE = "xmlns='http://www.w3.org/2000/svg' xmlns:xlink='http://www.w3.org/1999/xlink'";

    private static Reading read(String head, String inside) {
        return SvgReader.read("<svg " + SPACE + " " + head + ">" + inside + "</svg>", Unit.MM, Progress.NONE);
    }

    /** On a page of 200 by 200 mm, whose units are mm. */
    private static Drawing mm(String inside) {
        return read("width='200mm' height='200mm' viewBox='0 0 200 200'", inside)
                .drawing();
    }

    private static List<Drawing.Circle> circles(Drawing d) {
        return d.shapes().stream()
                .filter(Drawing.Circle.class::isInstance)
                .map(Drawing.Circle.class::cast)
                .toList();
    }

    private static double area(Drawing.Shape path) {
        return new Ring(((Drawing.Path) path).corners()).area() / 1e12;
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                // A circle of 10 units across: its size in mm, and what the file says.
                "width='100mm' height='100mm' viewBox='0 0 100 100' | 10 | millimetres",
                "width='100mm' height='50mm' viewBox='0 0 1000 500' | 1 | 0.1 mm each, by its size",
                "width='10cm' height='10cm' viewBox='0 0 100 100' | 10 | millimetres",
                "width='40in' height='40in' viewBox='0 0 40 40' | 254 | inches",
                "width='72pt' height='72pt' viewBox='0 0 72 72' | 3.527777778 | points, 72 to the inch",
                "width='96px' height='96px' viewBox='0 0 96 96' | 2.645833333 | pixels, 96 to the inch",
                "width='100mm' height='100mm' | 2.645833333 | pixels, 96 to the inch",
                // The smaller scale fits; the larger slices.
                "width='100mm' height='200mm' viewBox='0 0 100 100' | 10 | millimetres",
                "width='100mm' height='200mm' viewBox='0 0 100 100' preserveAspectRatio='xMidYMid slice'"
                        + "| 20 | 2 mm each, by its size",
                "height='100mm' viewBox='0 0 50 50' | 20 | 2 mm each, by its size",
                // Without a unit it is taken for the one handed in, and is asked for.
                "width='100' height='100' viewBox='0 0 100 100' | 10 |",
                "viewBox='0 0 100 100' | 10 |",
                "width='100%' height='100%' viewBox='0 0 100 100' | 10 |",
                "width='100' height='100' | 10 |"
            })
    void sizes_are_as_browsers_take_them(String head, double across, String says) {
        Reading r = read(head, "<circle cx='20' cy='20' r='5'/>");
        assertThat(circles(r.drawing()))
                .singleElement()
                .satisfies(c -> assertThat(c.diameter().mm()).isCloseTo(across, within(1e-8)));
        assertThat(r.unit().map(FileUnit::name).orElse(null)).isEqualTo(says);
    }

    @Test
    void a_page_that_is_stretched_makes_ellipses() {
        Drawing d = read(
                        "width='200mm' height='100mm' viewBox='0 0 100 100' preserveAspectRatio='none'",
                        "<circle cx='50' cy='50' r='20'/>")
                .drawing();
        assertThat(area(d.shapes().getFirst())).isCloseTo(Math.PI * 40 * 20, within(.2));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "<circle cx='50' cy='60' r='1.25'/>",
                "<ellipse cx='50' cy='60' rx='1.25' ry='1.25'/>",
                "<ellipse cx='50' cy='60' rx='1.25'/>",
                "<path d='M48.75 60a1.25 1.25 0 1 0 2.5 0a1.25 1.25 0 1 0 -2.5 0z'/>",
                "<path d='M48.75 60a1.25 1.25 0 112.5 0 1.25 1.25 0 11-2.5 0'/>",
                "<path d='m48.75 60a1.25 1.25 0 0 1 1.25-1.25 1.25 1.25 0 0 1 1.25 1.25 1.25 1.25 0 0 1-1.25 1.25 "
                        + "1.25 1.25 0 0 1-1.25-1.25z'/>",
                "<path d='M51.25 60C51.25 60.69036 50.69036 61.25 50 61.25S48.75 60.69036 48.75 60 49.30964 58.75 50 "
                        + "58.75 51.25 59.30964 51.25 60Z'/>",
                "<rect x='48.75' y='58.75' width='2.5' height='2.5' rx='1.25'/>",
                "<g transform='translate(50,60)'><circle r='1.25'/></g>",
                "<g transform='rotate(30 50 60)'><circle cx='50' cy='60' r='1.25'/></g>",
                "<g transform='matrix(0 1 -1 0 110 10)'><circle cx='50' cy='60' r='1.25'/></g>",
                "<g transform='scale(-1,1) translate(-100)'><circle cx='50' cy='60' r='1.25'/></g>",
                "<g transform='scale(2,1)'><ellipse cx='25' cy='60' rx='.625' ry='1.25'/></g>",
                "<defs><circle id='h' r='1.25'/></defs><use href='#h' x='50' y='60'/>",
                "<use xlink:href='#h' x='50' y='60'/><defs><circle id='h' r='1.25'/></defs>",
                "<symbol id='s' viewBox='0 0 10 10'><circle cx='5' cy='5' r='2.5'/></symbol>"
                        + "<use href='#s' x='47.5' y='57.5' width='5' height='5'/>",
                "<svg x='40' y='50' width='20' height='20' viewBox='0 0 40 40'><circle cx='20' cy='20' r='2.5'/></svg>",
                "<circle cx='25%' cy='30%' r='1.25'/>",
                "<circle cx='188.976378' cy='226.7716535' r='4.724409449' " + "transform='scale(.26458333333333)'/>",
                "<a><switch><foreignObject/><circle cx='50' cy='60' r='1.25'/><circle r='9'/></switch></a>",
                "<style>.gone{display:none} circle.hole{fill:none;stroke:#000}</style>"
                        + "<circle class='hole' cx='50' cy='60' r='1.25'/><circle class='gone' cx='9' cy='9' r='2'/>"
            })
    void a_hole_is_one_however_it_is_drawn(String drawn) {
        assertThat(circles(mm(drawn))).singleElement().satisfies(c -> {
            assertThat(c.diameter().mm()).isCloseTo(2.5, within(.0006));
            assertThat(c.at().across().mm()).isCloseTo(50, within(1e-5));
            assertThat(c.at().up().mm()).isCloseTo(-60, within(1e-5));
        });
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "<rect x='10' y='10' width='60' height='40'/> | 2400",
                // Corners of a quarter: each takes (4 - pi) / 4 r r away.
                "<rect x='10' y='10' width='60' height='40' rx='5'/> | 2378.539816",
                "<rect x='10' y='10' width='60' height='40' rx='5' ry='10'/> | 2357.079633",
                "<rect x='10' y='10' width='60' height='40' rx='200' ry='10'/> | 2142.477796",
                "<ellipse cx='50' cy='50' rx='30' ry='20'/> | 1884.955592",
                "<path d='M10 10H70V50H10Z'/> | 2400",
                "<path d='M10,10 70,10 70,50 10,50Z'/> | 2400",
                "<path d='m10 10 60 0 0 40-60 0'/> | 2400",
                "<path d='M10 10L70 10L70 50L10 50L10 10'/> | 2400",
                "<polygon points='10,10 70,10 70,50 10,50'/> | 2400",
                "<polygon points='10 10 70 10,70 50,10 50'/> | 2400",
                "<polyline points='10,10 70,10 70,50 10,50 10,10' fill='none' stroke='red'/> | 2400",
                "<g fill='none' stroke='red'><path d='M10 10H70'/><path d='M70 50V10'/><line x1='70' y1='50' "
                        + "x2='10' y2='50'/><polyline points='10,10 10,50'/></g> | 2400",
                // Half a circle of 20: its arc stays one.
                "<path d='M30 50A20 20 0 0 1 70 50Z'/> | 628.3185307",
                "<path d='M30 50A10 10 0 0 1 70 50Z'/> | 628.3185307",
                "<path d='M30 50A20 20 0 0170 50Z'/> | 628.3185307",
                "<path d='M50 30A20 20 0 1 1 30 50L50 50Z'/> | 942.4777961",
                // Half an ellipse of 20 by 10.
                "<path d='M30 50A20 10 0 0 1 70 50Z'/> | 314.1592654",
                "<path d='M40 30A20 10 90 0 1 40 70Z'/> | 314.1592654",
                // A parabola under its chord: two thirds of base and height.
                "<path d='M10 50Q40 10 70 50Z'/> | 800",
                "<path d='M10 50Q25 10 40 50T70 50' fill='none' stroke='red'/><path d='M10 50V80H70V50' fill='none' "
                        + "stroke='red'/> | 1800"
            })
    void a_sheet_has_its_area_however_it_is_drawn(String drawn, double area) {
        Drawing d = mm(drawn);
        assertThat(d.shapes())
                .as(d.left().toString())
                .singleElement()
                .satisfies(s -> assertThat(area(s)).isCloseTo(area, within(area * 3e-5)));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "<circle cx='9' cy='9' r='2' display='none'/> | it is hidden",
                "<g style='display:none'><g><circle cx='9' cy='9' r='2'/></g></g> | it is hidden",
                "<g visibility='hidden'><circle cx='9' cy='9' r='2'/></g> | it is hidden",
                "<circle cx='9' cy='9' r='2' fill='none'/> | it is neither filled nor stroked",
                "<circle cx='9' cy='9' r='2' fill='none' stroke='red' stroke-width='0'/> | it is neither filled nor "
                        + "stroked",
                "<circle cx='9' cy='9' r='2' opacity='0'/> | it is see-through",
                "<style>g > circle { display: none }</style><g><circle cx='9' cy='9' r='2'/></g> | it is hidden",
                "<style>g circle.a { visibility: hidden } .a { visibility: visible }</style><g><circle class='a b' "
                        + "cx='9' cy='9' r='2'/></g> | it is hidden",
                "<style>#x { display: none !important }</style><circle id='x' cx='9' cy='9' r='2' "
                        + "style='display:inline'/> | it is hidden",
                "<style>@media screen { circle[r='2'] { display: none } }</style><circle cx='9' cy='9' r='2'/>"
                        + "| it is hidden",
                "<circle cx='900' cy='9' r='2'/> | it lies outside of the page",
                "<mask id='m'/><circle mask='url(#m)' cx='9' cy='9' r='2'/> | a mask lies over it",
                "<clipPath id='c'><rect x='50' y='50' width='9' height='9'/></clipPath><circle clip-path='url(#c)' "
                        + "cx='9' cy='9' r='2'/> | it is cut away by a clip path or the edge of a view",
                "<clipPath id='c'><rect width='9' height='99'/></clipPath><g clip-path='url(#c)'><circle cx='9' "
                        + "cy='9' r='2'/></g> | a clip path or the edge of a view cuts through it: cut it where it "
                        + "was drawn",
                "<clipPath id='c'><circle cx='9' cy='9' r='1'/></clipPath><circle clip-path='url(#c)' cx='9' cy='9' "
                        + "r='2'/> | a clip path or the edge of a view cuts through it: cut it where it was drawn",
                "<svg width='20' height='20'><circle cx='90' cy='9' r='2'/></svg> | it is cut away by a clip path or "
                        + "the edge of a view",
                "<text x='9' y='9'>R1</text> | words are no line of a sheet",
                "<image href='http://example.org/a.png'/> | a picture has no lines",
                "<use href='other.svg#h'/> | it is in another file",
                "<use href='#none'/> | what it uses is not there",
                "<circle cx='9' cy='9' r='0'/> | it has no size",
                "<circle cx='9' cy='9' r='2' style='transform:scale(2)'/> | its style moves it, and this program "
                        + "reads the transform attribute only"
            })
    void what_is_not_seen_stays_out_and_is_told(String drawn, String why) {
        Drawing d = mm("<g id='top'>" + drawn + "</g>");
        assertThat(d.shapes()).isEmpty();
        assertThat(d.left()).singleElement().satisfies(l -> {
            assertThat(l.why()).isEqualTo(why);
            assertThat(l.layer()).isEqualTo("top");
            assertThat(l.many()).isEqualTo(1);
        });
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "<circle cx='9' cy='9' r='2' visibility='visible'/>",
                "<g visibility='hidden'><circle cx='9' cy='9' r='2' visibility='visible'/></g>",
                "<style>.a{display:none}</style><circle class='ab' cx='9' cy='9' r='2'/>",
                "<style>circle{display:none} circle.a{display:inline}</style><circle class='a' cx='9' cy='9' r='2'/>",
                "<style>.a{display:inline} circle{display:none}</style><circle class='a' cx='9' cy='9' r='2'/>",
                "<style>#x{display:inline} g > circle.a{display:none}</style><g><circle id='x' class='a' cx='9' "
                        + "cy='9' r='2'/></g>",
                "<style>@media print { circle { display: none } }</style><circle cx='9' cy='9' r='2'/>",
                "<style><![CDATA[ rect > circle, b circle { display: none } ]]></style><circle cx='9' cy='9' r='2'/>",
                "<clipPath id='c'><rect width='99' height='99'/></clipPath><g clip-path='url(#c)'><circle cx='9' "
                        + "cy='9' r='2'/></g>",
                "<clipPath id='c'><rect x='7' y='7' width='4' height='4'/></clipPath><circle clip-path='url(#c)' "
                        + "cx='9' cy='9' r='2'/>",
                "<svg width='20' height='20' overflow='visible'><circle cx='90' cy='9' r='2'/></svg>"
            })
    void what_is_seen_comes_in(String drawn) {
        Drawing d = mm(drawn);
        assertThat(circles(d)).as(d.left().toString()).hasSize(1);
        assertThat(d.left()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                // Outer 100 by 60, inner 40 by 20: the metal, and how many openings.
                "<path d='M10 10H110V70H10ZM30 30V50H70V30Z'/> | 5200 | 1",
                "<path d='M10 10H110V70H10ZM30 30H70V50H30Z'/> | 6000 | 0",
                "<path fill-rule='evenodd' d='M10 10H110V70H10ZM30 30H70V50H30Z'/> | 5200 | 1",
                "<path style='fill-rule:evenodd' d='M10 10H110V70H10ZM30 30H70V50H30Z'/> | 5200 | 1",
                "<path fill='none' stroke='red' d='M10 10H110V70H10ZM30 30H70V50H30Z'/> | 5200 | 1"
            })
    void compound_paths_are_filled_by_their_rule(String drawn, double metal, int openings) {
        Intake in = Intake.of(mm(drawn));
        assertThat(in.sheets()).singleElement().satisfies(s -> {
            double holes =
                    s.outline().openings().stream().mapToDouble(Ring::area).sum();
            assertThat((s.outline().outer().area() - holes) / 1e12).isCloseTo(metal, within(1e-6));
            assertThat(s.outline().openings()).hasSize(openings);
        });
        assertThat(in.left().stream().mapToInt(Left::many).sum()).isEqualTo(openings == 1 ? 0 : 1);
    }

    @Test
    void a_cubic_that_was_drawn_for_an_arc_is_one_and_another_is_not() {
        // A quarter of a circle of 10 about (30, 20), and a curve that is none.
        Drawing quarter = mm("<path d='M30 10C35.522847 10 40 14.477153 40 20L30 20Z'/>");
        assertThat(((Drawing.Path) quarter.shapes().getFirst()).corners())
                .hasSize(3)
                .filteredOn(c -> c.bulge() != 0)
                .singleElement()
                .satisfies(c -> assertThat(Math.abs(c.bulge())).isCloseTo(Math.tan(Math.PI / 8), within(1e-4)));
        Drawing other = mm("<path d='M30 10C38 10 40 12 40 20L30 20Z'/>");
        assertThat(((Drawing.Path) other.shapes().getFirst()).corners())
                .hasSizeGreaterThan(50)
                .allSatisfy(c -> assertThat(c.bulge()).isZero());
    }

    @Test
    void layers_are_those_of_drawing_programs_or_the_outermost_groups() {
        Drawing d = mm("<g xmlns:inkscape='http://www.inkscape.org/namespaces/inkscape' inkscape:groupmode='layer' "
                + "inkscape:label='Skin' id='layer1'><g id='g7'><circle cx='9' cy='9' r='2'/></g></g>"
                + "<g id='figure'><g id='patch'><circle cx='29' cy='9' r='2'/></g></g>"
                + "<g id='all'><g id='HOLES-R3-US_1'><circle cx='49' cy='9' r='2' data-label='7'/></g></g>");
        assertThat(circles(d)).extracting(Drawing.Circle::layer).containsExactly("Skin", "figure", "HOLES-R3-US_1");
        assertThat(circles(d).getLast().label()).contains(7);
    }

    @Test
    void names_of_spaces_written_as_entities_are_read_and_no_type_is_fetched() {
        Drawing d = SvgReader.read(
                        "<!DOCTYPE svg PUBLIC '-//W3C//DTD SVG 1.1//EN' 'http://example.org/svg11.dtd'"
                                + " [<!ENTITY ns 'http://www.w3.org/2000/svg'>]><svg xmlns='&ns;' width='9mm' "
                                + "height='9mm' viewBox='0 0 9 9'><circle cx='4' cy='4' r='2'/></svg>",
                        Unit.MM,
                        Progress.NONE)
                .drawing();
        assertThat(circles(d)).hasSize(1);
    }

    @Test
    void what_style_sheets_and_types_point_at_is_told_and_not_fetched() {
        Drawing d = SvgReader.read(
                        "<?xml-stylesheet href='http://example.org/a.css'?><svg " + SPACE
                                + " width='9mm' height='9mm' viewBox='0 0 9 9'><style>@import "
                                + "url(http://example.org/b.css);</style><circle cx='4' cy='4' r='2'/></svg>",
                        Unit.MM,
                        Progress.NONE)
                .drawing();
        assertThat(d.left()).singleElement().satisfies(l -> {
            assertThat(l.kind()).isEqualTo("style sheet");
            assertThat(l.many()).isEqualTo(2);
        });
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "<g id='a'><use href='#a'/></g>",
                "<use id='a' href='#a'/>",
                "<symbol id='a'><use href='#b'/></symbol><symbol id='b'><use href='#a'/></symbol><use href='#a'/>",
                "<clipPath id='a'><rect width='9' height='9' clip-path='url(#a)'/></clipPath><circle r='2' cx='4' "
                        + "cy='4' clip-path='url(#a)'/>"
            })
    void what_uses_itself_ends(String drawn) {
        assertThat(mm(drawn).shapes().size()).isLessThan(2);
    }

    @Test
    void uses_that_double_at_each_step_are_refused() {
        StringBuilder bomb = new StringBuilder("<g id='u0'/>");
        for (int i = 1; i < 30; i++) {
            bomb.append("<g id='u%d'><use href='#u%d'/><use href='#u%d'/></g>".formatted(i, i - 1, i - 1));
        }
        assertThatThrownBy(() -> mm(bomb.toString()))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("one sheet at a time");
    }

    @Test
    @Timeout(60)
    void hostile_style_sheets_end_in_a_drawing_or_a_sentence() {
        Random random = new Random(3);
        String good = "<style>@import url(a.css);.a{fill:none;stroke:#000}g > .b,#c d{display:none!important}</style>";
        String[] nasty = {"{", "}", "/*", "\\", "url(", "@media", ";", ":", "\"", "*", "0".repeat(5000), "!important"};
        for (int i = 0; i < 500; i++) {
            StringBuilder bad = new StringBuilder(good);
            for (int k = random.nextInt(4); k >= 0; k--) {
                int at = 7 + random.nextInt(bad.length() - 15);
                bad.insert(at, nasty[random.nextInt(nasty.length)].replace("<", ""));
            }
            assertThat(mm(bad + "<g class='a'><circle class='b' cx='9' cy='9' r='2'/></g>")
                            .shapes()
                            .size())
                    .isLessThan(2);
        }
        String nought = "<circle cx='9' cy='9' r='2' opacity='" + "0".repeat(900_000) + "x'/>";
        assertThat(mm(nought).shapes()).hasSize(1);
        StringBuilder rules = new StringBuilder("<style>");
        for (int i = 0; i < 4000; i++) {
            rules.append(".k").append(i).append("{fill:none;stroke:red}");
        }
        String many = "<circle class='k7' cx='9' cy='9' r='2'/>".repeat(5000);
        assertThat(Intake.of(mm(rules + "</style>" + many)).count()).isEqualTo(1);
        assertThatThrownBy(() -> mm(rules.toString() + rules.substring(7) + "</style>"))
                .isInstanceOf(InputException.class)
                .hasMessageContaining("style rules");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "<path d='L 5 5'/> | must begin with M",
                "<path d='M 5 5 K 3'/> | K 3",
                "<path d='M 5 5 L 3'/> | in it",
                "<circle r='2' cx='wide'/> | \"wide\"",
                "<g transform='spin(3)'><circle r='2'/></g> | transform spin",
                "<g transform='rotate(3'><circle r='2'/></g> | rotate(3"
            })
    void what_is_damaged_is_a_sentence(String drawn, String part) {
        assertThatThrownBy(() -> mm(drawn)).isInstanceOf(InputException.class).hasMessageContaining(part);
    }
}
