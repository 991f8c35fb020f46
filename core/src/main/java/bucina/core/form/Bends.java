package bucina.core.form;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.LengthParser;
import bucina.core.sheet.Segment;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Collectors;

/** Bend tangents of a sheet as they are typed: {@code .4, 0 to .4, 12; 3, 0 to 3, 12}. */
public final class Bends {

    private Bends() {}

    /**
     * Reads them; none from a blank text.
     *
     * @throws InputException if one is not two places
     */
    public static List<Segment> parse(String text, LengthParser lengths) {
        List<Segment> bends = new ArrayList<>();
        for (String typed : text.split(";", -1)) {
            if (typed.isBlank()) {
                continue;
            }
            String[] ends = typed.strip().split("\\s+to\\s+", -1);
            if (ends.length != 2) {
                throw new InputException("\"" + typed.strip()
                        + "\" is no bend: write where its tangent begins and ends, like .4, 0 to .4, 12");
            }
            Segment bend = new Segment(PanelForm.point(ends[0], lengths), PanelForm.point(ends[1], lengths));
            if (bend.a().to(bend.b()).nanometres() < 1) {
                throw new InputException("\"" + typed.strip() + "\" begins where it ends: a bend has a length");
            }
            bends.add(bend);
        }
        return bends;
    }

    /**
     * As they are typed.
     *
     * @param figure a length without its unit
     */
    public static String words(List<Segment> bends, Function<Length, String> figure) {
        return bends.stream()
                .map(b -> figure.apply(b.a().across()) + ", " + figure.apply(b.a().up()) + " to "
                        + figure.apply(b.b().across()) + ", "
                        + figure.apply(b.b().up()))
                .collect(Collectors.joining("; "));
    }
}
