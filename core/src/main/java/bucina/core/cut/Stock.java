package bucina.core.cut;

import bucina.core.measure.InputException;
import bucina.core.measure.Length;

/**
 * Bars of one length on hand.
 *
 * @param length over 0
 * @param count  0 to 10,000
 */
public record Stock(Length length, int count) {

    public Stock {
        if (!length.positive()) {
            throw new InputException("A bar is " + length + " long: it is over 0, like 72");
        }
        if (!(count >= 0 && count <= 10_000)) {
            throw new InputException(count + " bars of " + length + " are on hand: the count is 0 to 10000, like 72x3");
        }
    }
}
