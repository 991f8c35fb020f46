/** The desktop application: starting it, as a window or on the command line. */
package bucina.desk;
