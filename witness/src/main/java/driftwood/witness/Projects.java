package driftwood.witness;

import java.io.IOException;
import java.net.MalformedURLException;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/** The observed project's classes, loaded as often as wanted, each time from the beginning. */
final class Projects {
    private final List<Path> homes;
    private final ClassLoader libraries;
    /** Classes that were read, by name; empty where the project has none of that name. */
    private final Map<String, byte[]> read = new ConcurrentHashMap<>();

    /**
     * @param homes of the project's own classes
     * @param path  everything the project needs
     */
    Projects(List<String> homes, List<String> path) throws MalformedURLException {
        this.homes = homes.stream().map(Path::of).toList();
        List<URL> needed = new ArrayList<>();
        for (String each : path) {
            needed.add(Path.of(each).toUri().toURL());
        }
        this.libraries = new URLClassLoader(needed.toArray(new URL[0]), Projects.class.getClassLoader());
    }

    /** Loads the project's classes anew, some of them with other bytes. */
    ClassLoader loader(Map<String, byte[]> changed) {
        return new ClassLoader(libraries) {
            @Override
            protected Class<?> loadClass(String name, boolean resolve) throws ClassNotFoundException {
                synchronized (getClassLoadingLock(name)) {
                    Class<?> known = findLoadedClass(name);
                    if (known != null) {
                        return known;
                    }
                    byte[] own = changed.containsKey(name) ? changed.get(name) : bytes(name);
                    return own.length == 0 ? super.loadClass(name, resolve) : defineClass(name, own, 0, own.length);
                }
            }

            @Override
            public URL getResource(String name) {
                URL found = libraries.getResource(name);
                return found == null ? super.getResource(name) : found;
            }
        };
    }

    private byte[] bytes(String name) throws ClassNotFoundException {
        byte[] known = read.get(name);
        if (known == null) {
            known = new byte[0];
            for (Path home : homes) {
                Path file = home.resolve(name.replace('.', '/') + ".class");
                try {
                    known = known.length == 0 && Files.isRegularFile(file) ? Files.readAllBytes(file) : known;
                } catch (IOException e) {
                    throw new ClassNotFoundException(name, e);
                }
            }
            read.put(name, known);
        }
        return known;
    }
}
