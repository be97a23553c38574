package driftwood.witness;

import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/**
 * The program that tells which slips the cases of a recording would notice: each slip is a class in place of another,
 * and the cases are run until one has another outcome. Slips are told by the number of the case that noticed them.
 */
public final class Trial {
    /** No case noticed the slip. */
    public static final int UNNOTICED = -1;
    /** No case comes to the slip's place. */
    public static final int UNREACHED = -2;
    /** There was no time to find out. */
    public static final int UNTRIED = -4;
    /** In place of a place: any case may come to it, since it runs once, when its class is first used. */
    public static final int EVERY_CASE = -1;
    /** Cases that do not end go on burning time; after so many the process is begun anew. */
    private static final int MOST_STUCK = 2;
    /** So many of the cases that come to an unnoticed slip are told. */
    private static final int MOST_COMERS = 6;
    /** Written before the probes that a case passes, once for each case, before any slip is tried. */
    public static final int PASSED = 3;

    private final List<Script> scripts;
    private final Path classes;
    private final ClassLoader libraries;
    private final Stage stage;
    /** Classes that were read, by name; empty where the project has none of that name. */
    private final Map<String, byte[]> read = new ConcurrentHashMap<>();

    private Trial(List<Script> scripts, Path classes, ClassLoader libraries, Stage stage) {
        this.scripts = scripts;
        this.classes = classes;
        this.libraries = libraries;
        this.stage = stage;
    }

    /**
     * Tries slips.
     *
     * @param arguments file of scripts, file of slips, file to append results to, number of slips to leave out at the
     *                  beginning, milliseconds for each case, milliseconds for all cases without any slip, the
     *                  project's classes, then what they need
     */
    public static void main(String[] arguments) throws IOException {
        List<Script> scripts = new ArrayList<>();
        try (DataInputStream from = open(arguments[0])) {
            int count = from.readInt();
            for (int i = 0; i < count; i++) {
                scripts.add(Wire.script(from));
            }
        }
        List<URL> needed = new ArrayList<>();
        for (int i = 7; i < arguments.length; i++) {
            needed.add(Path.of(arguments[i]).toUri().toURL());
        }
        Stage stage = new Stage(Long.parseLong(arguments[4]));
        ClassLoader libraries = new URLClassLoader(needed.toArray(new URL[0]), Trial.class.getClassLoader());
        Trial trial = new Trial(scripts, Path.of(arguments[6]), libraries, stage);
        try (DataInputStream slips = open(arguments[1]); DataOutputStream to = new DataOutputStream(
                new BufferedOutputStream(Files.newOutputStream(Path.of(arguments[2]), StandardOpenOption.APPEND)))) {
            trial.all(slips, Integer.parseInt(arguments[3]), Long.parseLong(arguments[5]), to);
        }
        Runtime.getRuntime().halt(0);
    }

    private static DataInputStream open(String file) throws IOException {
        return new DataInputStream(new BufferedInputStream(Files.newInputStream(Path.of(file))));
    }

