package driftwood.refactor.python.ground;

import driftwood.program.TypeOutline;
import driftwood.read.sitter.Cst;
import driftwood.refactor.Script;
import java.util.List;

/** Adds members to classes. */
public final class Classes {
    private final Draft draft;

    public Classes(Draft draft) {
        this.draft = draft;
    }

    /** Whether any class of a family has a member of that name, or gives one of that name a value. */
    public boolean isTaken(String name, TypeOutline root) {
        return java.util.stream.Stream.concat(java.util.stream.Stream.of(root), java.util.stream.Stream.concat(draft.program().ancestors(root).stream(), draft.program().descendants(root).stream()))
                .anyMatch(each -> each.field(name).isPresent() || each.routines().stream().anyMatch(routine -> routine.name().equals(name)));
    }

    /** The white space before the members of a class. */
    public String indent(TypeOutline type) {
        Module module = draft.modules().module(type.file());
        return module.indentAt(draft.modules().type(type).start()) + module.indent();
    }

    /** Adds a member behind the last of a class. @param text whole lines at the indentation of its members, without the last line end */
    public void add(TypeOutline type, String text) {
        Script script = draft.script();
        Module module = draft.modules().module(type.file());
        Cst body = draft.modules().type(type).part("body").orElseThrow();
        List<Cst> all = body.inner();
        Cst last = all.get(all.size() - 1);
        String line = module.newLine();
        if (!module.beginsLine(all.get(0).start())) {
            boolean empty = all.size() == 1 && isEmpty(last);
            script.replace(module.file(), empty ? module.text().lastIndexOf(':', last.start()) + 1 : last.end(), last.end(), line + (empty ? "" : line) + text);
        } else if (all.size() == 1 && isEmpty(last)) {
            script.replace(module.file(), module.lineStart(last.start()), last.end(), text);
        } else {
            script.insert(module.file(), last.end(), line + line + text);
        }
    }

    private static boolean isEmpty(Cst statement) {
        return statement.is("pass_statement") || statement.is("expression_statement") && statement.inner().size() == 1 && statement.inner().get(0).is("ellipsis");
    }
}
