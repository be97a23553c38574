package driftwood.smell;

import driftwood.smell.detect.ConditionalInstantiation;
import driftwood.smell.detect.NullCheck;
import driftwood.smell.detect.TelescopingConstructor;
import driftwood.smell.detect.TypeSwitch;
import java.util.List;
import java.util.Optional;

/** All smells, in the order of the catalogue. A new one is a class and a line here. */
public final class Catalogue {
    private static final List<Detector<?>> DETECTORS = List.of(
            new TypeSwitch(),
            new TelescopingConstructor(),
            new NullCheck(),
            new ConditionalInstantiation());

    private Catalogue() {
    }

    public static List<Detector<?>> detectors() {
        return DETECTORS;
    }

    /** The smell of a key; empty where there is none. */
    public static Optional<Smell> smell(String key) {
        return DETECTORS.stream().map(Detector::smell).filter(smell -> smell.key().equals(key)).findFirst();
    }

    public static List<String> keys() {
        return DETECTORS.stream().map(detector -> detector.smell().key()).toList();
    }
}
