package driftwood.witness;

import java.lang.reflect.Field;
import java.lang.reflect.Modifier;
import java.net.URL;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Loads the observed project's own classes once; everything else comes from its libraries. */
final class ProjectLoader extends ClassLoader {
    private final Projects projects;
    private final ClassLoader libraries;
    private final Map<String, byte[]> changed;
    private final List<Class<?>> unseen = new ArrayList<>();
    private boolean remembering;

    ProjectLoader(Projects projects, ClassLoader libraries, Map<String, byte[]> changed) {
        super(libraries);
        this.projects = projects;
        this.libraries = libraries;
        this.changed = changed;
    }

    @Override
    protected Class<?> loadClass(String name, boolean resolve) throws ClassNotFoundException {
        synchronized (getClassLoadingLock(name)) {
            Class<?> known = findLoadedClass(name);
            if (known != null) {
                return known;
            }
            byte[] own = changed.containsKey(name) ? changed.get(name) : projects.bytes(name);
            if (own.length == 0) {
                return super.loadClass(name, resolve);
            }
            Class<?> defined = defineClass(name, own, 0, own.length);
            synchronized (unseen) {
                unseen.add(defined);
            }
            return defined;
        }
    }

    @Override
    public URL getResource(String name) {
        URL found = libraries.getResource(name);
        return found == null ? super.getResource(name) : found;
    }

    /** Whether some class that was loaded has a static field that may hold what a case has left. */
    boolean remembers() {
        synchronized (unseen) {
            // To look at a field's type may load a class more.
            while (!remembering && !unseen.isEmpty()) {
                remembering = remembers(unseen.remove(unseen.size() - 1));
            }
            return remembering;
        }
    }

    private static boolean remembers(Class<?> type) {
        try {
            boolean constants = Enum.class.isAssignableFrom(type);
            for (Field each : type.getDeclaredFields()) {
                boolean lasts = constants ? !each.isEnumConstant() : Modifier.isStatic(each.getModifiers());
                if (lasts && !each.isSynthetic() && (!Modifier.isFinal(each.getModifiers()) || !isPlain(each.getType()))) {
                    return true;
                }
            }
            return false;
        } catch (LinkageError e) {
            return true;
        }
    }

    private static boolean isPlain(Class<?> type) {
        return type.isPrimitive() || type == String.class;
    }
}
