package driftwood.refactor.java;

import driftwood.pattern.Site;
import driftwood.program.Outline;
import driftwood.read.java.Compilation;
import driftwood.read.java.Compilation.Trouble;
import driftwood.refactor.Craft;
import driftwood.refactor.Libraries;
import driftwood.refactor.Refactoring;
import driftwood.refactor.Refused;
import driftwood.refactor.Script;
import driftwood.refactor.Stage;
import driftwood.refactor.Wishes;
import driftwood.refactor.Written;
import driftwood.refactor.java.ground.Calls.HandedOn;
import driftwood.refactor.java.ground.Comments;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Drafting.Terms;
import driftwood.refactor.java.ground.EarlyRecipe;
import driftwood.refactor.java.ground.Recipe;
import driftwood.refactor.java.ground.Workspace;
import driftwood.refactor.java.recipe.Recipes;
import driftwood.smell.Finding;
import driftwood.source.SourceFile;
import driftwood.source.SourceText;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * Writes refactorings of Java code: picks the recipe, attributes the files that it may touch, and compiles them after
 * every stage. Changes nothing on disk, runs none of the code.
 */
public final class JavaRefactorings implements Craft {
    private static final String LANGUAGE = "java";
    private static final Pattern TYPE = Pattern.compile("(?m)^\\s*(?:(?:public|protected|private|static|final|abstract|sealed|non-sealed)\\s+)*(?:class|interface|enum|record)\\s+\\w+");

    private final Site site;
    private final Libraries known;
    private final Set<Path> roots;
    private final Map<Scope, Ground> grounds = new LinkedHashMap<>();
    /** Files that are not understood, with what is missing first. */
    private final Map<String, Trouble> unknown = new HashMap<>();
    /** Texts that another recipe has written already, by relative path. */
    private final Map<String, String> written;
    private final List<Path> built;
    private List<Path> libraries;

    /** Of the project as it is now: what is looked at is read once. */
    public JavaRefactorings(Site site, Libraries libraries) {
        this(site, libraries, Map.of());
    }

    private JavaRefactorings(Site site, Libraries libraries, Map<String, String> written) {
        this.site = site;
        this.written = written;
        this.roots = roots(site);
        this.built = Built.of(roots);
        this.known = libraries;
        this.libraries = libraries.known();
    }

    @Override
    public boolean hasRecipe(Finding finding, String pattern) {
        return !Recipes.of(finding, pattern).isEmpty();
    }

    @Override
    public String without(Finding finding, String pattern) {
        return "there is no recipe yet that turns a " + finding.smell() + " of this form into a " + pattern;
    }

    @Override
    public Refactoring of(Finding finding, String pattern, Wishes wishes) {
        Refused last = new Refused(without(finding, pattern));
        for (Recipe each : Recipes.of(finding, pattern)) {
            if (each.goesOn() && !written.isEmpty() || !wishes.form().isEmpty() && !each.forms().contains(wishes.form())) {
                continue;
            }
            try {
                return written(each, finding, wishes);
            } catch (Refused e) {
                last = e.isOfAnother() ? last : e;
            }
        }
        throw last;
    }

    @Override
    public List<String> forms(Finding finding, String pattern) {
        return Recipes.of(finding, pattern).stream().flatMap(each -> each.forms().stream()).distinct().toList();
    }

    /**
     * The files that some recipes look at, attributed: several candidates of one finding often look at the same.
     *
     * @param texts by relative path; those with tests last
     */
    private record Ground(Map<String, String> texts, Set<String> tests, Compilation compilation, Workspace workspace) {
    }

    private Refactoring written(Recipe recipe, Finding finding, Wishes wishes) {
        Set<String> words = new TreeSet<>(recipe.words(finding));
        while (true) {
            try {
                return written(recipe, finding, wishes, Set.copyOf(words));
            } catch (Drafting.Wider e) {
                words.addAll(e.words());
            }
        }
    }

    private Refactoring written(Recipe recipe, Finding finding, Wishes wishes, Set<String> words) {
        try {
            int level = Level.of(site.root()).number();
            if (recipe instanceof EarlyRecipe early) {
                Ground home = grounds.computeIfAbsent(new Scope(Set.of(), Set.of(finding.file())), this::ground);
                early.probe(new Drafting(finding, home.workspace(), new Script(home.texts()), new Terms(wishes, level, Set.of())));
            }
            Set<String> files = recipe.files(finding);
            Ground ground = grounds.computeIfAbsent(new Scope(files.isEmpty() ? words : Set.of(), files), this::ground);
            Script script = new Script(ground.texts());
            Drafting drafting = new Drafting(finding, ground.workspace(), script, new Terms(wishes, level, words));
            try {
                recipe.write(drafting);
            } catch (HandedOn e) {
                Script first = new Script(ground.texts());
                Drafting calls = new Drafting(finding, ground.workspace(), first, new Terms(wishes, level, words));
                new CallsWrittenOut(calls).of(e);
                Refactoring done = done(calls, first, ground);
                return goneOn(done, new MovedLines(first, ground.texts(), done.files()), finding, recipe.pattern(), wishes);
            }
            Refactoring done = done(drafting, script, ground);
            return recipe.goesOn() ? goneOn(done, new MovedLines(script, ground.texts(), done.files()), finding, recipe.pattern(), wishes) : done;
        } catch (StackOverflowError | AssertionError e) {
            throw new Refused("the compiler gave up on this code");
        }
    }

