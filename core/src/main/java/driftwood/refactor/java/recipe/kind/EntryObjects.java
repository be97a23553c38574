package driftwood.refactor.java.recipe.kind;

import com.sun.source.tree.IdentifierTree;
import com.sun.source.util.TreePath;
import driftwood.pattern.Words;
import driftwood.refactor.java.decision.Decision.Arm;
import driftwood.refactor.java.decision.DecisionPlace;
import driftwood.refactor.java.decision.Labels;
import driftwood.refactor.java.decision.Outcome;
import driftwood.refactor.java.ground.Code;
import driftwood.refactor.java.ground.Declarations.Where;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Moving;
import driftwood.refactor.java.ground.Unit;
import driftwood.refactor.java.ground.Workspace;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import javax.lang.model.element.Element;
import javax.lang.model.element.Modifier;

/** The classes of the objects in a table, one for each arm of a decision. */
final class EntryObjects {
    private final Drafting drafting;
    private final Workspace workspace;
    private final DecisionPlace place;
    private final Outcome outcome;
    private final String contract;
    private final List<String> classes = new ArrayList<>();
    private final Set<String> taken = new LinkedHashSet<>();

    /** @param contract the interface that all of them fulfil */
    EntryObjects(Drafting drafting, DecisionPlace place, Outcome outcome, String contract) {
        this.drafting = drafting;
        this.workspace = drafting.workspace();
        this.place = place;
        this.outcome = outcome;
        this.contract = contract;
        place.home().getEnclosedElements().forEach(each -> taken.add(each.getSimpleName().toString()));
    }

    /** Adds a class for an arm. @param head of its one routine @return its name */
    String add(Arm arm, String head) {
        String word = (arm.labels().isEmpty() ? "Other" : Labels.word(workspace, arm.labels().get(0))) + Words.upper(place.word());
        String name = word;
        for (int i = 2; !taken.add(name); i++) {
            name = word + i;
        }
        Unit unit = place.unit();
        String code = outcome.code(workspace, arm, moved(unit), type -> drafting.imports().name(type, unit));
        classes.add("private static final class " + name + " implements " + contract + " {\n    @Override\n    " + Code.deeper(head + Code.block(code)) + "\n}");
        return name;
    }

    /** What belongs to no object is known by its name in a class within. */
    private Function<TreePath, Optional<String>> moved(Unit unit) {
        Moving moving = new Moving(drafting, place.home(), unit, Words.lower(place.home().getSimpleName().toString()), "");
        return path -> path.getLeaf() instanceof IdentifierTree && isOwnStatic(workspace.element(path)) ? Optional.empty() : moving.apply(path);
    }

    private boolean isOwnStatic(Element element) {
        return element != null && element.getModifiers().contains(Modifier.STATIC) && place.home().equals(element.getEnclosingElement());
    }

    void write(TreePath home) {
        classes.forEach(each -> drafting.declarations().add(home, each, Where.END));
    }
}
