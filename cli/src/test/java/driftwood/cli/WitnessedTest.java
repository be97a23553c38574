package driftwood.cli;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.cli.InProcess.Run;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A recording is worth its verdict, or says that it is not. */
class WitnessedTest {
    private static final String METER = """
            package quay;
            public class Meter {
                private int level;
                private int alarms;
                public int getLevel() { return level; }
                public void rise(int by) { level += by; if (level > 10) { alarms++; } }
                public boolean hasAlarm() { return alarms > 0; }
            }
            """;

    @TempDir
    Path folder;

    @BeforeEach
    void write() throws IOException {
        java("Meter", METER);
    }

    private void java(String name, String text) throws IOException {
        Files.writeString(Files.createDirectories(folder.resolve("src/main/java/quay")).resolve(name + ".java"), text);
    }

    private Run driftwood(String... arguments) {
        String[] all = java.util.Arrays.copyOf(arguments, arguments.length + 2);
        all[arguments.length] = "--project";
        all[arguments.length + 1] = folder.toString();
        return InProcess.run(all);
    }

    private Run quick(String... names) {
        String[] all = new String[names.length + 3];
        all[0] = "characterize";
        System.arraycopy(names, 0, all, 1, names.length);
        all[names.length + 1] = "--trial-time";
        all[names.length + 2] = "0";
        return driftwood(all);
    }

    @Test
    void privateStateMayChangeAndWhatIsAskedMayNot() throws IOException {
        Run recorded = driftwood("characterize", "Meter", "--cases", "60", "--at-least", "90");
        assertThat(recorded.code()).isEqualTo(ExitCode.FINE);
        assertThat(recorded.out()).contains("Notices\n", "planted slips.");
        java("Meter", METER.replace("level", "water").replace("alarms", "rung").replace("getWater", "getLevel"));
        assertThat(driftwood("confirm").out()).contains("Same: all", "The recording: it notices");
        java("Meter", METER.replace("level > 10", "level > 1000"));
        assertThat(driftwood("confirm").code()).isEqualTo(ExitCode.ACT);
    }

    @Test
    void aRecordingThatNoLongerHoldsIsReplacedOnlyAnew() throws IOException {
        assertThat(quick("Meter").code()).isEqualTo(ExitCode.FINE);
        assertThat(quick("Meter").out()).contains("It replaces the recording of ");
        java("Meter", METER.replace("level += by", "level -= by"));
        Run refused = quick("Meter");
        assertThat(refused.code()).isEqualTo(ExitCode.USAGE);
        assertThat(refused.err()).contains("cases no longer behave the same", "only witness", "--anew");
        assertThat(driftwood("confirm").code()).isEqualTo(ExitCode.ACT);
        assertThat(quick("Meter", "--anew").code()).isEqualTo(ExitCode.FINE);
        assertThat(driftwood("confirm").code()).isEqualTo(ExitCode.FINE);
    }

    private static final String FEES = """
            package quay;
            import java.io.IOException;
            import java.util.Properties;
            public class Fees {
                private static final Properties ALL = new Properties();
                static {
                    try { ALL.load(Fees.class.getResourceAsStream("/quay/fees.properties")); } catch (IOException e) { throw new IllegalStateException(e); }
                }
                public int fee(String kind) { return Integer.parseInt(ALL.getProperty(kind, "1")); }
            }
            """;

    @Test
    void resourcesAreFoundAndWithoutThemNothingIsSaved() throws IOException {
        java("Fees", FEES);
        Run lacking = quick("Fees");
        assertThat(lacking.code()).isEqualTo(ExitCode.ACT);
        assertThat(lacking.out()).contains("Nothing was saved of quay.Fees", "cannot be initialised");
        assertThat(folder.resolve(".driftwood/recordings")).doesNotExist();
        Path resources = Files.createDirectories(folder.resolve("src/main/resources/quay"));
        Files.writeString(resources.resolve("fees.properties"), "tug=4\nAda\\ of\\ Kelp\\ Quay=7\n");
        assertThat(quick("Fees").code()).isEqualTo(ExitCode.FINE);
        assertThat(driftwood("confirm").code()).isEqualTo(ExitCode.FINE);
        Files.writeString(resources.resolve("fees.properties"), "tug=4\nAda\\ of\\ Kelp\\ Quay=8\n");
        assertThat(driftwood("confirm").code()).isEqualTo(ExitCode.ACT);
    }

    @Test
    void severalTypesAreRecordedAsFarAsTheyCanBe() throws IOException {
        java("Kind", "package quay; public enum Kind { TUG, YACHT; public int crew() { return this == TUG ? 4 : 2; } }");
        java("Plain", "package quay; public enum Plain { ONE }");
        Run run = quick("Meter", "Kind", "Plain");
        assertThat(run.code()).isEqualTo(ExitCode.FINE);
        assertThat(run.out()).contains("of quay.Meter", "of quay.Kind", "Nothing could be recorded of quay.Plain");
    }

    @Test
    void aRenamedRoutineIsAskedForAndTheAnswerIsUsed() throws IOException {
        quick("Meter");
        java("Meter", METER.replace("rise(", "lift("));
        Run gone = driftwood("confirm");
        assertThat(gone.err()).contains("quay.Meter#rise is not there any more. Is it lift(by) now?").doesNotContain("how some objects are made");
        Path ways = folder.resolve(".driftwood/ways.json");
        Files.writeString(ways, Files.readString(ways).replace("\"now\": \"\"", "\"now\": \"lift\""));
        assertThat(driftwood("confirm").code()).isEqualTo(ExitCode.FINE);
    }

    @Test
    void classesNamedOnceAreRemembered() throws Exception {
        Path classes = Files.createDirectories(folder.resolve("built"));
        javax.tools.ToolProvider.getSystemJavaCompiler().run(null, null, null, "-d", classes.toString(),
                folder.resolve("src/main/java/quay/Meter.java").toString());
        quick("Meter", "--classes", classes.toString());
        assertThat(Files.readString(folder.resolve(".driftwood/recordings/quay.Meter.json"))).contains("\"classes\": [\"built\"]");
        java("Meter", "package quay; public class Meter { does not compile }");
        assertThat(driftwood("confirm").err()).doesNotContain("compiling");
    }

    @Test
    void librariesThatAreMissingAreToldWithWhatToType() throws IOException {
        java("Badge", "package quay; import org.harbour.Stamp; public class Badge { public Stamp stamp() { return null; } }");
        Run run = quick("Meter");
        assertThat(run.code()).isEqualTo(ExitCode.USAGE);
        assertThat(run.err()).contains("Badge.java:1: package org.harbour does not exist", "--classpath lib/one.jar", "classpath: [lib/one.jar]");
    }
}
