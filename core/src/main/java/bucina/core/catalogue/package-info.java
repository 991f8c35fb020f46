/**
 * The tables that ship with the program and that a builder may replace: drills, rivets, rules. Every row names its
 * source.
 *
 * <p>The tables are comma-separated text with a header; the units stand in the column names ({@code _in}) or behind
 * the value. Readers are
 * handed in: this package opens no files.
 */
@NullMarked
package bucina.core.catalogue;

import org.jspecify.annotations.NullMarked;
