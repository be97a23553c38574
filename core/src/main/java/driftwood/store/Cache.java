package driftwood.store;

import driftwood.smell.Memory;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.h2.mvstore.MVMap;
import org.h2.mvstore.MVStore;
import org.h2.mvstore.MVStoreException;
import org.h2.mvstore.type.ByteArrayDataType;
import org.h2.mvstore.type.StringDataType;

/**
 * What earlier scans saw, in one file: {@code .driftwood/cache/memory.mv}. A file that is damaged is begun anew; one
 * that another run holds, or that cannot be written, is done without. A process that is killed loses at most what it
 * had not yet written.
 */
public final class Cache implements Memory, AutoCloseable {
    private static final String NAME = "memory.mv";
    private static final int FLUSH_KILOBYTES = 8 * 1024;

    private final MVStore store;
    private final Map<Kind, MVMap<String, byte[]>> maps = new EnumMap<>(Kind.class);

    private Cache(MVStore store) {
        this.store = store;
        for (Kind kind : Kind.values()) {
            maps.put(kind, store.openMap(kind.name().toLowerCase(Locale.ROOT), new MVMap.Builder<String, byte[]>()
                    .keyType(StringDataType.INSTANCE).valueType(ByteArrayDataType.INSTANCE)));
        }
    }

    /** The memory of a project; one that remembers nothing where there can be none. @param folder of the project */
    public static Memory of(Folder folder) {
        Path file;
        try {
            file = folder.cache().resolve(NAME);
        } catch (RuntimeException e) {
            return NONE;
        }
        Optional<Cache> opened = open(file);
        if (opened.isEmpty() && file.toFile().length() > 0 && !isHeld(file)) {
            file.toFile().delete();
            opened = open(file);
        }
        return opened.<Memory>map(cache -> cache).orElse(NONE);
    }

    private static Optional<Cache> open(Path file) {
        MVStore store = null;
        try {
            store = new MVStore.Builder().fileName(file.toString()).autoCommitBufferSize(FLUSH_KILOBYTES)
                    .autoCompactFillRate(0).open();
            return Optional.of(new Cache(store));
        } catch (MVStoreException | IllegalArgumentException | ClassCastException e) {
            if (store != null) {
                store.closeImmediately();
            }
            return Optional.empty();
        }
    }

    /** Whether another process has the file open, which is no damage. */
    private static boolean isHeld(Path file) {
        try (var channel = java.nio.channels.FileChannel.open(file, java.nio.file.StandardOpenOption.WRITE)) {
            var lock = channel.tryLock();
            if (lock != null) {
                lock.release();
            }
            return lock == null;
        } catch (java.io.IOException | java.nio.channels.OverlappingFileLockException e) {
            return true;
        }
    }

    @Override
    public Optional<byte[]> recall(Kind kind, String key, String stamp) {
        try {
            byte[] found = maps.get(kind).get(key);
            byte[] head = head(stamp);
            boolean same = found != null && found.length > head.length
                    && Arrays.equals(found, 0, head.length, head, 0, head.length);
            return same ? Optional.of(Arrays.copyOfRange(found, head.length, found.length)) : Optional.empty();
        } catch (MVStoreException | IllegalStateException e) {
            return Optional.empty();
        }
    }

    /** What stands before each value: the stamp, behind its length. */
    private static byte[] head(String stamp) {
        byte[] text = stamp.getBytes(StandardCharsets.UTF_8);
        return ByteBuffer.allocate(Integer.BYTES + text.length).putInt(text.length).put(text).array();
    }

    @Override
    public Optional<String> stamp(Kind kind, String key) {
        try {
            byte[] found = maps.get(kind).get(key);
            int length = found == null || found.length < Integer.BYTES ? -1 : ByteBuffer.wrap(found).getInt();
            return length < 0 || length > found.length - Integer.BYTES ? Optional.empty()
                    : Optional.of(new String(found, Integer.BYTES, length, StandardCharsets.UTF_8));
        } catch (MVStoreException | IllegalStateException e) {
            return Optional.empty();
        }
    }

    @Override
    public void remember(Kind kind, String key, String stamp, byte[] value) {
        byte[] head = head(stamp);
        byte[] whole = Arrays.copyOf(head, head.length + value.length);
        System.arraycopy(value, 0, whole, head.length, value.length);
        try {
            maps.get(kind).put(key, whole);
        } catch (MVStoreException | IllegalStateException e) {
            return;
        }
    }

    @Override
    public void close() {
        try {
            store.close();
        } catch (MVStoreException | IllegalStateException e) {
            store.closeImmediately();
        }
    }
}
