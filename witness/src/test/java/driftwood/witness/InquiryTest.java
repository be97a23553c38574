package driftwood.witness;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.DataOutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Asks in a process, as the program does. */
class InquiryTest {
    @TempDir
    Path folder;

    /** Code with queries, and with what only looks like some. */
    public static class Queue {
        private final List<Integer> items = new ArrayList<>(List.of(1, 2, 3));
        private int asked;

        public void add(int item) {
            items.add(item);
        }

        public int size() {
            return items.size();
        }

        public Integer getNext() {
            return items.isEmpty() ? null : items.remove(0);
        }

        public Queue reset() {
            items.clear();
            return this;
        }

        public int getAsked() {
            return ++asked;
        }

        public boolean isLoud() {
            System.out.println("asked");
            return true;
        }

        public Integer peek() {
            return items.isEmpty() ? null : items.get(0);
        }

        public int getSlow() {
            throw new IllegalStateException("always");
        }
    }

    @Test
    void whichRoutinesAreQueriesIsFoundOutAndNotGuessedFromTheirNames() throws Exception {
        String type = Queue.class.getName();
        List<String> candidates = List.of("getAsked", "getNext", "getSlow", "isLoud", "peek", "reset", "size");
        Script script = new Script("c1", List.of(new Make.New(type, List.of(), List.of())), List.of(new Script.Step("this",
                new Make.Call(type, List.of(), "add", List.of("int"), List.of(new Make.Literal("int", "7"))), List.of("item"))));
        Path in = folder.resolve("scripts");
        Path out = folder.resolve("answers");
        try (DataOutputStream to = new DataOutputStream(Files.newOutputStream(in))) {
            Wire.write(to, new Asking(Map.of(type, candidates), List.of(), Asking.Manner.ALONG), List.of(script));
        }
        Process process = new ProcessBuilder(Path.of(System.getProperty("java.home"), "bin", "java").toString(), "-cp",
                "target/classes:target/test-classes", Inquiry.class.getName(), in.toString(), out.toString(), "500",
                "target/test-classes").redirectErrorStream(true).start();
        assertThat(process.waitFor(30, TimeUnit.SECONDS)).isTrue();
        assertThat(Files.readAllLines(out)).containsExactlyInAnyOrder("command " + type + " getAsked", "command " + type + " getNext",
                "query " + type + " getSlow", "command " + type + " isLoud", "query " + type + " peek", "command " + type + " reset",
                "query " + type + " size");
    }
}
