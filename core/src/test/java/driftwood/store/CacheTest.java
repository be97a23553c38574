package driftwood.store;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.scan.memory.Memory;
import driftwood.scan.memory.Memory.Kind;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import org.h2.mvstore.MVStore;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class CacheTest {
    private static final byte[] VALUE = "four metres".getBytes(StandardCharsets.UTF_8);

    @TempDir
    Path root;

    private Path file() {
        return root.resolve(".driftwood/cache/memory.mv");
    }

    private static void close(Memory memory) {
        ((Cache) memory).close();
    }

    private void remember() {
        Memory memory = Cache.of(new Folder(root));
        memory.remember(Kind.USED, "quay/Berth.java", "stamp", VALUE);
        close(memory);
    }

    @Test
    void whatWasRememberedIsRecalledByTheNextRun() {
        remember();
        Memory memory = Cache.of(new Folder(root));
        assertThat(memory.recall(Kind.USED, "quay/Berth.java", "stamp")).contains(VALUE);
        assertThat(memory.stamp(Kind.USED, "quay/Berth.java")).contains("stamp");
        close(memory);
    }

    @Test
    void onlyTheSameKindKeyAndStampRecallIt() {
        remember();
        Memory memory = Cache.of(new Folder(root));
        assertThat(memory.recall(Kind.DECLARED, "quay/Berth.java", "stamp")).isEmpty();
        assertThat(memory.recall(Kind.USED, "quay/Pilot.java", "stamp")).isEmpty();
        assertThat(memory.recall(Kind.USED, "quay/Berth.java", "stam")).isEmpty();
        assertThat(memory.recall(Kind.USED, "quay/Berth.java", "stamps")).isEmpty();
        assertThat(memory.recall(Kind.USED, "quay/Berth.java", "")).isEmpty();
        assertThat(memory.stamp(Kind.USED, "quay/Pilot.java")).isEmpty();
        close(memory);
    }

    @Test
    void aNewValueTakesThePlaceOfTheFormer() {
        remember();
        Memory memory = Cache.of(new Folder(root));
        memory.remember(Kind.USED, "quay/Berth.java", "later", new byte[] {1});
        assertThat(memory.recall(Kind.USED, "quay/Berth.java", "stamp")).isEmpty();
        assertThat(memory.recall(Kind.USED, "quay/Berth.java", "later")).contains(new byte[] {1});
        assertThat(memory.stamp(Kind.USED, "quay/Berth.java")).contains("later");
        close(memory);
    }

    @Test
    void aFileThatAnotherRunHoldsIsDoneWithout() {
        Memory first = Cache.of(new Folder(root));
        assertThat(first).isInstanceOf(Cache.class);
        assertThat(Cache.of(new Folder(root))).isSameAs(Memory.NONE);
        close(first);
    }

    @Test
    void aDamagedFileIsBegunAnew() throws IOException {
        remember();
        Files.write(file(), "no store at all".repeat(600).getBytes(StandardCharsets.UTF_8));
        Memory memory = Cache.of(new Folder(root));
        assertThat(memory.recall(Kind.USED, "quay/Berth.java", "stamp")).isEmpty();
        memory.remember(Kind.USED, "quay/Berth.java", "stamp", VALUE);
        close(memory);
        Memory again = Cache.of(new Folder(root));
        assertThat(again.recall(Kind.USED, "quay/Berth.java", "stamp")).contains(VALUE);
        close(again);
    }

    @Test
    void aFileOfAnotherVersionsMakingHarmsNothing() throws IOException {
        Files.createDirectories(file().getParent());
        try (MVStore store = MVStore.open(file().toString())) {
            Map<String, byte[]> used = store.openMap("used");
            used.put("quay/Berth.java", "stampfour metres".getBytes(StandardCharsets.UTF_8));
            Map<String, byte[]> trace = store.openMap("trace");
            trace.put("quay/Berth.java", new byte[] {0, 0});
        }
        Memory memory = Cache.of(new Folder(root));
        assertThat(memory.recall(Kind.USED, "quay/Berth.java", "stamp")).isEmpty();
        assertThat(memory.stamp(Kind.TRACE, "quay/Berth.java")).isEmpty();
        memory.remember(Kind.USED, "quay/Berth.java", "stamp", VALUE);
        assertThat(memory.recall(Kind.USED, "quay/Berth.java", "stamp")).contains(VALUE);
        close(memory);
    }

    @Test
    void aFolderThatCannotBeWrittenIsDoneWithout() throws IOException {
        Files.writeString(root.resolve(".driftwood"), "a file where the folder should be");
        Memory memory = Cache.of(new Folder(root));
        memory.remember(Kind.USED, "quay/Berth.java", "stamp", VALUE);
        assertThat(memory.recall(Kind.USED, "quay/Berth.java", "stamp")).isEmpty();
    }

    @Test
    void afterItIsClosedNothingIsRecalledAndNothingBreaks() {
        Memory memory = Cache.of(new Folder(root));
        close(memory);
        memory.remember(Kind.USED, "quay/Berth.java", "stamp", VALUE);
        assertThat(memory.recall(Kind.USED, "quay/Berth.java", "stamp")).isEmpty();
    }
}
