package bucina.core.weight;

import bucina.core.material.Material;
import java.util.Map;
import java.util.Optional;

/** How heavy sheet is. Source: handbook, section 16. */
public final class Density {

    /** By alloy, lb/in³. */
    private static final Map<String, Double> BY_ALLOY =
            Map.of("2024", .100, "6061", .098, "5052", .097, "7075", .101, "4130", .283, "STEEL", .283);

    private Density() {}

    /** Of a material, lb/in³; empty for one that is not tabulated. */
    public static Optional<Double> of(Material material) {
        return Optional.ofNullable(BY_ALLOY.get(material.alloy()));
    }
}
