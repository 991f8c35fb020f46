package bucina.core.plan;

import bucina.core.dress.Preparation;
import bucina.core.measure.InputException;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;

/**
 * Fasteners of one type on one face, treated alike: the unit that is planned, set and logged.
 *
 * @param id          its id
 * @param code        short name, unique in the build, {@code US-1}
 * @param name        what it is for
 * @param fastener    what goes in
 * @param headFar     true if the head is on the far side of the face
 * @param preparation what the plan asks at its holes
 * @param callout     as the drawing writes it; may be empty
 * @param rows        its rows; empty where {@code typed} is given
 * @param typed       the typed stack of a group without geometry
 * @param expects     layers the drawing says it catches; empty if the drawing does not say
 * @param clears      layers the drawing says it must not catch
 * @param holes       what the drawing says about its holes
 * @param page        of the manual; may be empty
 */
public record Group(
        Id.Group id,
        String code,
        String name,
        Fastener fastener,
        boolean headFar,
        Preparation preparation,
        String callout,
        List<Row> rows,
        Optional<TypedStack> typed,
        Set<Id.Layer> expects,
        Set<Id.Layer> clears,
        HolePlan holes,
        String page) {
    public Group {
        Objects.requireNonNull(id, "id");
        Objects.requireNonNull(fastener, "fastener");
        Objects.requireNonNull(preparation, "preparation");
        Objects.requireNonNull(callout, "callout");
        Objects.requireNonNull(holes, "holes");
        Objects.requireNonNull(page, "page");
        Names.check("a group's code", code);
        Names.check("a group", name);
        rows = List.copyOf(rows);
        expects = Set.copyOf(expects);
        clears = Set.copyOf(clears);
        if (typed.isPresent() && !rows.isEmpty()) {
            throw new InputException("group " + code + " has both rows of holes and a typed stack: give one of them");
        }
    }

    /** A group about whose holes the drawing says nothing. */
    public Group(
            Id.Group id,
            String code,
            String name,
            Fastener fastener,
            boolean headFar,
            Preparation preparation,
            String callout,
            List<Row> rows,
            Optional<TypedStack> typed,
            Set<Id.Layer> expects,
            Set<Id.Layer> clears) {
        this(id, code, name, fastener, headFar, preparation, callout, rows, typed, expects, clears, HolePlan.NONE);
    }

    /** A group that stands on no page. */
    public Group(
            Id.Group id,
            String code,
            String name,
            Fastener fastener,
            boolean headFar,
            Preparation preparation,
            String callout,
            List<Row> rows,
            Optional<TypedStack> typed,
            Set<Id.Layer> expects,
            Set<Id.Layer> clears,
            HolePlan holes) {
        this(id, code, name, fastener, headFar, preparation, callout, rows, typed, expects, clears, holes, "");
    }

    /** How an entry says it was set up, with why the heads are on the side they are, if the builder said so. */
    public String setUp(String tool) {
        String heads = "heads " + (headFar ? "far" : "near") + ": " + holes.headWhy();
        return holes.headWhy().isEmpty() || tool.contains(heads)
                ? tool.strip()
                : tool.isBlank() ? heads : tool.strip() + "; " + heads;
    }

    /** How many fasteners: its holes, or the typed count. */
    public int count() {
        return typed.map(TypedStack::count)
                .orElseGet(() -> rows.stream().mapToInt(r -> r.holes().size()).sum());
    }

    /** The fastener at one of its holes, with the hole's deviation. */
    public Fastener fastenerAt(Hole hole) {
        return hole.deviation().flatMap(Deviation::fastener).orElse(fastener);
    }

    /** The preparation at one of its holes, with the hole's deviation. */
    public Preparation preparationAt(Hole hole) {
        return hole.deviation().flatMap(Deviation::preparation).orElse(preparation);
    }

    /** This group with other rows. */
    public Group withRows(List<Row> changed) {
        return new Group(
                id, code, name, fastener, headFar, preparation, callout, changed, typed, expects, clears, holes, page);
    }

    /** This group with other layers that the drawing says it catches, or must not. */
    public Group withLayers(Set<Id.Layer> caught, Set<Id.Layer> cleared) {
        return new Group(
                id, code, name, fastener, headFar, preparation, callout, rows, typed, caught, cleared, holes, page);
    }

    /** This group with another fastener, dressed as worked out where the head is flush. */
    public Group withFastener(Fastener changed, String as) {
        Preparation asked =
                !changed.flush() ? Preparation.NONE : preparation == Preparation.NONE ? Preparation.AUTO : preparation;
        return new Group(id, code, name, changed, headFar, asked, as, rows, typed, expects, clears, holes, page);
    }

    /** This group with its heads on the far side, or on the near one. */
    public Group withHeadFar(boolean far) {
        return new Group(
                id, code, name, fastener, far, preparation, callout, rows, typed, expects, clears, holes, page);
    }

    /** This group with other sheets done to. */
    public Group withPreparation(Preparation changed) {
        return new Group(
                id, code, name, fastener, headFar, changed, callout, rows, typed, expects, clears, holes, page);
    }

    /** This group with something else said about its holes. */
    public Group withHoles(HolePlan changed) {
        return new Group(
                id, code, name, fastener, headFar, preparation, callout, rows, typed, expects, clears, changed, page);
    }

    /** This group catching these layers, and no others, as the drawing lists them; none if the drawing does not say. */
    public Group expecting(Set<Id.Layer> listed) {
        return new Group(
                id, code, name, fastener, headFar, preparation, callout, rows, typed, listed, clears, holes, page);
    }

    /** This group under another code and name. */
    public Group named(String newCode, String newName) {
        return new Group(
                id,
                newCode,
                newName,
                fastener,
                headFar,
                preparation,
                callout,
                rows,
                typed,
                expects,
                clears,
                holes,
                page);
    }

    /** True if a hole of the two groups is read alike: all but name, rows and callout is the same. */
    public boolean readsAs(Group other) {
        return code.equals(other.code)
                && fastener.equals(other.fastener)
                && headFar == other.headFar
                && preparation == other.preparation
                && expects.equals(other.expects)
                && clears.equals(other.clears)
                && holes.equals(other.holes);
    }

    /** This group on another page of the manual. */
    public Group withPage(String other) {
        return new Group(
                id, code, name, fastener, headFar, preparation, callout, rows, typed, expects, clears, holes, other);
    }

    /** This group with another typed stack. */
    public Group withTyped(TypedStack stack) {
        return new Group(
                id,
                code,
                name,
                fastener,
                headFar,
                preparation,
                callout,
                rows,
                Optional.of(stack),
                expects,
                clears,
                holes,
                page);
    }
}
