/** The papers room: queries, bulletins, accepted findings and the other hand. */
package bucina.desk.papers;
