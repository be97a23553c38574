package driftwood.witness;

import java.io.BufferedInputStream;
import java.io.BufferedOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.PrintStream;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * The program that tells which slips the cases of a recording would notice: each slip is a class in place of another,
 * and the cases are run until one has another outcome. Slips are told by the number of the case that noticed them.
 */
public final class Trial {
    /** No case noticed the slip. */
    public static final int UNNOTICED = -1;

    private final List<Script> scripts;
    private final Path classes;
    private final ClassLoader libraries;
    private final Stage stage;

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
     *                  beginning, milliseconds for each case, the project's classes, then what they need
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
        for (int i = 6; i < arguments.length; i++) {
            needed.add(Path.of(arguments[i]).toUri().toURL());
        }
        Stage stage = new Stage(Long.parseLong(arguments[4]));
        ClassLoader libraries = new URLClassLoader(needed.toArray(new URL[0]), Trial.class.getClassLoader());
        Trial trial = new Trial(scripts, Path.of(arguments[5]), libraries, stage);
        try (DataInputStream slips = open(arguments[1]); DataOutputStream to = new DataOutputStream(
                new BufferedOutputStream(Files.newOutputStream(Path.of(arguments[2]), StandardOpenOption.APPEND)))) {
            trial.all(slips, Integer.parseInt(arguments[3]), to);
        }
        Runtime.getRuntime().halt(0);
    }

    private static DataInputStream open(String file) throws IOException {
        return new DataInputStream(new BufferedInputStream(Files.newInputStream(Path.of(file))));
    }

    /** Cases that do the same twice can tell a slip; the one that noticed the last is asked first for the next. */
    private void all(DataInputStream slips, int begin, DataOutputStream to) throws IOException {
        Map<Integer, Outcome> expected = new HashMap<>();
        List<Integer> order = new ArrayList<>();
        ClassLoader once = loader("", new byte[0]);
        ClassLoader again = loader("", new byte[0]);
        for (int i = 0; i < scripts.size(); i++) {
            Outcome first = stage.run(scripts.get(i), once);
            if (first.ending().equals("endless")) {
                continue;
            }
            if (first.equals(stage.run(scripts.get(i), again))) {
                expected.put(i, first);
                order.add(i);
            }
        }
        int count = slips.readInt();
        for (int i = 0; i < count; i++) {
            String name = slips.readUTF();
            byte[] bytes = slips.readNBytes(slips.readInt());
            if (i < begin) {
                continue;
            }
            to.writeByte(Witness.BEGIN);
            to.flush();
            ClassLoader slipped = loader(name, bytes);
            int noticed = UNNOTICED;
            boolean endless = false;
            for (int at = 0; at < order.size() && noticed == UNNOTICED; at++) {
                Outcome now = stage.run(scripts.get(order.get(at)), slipped);
                if (!now.equals(expected.get(order.get(at)))) {
                    noticed = order.remove(at);
                    order.add(0, noticed);
                    endless = now.ending().equals("endless");
                }
            }
            to.writeByte(Witness.END);
            to.writeInt(noticed);
            to.flush();
            if (endless) {
                Runtime.getRuntime().halt(Witness.ENDLESS);
            }
        }
    }

    /** Loads the project's classes anew, one of them with other bytes. */
    private ClassLoader loader(String slipped, byte[] bytes) {
        return new ClassLoader(libraries) {
            @Override
            protected Class<?> loadClass(String name, boolean resolve) throws ClassNotFoundException {
                synchronized (getClassLoadingLock(name)) {
                    Class<?> known = findLoadedClass(name);
                    if (known != null) {
                        return known;
                    }
                    if (name.equals(slipped)) {
                        return defineClass(name, bytes, 0, bytes.length);
                    }
                    Path file = classes.resolve(name.replace('.', '/') + ".class");
                    try {
                        byte[] own = Files.isRegularFile(file) ? Files.readAllBytes(file) : null;
                        return own == null ? super.loadClass(name, resolve) : defineClass(name, own, 0, own.length);
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
