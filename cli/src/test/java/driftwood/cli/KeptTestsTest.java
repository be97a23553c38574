package driftwood.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.lang.annotation.Annotation;
import java.lang.reflect.Constructor;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.TimeZone;
import java.util.stream.Stream;
import javax.tools.ToolProvider;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Tests that Driftwood writes are compiled and run as any project would run them. */
class KeptTestsTest {
    @TempDir
    Path folder;

    @BeforeEach
    void unpack() {
        SampleFiles.copy("kelp-quay", folder);
    }

    private String write(String type) throws Exception {
        return InProcess.run("characterize", "--project", folder.toString(), "--trial-time", type.equals("HarbourDues") ? "1" : "0", "--write-tests",
                folder.resolve("src/test/java").toString(), type).out();
    }

    /** Compiles all sources, runs every test and hands back what failed. */
    private List<String> failures() throws Exception {
        Path classes = Files.createDirectories(folder.resolve("compiled"));
        List<String> command = new ArrayList<>(List.of("-nowarn", "-d", classes.toString(), "-cp", System.getProperty("java.class.path")));
        List<String> tests = new ArrayList<>();
        try (Stream<Path> files = Files.walk(folder.resolve("src"))) {
            files.filter(each -> each.toString().endsWith(".java")).forEach(each -> {
                command.add(each.toString());
                if (each.toString().endsWith("BehaviourTest.java")) {
                    tests.add("quay." + each.getFileName().toString().replace(".java", ""));
                }
            });
        }
        assertThat(ToolProvider.getSystemJavaCompiler().run(null, System.out, System.err, command.toArray(new String[0]))).isZero();
        List<String> failures = new ArrayList<>();
        int run = 0;
        try (URLClassLoader loader = new URLClassLoader(new URL[] {classes.toUri().toURL()}, getClass().getClassLoader())) {
            for (String each : tests) {
                Class<?> outer = loader.loadClass(each);
                for (Class<?> group : outer.getDeclaredClasses()) {
                    for (Method method : group.getDeclaredMethods()) {
                        if (method.isAnnotationPresent(Test.class)) {
                            run++;
                            call(outer, group, method, failures);
                        }
                    }
                }
            }
        }
        assertThat(run).isPositive();
        return failures;
    }

    private static void call(Class<?> outer, Class<?> group, Method method, List<String> failures) throws Exception {
        Constructor<?> whole = outer.getDeclaredConstructor();
        whole.setAccessible(true);
        Constructor<?> part = group.getDeclaredConstructor(outer);
        part.setAccessible(true);
        method.setAccessible(true);
        try {
            Object around = whole.newInstance();
            around(outer, around, BeforeEach.class);
            method.invoke(part.newInstance(around));
            around(outer, around, AfterEach.class);
        } catch (InvocationTargetException e) {
            failures.add(group.getSimpleName() + "." + method.getName() + ": " + e.getCause().getMessage());
        }
    }

    private static void around(Class<?> outer, Object tests, Class<? extends Annotation> when) throws ReflectiveOperationException {
        for (Method each : outer.getDeclaredMethods()) {
            if (each.isAnnotationPresent(when)) {
                each.setAccessible(true);
                each.invoke(tests);
            }
        }
    }

    @Test
    void theyNoticeASlip() throws Exception {
        theyPassOnTheCodeTheyWereWrittenFor("HarbourDues");
        SampleFiles.copy("slip", folder);
        assertThat(failures()).isNotEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"Berth", "LockGate", "Voyage", "PilotRoster", "SignalTower", "PermitOffice", "Vessel"})
    void theyPassOnTheCodeTheyWereWrittenFor(String type) throws Exception {
        assertThat(write(type)).contains("are in these tests. They need JUnit 5 and AssertJ, nothing of Driftwood.");
        assertThat(failures()).isEmpty();
    }

    @Test
    void anObjectThatFailsOnTheWayIsWrittenAsOneBlock() throws Exception {
        Files.writeString(folder.resolve("src/main/java/quay/Rope.java"), """
                package quay;
                public class Rope {
                    private int length;
                    public void cut(int by) { if (by > 7) { throw new IllegalStateException("too short"); } length -= by; }
                    public int length() { return length; }
                }
                """);
        InProcess.run("characterize", "--project", folder.toString(), "--trial-time", "0", "--write-tests",
                folder.resolve("src/test/java").toString(), "Rope");
        assertThat(failures()).isEmpty();
    }

    @Test
    void theyPassInAnotherTimeZoneAndLanguageToo() throws Exception {
        Files.writeString(folder.resolve("src/main/java/quay/Almanac.java"), """
                package quay;
                import java.util.Calendar;
                import java.util.Date;
                public class Almanac {
                    public int hour(Date at) { Calendar c = Calendar.getInstance(); c.setTime(at); return c.get(Calendar.HOUR_OF_DAY); }
                    public String sign(String flag) { return flag.toUpperCase(); }
                    public Date later(Date at, int hours) { return new Date(at.getTime() + hours * 3_600_000L); }
                }
                """);
        assertThat(write("Almanac")).contains("are in these tests");
        TimeZone zone = TimeZone.getDefault();
        Locale language = Locale.getDefault();
        try {
            TimeZone.setDefault(TimeZone.getTimeZone("Asia/Tokyo"));
            Locale.setDefault(Locale.forLanguageTag("tr"));
            assertThat(failures()).isEmpty();
            assertThat(TimeZone.getDefault().getID()).isEqualTo("Asia/Tokyo");
        } finally {
            TimeZone.setDefault(zone);
            Locale.setDefault(language);
        }
    }

    @Test
    void testsOfSomebodyElseAreNotOverwritten() throws Exception {
        Path own = folder.resolve("src/test/java/quay/BerthBehaviourTest.java");
        Files.createDirectories(own.getParent());
        Files.writeString(own, "class BerthBehaviourTest { }");
        InProcess.Run ended = InProcess.run("characterize", "--project", folder.toString(), "--trial-time", "0", "--write-tests",
                folder.resolve("src/test/java").toString(), "Berth");
        assertThat(ended.code()).isEqualTo(ExitCode.USAGE);
        assertThat(ended.err()).contains("is there already and was not written by Driftwood");
        assertThat(own).hasContent("class BerthBehaviourTest { }");
    }
}
