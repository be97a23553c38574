package driftwood.scan;

import driftwood.program.Outline;
import driftwood.program.Program;
import driftwood.program.TypeOutline;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * The source trees of a project. Where two trees declare a type of the same full name (two copies of a module, a version
 * for a newer platform), a name means the type of the reader's own tree; so each such tree is a program of its own,
 * together with everything that does not contradict it.
 */
final class Trees {
    /** With more trees than this that contradict one another, they are samples: each is linked by itself. */
    private static final int MOST_TOGETHER = 4;

    private final List<Outline> outlines;
    /** Files of each contradicting tree, by its folder. */
    private final Map<String, Set<String>> apart = new LinkedHashMap<>();
    private final Map<String, Program> programs = new HashMap<>();

    /** @param outlines of all files, in the order of their paths */
    Trees(List<Outline> outlines) {
        this.outlines = outlines;
        Map<String, Outline> declared = new HashMap<>();
        for (Outline each : outlines) {
            for (String name : names(each)) {
                Outline first = declared.putIfAbsent(name, each);
                if (first != null && !each.test() && !root(first).equals(root(each))) {
                    apart.putIfAbsent(root(each), new HashSet<>());
                }
            }
        }
        if (!apart.isEmpty()) {
            outlines.stream().filter(each -> apart.containsKey(root(each))).forEach(each -> apart.get(root(each)).add(each.file()));
        }
    }

    /** Whether all is one tree. */
    boolean isOne() {
        return apart.isEmpty();
    }

    /** The folders of the trees; the first stands for all that contradicts nothing. */
    List<String> roots() {
        List<String> roots = new ArrayList<>(List.of(""));
        apart.keySet().stream().map(each -> each + "/").forEach(roots::add);
        return roots;
    }

    /** The tree that a file belongs to. */
    String of(String file) {
        return apart.entrySet().stream().filter(each -> each.getValue().contains(file)).map(each -> each.getKey() + "/")
                .findFirst().orElse("");
    }

    /** What a tree sees, linked. */
    Program program(String tree) {
        return programs.computeIfAbsent(tree, key -> Program.link(seenBy(key)));
    }

    private List<Outline> seenBy(String tree) {
        if (isOne()) {
            return outlines;
        }
        Set<String> own = new HashSet<>();
        outlines.stream().filter(each -> of(each.file()).equals(tree)).forEach(each -> own.addAll(names(each)));
        boolean alone = !tree.isEmpty() && apart.size() > MOST_TOGETHER;
        return outlines.stream().filter(each -> of(each.file()).equals(tree)
                || !alone && names(each).stream().noneMatch(own::contains)).toList();
    }

    /** Names by which others know what a file declares. */
    private static List<String> names(Outline file) {
        return file.types().stream().filter(each -> each.outer().isEmpty() && !each.anonymous()).map(TypeOutline::name).toList();
    }

    /** The folder that the packages of a file's tree begin in. */
    private static String root(Outline file) {
        String folder = file.file().substring(0, Math.max(0, file.file().lastIndexOf('/')));
        String packages = file.packageName().replace('.', '/');
        return folder.equals(packages) ? "" : folder.endsWith("/" + packages)
                ? folder.substring(0, folder.length() - packages.length() - 1) : folder;
    }
}
