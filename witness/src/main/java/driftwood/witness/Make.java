package driftwood.witness;

import java.util.List;

/** How to make a value inside the witness. */
public sealed interface Make {

    /**
     * A literal.
     *
     * @param type "null", "String", "char", or the name of a primitive type
     * @param text as written in Java, strings without quotes
     */
    record Literal(String type, String text) implements Make {
    }

    /**
     * A static field or an enum constant.
     *
     * @param type binary name
     * @param name of the field
     */
    record Constant(String type, String name) implements Make {
    }

    /**
     * A new instance by a constructor.
     *
     * @param type       binary name
     * @param parameters simple names of the declared parameter types
     * @param arguments  one for each parameter
     */
    record New(String type, List<String> parameters, List<Make> arguments) implements Make {
    }

    /**
     * The result of a call; without receiver, of a static routine.
     *
     * @param type       binary name of the declaring type, used where there is no receiver
     * @param receiver   one element or none
     * @param name       of the routine
     * @param parameters simple names of the declared parameter types
     * @param arguments  one for each parameter
     */
    record Call(String type, List<Make> receiver, String name, List<String> parameters, List<Make> arguments)
            implements Make {
    }

    /**
     * A value after calls on it whose results do not matter.
     *
     * @param base  the value
     * @param calls each with an empty receiver: the value is it
     */
    record Configured(Make base, List<Call> calls) implements Make {
    }

    /**
     * A collection.
     *
     * @param kind  list, set, map (keys and values in turn), optional or array
     * @param type  for arrays, the simple or binary name of the element type; else empty
     * @param items in order
     */
    record Many(String kind, String type, List<Make> items) implements Make {
    }

    /**
     * An object that implements an interface, answers neutrally and remembers the calls.
     *
     * @param type binary name of the interface
     */
    record StandIn(String type) implements Make {
    }
}
