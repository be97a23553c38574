package driftwood.refactor;

import driftwood.behaviour.build.Compiler;
import driftwood.plan.Planner;
import driftwood.scan.Scan;
import driftwood.smell.Finding;
import java.io.IOException;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/**
 * A small project with a finding and the pattern that it becomes, from a file: {@code key: value} lines, then the sources
 * behind lines {@code === path}. Its class {@code Main} tells in {@code run()} all that a client can see.
 *
 * @param name    of the file
 * @param said    smell, pattern; refused (part of the reason), names, leaves (what the scan says afterwards, and why), meant
 * @param sources by relative path
 */
record RecipeCase(String name, Map<String, String> said, Map<String, String> sources) {

    static RecipeCase read(Path file) throws IOException {
        Map<String, String> said = new LinkedHashMap<>();
        Map<String, String> sources = new LinkedHashMap<>();
        String path = "";
        for (String line : Files.readAllLines(file)) {
            if (line.startsWith("=== ")) {
                path = line.substring(4).strip();
                sources.put(path, "");
            } else if (path.isEmpty() && line.contains(": ")) {
                said.put(line.substring(0, line.indexOf(':')), line.substring(line.indexOf(':') + 2).strip());
            } else if (!path.isEmpty()) {
                sources.merge(path, line + "\n", String::concat);
            }
        }
        if (said.getOrDefault("ends", "").equals("crlf")) {
            sources.replaceAll((each, text) -> text.replace("\n", "\r\n"));
        }
        return new RecipeCase(file.getFileName().toString().replace(".txt", ""), said, sources);
    }

    static List<RecipeCase> all(Path folder) throws IOException {
        List<RecipeCase> all = new ArrayList<>();
        try (Stream<Path> files = Files.list(folder)) {
            for (Path each : files.sorted().toList()) {
                all.add(read(each));
            }
        }
        return all;
    }

    void write(Path root) throws IOException {
        for (Map.Entry<String, String> each : sources.entrySet()) {
            Path file = root.resolve(each.getKey());
            Files.createDirectories(file.getParent());
            Files.writeString(file, each.getValue());
        }
    }

    static Scan.Result scan(Path root) {
        return new Scan(Scan.Options.DEFAULT.on(1)).run(root, List.of(root));
    }

    Finding finding(Scan.Result result) {
        return result.findings().stream().filter(each -> each.smell().equals(said.get("smell"))
                && each.symbol().contains(said.getOrDefault("at", ""))).findFirst().orElseThrow(() -> new AssertionError(name + ": there is no "
                + said.get("smell") + " but " + result.findings().stream().map(each -> each.smell() + " " + each.symbol()).toList()));
    }

    Refactoring refactoring(Scan.Result result) {
        Map<String, String> names = new LinkedHashMap<>();
        for (String each : said.getOrDefault("names", "").split(",\\s*")) {
            if (each.contains("=")) {
                names.put(each.substring(0, each.indexOf('=')), each.substring(each.indexOf('=') + 1));
            }
        }
        return new Planner(result.site()).refactoring(finding(result), said.get("pattern"), names);
    }

    /** What a client sees of the sources below a folder. */
    static String run(Path root, Path classes) throws Exception {
        List<Path> all = new ArrayList<>();
        try (Stream<Path> files = Files.walk(root)) {
            files.filter(each -> each.toString().endsWith(".java")).forEach(all::add);
        }
        Compiler.compile(root, all, List.of(), classes);
        try (URLClassLoader loader = new URLClassLoader(new URL[] {classes.toUri().toURL()}, null)) {
            String main = all.stream().filter(each -> each.endsWith("Main.java")).map(each -> {
                try {
                    String text = Files.readString(each);
                    return text.contains("package ") ? text.replaceFirst("(?s).*?package ([\\w.]+);.*", "$1") + ".Main" : "Main";
                } catch (IOException e) {
                    throw new java.io.UncheckedIOException(e);
                }
            }).findFirst().orElseThrow();
            return (String) loader.loadClass(main).getMethod("run").invoke(null);
        }
    }
}
