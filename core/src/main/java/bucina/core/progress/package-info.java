/**
 * The work between layout and riveting: clecos over a face, and what is drilled, deburred and dressed, hole by hole.
 *
 * <p>Terms: a <b>mark</b> says that an operation was done to a hole in one layer from one side, or takes that back;
 * <b>skipped</b> is a hole not marked between
 * marked ones of its row; <b>guarded</b> is a hole that an operation would spoil now. Pure.
 */
@NullMarked
package bucina.core.progress;

import org.jspecify.annotations.NullMarked;
