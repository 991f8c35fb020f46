/** The room of the bench sums: the list, the picture,
 * the fields and the answer. Renders {@code bucina.desk.sums}; works nothing out on the interface thread. */
package bucina.desk.sumsroom;
