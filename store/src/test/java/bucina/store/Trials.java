package bucina.store;

/** How often something is tried: a few times with every build, often when {@code speed/trust} asks for it. */
public final class Trials {

    private Trials() {}

    /** Few or many. */
    public static int of(int few, int many) {
        return Boolean.getBoolean("trust") ? many : few;
    }
}
