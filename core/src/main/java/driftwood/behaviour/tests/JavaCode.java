package driftwood.behaviour.tests;

import driftwood.witness.Make;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.UnaryOperator;

/** Writes ways to make values as Java expressions, for tests that people keep. */
final class JavaCode implements Make.Visitor<String, JavaCode.CannotWrite> {
    private static final Map<String, String> HELPERS = Map.of(
            "list", """
                    @SuppressWarnings("unchecked")
                    private static <T> List<T> list(Object... items) {
                        return (List<T>) new ArrayList<>(Arrays.asList(items));
                    }
                    """,
            "map", """
                    @SuppressWarnings("unchecked")
                    private static <K, V> Map<K, V> map(Object... pairs) {
                        Map<K, V> map = new LinkedHashMap<>();
                        for (int i = 0; i < pairs.length; i += 2) {
                            map.put((K) pairs[i], (V) pairs[i + 1]);
                        }
                        return map;
                    }
                    """,
            "printed", """
                    private static String printed(ThrowingCallable code) throws Exception {
                        PrintStream before = System.out;
                        ByteArrayOutputStream printed = new ByteArrayOutputStream();
                        System.setOut(new PrintStream(printed, true, "UTF-8"));
                        try {
                            code.call();
                        } catch (Exception e) {
                            throw e;
                        } catch (Throwable e) {
                            throw new AssertionError(e);
                        } finally {
                            System.setOut(before);
                        }
                        return printed.toString("UTF-8").replace("\\r\\n", "\\n");
                    }
                    """,
            "with", """
                    private static <T> T with(T made, ThrowingConsumer<T> calls) {
                        calls.accept(made);
                        return made;
                    }
                    """);
    private static final Map<String, List<String>> NEEDED = Map.of("list", List.of("java.util.ArrayList",
            "java.util.Arrays", "java.util.List"), "map", List.of("java.util.LinkedHashMap", "java.util.Map"), "with",
            List.of("org.assertj.core.api.ThrowingConsumer"), "printed", List.of("java.io.ByteArrayOutputStream",
            "java.io.PrintStream", "org.assertj.core.api.ThrowableAssert.ThrowingCallable"));
    /** How a literal is written, by its type; any other as it is. */
    private static final Map<String, UnaryOperator<String>> LITERALS = Map.of("null", text -> "null", "String", JavaCode::quoted,
            "char", JavaCode::character, "Character", JavaCode::character, "long", text -> text + "L", "Long", text -> text + "L",
            "float", text -> text + "f", "Float", text -> text + "f", "byte", text -> "(byte) " + text,
            "short", text -> "(short) " + text);
    /** Numbers that have names instead of digits. */
    private static final Map<String, String> ODD = Map.of("Infinity", "POSITIVE_INFINITY", "-Infinity", "NEGATIVE_INFINITY",
            "NaN", "NaN");
    private static final Set<String> BOXED = Set.of("Integer", "Long", "Double", "Float", "Short", "Byte", "Character");
    /** Types by which a null can say what it is, without an import. */
    static final Set<String> CAST = Set.of("String", "Integer", "Long", "Double", "Float", "Short", "Byte", "Character",
            "Boolean", "Object", "CharSequence", "String[]", "Object[]");
    private static final Set<String> PRIMITIVE = Set.of("int", "long", "short", "byte", "double", "float", "boolean", "char");

    private final String packageName;
    private final Set<String> imports = new TreeSet<>();
    private final Map<String, String> meant = new HashMap<>();
    private final Set<String> helpers = new TreeSet<>();
    private final Map<String, String> variables = new HashMap<>();

    /** What cannot be said in a test that stands on its own. The message says what. */
    static final class CannotWrite extends Exception {
        private static final long serialVersionUID = 1;

        CannotWrite(String why) {
            super(why);
        }
    }

    /** @param packageName of the test; its neighbours need no import */
    JavaCode(String packageName) {
        this.packageName = packageName;
    }

    /** From now on something that is alive in a case is called by a variable. */
    void call(String alive, String variable) {
        variables.put(alive, variable);
    }

    @Override
    public String visitSame(Make.Same same) throws CannotWrite {
        if (!variables.containsKey(same.name())) {
            throw new CannotWrite("what is used again inside of other values");
        }
        return variables.get(same.name());
    }

    String of(Make make) throws CannotWrite {
        return make.accept(this);
    }

    /** Qualified names to import, sorted. */
    Set<String> imports() {
        return imports;
    }

    /** The routines that the expressions written so far need beside them. */
    List<String> helpers() {
        return helpers.stream().map(HELPERS::get).toList();
    }

    void needs(String qualified) {
        type(qualified);
    }

