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
    ProjectLoader loader(Map<String, byte[]> changed) {
        return new ProjectLoader(this, libraries, changed);
    }

    /** A class of the project itself; empty for any other. */
    byte[] bytes(String name) throws ClassNotFoundException {
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
