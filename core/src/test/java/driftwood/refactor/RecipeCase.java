package driftwood.refactor;

import static org.assertj.core.api.Assertions.assertThat;

import driftwood.behaviour.build.Compiler;
import driftwood.plan.Planner;
import driftwood.scan.Scan;
import driftwood.smell.Finding;
import java.io.IOException;
import java.net.URL;
import java.net.URLClassLoader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;

/**
 * A small project with a finding and the pattern that it becomes, from a file: {@code key: value} lines, then the sources
 * behind lines {@code === path}. Its class {@code Main} tells in {@code run()} all that a client can see.
 *
 * @param name    of the file
 * @param said    smell, pattern; refused (part of the reason), names, form, leaves (what the scan says afterwards, and why), meant,
 *                code (what the files say in the end, between bars, \\n for the end of a line)
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

    /** What a scan reports, by smell and place. */
    static Set<String> smells(Scan.Result result) {
        Set<String> smells = new TreeSet<>();
        result.findings().forEach(each -> smells.add(each.smell() + " " + each.symbol()));
        return smells;
    }

    /** What may be reported afterwards: what was before without the one that is cured, and what the case says. */
    Set<String> left(Scan.Result before) {
        Finding finding = finding(before);
        Set<String> smells = smells(before);
        smells.remove(finding.smell() + " " + finding.symbol());
        smells.addAll(List.of(said.getOrDefault("leaves", "").split(";\\s*")));
        return smells;
    }

    private List<String> code() {
        return Stream.of(said.getOrDefault("code", "").replace("\\n", "\n").split(" \\| ")).toList();
    }

    /** The files that a refactoring writes say what the case wants. @return their texts */
    String theCodeIsWritten(Refactoring refactoring) {
        StringBuilder text = new StringBuilder();
        for (String file : refactoring.files()) {
            refactoring.after(file, refactoring.stages().size()).ifPresent(text::append);
        }
        code().forEach(each -> assertThat(text.toString()).contains(each));
        return text.toString();
    }

    /** The patch of all stages, applied by git in an empty folder, gives the same files. */
    void thePatchGivesTheSame(Refactoring refactoring, Path patched) throws Exception {
        write(patched);
        Process git = new ProcessBuilder("git", "apply", "--whitespace=nowarn", "-").directory(patched.toFile()).redirectErrorStream(true).start();
        git.getOutputStream().write(refactoring.diff().getBytes(StandardCharsets.UTF_8));
        git.getOutputStream().close();
        String told = new String(git.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(git.waitFor()).as(told).isZero();
        for (String file : refactoring.files()) {
            Optional<String> wanted = refactoring.after(file, refactoring.stages().size());
            if (wanted.isPresent()) {
                assertThat(Files.readString(patched.resolve(file))).isEqualTo(wanted.get());
            } else {
                assertThat(patched.resolve(file)).doesNotExist();
            }
        }
    }

    Finding finding(Scan.Result result) {
        return result.findings().stream().filter(each -> each.smell().equals(said.get("smell"))
                && each.symbol().contains(said.getOrDefault("at", ""))).findFirst().orElseThrow(() -> new AssertionError(name + ": there is no "
                + said.get("smell") + " but " + result.findings().stream().map(each -> each.smell() + " " + each.symbol()).toList()));
    }

    Wishes wishes() {
        Map<String, String> names = new LinkedHashMap<>();
        for (String each : said.getOrDefault("names", "").split(",\\s*")) {
            if (each.contains("=")) {
                names.put(each.substring(0, each.indexOf('=')), each.substring(each.indexOf('=') + 1));
            }
        }
        return new Wishes(names, said.getOrDefault("form", ""));
    }

    Refactoring refactoring(Scan.Result result) {
        return new Planner(result.site()).refactoring(finding(result), said.get("pattern"), wishes());
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
