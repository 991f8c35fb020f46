/**
 * Lines and arcs as drawings give them, whatever the format: placed ({@code Placing}), cut into arcs and chords
 * ({@code Arcs}, {@code Fitted}, {@code Beziers}), gathered in a {@code Sink}, joined where they meet ({@code Joiner}),
 * made circles where they are round ({@code Rounds}). Places are nm, y up.
 */
@NullMarked
package bucina.store.curve;

import org.jspecify.annotations.NullMarked;
