package driftwood.witness;

import java.util.List;

/** How to make a value inside the witness. */
public sealed interface Make {

    /**
     * Does something for each way to make a value.
     *
     * @param <R> what each visit returns
     * @param <E> what a visit may throw
     */
    interface Visitor<R, E extends Throwable> {
        R visitLiteral(Literal literal) throws E;

        R visitConstant(Constant constant) throws E;

        R visitNew(New fresh) throws E;

        R visitCall(Call call) throws E;

        R visitConfigured(Configured configured) throws E;

        R visitMany(Many many) throws E;

        R visitStandIn(StandIn standIn) throws E;

        R visitSame(Same same) throws E;
    }

    /** Hands itself to the visitor's routine for this way. */
    <R, E extends Throwable> R accept(Visitor<R, E> visitor) throws E;

    /**
     * A literal.
     *
     * @param type "null", "String", "char", or the name of a primitive type
     * @param text as written in Java, strings without quotes
     */
    record Literal(String type, String text) implements Make {
        @Override
        public <R, E extends Throwable> R accept(Visitor<R, E> visitor) throws E {
            return visitor.visitLiteral(this);
        }
    }

    /**
     * A static field or an enum constant.
     *
     * @param type binary name
     * @param name of the field
     */
    record Constant(String type, String name) implements Make {
        @Override
        public <R, E extends Throwable> R accept(Visitor<R, E> visitor) throws E {
            return visitor.visitConstant(this);
        }
    }

    /**
     * A new instance by a constructor.
     *
     * @param type       binary name
     * @param parameters simple names of the declared parameter types
     * @param arguments  one for each parameter
     */
    record New(String type, List<String> parameters, List<Make> arguments) implements Make {
        @Override
        public <R, E extends Throwable> R accept(Visitor<R, E> visitor) throws E {
            return visitor.visitNew(this);
        }
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
        @Override
        public <R, E extends Throwable> R accept(Visitor<R, E> visitor) throws E {
            return visitor.visitCall(this);
        }
    }

    /**
     * A value after calls on it whose results do not matter.
     *
     * @param base  the value
     * @param calls each with an empty receiver: the value is it
     */
    record Configured(Make base, List<Call> calls) implements Make {
        @Override
        public <R, E extends Throwable> R accept(Visitor<R, E> visitor) throws E {
            return visitor.visitConfigured(this);
        }
    }

    /**
     * A collection.
     *
     * @param kind  list, set, map (keys and values in turn), optional or array
     * @param type  for arrays, the simple or binary name of the element type; else empty
     * @param items in order
     */
    record Many(String kind, String type, List<Make> items) implements Make {
        @Override
        public <R, E extends Throwable> R accept(Visitor<R, E> visitor) throws E {
            return visitor.visitMany(this);
        }
    }

    /**
     * An object that implements an interface, answers neutrally and remembers the calls.
     *
     * @param type binary name of the interface
     */
    record StandIn(String type) implements Make {
        @Override
        public <R, E extends Throwable> R accept(Visitor<R, E> visitor) throws E {
            return visitor.visitStandIn(this);
        }
    }

    /**
     * An object that is there already: what an earlier step gave or was handed.
     *
     * @param name as in {@link Script}
     */
    record Same(String name) implements Make {
        @Override
        public <R, E extends Throwable> R accept(Visitor<R, E> visitor) throws E {
            return visitor.visitSame(this);
        }
    }
}
