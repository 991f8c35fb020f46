/**
 * The command line: the same core for scripts, tests and the curious. Starts no window and no toolkit.
 *
 * <p>Exit 0 when all is well, 1 for findings of level error or no usable answer, 2 for input that cannot be used (one
 * sentence on standard
 * error). Figures go to standard output, as a short table or with {@code --json} as one tree; there lengths are
 * {@code {"in": x, "mm": y}}.
 */
@org.jspecify.annotations.NullMarked
package bucina.desk.cli;
