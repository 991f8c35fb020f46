/**
 * Reads tables of holes as spreadsheets and other programs write them. {@code Lines} are the cells; {@code Heading}
 * says which column is what and in which unit; {@code Figures} reads a figure. What they do not say is asked.
 */
@NullMarked
package bucina.store.table;

import org.jspecify.annotations.NullMarked;
