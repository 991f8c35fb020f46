package bucina.core.cut;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;

/**
 * Pieces wanted.
 *
 * @param name   what for; may be empty
 * @param length over 0, with its allowance for trimming
 * @param count  1 to 10,000
 */
public record Piece(String name, Length length, int count) {

    public Piece {
        if (!length.positive()) {
            throw new InputException("A piece is " + length + " long: it is over 0, like 24");
        }
        if (!(count >= 1 && count <= 10_000)) {
            throw new InputException(
                    count + " pieces of " + length + " are wanted: the count is 1 to 10000, like 24x3");
        }
    }
}
