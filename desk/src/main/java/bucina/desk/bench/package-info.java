/**
 * The bench side, at the right: the section and the numbers of the hole looked at, what to do next, and the log panel.
 */
@org.jspecify.annotations.NullMarked
package bucina.desk.bench;
