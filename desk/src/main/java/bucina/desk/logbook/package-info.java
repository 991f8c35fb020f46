/** The logbook room: every entry by day, with what was measured and what went wrong, and the way to put one right. */
package bucina.desk.logbook;
