/** The papers room: queries, bulletins, accepted findings and the other hand. */
@org.jspecify.annotations.NullMarked
package bucina.desk.papers;
