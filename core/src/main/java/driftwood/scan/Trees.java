package driftwood.scan;

import driftwood.program.Outline;
import driftwood.program.Program;
import driftwood.program.TypeOutline;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * The source trees of a project. Where two declare a type of the same full name (two copies of a module, a version for a
 * newer platform, two scripts of one name, two languages), a name means the type of the reader's own tree. So those that contradict what
 * came before them are layers of their own: each is linked with everything that it does not contradict, and judged by
 * itself.
 */
final class Trees {
    /** What contradicts more layers than this is a heap of samples: each of the rest is linked by itself. */
    private static final int MOST_LAYERS = 4;
    /** Begins the name of what is linked by itself. */
    private static final String ALONE = "alone ";
    private static final String FIRST = "";
    /** Begins the name of a language that has types of names which another has as well: it knows its own only. */
    private static final String LANGUAGE = "in ";

    private final List<Outline> outlines;
    /** The files of all layers but the first, with their layer. */
    private final Map<String, String> apart = new HashMap<>();
    private final Map<String, Program> programs = new HashMap<>();

    /** @param outlines of all files, in the order of their paths */
    Trees(List<Outline> outlines) {
        this.outlines = outlines;
        strangers();
        Map<String, String> first = new HashMap<>();
        Set<String> contradicting = new HashSet<>();
        for (Outline each : outlines) {
            if (apart.containsKey(each.file())) {
                continue;
            }
            String group = group(each);
            for (String name : names(each)) {
                String there = first.putIfAbsent(name, group);
                if (there != null && !there.equals(group) && !each.test()) {
                    contradicting.add(group);
                }
            }
        }
        if (!contradicting.isEmpty()) {
            divide(contradicting);
        }
    }

    /** Sets languages apart that another has a type of the same name as. */
    private void strangers() {
        Map<String, String> first = new HashMap<>();
        Set<String> apartFrom = new HashSet<>();
        for (Outline each : outlines) {
            String family = each.language().family();
            each.types().stream().filter(type -> type.outer().isEmpty() && !type.anonymous()).forEach(type -> {
                if (!first.computeIfAbsent(type.name(), key -> family).equals(family)) {
                    apartFrom.add(family);
                }
            });
        }
        outlines.stream().filter(each -> apartFrom.contains(each.language().family())).forEach(each -> apart.put(each.file(), LANGUAGE + each.language().family()));
    }

    private void divide(Set<String> contradicting) {
        Map<String, List<Outline>> groups = new LinkedHashMap<>();
        outlines.stream().filter(each -> !apart.containsKey(each.file()) && contradicting.contains(group(each)))
                .forEach(each -> groups.computeIfAbsent(group(each), key -> new ArrayList<>()).add(each));
        List<Set<String>> layers = new ArrayList<>();
        groups.forEach((group, files) -> {
            List<String> declared = files.stream().map(Trees::names).flatMap(Collection::stream).toList();
            int at = 0;
            while (at < layers.size() && declared.stream().anyMatch(layers.get(at)::contains)) {
                at++;
            }
            if (at == layers.size() && at < MOST_LAYERS) {
                layers.add(new HashSet<>());
            }
            String layer = at < layers.size() ? "layer " + (at + 1) : ALONE + group;
            if (at < layers.size()) {
                layers.get(at).addAll(declared);
            }
            files.forEach(each -> apart.put(each.file(), layer));
        });
    }

    /** Whether nothing contradicts anything. */
    boolean isOne() {
        return apart.isEmpty();
    }

    /** All layers, the first first. */
    List<String> layers() {
        List<String> layers = new ArrayList<>(List.of(FIRST));
        layers.addAll(apart.values().stream().distinct().sorted().toList());
        return layers;
    }

    /** The layer that a file belongs to. */
    String of(String file) {
        return apart.getOrDefault(file, FIRST);
    }

    /** What a layer sees, linked. */
    Program program(String layer) {
        return programs.computeIfAbsent(layer, key -> Program.link(seenBy(key)));
    }

    private List<Outline> seenBy(String layer) {
        if (isOne()) {
            return outlines;
        }
        if (layer.startsWith(LANGUAGE)) {
            return outlines.stream().filter(each -> of(each.file()).equals(layer)).toList();
        }
        Set<String> own = new HashSet<>();
        outlines.stream().filter(each -> of(each.file()).equals(layer)).forEach(each -> own.addAll(names(each)));
        boolean alone = layer.startsWith(ALONE);
        Set<String> declared = new HashSet<>(own);
        return outlines.stream().filter(each -> of(each.file()).equals(layer)
                || !alone && !of(each.file()).startsWith(LANGUAGE) && names(each).stream().noneMatch(own::contains) && (of(each.file()).equals(FIRST)
                || names(each).stream().allMatch(declared::add))).toList();
    }

    /** Names by which others know what a file declares; parts of one type do not contradict each other. */
    private static List<String> names(Outline file) {
        return file.types().stream().filter(each -> each.outer().isEmpty() && !each.anonymous() && !each.isPartial()).map(TypeOutline::name).toList();
    }

    /** What belongs together: the folder that the packages of its tree begin in; a file without a package by itself. */
    private static String group(Outline file) {
        String folder = file.file().substring(0, Math.max(0, file.file().lastIndexOf('/')));
        String packages = file.packageName().replace('.', '/');
        return packages.isEmpty() ? file.file() : folder.equals(packages) ? "" : folder.endsWith("/" + packages)
                ? folder.substring(0, folder.length() - packages.length() - 1) : folder;
    }
}
