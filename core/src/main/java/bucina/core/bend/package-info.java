/**
 * Forming of sheet: how long the flat of a bent profile is and where its tangent and sight lines lie, how tight a
 * bend may be, and the flutes of a flange.
 *
 * <p>Terms: <b>bend angle</b> how far the sheet is turned, not the angle left between the legs; <b>tangent line</b>
 * where flat and bend meet;
 * <b>bend allowance</b> the length of flat sheet that goes into a bend; <b>setback</b> mould line to tangent;
 * <b>mould line</b> where the outer faces
 * would meet; <b>sight line</b> the line under the nose of the brake, one inside radius from the clamped tangent.
 * Pure; knows no plan.
 */
@NullMarked
package bucina.core.bend;

import org.jspecify.annotations.NullMarked;
