/**
 * The design language: colours, type, spacings, glyphs. Made once; every view takes them from here.
 *
 * <p>{@link bucina.desk.look.Palette} holds the colours of both variants; canvases ask it, and the style sheet gets
 * the same colours as
 * looked-up names. {@link bucina.desk.look.Glyph} paints the state of a hole: shape first, colour second.
 */
@org.jspecify.annotations.NullMarked
package bucina.desk.look;
