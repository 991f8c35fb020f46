package bucina.desk.session;

import java.io.InputStream;

/** What printing takes from the program. Starts no toolkit. */
public final class Printing {

    private Printing() {}

    /** The typeface for printing; the caller closes it. */
    public static InputStream font() {
        return Printing.class.getResourceAsStream("/bucina/desk/fonts/b612-regular.ttf");
    }
}
