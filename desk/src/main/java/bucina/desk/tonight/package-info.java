/**
 * The room that answers "what now": the jobs of this evening as lengths on a band, what to lay out as pictures, where
 * to stop, and the evening run job by job in type that reads from three metres. Interface thread only; what is shown is
 * worked out aside by {@code session.Evening}.
 */
@NullMarked
package bucina.desk.tonight;

import org.jspecify.annotations.NullMarked;
