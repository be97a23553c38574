package driftwood.witness;

import java.lang.reflect.Array;
import java.lang.reflect.Constructor;
import java.lang.reflect.Executable;
import java.lang.reflect.Field;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.lang.reflect.Type;
import java.lang.reflect.TypeVariable;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;

/** Makes values as scripts tell. */
final class Maker implements Make.Visitor<Object, Throwable> {
    private static final Map<String, Function<List<Object>, Object>> COLLECTIONS = Map.of(
            "set", LinkedHashSet::new, "map", Maker::map,
            "optional", items -> items.isEmpty() ? Optional.empty() : Optional.ofNullable(items.get(0)));

    private static final List<String> PLACES = List.of("", "java.lang.", "java.util.", "java.time.", "java.math.");

    private final StandIns standIns;
    private final Map<String, Object> alive;

    /** @param alive objects that are there already, by name; read when something is made */
    Maker(StandIns standIns, Map<String, Object> alive) {
        this.standIns = standIns;
        this.alive = alive;
    }

    /**
     * Makes a value.
     *
     * @throws Unmade    where it cannot be made, with the reason
     * @throws Throwable whatever the observed code throws while it is made
     */
    Object make(Make make) throws Throwable {
        return make.accept(this);
    }

    @Override
    public Object visitLiteral(Make.Literal literal) throws Unmade {
        return literal(literal);
    }

    @Override
    public Object visitConstant(Make.Constant constant) throws Throwable {
        return constant(constant);
    }

    @Override
    public Object visitNew(Make.New fresh) throws Throwable {
        Class<?> type = type(fresh.type());
        if (Modifier.isAbstract(type.getModifiers())) {
            throw new Unmade(type.getName() + " is abstract now");
        }
        return call(find(type.getDeclaredConstructors(), "", fresh.parameters(), type), null, all(fresh.arguments()));
    }

    @Override
    public Object visitCall(Make.Call call) throws Throwable {
        Object receiver = call.receiver().isEmpty() ? null : make(call.receiver().get(0));
        return invoke(call, receiver, all(call.arguments()));
    }

    @Override
    public Object visitConfigured(Make.Configured configured) throws Throwable {
        Object base = make(configured.base());
        for (Make.Call call : configured.calls()) {
            invoke(call, base, all(call.arguments()));
        }
        return base;
    }

    @Override
    public Object visitMany(Make.Many many) throws Throwable {
        List<Object> items = Arrays.asList(all(many.items()));
        return many.kind().equals("array") ? array(primitiveOr(many.type()), items)
                : COLLECTIONS.getOrDefault(many.kind(), ArrayList::new).apply(items);
    }

    @Override
    public Object visitStandIn(Make.StandIn standIn) throws Throwable {
        return standIns.make(type(standIn.type()));
    }

    @Override
    public Object visitSame(Make.Same same) throws Unmade {
        if (!alive.containsKey(same.name())) {
            throw new Unmade("there is no " + same.name() + " in this case");
        }
        return alive.get(same.name());
    }

    Object[] all(List<Make> makes) throws Throwable {
        Object[] made = new Object[makes.size()];
        for (int i = 0; i < made.length; i++) {
            made[i] = make(makes.get(i));
        }
        return made;
    }

    /** Calls a routine on a receiver, or a static one where the receiver is null. */
    Object invoke(Make.Call call, Object receiver, Object[] arguments) throws Throwable {
        Class<?> from = receiver == null ? type(call.type()) : receiver.getClass();
        for (Class<?> type = from; type != null; type = type.getSuperclass()) {
            Optional<Executable> found = match(type.getDeclaredMethods(), call.name(), call.parameters());
            if (found.isPresent()) {
                return call(found.get(), receiver, arguments);
            }
        }
        for (Class<?> type : interfaces(from)) {
            Optional<Executable> found = match(type.getDeclaredMethods(), call.name(), call.parameters());
            if (found.isPresent()) {
                return call(found.get(), receiver, arguments);
            }
        }
        throw new Unmade(from.getName() + " has no routine " + call.name() + "(" + String.join(", ", call.parameters())
                + ") any more");
    }

    private static Set<Class<?>> interfaces(Class<?> type) {
        Set<Class<?>> found = new LinkedHashSet<>();
        for (Class<?> at = type; at != null; at = at.getSuperclass()) {
            for (Class<?> each : at.getInterfaces()) {
                found.add(each);
                found.addAll(interfaces(each));
            }
        }
        return found;
    }

    private static Executable find(Executable[] candidates, String name, List<String> parameters, Class<?> type)
            throws Unmade {
        return match(candidates, name, parameters).orElseThrow(() -> new Unmade(type.getName()
                + " has no constructor (" + String.join(", ", parameters) + ") any more"));
    }

