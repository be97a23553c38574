package driftwood.refactor.python.ground;

import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.Symbol;
import driftwood.read.sitter.Cst;
import driftwood.refactor.Refused;
import driftwood.refactor.Script;
import driftwood.smell.Finding;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;

/** A refactoring that a recipe is writing: what it stands on, what it writes to, and what it has to say. */
public final class Draft {
    private static final Pattern NAME = Pattern.compile("[\\p{L}_][\\p{L}\\p{N}_]*");
    private static final Set<String> KEYWORDS = Set.of("False", "None", "True", "and", "as", "assert", "async", "await", "break", "class", "continue", "def",
            "del", "elif", "else", "except", "finally", "for", "from", "global", "if", "import", "in", "is", "lambda", "nonlocal", "not", "or", "pass", "raise",
            "return", "try", "while", "with", "yield");
    private final Finding finding;
    private final Program program;
    private final Modules modules;
    private final Script script;
    private final Map<String, String> chosen;
    private final List<String> meant = new ArrayList<>();
    private final Set<String> gone = new TreeSet<>();
    private final Set<String> callSites = new LinkedHashSet<>();
    private final Set<String> opened = new LinkedHashSet<>();

    /** @param chosen names that the user gave, by role */
    public Draft(Finding finding, Program program, Modules modules, Script script, Map<String, String> chosen) {
        this.finding = finding;
        this.program = program;
        this.modules = modules;
        this.script = script;
        this.chosen = chosen;
    }

    public Finding finding() {
        return finding;
    }

    public Program program() {
        return program;
    }

    public Modules modules() {
        return modules;
    }

    public Script script() {
        return script;
    }

    /** The file of the finding. */
    public Module module() {
        return modules.module(finding.file());
    }

    /** A routine by its symbol. @throws Refused where there is none */
    public RoutineOutline routine(String symbol) {
        return program.type(Symbol.of(symbol).type()).flatMap(type -> type.routine(symbol))
                .orElseThrow(() -> new Refused(symbol + " is no routine that is written out"));
    }

    /** A name for a role: the user's, or the proposed one. */
    public String name(String role, String proposed) {
        String name = chosen.getOrDefault(role, proposed);
        if (!NAME.matcher(name).matches() || KEYWORDS.contains(name)) {
            throw new Refused("'" + name + "' cannot be a name of " + role);
        }
        return name;
    }

    /** A name for a role that no word of a text is; the user's, or the first proposed one that is free. */
    public String freeName(String role, String text, String... proposed) {
        for (String each : chosen.containsKey(role) ? new String[] {chosen.get(role)} : proposed) {
            String name = name(role, each);
            if (!Pattern.compile("\\b" + Pattern.quote(name) + "\\b").matcher(text).find()) {
                return name;
            }
        }
        throw new Refused("there is a " + chosen.getOrDefault(role, proposed[0]) + " already; give it another name with --name " + role + "=NAME");
    }

    /** Says a change of behaviour that is the point of the stage that is being written. */
    public void means(String clause) {
        meant.add(clause);
        script.meant();
    }

    public List<String> meant() {
        return meant;
    }

    /** Notes a place that is changed because what it names changes. */
    public void callSite(Module module, Cst place) {
        callSites.add(module.file() + ":" + place.start());
    }

    public int callSites() {
        return callSites.size();
    }

    /** Notes a routine that cannot be called any more as it was. */
    public void changes(RoutineOutline routine) {
        gone.add(routine.called());
        restricts(routine);
    }

    /** Notes a routine that can still be called as it was, but not in every way. */
    public void restricts(RoutineOutline routine) {
        if (!routine.name().startsWith("_") || routine.isConstructor()) {
            opened.add(routine.symbol());
        }
    }

    /** Routines that are no longer called as they were. */
    public Set<String> gone() {
        return gone;
    }

    /** Open routines whose parameters change or that go. */
    public int opened() {
        return opened.size();
    }
}
