/** The window: starting it, its rooms and bars, its keys, and the pictures taken of it. */
package bucina.desk.app;
