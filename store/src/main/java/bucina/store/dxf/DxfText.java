package bucina.store.dxf;

import bucina.store.drawing.TextFile;
import java.nio.charset.Charset;
import java.nio.charset.IllegalCharsetNameException;
import java.nio.charset.StandardCharsets;
import java.nio.charset.UnsupportedCharsetException;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** The text of a DXF: UTF-8 or UTF-16, or the code page that it says. */
final class DxfText {

    private static final Pattern PAGE = Pattern.compile("\\$DWGCODEPAGE\\s+3\\s+(\\S{1,20})");
    private static final Pattern ESCAPE = Pattern.compile("\\\\U\\+([0-9A-Fa-f]{4})");
    private static final int HEAD = 20_000;

    private DxfText() {}

    static String of(byte[] bytes) {
        return TextFile.text(bytes, () -> page(bytes));
    }

    private static Charset page(byte[] bytes) {
        Matcher said = PAGE.matcher(new String(bytes, 0, Math.min(bytes.length, HEAD), StandardCharsets.ISO_8859_1));
        String name = said.find() ? said.group(1).toUpperCase(Locale.ROOT) : "ANSI_1252";
        try {
            return Charset.forName(
                    name.equals("ANSI_932")
                            ? "windows-31j"
                            : name.replaceFirst("^(ANSI_|CP)", "windows-").replaceFirst("^DOS", "IBM"));
        } catch (IllegalCharsetNameException | UnsupportedCharsetException e) {
            return Charset.forName("windows-1252");
        }
    }

    /** A value with its escapes as the letters they stand for. */
    static String plain(String value) {
        if (value.indexOf("\\U+") < 0) {
            return value;
        }
        return ESCAPE.matcher(value)
                .replaceAll(m -> Matcher.quoteReplacement(String.valueOf((char) Integer.parseInt(m.group(1), 16))));
    }
}
