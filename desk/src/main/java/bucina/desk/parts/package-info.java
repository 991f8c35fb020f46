/** The parts room: every part of the build, how it stands, what is owed to it, what is said of it. */
@NullMarked
package bucina.desk.parts;

import org.jspecify.annotations.NullMarked;
