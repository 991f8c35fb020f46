/**
 * Gauges that send what they read: a serial one, a simulated one, and the post that brings their readings to the field
 * that wants them.
 */
@org.jspecify.annotations.NullMarked
package bucina.desk.gauge;
