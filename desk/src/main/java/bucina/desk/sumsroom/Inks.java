package bucina.desk.sumsroom;

import bucina.core.sums.Picture;
import bucina.desk.look.Palette;
import javafx.scene.paint.Color;

/** What the inks of a picture look like: colour, fill, width of a line and its dashes. */
record Inks(Palette palette) {

    Color colour(Picture.Ink ink) {
        return switch (ink) {
            case METAL, SHADE, EDGE -> palette.ink();
            case BLUE, TANGENT -> palette.layout();
            case SIGHT -> palette.attention();
            case GHOST, SOFT, WASTE -> palette.soft();
            case STOP -> palette.stop();
            case DONE -> palette.done();
        };
    }

    Color fill(Picture.Ink ink) {
        return switch (ink) {
            case SHADE -> palette.shade();
            case BLUE -> palette.layout().interpolate(palette.film(), 0.72);
            case WASTE -> palette.film();
            default -> palette.metal();
        };
    }

    /** Of a line, px. */
    static double width(Picture.Ink ink) {
        return switch (ink) {
            case BLUE, DONE, STOP -> 2.2;
            case EDGE -> 1.4;
            default -> 1.2;
        };
    }

    /** Of a line, px; none for one drawn through. */
    static double[] dashes(Picture.Ink ink) {
        return switch (ink) {
            case SIGHT -> new double[] {8, 3, 2, 3};
            case GHOST -> new double[] {5, 4};
            default -> new double[0];
        };
    }
}
