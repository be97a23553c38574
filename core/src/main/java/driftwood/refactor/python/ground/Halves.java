package driftwood.refactor.python.ground;

import driftwood.read.sitter.Cst;
import driftwood.refactor.Refused;
import driftwood.refactor.python.ground.Body.Edit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * What a function does where one of its parameters is true, or false, for good.
 *
 * @param flag name of the parameter
 */
public record Halves(Function function, String flag) {

    /** Its statements for a value of the flag, at an indentation. @throws Refused where the two are woven together */
    public String of(boolean value, String indent) {
        Body body = function.statementsBody();
        if (body.names().bound().contains(flag)) {
            throw new Refused(function.name() + "() gives its flag " + flag + " another value");
        }
        Body known = body.edited(literals(body, value));
        List<Edit> edits = new ArrayList<>();
        List<Cst> all = known.statements();
        for (int i = 0; i < all.size(); i++) {
            Optional<Boolean> asked = asked(known.module(), all.get(i));
            if (asked.isPresent()) {
                boolean exits = branch(known.module(), all.get(i), asked.get() == value, edits);
                if (exits && i + 1 < all.size()) {
                    int to = all.get(all.size() - 1).end();
                    int from = known.module().lineEnd(all.get(i).end() - 1);
                    edits.add(new Edit(Math.min(from, to), to, ""));
                    break;
                }
            }
        }
        edits.sort(Comparator.comparingInt(Edit::from));
        StringBuilder text = new StringBuilder(known.module().text());
        int behind = known.to();
        for (int i = edits.size() - 1; i >= 0; i--) {
            text.replace(edits.get(i).from(), edits.get(i).to(), edits.get(i).with());
            behind += edits.get(i).with().length() - (edits.get(i).to() - edits.get(i).from());
        }
        String moved = new Module(function.module().file(), text.toString(), false).moved(known.module().lineStart(known.from()), behind, indent);
        return moved.isBlank() ? indent + "pass" : moved;
    }

    /** Takes the branch of a statement that holds. @return whether the function ends there */
    private boolean branch(Module module, Cst statement, boolean holds, List<Edit> edits) {
        String indent = module.indentAt(statement.start());
        List<Cst> others = statement.parts("alternative");
        if (others.stream().anyMatch(each -> each.is("elif_clause"))) {
            throw new Refused("the flag " + flag + " is one of several things that are asked in turn");
        }
        Optional<Body> taken = holds ? Optional.of(Body.of(module, statement.part("consequence").orElseThrow(), statement.part("condition").orElseThrow().end()))
                : others.stream().findFirst().map(each -> Body.of(module, each.part("body").orElseThrow(), each.start()));
        int end = module.lineEnd(statement.end() - 1);
        boolean ended = end > 0 && module.text().charAt(end - 1) == '\n';
        edits.add(new Edit(module.lineStart(statement.start()), end, taken.map(each -> each.moved(indent) + (ended ? module.newLine() : "")).orElse("")));
        return taken.filter(Body::exits).isPresent();
    }

    /** Whether a statement asks for the flag (true), for its opposite (false), or for neither. */
    private Optional<Boolean> asked(Module module, Cst statement) {
        if (!statement.is("if_statement")) {
            return Optional.empty();
        }
        return isFor(module.text(statement.part("condition").orElseThrow()));
    }

    private Optional<Boolean> isFor(String condition) {
        String bare = condition.replaceAll("^\\((.*)\\)$", "$1").replaceAll("\\s+", " ");
        return bare.equals(flag) || bare.equals(flag + " is True") || bare.equals(flag + " == True") ? Optional.of(true)
                : bare.equals("not " + flag) || bare.equals(flag + " is False") ? Optional.of(false) : Optional.empty();
    }

    /** The flag wherever it is not asked by a statement of the function's own block. */
    private List<Edit> literals(Body body, boolean value) {
        List<Edit> edits = new ArrayList<>();
        for (Cst each : body.statements()) {
            boolean split = asked(body.module(), each).isPresent();
            each.inner().stream().filter(part -> !split || !part.field().equals("condition")).forEach(part -> literals(body.module(), part, value, edits));
        }
        return edits;
    }

    private void literals(Module module, Cst node, boolean value, List<Edit> edits) {
        if (asked(module, node).isPresent()) {
            throw new Refused("the flag " + flag + " is asked in the middle of other work");
        }
        if (node.is("conditional_expression") && isFor(module.text(node.inner().get(1))).isPresent()) {
            Cst taken = node.inner().get(isFor(module.text(node.inner().get(1))).get() == value ? 0 : 2);
            edits.add(new Edit(node.start(), node.end(), module.text(taken)));
        } else if (node.is("identifier") && module.text(node).equals(flag)) {
            edits.add(new Edit(node.start(), node.end(), value ? "True" : "False"));
        } else if (node.is("attribute")) {
            literals(module, node.inner().get(0), value, edits);
        } else if (node.is("keyword_argument")) {
            literals(module, node.inner().get(1), value, edits);
        } else {
            node.inner().forEach(each -> literals(module, each, value, edits));
        }
    }
}
