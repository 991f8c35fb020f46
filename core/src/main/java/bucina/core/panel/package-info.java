/**
 * Making a panel from a few figures: skin, spars, ribs, doublers, and the rows along the flange centre lines.
 *
 * <p>Terms: <b>x</b> runs along the span from the root edge, <b>y</b> across it from the lower edge; a <b>spar</b>
 * runs along x, a <b>rib</b> stands
 * at a station x and is broken by the spars; a <b>bay</b> is the stretch of a rib between two spars. Pure.
 */
@NullMarked
package bucina.core.panel;

import org.jspecify.annotations.NullMarked;