    /** What was written, which compiles after every stage. */
    private Refactoring done(Drafting drafting, Script script, Ground ground) {
        script.keep(Comments::remarks);
        List<Stage> stages = Tidy.stages(script.stages(), ground.texts());
        if (stages.isEmpty()) {
            throw new Refused("there is nothing to change");
        }
        refuseOverwriting(stages, ground.texts().keySet());
        new StageCheck(roots, classPath(), ground.texts(), ground.compilation().troubles()).of(stages);
        Written all = new Written(stages, ground.texts());
        return new Refactoring(stages, all.originals(), drafting.meant(), drafting.gone(), drafting.closed(),
                all.counts(TYPE, ground.tests()::contains, drafting.callSites(), drafting.opened())
                        .circling(PackageCircles.of(stages, ground.texts())), drafting.kinds(), drafting.next(), drafting.played());
    }

    /** @throws Refused where a file would be written that is there and was not looked at */
    private void refuseOverwriting(List<Stage> stages, Set<String> seen) {
        stages.stream().flatMap(each -> each.files().keySet().stream()).filter(each -> !seen.contains(each) && !written.containsKey(each) && Files.exists(site.root().resolve(each)))
                .findFirst().ifPresent(each -> {
                    throw new Refused("there is a file " + each + " already; give what would be in it another name with --name ROLE=NAME");
                });
    }

    /** What another recipe makes of the code as one has left it, behind that. */
    private Refactoring goneOn(Refactoring first, MovedLines lines, Finding finding, String pattern, Wishes wishes) {
        Map<String, String> texts = new LinkedHashMap<>();
        first.files().forEach(file -> first.after(file, first.stages().size()).ifPresent(text -> texts.put(file, text)));
        return first.and(lines.back(new JavaRefactorings(site, known, texts).of(lines.forth(finding), pattern, wishes)));
    }

    /** Which files a recipe looks at: those named, or where none are, all that have one of the words in them. */
    private record Scope(Set<String> words, Set<String> files) {
    }

    private Ground ground(Scope scope) {
        Map<String, String> texts = new LinkedHashMap<>();
        Set<String> tests = new LinkedHashSet<>();
        gather(scope, texts, tests);
        Strays.of(site).named(texts.values()).forEach(each -> texts.computeIfAbsent(each.file(), file -> text(each)));
        Optional<Ground> larger = grounds.values().stream().filter(each -> each.texts().keySet().containsAll(texts.keySet())).findFirst();
        if (larger.isPresent()) {
            return larger.get();
        }
        texts.keySet().stream().map(unknown::get).filter(Objects::nonNull).findFirst().ifPresent(JavaRefactorings::refuse);
        Compilation before = Compilation.of(texts, roots, classPath(), file -> !file.isEmpty() && !tests.contains(file));
        List<Path> more = isUnknown(before.troubles(), tests).isPresent() && libraries.equals(known.known()) ? known.more().get() : List.of();
        if (!more.isEmpty()) {
            libraries = Stream.concat(libraries.stream(), more.stream()).toList();
            before = Compilation.of(texts, roots, classPath(), file -> !file.isEmpty() && !tests.contains(file));
        }
        isUnknown(before.troubles(), tests).ifPresent(trouble -> {
            unknown.put(trouble.file(), trouble);
            refuse(trouble);
        });
        return new Ground(texts, tests, before, new Workspace(before, texts, tests));
    }

    private List<Path> classPath() {
        return Stream.concat(built.stream(), libraries.stream()).toList();
    }

    /** The files of a scope; those with tests last. */
    private void gather(Scope scope, Map<String, String> texts, Set<String> tests) {
        Pattern any = Pattern.compile("\\b(?:" + scope.words().stream().map(Pattern::quote).collect(Collectors.joining("|")) + ")\\b");
        List<Outline> all = site.program().outlines().stream().filter(each -> each.language().key().equals(LANGUAGE) && !each.file().endsWith("module-info.java"))
                .sorted(Comparator.comparing(Outline::test).thenComparing(Outline::file)).toList();
        // What the first part of a plan adds or changes is part of all that the second looks at, whatever it names.
        written.entrySet().stream().filter(each -> all.stream().noneMatch(one -> one.test() && one.file().equals(each.getKey()))).forEach(each -> texts.put(each.getKey(), each.getValue()));
        for (Outline each : all) {
            if (!scope.files().isEmpty() && !scope.files().contains(each.file())) {
                continue;
            }
            String text = text(each);
            if (!scope.files().isEmpty() || scope.words().stream().anyMatch(text::contains) && any.matcher(text).find()) {
                texts.put(each.file(), text);
                if (each.test()) {
                    tests.add(each.file());
                }
            }
        }
    }

    private String text(Outline file) {
        if (written.containsKey(file.file())) {
            return written.get(file.file());
        }
        try {
            return SourceText.read(new SourceFile(file.file(), site.root().resolve(file.file()), file.language(), file.test())).text();
        } catch (SourceText.NotReadable e) {
            throw new Refused(file.file() + " cannot be read any more: " + e.getMessage());
        }
    }

    private static Set<Path> roots(Site site) {
        Map<String, String> sources = new LinkedHashMap<>();
        site.program().outlines().stream().filter(each -> each.language().key().equals(LANGUAGE)).forEach(each -> sources.put(each.file(), each.packageName()));
        return Compilation.roots(site.root(), sources);
    }

    /** Where a library is missing, nobody knows who calls what. */
    private static void refuse(Trouble first) {
        throw new Refused("the project does not compile here, so nobody can say who uses what (" + first.file() + ":" + first.line() + ": "
                + first.message().lines().findFirst().orElse("") + "); name its libraries with --classpath");
    }

    private static Optional<Trouble> isUnknown(List<Trouble> troubles, Set<String> tests) {
        return troubles.stream().filter(each -> !each.file().isEmpty() && !tests.contains(each.file())).findFirst();
    }
}
