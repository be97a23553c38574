package driftwood.program;

import driftwood.pack.Line;
import driftwood.tree.RoutineKind;
import driftwood.tree.Traits;
import driftwood.tree.TypeRef;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/**
 * A routine as other files may see it.
 *
 * @param file           path of its file: a type may be declared in several
 * @param owner          qualified name of the declaring type
 * @param name           that of the type for a constructor
 * @param kind           method, constructor or initialiser
 * @param traits         modifiers and annotations
 * @param generics       type parameters, with their first bounds: {@code B extends Appendable}
 * @param returns        declared result, NONE where there is none
 * @param parameters     in order
 * @param hasBody        false for abstract routines
 * @param brief          of two lines at most, a constructor of four: it has room for one statement
 * @param line           first line
 * @param endLine        last line
 */
public record RoutineOutline(String file, String owner, String name, RoutineKind kind, Traits traits, List<String> generics,
        TypeRef returns, List<ParameterOutline> parameters, boolean hasBody, boolean brief,
        @Line int line, @Line int endLine) {
    private static final Set<String> NUMBERS = Set.of("byte", "short", "char", "int", "long", "float", "double");

    /**
     * A parameter of a routine.
     *
     * @param name     its name
     * @param type     as declared, or NONE
     * @param nullable whether an annotation allows nothing
     * @param variadic whether it takes any number of arguments
     * @param optional whether it has a default value
     * @param named    whether callers must name it
     */
    public record ParameterOutline(String name, TypeRef type, boolean nullable, boolean variadic, boolean optional,
            boolean named) {
    }

    /** By name and line alone: the rest follows from it nearly always, and outlines are keys of many maps. */
    @Override
    public int hashCode() {
        return name.hashCode() * 31 + line;
    }

    /** Names of its type parameters. */
    public List<String> typeParameters() {
        return generics.isEmpty() ? generics : generics.stream().map(each -> each.replaceAll(" .*", "")).toList();
    }

    /** What the JVM takes a declared type for: a type parameter is its bound, or any object. */
    public TypeRef bound(TypeRef declared) {
        if (declared.isArray()) {
            return generics.isEmpty() ? declared : new TypeRef(bound(declared.element()).text() + "[]");
        }
        for (String each : generics) {
            if (each.equals(declared.name()) || each.startsWith(declared.name() + " ")) {
                return new TypeRef(each.indexOf(' ') < 0 ? "Object" : each.replaceFirst("^\\w+ extends ", "").replaceAll("\\s", ""));
            }
        }
        return declared;
    }

    public boolean isConstructor() {
        return kind == RoutineKind.CONSTRUCTOR;
    }

    /** Whether others carry it out: it says what can be asked, and no more. */
    public boolean isOnlyDeclared() {
        return traits.isAbstract() || !hasBody;
    }

    /** Whether it works out a number from nothing but its arguments. */
    public boolean isFormula() {
        return traits.isStatic() && NUMBERS.contains(returns.text());
    }

    /** Name and parameter types in the form {@code quay.Tariff#quote(Vessel,int)}. */
    public String symbol() {
        return symbol(owner, name, parameters);
    }

    static String symbol(String owner, String name, List<ParameterOutline> parameters) {
        List<String> types = new ArrayList<>(parameters.size());
        for (ParameterOutline each : parameters) {
            types.add(!each.type().isPresent() ? each.name() : each.type().isArray() ? each.type().simpleName() + "[]" : each.type().simpleName());
        }
        return Symbol.routine(owner, name, types);
    }

    /** How it is called, by type, name and number of parameters: {@code quay.Tariff#quote/2}, {@code quay.Tariff#new/1}. */
    public String called() {
        return owner + "#" + (isConstructor() ? "new" : name) + "/" + parameters.size();
    }

    /** Whether a call with so many arguments can mean this routine. */
    public boolean takes(int arguments) {
        int most = 0;
        int least = 0;
        for (ParameterOutline parameter : parameters) {
            if (parameter.variadic()) {
                most = Integer.MAX_VALUE;
            } else {
                most = most == Integer.MAX_VALUE ? most : most + 1;
                least += parameter.optional() ? 0 : 1;
            }
        }
        return arguments >= least && arguments <= most;
    }

    /** For messages: {@code quote(Vessel vessel)}. */
    public String signature() {
        StringBuilder text = new StringBuilder(name).append('(');
        for (int i = 0; i < parameters.size(); i++) {
            ParameterOutline parameter = parameters.get(i);
            text.append(i == 0 ? "" : ", ");
            if (parameter.type().isPresent()) {
                text.append(readable(parameter.type())).append(' ');
            }
            text.append(parameter.name());
        }
        return text.append(')').toString();
    }

    private static String readable(TypeRef type) {
        return type.text().replace(",", ", ").replace("?extends", "? extends ").replace("?super", "? super ");
    }
}
