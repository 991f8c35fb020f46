/** The logbook room: every entry by day, with what was measured and what went wrong, and the way to put one right. */
@org.jspecify.annotations.NullMarked
package bucina.desk.logbook;
