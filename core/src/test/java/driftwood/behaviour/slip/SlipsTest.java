package driftwood.behaviour.slip;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.Given;
import driftwood.behaviour.build.Compiler;
import driftwood.behaviour.slip.Slip.Kind;
import java.io.IOException;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Compiles a routine, plants each slip, and runs what comes out. */
class SlipsTest {
    @TempDir
    Path root;

    private byte[] compiled(String routine) throws IOException, Compiler.DoesNotCompile {
        Path source = Given.write(root.resolve("src/quay/Gate.java"), "package quay;\nimport java.util.*;\n"
                + "public class Gate {\n" + routine + "\n}\n");
        Compiler.compile(root, List.of(source), List.of(), root.resolve("classes"));
        return Files.readAllBytes(root.resolve("classes/quay/Gate.class"));
    }

    private static Object run(byte[] bytes, Object... arguments) throws ReflectiveOperationException {
        Class<?> type = new ClassLoader(SlipsTest.class.getClassLoader()) {
            Class<?> define() {
                return defineClass("quay.Gate", bytes, 0, bytes.length);
            }
        }.define();
        for (Method each : type.getDeclaredMethods()) {
            if (each.getName().equals("f")) {
                try {
                    return each.invoke(null, arguments);
                } catch (InvocationTargetException e) {
                    return e.getCause().getClass().getSimpleName();
                }
            }
        }
        throw new NoSuchMethodException("f");
    }

    static Stream<Arguments> slips() {
        return Stream.of(
                Arguments.of("public static String f(int a) { return a < 4 ? \"low\" : \"high\"; }", Kind.LIMIT, 4, "high", "low"),
                Arguments.of("public static String f(int a) { return a >= 4 ? \"high\" : \"low\"; }", Kind.LIMIT, 4, "high", "low"),
                Arguments.of("public static String f(int a) { if (a == 4) { return \"yes\"; } return \"no\"; }",
                        Kind.CONDITION, 4, "yes", "no"),
                Arguments.of("public static int f(int a) { return a * 6; }", Kind.OPERATOR, 12, 72, 2),
                Arguments.of("public static int f(int a) { return a << 2; }", Kind.OPERATOR, 8, 32, 2),
                Arguments.of("public static int f(int a) { return a & 6; }", Kind.OPERATOR, 3, 2, 7),
                Arguments.of("public static int f(int a) { return a + 100; }", Kind.CONSTANT, 1, 101, 102),
                Arguments.of("public static String f(int a) { String s = \"quay\"; return s + a; }", Kind.CONSTANT, 1, "quay1", "quay?1"),
                Arguments.of("public static int f(int a) { List<Integer> l = new ArrayList<>(List.of(a)); l.clear(); return l.size(); }",
                        Kind.REMOVED_CALL, 1, 0, 1),
                Arguments.of("public static int f(int a) { return Math.floorDiv(a, 2); }", Kind.SWAPPED, 8, 4, 0),
                Arguments.of("public static boolean f(int a) { return a > 0; }", Kind.RESULT, 1, true, false),
                Arguments.of("public static Object f(int a) { return \"tide \" + a; }", Kind.RESULT, 1, "tide 1", null),
                Arguments.of("public static long f(int a) { return a; }", Kind.RESULT, 1, 1L, 2L),
                Arguments.of("public static int f(int a) { switch (a) { case 1: return 10; case 2: return 20; default: return 0; } }",
                        Kind.LOST_ARM, 1, 10, 0));
    }

    @ParameterizedTest
    @MethodSource("slips")
    void plantedSlipsShow(String routine, Kind kind, int given, Object before, Object after) throws Exception {
        byte[] bytes = compiled(routine);
        assertThat(run(bytes, given)).isEqualTo(before);
        List<Object> seen = new ArrayList<>();
        for (Slip slip : Slips.in(bytes, method -> true)) {
            if (slip.kind() == kind) {
                assertThat(slip.line()).isEqualTo(4);
                seen.add(run(Slips.planted(bytes, slip), given));
            }
        }
        assertThat(seen).contains(after);
    }

    @Test
    void whatTheCompilerAddedIsLeftAlone() throws Exception {
        byte[] bytes = compiled("enum Kind { TUG, YACHT }\npublic static void f(java.io.InputStream in) throws Exception {"
                + " try (in) { assert in != null; } }");
        assertThat(Slips.in(bytes, method -> true)).extracting(Slip::what)
                .doesNotContain("the call of close is left out", "the call of addSuppressed is left out");
    }

    @Test
    void argumentsWhoseOrderMakesNoDifferenceAreNotExchanged() throws Exception {
        byte[] bytes = compiled("public static int f(int a) { return Math.max(a, Integer.sum(a, 4)); }");
        assertThat(Slips.in(bytes, method -> true)).extracting(Slip::kind).doesNotContain(Kind.SWAPPED);
    }

    @Test
    void routinesThatDoNotCountHaveNone() throws Exception {
        assertThat(Slips.in(compiled("public static int f(int a) { return a + 1; }"), method -> false)).isEmpty();
    }

    @Test
    void watchedCodeStillDoesTheSame() throws Exception {
        byte[] bytes = compiled("public static Object f(int a) { return new StringBuilder(\n a > 2\n ? \"deep\"\n : \"shoal\"); }");
        byte[] watched = Slips.watched(bytes, java.util.Map.of("quay.Gate:4", 0, "quay.Gate:6", 1, "quay.Gate:7", 2));
        assertThat(run(watched, 3)).hasToString("deep");
        assertThat(run(watched, 1)).hasToString("shoal");
    }
}
