/**
 * Gauges that send what they read: a serial one, a simulated one, and the post that brings their readings to the field
 * that wants them.
 */
package bucina.desk.gauge;
