/**
 * The rules room: every limit with its value and source; choosing, editing and comparing rule sets, and what a change
 * does to this build.
 */
@org.jspecify.annotations.NullMarked
package bucina.desk.rules;
