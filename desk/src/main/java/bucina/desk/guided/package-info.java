/**
 * Jobs that the window leads through: each step says what to do and waits for the builder's own hand. {@link
 * bucina.desk.guided.GuidedJob} is what is done, {@link bucina.desk.guided.Guided} how far it has come, without nodes;
 * {@link bucina.desk.guided.GuidedPane} shows it beside the work. Nothing is done in the builder's place.
 */
@NullMarked
package bucina.desk.guided;

import org.jspecify.annotations.NullMarked;
