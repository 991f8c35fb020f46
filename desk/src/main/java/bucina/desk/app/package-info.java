/** The window: starting it, its rooms and bars, its keys, and the pictures taken of it. */
@org.jspecify.annotations.NullMarked
package bucina.desk.app;
