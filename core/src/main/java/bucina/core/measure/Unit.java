package bucina.core.measure;

/** The two units the bench uses. Either can be asked for anywhere; nothing is stored in one of them. */
public enum Unit {
    /** Inches, 25.4 mm each by definition. */
    INCH("in", 25_400_000d),
    /** Millimetres. */
    MM("mm", 1_000_000d);

    private final String symbol;
    private final double nanometres;

    Unit(String symbol, double nanometres) {
        this.symbol = symbol;
        this.nanometres = nanometres;
    }

    /** The symbol as printed behind a figure: {@code in} or {@code mm}. */
    public String symbol() {
        return symbol;
    }

    /** How many nanometres one of this unit is. */
    public double nanometres() {
        return nanometres;
    }
}
