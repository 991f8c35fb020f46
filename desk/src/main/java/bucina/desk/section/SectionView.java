package bucina.desk.section;

import bucina.core.log.Work;
import bucina.core.measure.Length;
import bucina.core.measure.LengthFormat;
import bucina.core.measure.Unit;
import bucina.core.stack.Solution;
import bucina.desk.look.Palette;
import java.util.List;
import java.util.Optional;
import javafx.scene.AccessibleRole;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.layout.Region;

/**
 * Draws a {@link SectionShape} with its thicknesses, the shop head as it stands and the limits of both schools as
 * brackets.
 */
public final class SectionView extends Region {

    private final Canvas canvas = new Canvas();
    private Palette palette = Palette.LIGHT;
    private Optional<Solution> solution = Optional.empty();
    private List<String> names = List.of();
    private List<Integer> hatches = List.of();
    private Unit unit = Unit.INCH;
    private double set = 1;
    private double text = 1;
    /** The shop head as it was measured, across and high. */
    private Optional<Work.Reading> measured = Optional.empty();

    /** An empty section. */
    public SectionView() {
        getChildren().add(canvas);
        getStyleClass().add("section-view");
        setAccessibleRole(AccessibleRole.IMAGE_VIEW);
        setPrefHeight(206);
        setMinHeight(170);
    }

    /** Draws in the colours of one variant, text larger by a factor. */
    public void use(Palette next, double scale) {
        palette = next;
        text = scale;
        draw();
    }

    /**
     * Shows a stack.
     *
     * @param layerNames names of the sheets, head side first; may be empty
     * @param materials  one number for each sheet: sheets of one material have the same number and hatching; may be
     *     empty
     */
    public void show(Optional<Solution> next, List<String> layerNames, List<Integer> materials, Unit shown) {
        solution = next;
        names = layerNames;
        hatches = materials;
        unit = shown;
        draw();
    }

    /** How far the rivet is set: 0 as it goes in, 1 at half a diameter high, up to 1.3 flatter than that. */
    public void set(double next) {
        set = next;
        draw();
    }

    /** Draws the shop head as it was measured; empty for the one the metal makes. */
    public void measured(Optional<Work.Reading> reading) {
        measured = reading;
        draw();
    }

    /** Height of the shop head as drawn; empty if there is no rivet. */
    public Optional<Length> height() {
        return solution.filter(s -> s.choice().isPresent()).map(s -> {
            SectionShape shape = new SectionShape(s, Length.in(1));
            Length half = s.fastener().shank().times(0.5);
            Length proud = shape.proud().max(half.times(0.6));
            return set <= 1 ? proud.minus(proud.minus(half).times(set)) : half.times(1 - (set - 1) * 4.0 / 3);
        });
    }

    @Override
    protected void layoutChildren() {
        canvas.setWidth(getWidth());
        canvas.setHeight(getHeight());
        draw();
    }

    private void draw() {
        GraphicsContext g = canvas.getGraphicsContext2D();
        double w = canvas.getWidth();
        double h = canvas.getHeight();
        g.setFill(palette.film());
        g.fillRect(0, 0, w, h);
        if (w < 20 || solution.isEmpty() || solution.get().dressing().plies().isEmpty()) {
            return;
        }
        SectionDrawing.Style style = new SectionDrawing.Style(
                palette,
                text,
                unit,
                hatches,
                set,
                measured.map(Work.Reading::height).or(this::height),
                measured.map(Work.Reading::diameter));
        new SectionDrawing(g, w, h, solution.get(), style).draw();
    }

    /** What is said under the section: the head as drawn. */
    public String caption() {
        if (solution.filter(s -> s.blind().isPresent()).isPresent()) {
            Solution s = solution.get();
            return set < 0.5
                    ? "As it goes in: needs " + show(SectionDrawing.behind(s)) + " behind, mandrel counted"
                    : "As set: tail about " + show(s.heads().tail().times(2)) + " across";
        }
        return solution.filter(s -> s.choice().isPresent())
                .map(s -> {
                    Length height = height().orElseThrow();
                    SectionShape shape = new SectionShape(s, Length.in(1));
                    if (set < 0.02) {
                        return "As it goes in: stands " + show(shape.proud())
                                + " proud (%.2f D)"
                                        .formatted(
                                                shape.proud().per(s.fastener().shank()));
                    }
                    Length across = shape.shopHead(height);
                    Length d = s.fastener().shank();
                    return (set > 1.02 ? "Hit again: " : set < 0.98 ? "Being set: " : "As set: ") + show(across) + " × "
                            + show(height) + " (%.2f D × %.2f D)".formatted(across.per(d), height.per(d));
                })
                .orElse("");
    }

    /** The names of the sheets, for a reader who cannot see the drawing. */
    public void describe() {
        setAccessibleText("Section through " + String.join(", ", names) + ". " + caption());
    }

    private String show(Length length) {
        return LengthFormat.decimal(length, unit, 3);
    }
}
