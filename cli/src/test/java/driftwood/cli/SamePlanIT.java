package driftwood.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashSet;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The same input gives the same plan in every process: what the platform orders by chance must not show. */
class SamePlanIT {
    private static final String SOURCE = """
            package quay;
            class Dues {
                int base;
                int quote(int nights, boolean summer) {
                    if (summer) {
                        base += nights * 3;
                        log("summer");
                        return base;
                    }
                    base += nights * 2;
                    log("winter");
                    return base - 1;
                }
                void log(String what) { System.out.println(what); }
            }
            class Desk {
                int a(Dues dues) { return dues.quote(3, true); }
                int b(Dues dues) { return dues.quote(3, false); }
            }
            """;

    @TempDir
    Path folder;

    @Test
    void fiveProcessesMakeTheSamePlan() throws IOException, InterruptedException {
        Files.createDirectories(folder.resolve("quay"));
        Files.writeString(folder.resolve("quay/Dues.java"), SOURCE);
        Files.writeString(folder.resolve("driftwood.yaml"), "history: ignore\n");
        String id = Built.driftwood(folder, "scan", "--format", "lines").out().replaceAll("(?s).*?\\b(fa-[0-9a-z]{6}).*", "$1");
        Set<String> plans = new HashSet<>();
        for (int i = 0; i < 5; i++) {
            Built.Run run = Built.driftwood(folder, "plan", id, "--pattern", "separate-routines");
            assertThat(run.code()).as(run.err()).isZero();
            Path plan = folder.resolve(".driftwood/plans/" + id + "-separate-routines.json");
            plans.add(Files.readString(plan));
            Files.delete(plan);
        }
        assertThat(plans).hasSize(1);
    }
}
