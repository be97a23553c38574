package driftwood.smell;

import driftwood.pack.Line;
import driftwood.program.Symbol;
import java.util.List;

/** What is known of a finding in a routine whose plan is told in words. */
public sealed interface RoutineFacts extends Gathered {

    /**
     * Collaborators told of the same, one by one.
     *
     * @param routine       symbol of who tells
     * @param collaborators ways to them, as written
     * @param shared        what they are told of, as written
     */
    record Telling(String routine, List<String> collaborators, String shared) implements RoutineFacts {
        @Override
        public String change() {
            return "collaborator to tell";
        }

        @Override
        public List<Part> parts() {
            return List.of(new Part("collaborators", collaborators), new Part("shared", List.of(shared)));
        }
    }

    /**
     * A ladder of limits or candidates.
     *
     * @param chain    the ladder
     * @param handlers what is done at each rung, shortened
     */
    record Limits(Chain chain, List<String> handlers) implements RoutineFacts {
        @Override
        public String change() {
            return "limit";
        }

        @Override
        public List<Part> parts() {
            return List.of(new Part("handlers", handlers), new Part("limits", chain.arms().stream().map(Chain.Arm::title).toList()));
        }
    }

    /**
     * A flag that splits a routine.
     *
     * @param routine symbol
     * @param flag    its name; empty where it has none
     * @param at      its position among the parameters, from 0
     * @param places  calls with a bare true or false
     */
    record Flag(String routine, String flag, int at, List<Place> places) implements RoutineFacts {
        @Override
        public String change() {
            return "behaviour of " + Symbol.of(routine).member();
        }

        @Override
        public List<Part> parts() {
            return List.of(Gathered.routine(routine), new Part("flag", List.of(flag)));
        }
    }

    /**
     * Many parameters.
     *
     * @param routine    symbol
     * @param parameters their names
     * @param places     who calls
     */
    record Parameters(String routine, List<String> parameters, List<Place> places) implements RoutineFacts {
        @Override
        public String change() {
            return "parameter of " + Symbol.of(routine).member();
        }

        @Override
        public List<Part> parts() {
            return List.of(Gathered.routine(routine), new Part("parameters", parameters));
        }
    }

    /**
     * Arguments that go to each other's parameters.
     *
     * @param routine    symbol of what is called
     * @param parameters names of those that are mixed up
     */
    record Swap(String routine, List<String> parameters) implements RoutineFacts {
        @Override
        public String change() {
            return "call of " + Symbol.of(routine).member();
        }

        @Override
        public List<Part> parts() {
            return List.of(Gathered.routine(routine), new Part("parameters", parameters));
        }
    }

    /**
     * A routine that works with the parts of another type.
     *
     * @param routine symbol
     * @param home    qualified name of the type whose parts it uses
     * @param members names of those parts
     * @param places  where that type is
     */
    record Envy(String routine, String home, List<String> members, List<Place> places) implements RoutineFacts {
        @Override
        public String change() {
            return "part of " + Symbol.of(home).simpleType();
        }

        @Override
        public List<Part> parts() {
            return List.of(Gathered.routine(routine), Gathered.types("home", home));
        }
    }

    /**
     * A choice between unrelated types for one purpose.
     *
     * @param chain    the choice
     * @param adaptees qualified names
     * @param calls    what is called on each
     * @param places   the same choice elsewhere
     */
    record Mismatch(Chain chain, List<String> adaptees, List<String> calls, List<Place> places) implements RoutineFacts {
        @Override
        public String change() {
            return "way of doing it";
        }

        @Override
        public List<Part> parts() {
            return List.of(Gathered.types("adaptee", adaptees.toArray(String[]::new)), new Part("calls", calls));
        }
    }

    /**
     * A constructor that works.
     *
     * @param constructor symbol
     * @param type        qualified name
     * @param own         names of the own overridable routines that it calls; empty where it does anything else
     */
    record Work(String constructor, String type, List<String> own) implements RoutineFacts {
        @Override
        public String change() {
            return "way to make a " + Symbol.of(type).simpleType();
        }

        @Override
        public List<Part> parts() {
            return List.of(Gathered.types("type", type));
        }
    }

    /**
     * A core with guards around it.
     *
     * @param routine symbol
     * @param core    as written, shortened
     * @param line    where the core begins
     */
    record Guarded(String routine, String core, @Line int line) implements RoutineFacts {
        @Override
        public String change() {
            return "guard";
        }

        @Override
        public List<Part> parts() {
            return List.of(new Part("core", List.of(core)));
        }
    }
}
