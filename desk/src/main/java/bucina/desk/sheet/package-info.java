/**
 * The sheet: one face drawn to scale, panned, zoomed and picked from.
 *
 * <p>Drawn on two canvases, the sheet itself and an overlay for what is picked; holes are stamped sprites, found
 * through the face's index, and
 * dots when they would touch. During a gesture the drawn picture is moved; it is drawn again when the gesture rests.
 */
@org.jspecify.annotations.NullMarked
package bucina.desk.sheet;
