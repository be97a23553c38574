package driftwood.source;

import driftwood.pack.Keyed;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.ServiceLoader;
import java.util.Set;
import java.util.function.Supplier;
import java.util.regex.Pattern;

/**
 * A language that Driftwood reads: what is known of it, as data. It stands beside its reader, in the reader's folder;
 * everybody else asks it here and names none.
 */
public final class Language implements Keyed {
    private final String key;
    private final String title;
    private String family;
    private final List<String> endings = new ArrayList<>();
    private final Set<Habit> habits = EnumSet.noneOf(Habit.class);
    private final Map<Contract, Set<String>> routines = new EnumMap<>(Contract.class);
    private Map<String, String> words = Map.of();
    private TestImports testImports = TestImports.NONE;
    private Pattern testNames = Pattern.compile("(?!)");
    private Pattern fetched = Pattern.compile("(?!)");
    private Optional<Interpreter> interpreter = Optional.empty();
    private Idiom idiom = Idiom.PLAIN;
    private Supplier<Outside> outsideTable = () -> Outside.NONE;
    private volatile Outside outside;

    /** Ways of a language that the meaning of code depends on. */
    public enum Habit {
        /** A bare name inside a type can mean a member of the object itself. */
        IMPLIED_SELF,
        /** A call is answered by whatever has a routine of that name, so that types need not be declared. */
        DUCK_TYPED,
        /** An import can give a type another name. */
        ALIASES,
        /** Any value can stand as a condition, where nothing counts as false. */
        TRUTH,
        /** A caller can name what it passes, in any order. */
        NAMED_ARGUMENTS,
        /** A routine can insist that callers name what they pass. */
        NAMED_ONLY,
        /** A function needs no object around it: a table of them is as good as objects of one routine. */
        FUNCTIONS_ALONE,
        /** A routine that ends without a result gives nothing. */
        IMPLIED_NOTHING,
        /** What is not there under a key or number is nothing, and no error. */
        NOTHING_BY_KEY,
        /** A choice among the constants of an enum or the kinds of a sealed type names them all, or does not compile. */
        CHOICES_CHECKED,
        /** What stands outside of types is in sight in its whole package, and elsewhere by an import. */
        LOOSE_IN_PACKAGE,
        /** Files that neither take from others by name nor hand out run in one scope. */
        SCRIPTS_SHARE,
        /** The compiler takes no value that may be nothing for one that is there: whoever forgets to ask is told. */
        NOTHING_CHECKED,
        /** Nothing is declared private; what begins with an underscore is meant so. */
        PRIVATE_BY_NAME,
        /** A lambda may stand for any contract of one routine. */
        LAMBDAS_FULFIL,
        /** Its code is compiled for the Java virtual machine, where it can be observed. */
        ON_THE_JVM
    }

    /** What all objects are asked by the language or its library. */
    public enum Contract {
        EQUALITY, HASH, TEXT, ORDER, COMPARISON, STEP
    }

    /**
     * What runs code that is not compiled.
     *
     * @param command usually starts it
     * @param own     where a project brings its own, relative to its root
     * @param scripts those of ours that run in it
     */
    public record Interpreter(String command, List<String> own, List<String> scripts) {
    }

    /** Found by the platform's service loader; one in the folder of each reader. */
    public interface Spoken {
        /** The language; always the same. */
        Language language();
    }

    /** Looked up once, when a file is first asked for its language. */
    private static final class Known {
        private static final List<Spoken> SPOKEN = ServiceLoader.load(Spoken.class, Language.class.getClassLoader()).stream().map(ServiceLoader.Provider::get).toList();
        private static final List<Language> ALL = SPOKEN.stream().map(Spoken::language).toList();
    }

    private Language(String key, String title) {
        this.key = key;
        this.title = title;
        this.family = key;
    }

    /** A language of which more is to be said. @param key used in outputs and file formats @param title as its users write it */
    public static Language named(String key, String title) {
        return new Language(key, title);
    }

    /** The endings of its file names, without the dot, the usual one first. */
    public Language ending(String... told) {
        endings.addAll(List.of(told));
        return this;
    }

    /** Languages whose types know each other share a family. @param told any word, the same for all of them */
    public Language family(String told) {
        family = told;
        return this;
    }

    public String family() {
        return family;
    }

    public Language with(Habit... told) {
        habits.addAll(List.of(told));
        return this;
    }

