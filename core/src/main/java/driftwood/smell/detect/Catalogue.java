package driftwood.smell.detect;

import driftwood.smell.Detector;
import driftwood.smell.Settings;
import driftwood.smell.Smell;
import driftwood.smell.detect.construction.LongParameterList;
import driftwood.smell.detect.construction.SwappedArguments;
import driftwood.smell.detect.construction.TelescopingConstructor;
import driftwood.smell.detect.container.ContainerTypeCheck;
import driftwood.smell.detect.flag.FlagArgument;
import driftwood.smell.detect.guard.GuardHeavyMethod;
import driftwood.smell.detect.half.HalfBuiltObject;
import driftwood.smell.detect.kind.ConditionalInstantiation;
import driftwood.smell.detect.kind.StateSwitch;
import driftwood.smell.detect.kind.ThresholdLadder;
import driftwood.smell.detect.kind.TypeSwitch;
import driftwood.smell.detect.mismatched.MismatchedInterfaces;
import driftwood.smell.detect.misplaced.MisplacedBehaviour;
import driftwood.smell.detect.nothing.NullCheck;
import driftwood.smell.detect.notification.HardWiredNotification;
import driftwood.smell.detect.wiring.BypassedWrapper;
import driftwood.smell.detect.wiring.HardCodedInstantiation;
import driftwood.smell.detect.wiring.UncontrolledInstances;
import driftwood.smell.detect.work.ConstructorWork;
import java.util.List;
import java.util.Optional;

/** All smells, in the order of the catalogue. A new one is a class and a line here. */
public final class Catalogue {
    private static final List<Detector> DETECTORS = detectors(Settings.DEFAULT);

    private Catalogue() {
    }

    /** All detectors, with what a project decided for itself. */
    public static List<Detector> detectors(Settings settings) {
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

    public static List<Detector> detectors() {
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
