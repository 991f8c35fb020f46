/**
 * The whole build as JSON, out and in again without loss; described by docs/format/build.schema.json.
 *
 * <p>Lengths and coordinates are decimal millimetres, exact: the nanometres of {@link bucina.core.measure.Length}
 * with the point moved, so
 * no figure changes on the way. Reading is strict: a wrong type, an unknown or missing field, a value out of range is
 * refused with its
 * place as a JSON pointer ({@code /assemblies/0/faces/2/layers/4/thickness}). The same shapes stand as text in
 * columns of the build file.
 */
@NullMarked
package bucina.store.json;

import org.jspecify.annotations.NullMarked;
