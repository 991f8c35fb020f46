/**
 * When is it done: minutes by kind of work from the log, what is left times these, drawn again a thousand times, and
 * the hours of the last weeks ({@link bucina.core.forecast.Forecast}).
 */
@NullMarked
package bucina.core.forecast;

import org.jspecify.annotations.NullMarked;
