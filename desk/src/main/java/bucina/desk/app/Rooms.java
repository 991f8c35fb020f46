package bucina.desk.app;

import bucina.desk.look.Palette;
import bucina.desk.look.Shown;
import bucina.desk.session.Desk;
import java.util.EnumMap;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Supplier;

/** The rooms of a window: each is made when it is first entered, and closed with the window. */
final class Rooms implements AutoCloseable {

    private final Map<Desk.Room, Supplier<? extends Shown>> makers = new EnumMap<>(Desk.Room.class);
    private final Map<Desk.Room, Shown> made = new EnumMap<>(Desk.Room.class);
    private Palette palette = Palette.LIGHT;
    private double scale = 1;

    /** Says how a room is made. */
    Rooms with(Desk.Room room, Supplier<? extends Shown> maker) {
        makers.put(room, maker);
        return this;
    }

    /** The room, made if it was not entered yet. */
    Shown of(Desk.Room room) {
        Shown there = made.get(room);
        if (there == null) {
            there = Objects.requireNonNull(makers.get(room), room::word).get();
            there.use(palette, scale);
            made.put(room, there);
        }
        return there;
    }

    /** The room of a type, if it was entered. */
    <T extends Shown> Optional<T> entered(Class<T> type) {
        return made.values().stream().filter(type::isInstance).map(type::cast).findFirst();
    }

    /** Puts on colours and size of text. */
    void use(Palette colours, double size) {
        palette = colours;
        scale = size;
        made.values().forEach(r -> r.use(colours, size));
    }

    @Override
    public void close() {
        made.values().forEach(Shown::close);
        made.clear();
    }
}
