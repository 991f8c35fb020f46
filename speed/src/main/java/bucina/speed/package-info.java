/**
 * Measuring programs; not shipped. Each prints medians and ratios; run them with {@code speed/run}. Figures stand in
 * docs/performance.md.
 */
package bucina.speed;
