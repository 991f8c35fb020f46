/**
 * What the window knows, without nodes: the open build, what is picked, what can be undone, what is typed. Tested
 * without a toolkit.
 *
 * <p>A view renders this state and reports what the person wants; it never changes a build itself. Unless a method
 * says otherwise, a
 * session is used from the interface thread only; work that takes time is handed to its worker and comes back there.
 */
@org.jspecify.annotations.NullMarked
package bucina.desk.session;
