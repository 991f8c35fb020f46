package bucina.core.explain;

/**
 * One number opened up.
 *
 * @param title   what the number is
 * @param value   the number with its unit
 * @param formula the formula in letters; may be empty
 * @param filled  the formula with the values put in; may be empty
 * @param source  the rule and where it comes from
 * @param note    how good it is, or who overrode it and why; may be empty
 */
public record Why(String title, String value, String formula, String filled, String source, String note) {}