    /** By the simple names of the declared types, "Object" for a type parameter; where only one has the number of parameters, by that. */
    private static Optional<Executable> match(Executable[] candidates, String name, List<String> parameters) {
        List<Executable> near = new ArrayList<>();
        for (Executable each : candidates) {
            if ((name.isEmpty() || each.getName().equals(name)) && each.getParameterCount() == parameters.size()
                    && !each.isSynthetic()) {
                boolean same = true;
                for (int i = 0; i < parameters.size(); i++) {
                    same &= each.getParameterTypes()[i].getSimpleName().equals(parameters.get(i))
                            || parameters.get(i).equals("Object") && isOpen(each, i);
                }
                if (same) {
                    return Optional.of(each);
                }
                near.add(each);
            }
        }
        return near.size() == 1 ? Optional.of(near.get(0)) : Optional.empty();
    }

    /** Whether a parameter takes whatever a type parameter stands for. */
    private static boolean isOpen(Executable routine, int at) {
        Type[] declared = routine.getGenericParameterTypes();
        return declared.length == routine.getParameterCount() && declared[at] instanceof TypeVariable;
    }

    private static Object call(Executable routine, Object receiver, Object[] arguments) throws Throwable {
        try {
            routine.setAccessible(true);
            return routine instanceof Method method ? method.invoke(receiver, arguments)
                    : ((Constructor<?>) routine).newInstance(arguments);
        } catch (InvocationTargetException e) {
            throw e.getCause();
        } catch (IllegalArgumentException e) {
            throw new Unmade("the arguments do not fit " + routine.getName() + "(" + Arrays.stream(routine.getParameterTypes())
                    .map(Class::getSimpleName).collect(Collectors.joining(", ")) + ")");
        } catch (RuntimeException e) {
            throw new Unmade(routine.getName() + " cannot be reached: " + e.getMessage());
        }
    }

    private static Object constant(Make.Constant constant) throws Throwable {
        Class<?> type = type(constant.type());
        try {
            Field field = type.getDeclaredField(constant.name());
            field.setAccessible(true);
            return field.get(null);
        } catch (NoSuchFieldException e) {
            throw new Unmade(type.getName() + " has no " + constant.name() + " any more");
        }
    }

    private static Object map(List<Object> items) {
        Map<Object, Object> map = new LinkedHashMap<>();
        for (int i = 0; i + 1 < items.size(); i += 2) {
            map.put(items.get(i), items.get(i + 1));
        }
        return map;
    }

    private static Object array(Class<?> element, List<Object> items) {
        Object array = Array.newInstance(element, items.size());
        for (int i = 0; i < items.size(); i++) {
            Array.set(array, i, items.get(i));
        }
        return array;
    }

    private static Class<?> primitiveOr(String type) throws Unmade {
        return switch (type) {
            case "int" -> int.class;
            case "long" -> long.class;
            case "double" -> double.class;
            case "float" -> float.class;
            case "boolean" -> boolean.class;
            case "char" -> char.class;
            case "byte" -> byte.class;
            case "short" -> short.class;
            case "String" -> String.class;
            case "Object" -> Object.class;
            default -> type(type);
        };
    }

    private static Object literal(Make.Literal literal) throws Unmade {
        try {
            return value(literal);
        } catch (NumberFormatException | IndexOutOfBoundsException e) {
            throw new Unmade("'" + literal.text() + "' is no " + literal.type());
        }
    }

    private static Object value(Make.Literal literal) {
        String text = literal.text();
        return switch (literal.type()) {
            case "null" -> null;
            case "boolean", "Boolean" -> Boolean.valueOf(text);
            case "int", "Integer" -> Integer.valueOf(text);
            case "long", "Long" -> Long.valueOf(text);
            case "short", "Short" -> Short.valueOf(text);
            case "byte", "Byte" -> Byte.valueOf(text);
            case "double", "Double" -> Double.valueOf(text);
            case "float", "Float" -> Float.valueOf(text);
            case "char", "Character" -> text.charAt(0);
            default -> text;
        };
    }

    /** Names without a package are the project's own there, or well-known ones of the platform. */
    static Class<?> type(String name) throws Unmade {
        for (String place : name.indexOf('.') < 0 ? PLACES : List.of("")) {
            try {
                return Class.forName(place + name, true, Thread.currentThread().getContextClassLoader());
            } catch (ClassNotFoundException e) {
                continue;
            }
        }
        throw new Unmade("there is no type " + name + " any more");
    }
}
