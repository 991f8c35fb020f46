/**
 * Solid rivets: their names, their sizes, and the choice of a length.
 *
 * <p>Terms: <b>D</b> nominal shank diameter; <b>grip G</b> thickness of the stack; <b>effective grip Ge</b> what the
 * shank has to bridge
 * before metal stands proud (more than G where the last layer is dimpled too); <b>protrusion</b> {@code L - Ge};
 * <b>shop head</b> the
 * head that is formed. Lengths L are under the head for protruding heads and over all for flush heads.
 *
 * <p>The choice rests on the volume of metal that becomes the shop head; the case where every layer is dimpled is an
 * estimate and says so.
 * Everything is immutable and pure. The package knows nothing of holes on a face, and never approves anything: the
 * kit's drawing governs.
 */
@NullMarked
package bucina.core.rivet;

import org.jspecify.annotations.NullMarked;
