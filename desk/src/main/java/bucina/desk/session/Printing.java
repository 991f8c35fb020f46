package bucina.desk.session;

import java.io.InputStream;
import java.util.List;
import java.util.function.Supplier;
import java.util.stream.Stream;

/** What printing takes from the program. Starts no toolkit. */
public final class Printing {

    /** The typefaces for printing, those behind the first for letters it lacks; the caller closes what it opens. */
    public static final List<Supplier<InputStream>> FONTS = Stream.concat(
                    Stream.of("b612-regular", "dejavu-sans-condensed", "droid-sans-fallback", "nanum-square-regular"),
                    Stream.of(
                                    "thai",
                                    "devanagari",
                                    "bengali",
                                    "tamil",
                                    "telugu",
                                    "kannada",
                                    "malayalam",
                                    "gujarati",
                                    "gurmukhi",
                                    "sinhala",
                                    "khmer",
                                    "lao",
                                    "myanmar",
                                    "ethiopic",
                                    "oriya")
                            .map(script -> "noto-sans-" + script))
            .<Supplier<InputStream>>map(
                    name -> () -> Printing.class.getResourceAsStream("/bucina/desk/fonts/" + name + ".ttf"))
            .toList();

    private Printing() {}
}