    /** How it spells null, true and false. */
    public Language spelling(Map<String, String> told) {
        words = told;
        return this;
    }

    /** The names of files with tests. @param told a regular expression */
    public Language testedBy(String told) {
        testNames = Pattern.compile(told);
        return this;
    }

    /** Files that nobody here wrote: packages fetched into the project, code made by a tool. @param told a regular expression for paths */
    public Language notWrittenHere(String told) {
        fetched = Pattern.compile(told);
        return this;
    }

    /** What only files with tests import. @param packages each ending in a dot */
    public Language testedByImports(String... packages) {
        testImports = new TestImports(List.of(packages));
        return this;
    }

    /** The routines by which something is asked of all objects. */
    public Language asking(Contract contract, String... names) {
        routines.put(contract, Set.of(names));
        return this;
    }

    public Language interpretedBy(Interpreter told) {
        interpreter = Optional.of(told);
        return this;
    }

    /** What of its platform reaches outside. @param told asked once, when a file of the language is first seen */
    public Language reaching(Supplier<Outside> told) {
        outsideTable = told;
        return this;
    }

    /** How plans speak of it. */
    public Language saying(Idiom told) {
        idiom = told;
        return this;
    }

    /** All languages, in the order of their registration. */
    public static List<Language> all() {
        return Known.ALL;
    }

    /** Those who speak them, in the same order. */
    public static List<Spoken> spoken() {
        return Known.SPOKEN;
    }

    /** The language of a key; empty where there is none. */
    public static Optional<Language> ofKey(String key) {
        return all().stream().filter(each -> each.key.equals(key)).findFirst();
    }

    /** The language of a file name, empty where Driftwood does not read it. */
    public static Optional<Language> ofFileName(String name) {
        int dot = name.lastIndexOf('.');
        String ending = dot < 0 ? "" : name.substring(dot + 1).toLowerCase(Locale.ROOT);
        for (Language language : all()) {
            if (language.endings.contains(ending)) {
                return Optional.of(language);
            }
        }
        return Optional.empty();
    }

    /** The word for nothing in the language of a file. @param file its path */
    public static String nothingIn(String file) {
        return spelledIn(file, "null");
    }

    /** A literal as the language of a file spells it. @param word null, true, false; any other stays as it is */
    public static String spelledIn(String file, String word) {
        return ofFileName(file).map(each -> each.words.getOrDefault(word, word)).orElse(word);
    }

    /** The name used in outputs and file formats, never null. */
    @Override
    public String key() {
        return key;
    }

    /** The name as its users write it. */
    public String title() {
        return title;
    }

    /** The usual ending of its file names, without the dot. */
    public String extension() {
        return endings.get(0);
    }

    /** Whether a file holds tests, told by what it imports. */
    public boolean isTestText(String path, String text) {
        return testImports.are(path, text);
    }

    /** Whether a file is fetched or made by a tool, and nobody's to change. @param path relative, with slashes */
    public boolean isFetched(String path) {
        return fetched.matcher(path).matches();
    }

    /** Whether a file of this name holds tests. @param name without folders */
    public boolean isTestName(String name) {
        return testNames.matcher(name).matches();
    }

    /** The names of the routines by which this is asked; none where the language has none. */
    public Set<String> routines(Contract contract) {
        return routines.getOrDefault(contract, Set.of());
    }

    /** Whether a routine of this name answers one of these in some language. */
    public static boolean isAsked(String name, Contract... contracts) {
        for (Language language : all()) {
            if (Arrays.stream(contracts).anyMatch(each -> language.routines(each).contains(name))) {
                return true;
            }
        }
        return false;
    }

    /** What runs its code; empty where it is compiled. */
    public Optional<Interpreter> interpreter() {
        return interpreter;
    }

    /** What of its platform reaches outside. */
    public Outside outside() {
        // Asked for every call of every file, from all threads: reading the table twice is cheaper than a lock.
        Outside known = outside;
        if (known == null) {
            known = outsideTable.get();
            outside = known;
        }
        return known;
    }

    public Idiom idiom() {
        return idiom;
    }

    public boolean has(Habit habit) {
        return habits.contains(habit);
    }

    public boolean isDuckTyped() {
        return has(Habit.DUCK_TYPED);
    }

    public boolean isOnTheJvm() {
        return has(Habit.ON_THE_JVM);
    }

    @Override
    public String toString() {
        return key;
    }
}
