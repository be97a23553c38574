package driftwood.witness;

import java.lang.reflect.InvocationHandler;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.lang.reflect.Proxy;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;

/** Makes stand-ins for interfaces: they answer neutrally, and every call on them is remembered in order. */
final class StandIns {
    private static final int MOST_CALLS = 1000;

    private final List<Value> calls = new ArrayList<>();
    private Function<Object, Value> teller = argument -> Value.scalar("opaque", argument.getClass().getName());
    private int silences;

    /** Marks the handler of a stand-in. */
    private final class Handler implements InvocationHandler {
        private final Class<?> type;

        Handler(Class<?> type) {
            this.type = type;
        }

        @Override
        public Object invoke(Object self, Method method, Object[] arguments) throws Throwable {
            if (method.getDeclaringClass() == Object.class) {
                return switch (method.getName()) {
                    case "equals" -> self == arguments[0];
                    case "hashCode" -> type.getName().hashCode();
                    default -> "stand-in for " + type.getSimpleName();
                };
            }
            if (method.isDefault()) {
                return InvocationHandler.invokeDefault(self, method, arguments);
            }
            synchronized (calls) {
                if (silences == 0 && calls.size() < MOST_CALLS && !isBetweenThemselves(type)) {
                    int at = calls.size();
                    silences++;
                    List<Value> told = arguments == null ? List.of() : Arrays.stream(arguments).map(teller).toList();
                    silences--;
                    calls.add(at, new Value("call", type.getSimpleName() + "." + method.getName(), List.of(), told));
                }
            }
            return neutral(method.getReturnType(), arguments);
        }
    }

    /**
     * Whether the platform talks to an interface of its own: how often it asks is its own affair, and differs from JDK to
     * JDK. Interfaces of one routine are handed over to be called, so those calls count whoever makes them.
     */
    private static boolean isBetweenThemselves(Class<?> type) {
        long abstracts = Arrays.stream(type.getMethods()).filter(each -> Modifier.isAbstract(each.getModifiers())).count();
        return type.getName().startsWith("java.") && abstracts > 1 && StackWalker.getInstance().walk(frames -> frames
                .map(StackWalker.StackFrame::getClassName)
                .filter(name -> !name.startsWith("driftwood.witness.") && !name.contains("$Proxy"))
                .findFirst().map(name -> name.startsWith("java.")).orElse(false));
    }

    Object make(Class<?> type) throws Unmade {
        if (!type.isInterface()) {
            throw new Unmade("no stand-in can be made for " + type.getName() + ", which is no interface");
        }
        return Proxy.newProxyInstance(type.getClassLoader() == null ? StandIns.class.getClassLoader()
                : type.getClassLoader(), new Class<?>[] {type}, new Handler(type));
    }

    /** @param describes what is handed to stand-ins */
    void telling(Function<Object, Value> describes) {
        teller = describes;
    }

    /** Begins or ends a silence, in which calls are not remembered; they may be nested. */
    void quiet(boolean on) {
        synchronized (calls) {
            silences = Math.max(0, silences + (on ? 1 : -1));
        }
    }

    List<Value> calls() {
        synchronized (calls) {
            return List.copyOf(calls);
        }
    }

    /** The interface a stand-in stands for; empty for any other object. */
    static Optional<Class<?>> typeOf(Object object) {
        return Proxy.isProxyClass(object.getClass()) && Proxy.getInvocationHandler(object) instanceof Handler handler
                ? Optional.of(handler.type) : Optional.empty();
    }

    /** What says nothing: false, zero, an empty text or collection, or the argument itself where any object will do. */
    private static Object neutral(Class<?> type, Object[] arguments) {
        if (type == boolean.class || type == Boolean.class) {
            return false;
        }
        if (type == char.class) {
            return 'a';
        }
        if (type.isPrimitive()) {
            return type == void.class ? null : zero(type);
        }
        if (type == String.class || type == CharSequence.class) {
            return "";
        }
        if (type == Optional.class) {
            return Optional.empty();
        }
        if (type == List.class || type == Collection.class || type == Iterable.class) {
            return new ArrayList<>();
        }
        if (type == Set.class) {
            return new java.util.LinkedHashSet<>();
        }
        if (type == Map.class) {
            return new java.util.LinkedHashMap<>();
        }
        return type == Object.class && arguments != null && arguments.length > 0 ? arguments[0] : null;
    }

    private static Object zero(Class<?> type) {
        if (type == long.class) {
            return 0L;
        }
        if (type == double.class) {
            return 0.0;
        }
        if (type == float.class) {
            return 0f;
        }
        if (type == short.class) {
            return (short) 0;
        }
        return type == byte.class ? (Object) (byte) 0 : (Object) 0;
    }
}
