/** The desktop application: starting it, as a window or on the command line. */
@org.jspecify.annotations.NullMarked
package bucina.desk;
