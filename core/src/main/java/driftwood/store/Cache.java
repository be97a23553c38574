package driftwood.store;

import driftwood.scan.memory.Memory;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.zip.CRC32C;
import org.h2.mvstore.MVMap;
import org.h2.mvstore.MVStore;
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
        } catch (RuntimeException | OutOfMemoryError damaged) {
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
        return found(kind, key).filter(each -> each.stamp.equals(stamp)).map(each -> each.value);
    }

    @Override
    public Optional<String> stamp(Kind kind, String key) {
        return found(kind, key).map(each -> each.stamp);
    }

    /** What is remembered under a key; empty where nothing is, and where a byte of it is not what was written. */
    private Optional<Entry> found(Kind kind, String key) {
        try {
            byte[] bytes = maps.get(kind).get(key);
            return bytes == null ? Optional.empty() : Entry.read(key, bytes);
        } catch (RuntimeException | OutOfMemoryError damaged) {
            return Optional.empty();
        }
    }

    @Override
    public void remember(Kind kind, String key, String stamp, byte[] value) {
        try {
            maps.get(kind).put(key, new Entry(stamp, value).written(key));
        } catch (RuntimeException | OutOfMemoryError damaged) {
            return;
        }
    }

    /** A value with its stamp. In the file a checksum of key, stamp and value stands before them, and the length of the stamp. */
    private record Entry(String stamp, byte[] value) {
        private static final int HEAD = 2 * Integer.BYTES;

        byte[] written(String key) {
            byte[] text = stamp.getBytes(StandardCharsets.UTF_8);
            byte[] bytes = ByteBuffer.allocate(HEAD + text.length + value.length).putInt(0).putInt(text.length).put(text).put(value).array();
            ByteBuffer.wrap(bytes).putInt(checksum(key, bytes));
            return bytes;
        }

        static Optional<Entry> read(String key, byte[] bytes) {
            ByteBuffer head = ByteBuffer.wrap(bytes);
            if (bytes.length < HEAD || head.getInt() != checksum(key, bytes)) {
                return Optional.empty();
            }
            int length = head.getInt();
            return Optional.of(new Entry(new String(bytes, HEAD, length, StandardCharsets.UTF_8),
                    Arrays.copyOfRange(bytes, HEAD + length, bytes.length)));
        }

        private static int checksum(String key, byte[] bytes) {
            CRC32C sum = new CRC32C();
            sum.update(key.getBytes(StandardCharsets.UTF_8));
            sum.update(bytes, Integer.BYTES, bytes.length - Integer.BYTES);
            return (int) sum.getValue();
        }
    }

    @Override
    public void close() {
        try {
            store.close();
        } catch (RuntimeException damaged) {
            store.closeImmediately();
        }
    }
}
