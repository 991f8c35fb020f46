/**
 * Reads SVG. {@code SvgTree} is the file as elements; {@code StyleSheet} and {@code Look} say what is seen of them;
 * {@code Viewport} gives sizes; {@code Walk} goes through what is drawn, {@code PathData} reads the lines of a path,
 * {@code Clip} what is cut away. Nothing is fetched from anywhere. Places are nm, y up.
 */
@NullMarked
package bucina.store.svg;

import org.jspecify.annotations.NullMarked;
