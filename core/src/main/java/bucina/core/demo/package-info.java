/**
 * The demonstration build: a made-up aircraft, the Dunlin, left half of its all-moving stabilator. Every figure is
 * invented for the program;
 * no kit is like it. Built in code so that the same build stands in the window, in tests and in measurements.
 * Deterministic.
 *
 * <p>Faces of the left half: the upper skin is drawn from above with outboard to the right, so aft is up; the lower
 * skin from below with
 * outboard to the right, so forward is up; the spar webs from ahead, looking aft.
 */
@NullMarked
package bucina.core.demo;

import org.jspecify.annotations.NullMarked;
