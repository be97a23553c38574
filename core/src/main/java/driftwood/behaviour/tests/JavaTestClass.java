package driftwood.behaviour.tests;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;

/** The text of one test class. */
final class JavaTestClass {
    private static final List<String> STATIC = List.of("assertThat", "assertThatCode", "assertThatThrownBy");

    private final String packageName;
    private final String name;
    private final String subject;
    private final JavaCode code;
    private final boolean somewhere;

    /** What is recorded is recorded in one time zone and one language, wherever the tests are run later. */
    private static final String PLACE = """
            private final TimeZone zone = TimeZone.getDefault();
            private final Locale language = Locale.getDefault();

            @BeforeEach
            void asWhenItWasRecorded() {
                TimeZone.setDefault(TimeZone.getTimeZone("UTC"));
                Locale.setDefault(Locale.ENGLISH);
            }

            @AfterEach
            void asBefore() {
                TimeZone.setDefault(zone);
                Locale.setDefault(language);
            }
        """.indent(0);

    /**
     * @param subject   simple name of the type under test
     * @param somewhere whether time zone and language may matter to it
     */
    JavaTestClass(String packageName, String name, String subject, JavaCode code, boolean somewhere) {
        this.somewhere = somewhere;
        this.packageName = packageName;
        this.name = name;
        this.subject = subject;
        this.code = code;
    }

    /** @param groups by routine, the texts of its cases by the name of the test */
    String of(Map<String, Map<String, List<String>>> groups) {
        StringBuilder body = new StringBuilder(somewhere ? PLACE : "");
        Set<String> used = new HashSet<>(Set.of(name, subject));
        groups.forEach((routine, tests) -> {
            String nested = unused(routine.substring(0, 1).toUpperCase(Locale.ROOT) + routine.substring(1), used);
            body.append("\n    @Nested\n    class ").append(nested).append(" {\n");
            List<String> written = new ArrayList<>();
            tests.forEach((test, cases) -> written.add(test(test, cases)));
            body.append(String.join("\n", written)).append("    }\n");
        });
        StringBuilder helpers = new StringBuilder();
        code.helpers().forEach(each -> helpers.append('\n').append(indented(each, "    ")));
        return head(body.toString() + helpers) + body + helpers + "}\n";
    }

    private static String unused(String wanted, Set<String> used) {
        String free = wanted;
        for (int i = 2; !used.add(free); i++) {
            free = wanted + i;
        }
        return free;
    }

    private static String test(String name, List<String> cases) {
        StringBuilder text = new StringBuilder("        @Test\n        void " + name + "() throws Exception {\n");
        for (String each : cases) {
            boolean declares = cases.size() > 1 && each.contains(";\n");
            text.append(declares ? "            {\n" + indented(each + "\n", "                ") + "            }\n"
                    : indented(each + "\n", "            "));
        }
        return text.append("        }\n").toString();
    }

    private static String indented(String text, String by) {
        StringBuilder all = new StringBuilder();
        text.lines().forEach(line -> all.append(line.isEmpty() ? "" : by).append(line).append('\n'));
        return all.toString();
    }

    private String head(String text) {
        StringBuilder head = new StringBuilder(packageName.isEmpty() ? "" : "package " + packageName + ";\n\n");
        for (String each : STATIC) {
            if (text.contains(each + "(")) {
                head.append("import static org.assertj.core.api.Assertions.").append(each).append(";\n");
            }
        }
        Set<String> imports = new TreeSet<>(code.imports());
        imports.addAll(List.of("org.junit.jupiter.api.Nested", "org.junit.jupiter.api.Test"));
        if (somewhere) {
            imports.addAll(List.of("java.util.Locale", "java.util.TimeZone", "org.junit.jupiter.api.AfterEach",
                    "org.junit.jupiter.api.BeforeEach"));
        }
        head.append('\n');
        imports.forEach(each -> head.append("import ").append(each).append(";\n"));
        return head.append("\n/** What ").append(subject).append(" did on the day it was recorded, right or wrong. */\nclass ")
                .append(name).append(" {\n").toString().replace("{\n\n", "{\n");
    }
}