    /** A type by the shortest name that means it here. @param binary name */
    String type(String binary) {
        String name = binary.replace('$', '.');
        String top = binary.indexOf('$') < 0 ? name : name.substring(0, binary.indexOf('$'));
        String simple = top.substring(top.lastIndexOf('.') + 1);
        if (top.indexOf('.') < 0) {
            return name;
        }
        if (!meant.computeIfAbsent(simple, key -> top).equals(top)) {
            return name;
        }
        String owner = top.substring(0, top.lastIndexOf('.'));
        if (!owner.equals(packageName) && !owner.equals("java.lang")) {
            imports.add(top);
        }
        return simple + name.substring(top.length());
    }

    @Override
    public String visitLiteral(Make.Literal literal) {
        String odd = ODD.getOrDefault(literal.text(), "");
        if (!odd.isEmpty() && Set.of("double", "float", "Double", "Float").contains(literal.type())) {
            return (literal.type().equalsIgnoreCase("float") ? "Float." : "Double.") + odd;
        }
        return LITERALS.getOrDefault(literal.type(), text -> text).apply(literal.text());
    }

    private static String character(String text) {
        return "'" + (text.equals("'") ? "\\'" : text.equals("\"") ? text : escaped(text)) + "'";
    }

    static String quoted(String text) {
        return '"' + escaped(text) + '"';
    }

    private static String escaped(String text) {
        StringBuilder all = new StringBuilder();
        for (char c : text.toCharArray()) {
            int known = "\n\t\r\b\f\"\\".indexOf(c);
            all.append(known >= 0 ? "\\" + "ntrbf\"\\".charAt(known)
                    : c < ' ' || c > '~' ? String.format("\\u%04x", (int) c) : String.valueOf(c));
        }
        return all.toString();
    }

    @Override
    public String visitConstant(Make.Constant constant) {
        return type(constant.type()) + "." + constant.name();
    }

    @Override
    public String visitNew(Make.New fresh) throws CannotWrite {
        return "new " + type(fresh.type()) + "(" + arguments(fresh.parameters(), fresh.arguments()) + ")";
    }

    @Override
    public String visitCall(Make.Call call) throws CannotWrite {
        String receiver = call.receiver().isEmpty() ? type(call.type()) : of(call.receiver().get(0));
        // Without its type parameter a class fits whatever the routine asks of it.
        return (call.type().equals("java.lang.Class") ? "(Class) " : "") + receiver + "." + call(call);
    }

    /** The call without what it is made on. */
    String call(Make.Call call) throws CannotWrite {
        return call.name() + "(" + arguments(call.parameters(), call.arguments()) + ")";
    }

    /** Nothing says its type, where several routines of a name might be meant. */
    private String arguments(List<String> parameters, List<Make> arguments) throws CannotWrite {
        List<String> written = new ArrayList<>();
        for (int i = 0; i < arguments.size(); i++) {
            String text = of(arguments.get(i));
            String type = parameters.get(i);
            boolean boxed = BOXED.contains(type) && !text.equals("null");
            written.add(text.equals("null") && CAST.contains(type) ? "(" + type + ") null"
                    : boxed ? type + ".valueOf(" + text + ")" : text);
        }
        return String.join(", ", written);
    }

    @Override
    public String visitConfigured(Make.Configured configured) throws CannotWrite {
        if (configured.calls().isEmpty()) {
            return of(configured.base());
        }
        helper("with");
        StringBuilder calls = new StringBuilder();
        for (Make.Call each : configured.calls()) {
            calls.append("made.").append(call(each)).append("; ");
        }
        return "with(" + of(configured.base()) + ", made -> { " + calls + "})";
    }

    /** What a call prints. */
    String printed(String call) {
        helper("printed");
        return "printed(() -> " + call + ")";
    }

    private void helper(String name) {
        helpers.add(name);
        NEEDED.get(name).forEach(this::needs);
    }

    @Override
    public String visitMany(Make.Many many) throws CannotWrite {
        List<String> items = new ArrayList<>();
        for (Make each : many.items()) {
            items.add(of(each));
        }
        String all = items.equals(List.of("null")) ? "(Object) null" : String.join(", ", items);
        if (many.kind().equals("array")) {
            return "new " + (PRIMITIVE.contains(many.type()) ? many.type() : type(many.type())) + "[] {" + String.join(", ", items)
                    + "}";
        }
        if (many.kind().equals("optional")) {
            needs("java.util.Optional");
            return items.isEmpty() ? "Optional.empty()" : "Optional.of(" + items.get(0) + ")";
        }
        if (many.kind().equals("map")) {
            helper("map");
            return "map(" + all + ")";
        }
        helper("list");
        if (many.kind().equals("set")) {
            needs("java.util.LinkedHashSet");
            return "new LinkedHashSet<>(list(" + all + "))";
        }
        return "list(" + all + ")";
    }

    @Override
    public String visitStandIn(Make.StandIn standIn) throws CannotWrite {
        throw new CannotWrite("stand-ins for " + standIn.type().substring(standIn.type().lastIndexOf('.') + 1));
    }
}
