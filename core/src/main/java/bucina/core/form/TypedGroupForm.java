package bucina.core.form;

import bucina.core.callout.Callout;
import bucina.core.catalogue.Catalogue;
import bucina.core.dress.Preparation;
import bucina.core.edit.Edit;
import bucina.core.measure.InputException;
import bucina.core.measure.Length;
import bucina.core.measure.LengthParser;
import bucina.core.plan.Build;
import bucina.core.plan.Face;
import bucina.core.plan.Fastener;
import bucina.core.plan.Group;
import bucina.core.plan.Id;
import bucina.core.plan.TypedStack;
import bucina.core.rivet.HeadStyle;
import bucina.core.rivet.RivetSize;
import bucina.core.stack.Solution;
import bucina.core.stack.Solver;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * A group without holes as it is typed: for the builder who wants an answer now.
 *
 * @param code        short name; blank takes the next free one
 * @param name        what it is for
 * @param head        manufactured head
 * @param diameter    as typed; or a whole callout such as {@code ISO 15977 3.2}, which says its head itself
 * @param layers      thicknesses as typed, head side first
 * @param preparation what is done to the sheets
 * @param count       as typed
 */
public record TypedGroupForm(
        String code,
        String name,
        HeadStyle head,
        String diameter,
        String layers,
        Preparation preparation,
        String count) {

    /** A rivet by its standard, not a diameter: {@code #30} and {@code 3.2 mm} are none. */
    private static final Pattern CALLOUT = Pattern.compile("(?i)^(iso|structural|ms|an|nas)");

    /** What the typed stack takes; throws {@link InputException} while something is not typed yet. */
    public Solution solve(Catalogue catalogue, Build build, LengthParser lengths) {
        return new Solver(catalogue, build.rules())
                .solve(
                        fastener(catalogue, lengths),
                        asked(fastener(catalogue, lengths)),
                        Optional.empty(),
                        layers(lengths),
                        Optional.empty());
    }

    private Preparation asked(Fastener fastener) {
        return fastener.flush() ? preparation : Preparation.NONE;
    }

    private Fastener fastener(Catalogue catalogue, LengthParser lengths) {
        if (CALLOUT.matcher(diameter.strip()).find()) {
            return Callout.parse(diameter).fastener();
        }
        RivetSize size = catalogue.rivet(head, lengths.parsePositive(diameter, "diameter"));
        return new Fastener.SolidRivet(head, "AD", size.dash());
    }

    private List<Length> layers(LengthParser lengths) {
        return lengths.parseList(layers, "layers");
    }

    /** The build with this group on a face. */
    public Build on(Id.Face faceId, Build build, Catalogue catalogue, LengthParser lengths) {
        if (!count.strip().matches("\\d{1,6}")) {
            throw new InputException("count must be a whole number like 40, was \"" + count.strip() + "\"");
        }
        Face face = Edit.face(build, faceId);
        String given = code.isBlank() ? freeCode(build) : code.strip();
        TypedStack stack = new TypedStack(layers(lengths), Integer.parseInt(count.strip()));
        Group group = new Group(
                new Id.Group(build.nextId()),
                given,
                name.isBlank() ? "Typed stack" : name.strip(),
                fastener(catalogue, lengths),
                false,
                asked(fastener(catalogue, lengths)),
                "",
                List.of(),
                Optional.of(stack),
                Set.of(),
                Set.of());
        return build.with(face.plus(group), build.nextId() + 1).checked();
    }

    private static String freeCode(Build build) {
        int n = 1;
        while (build.group("T-" + n).isPresent()) {
            n++;
        }
        return "T-" + n;
    }
}
