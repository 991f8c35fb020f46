/**
 * The row strip: the chosen row unrolled, hole by hole, with grip as steps, edge distance against its limit and the
 * length to use.
 */
@org.jspecify.annotations.NullMarked
package bucina.desk.strip;
