/** The room of the bench sums: the list, the picture,
 * the fields and the answer. Renders {@code bucina.desk.sums}; works nothing out on the interface thread. */
@org.jspecify.annotations.NullMarked
package bucina.desk.sumsroom;
