/**
 * Cards that lie over the window: the search box, the reason of a number, the legend, a typed stack, and bench mode.
 * Escape puts one away.
 */
@org.jspecify.annotations.NullMarked
package bucina.desk.card;