    /**
     * Cases that do the same twice can tell a slip, where they come to its place; the one that noticed the last is asked
     * first for the next. Where the cases alone are too slow, the rest of them is left out.
     */
    private void all(DataInputStream slips, int begin, long millis, DataOutputStream to) throws IOException {
        Map<Integer, Outcome> expected = new HashMap<>();
        Map<Integer, BitSet> places = new HashMap<>();
        List<Integer> order = new ArrayList<>();
        ClassLoader watched = loader(classes(slips));
        ClassLoader plain = loader(Map.of());
        long enough = System.nanoTime() + millis * 1_000_000;
        boolean cut = false;
        for (int i = 0; i < scripts.size() && !cut; i++) {
            cut = System.nanoTime() > enough;
            Reached.take();
            Probes.take();
            Outcome first = stage.run(scripts.get(i), watched);
            BitSet reached = Reached.take();
            Map<Long, BitSet> passed = Probes.take();
            if (first.ending().equals("endless")) {
                continue;
            }
            if (first.equals(stage.run(scripts.get(i), plain))) {
                expected.put(i, first);
                places.put(i, reached);
                order.add(i);
                if (begin == 0) {
                    tell(i, passed, to);
                }
            }
        }
        int count = slips.readInt();
        int stuck = 0;
        for (int i = 0; i < count; i++) {
            int place = slips.readInt();
            Map<String, byte[]> slipped = Map.of(slips.readUTF(), slips.readNBytes(slips.readInt()));
            if (i < begin) {
                continue;
            }
            to.writeByte(Witness.BEGIN);
            to.flush();
            ClassLoader loader = loader(slipped);
            int noticed = cut ? UNTRIED : UNREACHED;
            List<Integer> comers = new ArrayList<>();
            for (int at = 0; at < order.size() && noticed < 0; at++) {
                int number = order.get(at);
                if (place != EVERY_CASE && !places.get(number).get(place)) {
                    continue;
                }
                Outcome now = stage.run(scripts.get(number), loader);
                noticed = UNNOTICED;
                comers.add(number);
                if (!now.equals(expected.get(number))) {
                    noticed = number;
                    order.remove(at);
                    order.add(0, number);
                    stuck += now.ending().equals("endless") ? 1 : 0;
                }
            }
            to.writeByte(Witness.END);
            to.writeInt(noticed);
            int some = noticed < 0 ? Math.min(MOST_COMERS, comers.size()) : 0;
            to.writeInt(some);
            for (int each = 0; each < some; each++) {
                to.writeInt(comers.get(each * comers.size() / some));
            }
            to.flush();
            if (stuck >= MOST_STUCK) {
                Runtime.getRuntime().halt(Witness.ENDLESS);
            }
        }
    }

    private static void tell(int number, Map<Long, BitSet> passed, DataOutputStream to) throws IOException {
        to.writeByte(PASSED);
        to.writeInt(number);
        to.writeInt(passed.size());
        for (Map.Entry<Long, BitSet> each : passed.entrySet()) {
            byte[] bits = each.getValue().toByteArray();
            to.writeLong(each.getKey());
            to.writeInt(bits.length);
            to.write(bits);
        }
    }

    private static Map<String, byte[]> classes(DataInputStream from) throws IOException {
        Map<String, byte[]> classes = new HashMap<>();
        int count = from.readInt();
        for (int i = 0; i < count; i++) {
            classes.put(from.readUTF(), from.readNBytes(from.readInt()));
        }
        return classes;
    }

    /** Loads the project's classes anew, some of them with other bytes. */
    private ClassLoader loader(Map<String, byte[]> changed) {
        return new ClassLoader(libraries) {
            @Override
            protected Class<?> loadClass(String name, boolean resolve) throws ClassNotFoundException {
                synchronized (getClassLoadingLock(name)) {
                    Class<?> known = findLoadedClass(name);
                    if (known != null) {
                        return known;
                    }
                    byte[] other = changed.get(name);
                    if (other != null) {
                        return defineClass(name, other, 0, other.length);
                    }
                    Path file = classes.resolve(name.replace('.', '/') + ".class");
                    try {
                        byte[] own = read.get(name);
                        if (own == null) {
                            own = Files.isRegularFile(file) ? Files.readAllBytes(file) : new byte[0];
                            read.put(name, own);
                        }
                        return own.length == 0 ? super.loadClass(name, resolve) : defineClass(name, own, 0, own.length);
                    } catch (IOException e) {
                        throw new ClassNotFoundException(name, e);
                    }
                }
            }

            @Override
            protected URL findResource(String name) {
                Path file = classes.resolve(name);
                try {
                    return Files.isRegularFile(file) ? file.toUri().toURL() : null;
                } catch (IOException e) {
                    return null;
                }
            }
        };
    }
}
