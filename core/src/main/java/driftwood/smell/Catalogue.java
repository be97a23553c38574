package driftwood.smell;

import driftwood.smell.detect.BypassedWrapper;
import driftwood.smell.detect.ConditionalInstantiation;
import driftwood.smell.detect.ConstructorWork;
import driftwood.smell.detect.ContainerTypeCheck;
import driftwood.smell.detect.FlagArgument;
import driftwood.smell.detect.GuardHeavyMethod;
import driftwood.smell.detect.HalfBuiltObject;
import driftwood.smell.detect.HardCodedInstantiation;
import driftwood.smell.detect.HardWiredNotification;
import driftwood.smell.detect.LongParameterList;
import driftwood.smell.detect.MismatchedInterfaces;
import driftwood.smell.detect.MisplacedBehaviour;
import driftwood.smell.detect.NearTwinClasses;
import driftwood.smell.detect.NullCheck;
import driftwood.smell.detect.StateSwitch;
import driftwood.smell.detect.SubclassExplosion;
import driftwood.smell.detect.SwappedArguments;
import driftwood.smell.detect.TelescopingConstructor;
import driftwood.smell.detect.ThresholdLadder;
import driftwood.smell.detect.TypeSwitch;
import driftwood.smell.detect.UncontrolledInstances;
import java.util.List;
import java.util.Optional;

/** All smells, in the order of the catalogue. A new one is a class and a line here. */
public final class Catalogue {
    private static final List<Detector<?>> DETECTORS = detectors(Settings.DEFAULT);

    private Catalogue() {
    }

    /** All detectors, with what a project decided for itself. */
    public static List<Detector<?>> detectors(Settings settings) {
        return List.of(
                new TypeSwitch(),
                new ContainerTypeCheck(),
                new StateSwitch(),
                new ThresholdLadder(),
                new TelescopingConstructor(),
                new LongParameterList(settings),
                new SwappedArguments(),
                new FlagArgument(),
                new NullCheck(),
                new ConditionalInstantiation(),
                new HardCodedInstantiation(settings),
                new HardWiredNotification(),
                new MismatchedInterfaces(),
                new SubclassExplosion(),
                new NearTwinClasses(),
                new MisplacedBehaviour(),
                new UncontrolledInstances(),
                new BypassedWrapper(),
                new GuardHeavyMethod(),
                new ConstructorWork(),
                new HalfBuiltObject());
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
