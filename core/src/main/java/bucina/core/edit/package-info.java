/**
 * Changes of a plan as pure functions: a build in, a build out. Nothing is changed that was not asked for, so that
 * the derivation and the build
 * file see the difference by comparing references.
 *
 * <p>Ids come from the build's own counter. Labels of holes are never reused in a row. A change that cannot be made
 * is refused with an
 * {@link bucina.core.measure.InputException}; the build stays as it was.
 */
@NullMarked
package bucina.core.edit;

import org.jspecify.annotations.NullMarked;
