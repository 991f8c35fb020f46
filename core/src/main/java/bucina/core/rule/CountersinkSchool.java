package bucina.core.rule;

import bucina.core.measure.Length;

/** The two schools of how deep a countersink may go into a sheet. */
public enum CountersinkSchool implements Choice {
    /** The sheet must be thicker than the head is high. */
    FULL("full", "head thinner than the sheet"),
    /** The head takes at most two thirds of the sheet; two thirds exactly passes. */
    TWO_THIRDS("two-thirds", "head at most two thirds of the sheet");

    private final String code;
    private final String word;

    CountersinkSchool(String code, String word) {
        this.code = code;
        this.word = word;
    }

    @Override
    public String code() {
        return code;
    }

    @Override
    public String word() {
        return word;
    }

    /** True if a countersink judged {@code depth} deep is allowed in a sheet of {@code thickness}. */
    public boolean allows(Length depth, Length thickness) {
        return switch (this) {
            case FULL -> !depth.atLeast(thickness);
            case TWO_THIRDS -> depth.atMost(Length.nm(thickness.nanometres() * 2 / 3));
        };
    }
}
