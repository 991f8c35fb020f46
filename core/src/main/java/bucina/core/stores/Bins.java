package bucina.core.stores;

import bucina.core.measure.InputException;
import bucina.core.plan.Build;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/** How many are in a bin, as the builder counted them. */
public final class Bins {

    private static final int LONGEST = 60;
    private static final int MOST = 7;

    private Bins() {}

    /**
     * The build with a bin counted.
     *
     * @param bin   what is in it, {@code cleco 1/8} or a designation
     * @param count as typed; empty for not counted
     * @throws InputException if it is no count, or the bin's name is too long
     */
    public static Build counted(Build build, String bin, String count) {
        if (bin.length() > LONGEST) {
            throw new InputException("a bin's name has up to " + LONGEST + " characters, had " + bin.length());
        }
        Optional<Integer> read = read(count);
        Map<String, Integer> stock = new HashMap<>(build.stock());
        read.ifPresentOrElse(n -> stock.put(bin, n), () -> stock.remove(bin));
        return build.withStock(stock);
    }

    private static Optional<Integer> read(String count) {
        String clean = count.strip();
        if (!clean.matches("\\d{0," + MOST + "}")) {
            throw new InputException(
                    "\"" + clean + "\" is no count: write a whole number like 120, or nothing for not counted.");
        }
        return clean.isEmpty() ? Optional.empty() : Optional.of(Integer.parseInt(clean));
    }
}
