package driftwood.refactor.python.ground;

import driftwood.read.sitter.Cst;
import driftwood.refactor.Refused;
import driftwood.smell.Chain;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * A decision with several arms, as it stands in a function.
 *
 * @param function  around it
 * @param chain     its statements: one, or several guards that follow one another
 * @param arms      in order, without what happens otherwise
 * @param otherwise the else, or the code behind where every arm leaves the function
 * @param rest      the statements behind it in its block that are no part of it
 * @param outermost whether it stands in the function's own block
 */
public record Decision(Function function, List<Cst> chain, List<Arm> arms, Optional<Body> otherwise, List<Cst> rest, boolean outermost) {

    /**
     * An arm.
     *
     * @param test the condition; the pattern of a case
     * @param of   what a case is compared with; empty for conditions
     * @param guarded whether a case has a further condition
     * @param body what is done
     */
    public record Arm(Cst test, Optional<Cst> of, boolean guarded, Body body) {
    }

    /** The decision that a chain is. @throws Refused where it is written in a way that is not understood here */
    public static Decision of(Module module, Chain chain) {
        return of(module, chain.line(), chain.form() == Chain.Form.GUARDS ? chain.arms().size() : 1);
    }

    /** @param line where it begins @param guards how many statements that follow one another it can be */
    public static Decision of(Module module, int line, int guards) {
        int start = offset(module, line);
        List<Cst> path = module.path(start);
        int at = path.size() - 1;
        while (at > 0 && !(path.get(at).start() == start && (path.get(at).is("if_statement") || path.get(at).is("match_statement")))) {
            at--;
        }
        if (at == 0) {
            throw new Refused("the decision at line " + line + " is no statement of its own");
        }
        Function function = Function.around(module, start).orElseThrow(() -> new Refused("the decision stands in no function"));
        List<Cst> siblings = path.get(at - 1).inner();
        int index = siblings.indexOf(path.get(at));
        List<Cst> statements = new ArrayList<>(List.of(path.get(at)));
        List<Arm> arms = new ArrayList<>(arms(module, path.get(at)));
        Optional<Body> otherwise = otherwise(module, path.get(at));
        while (otherwise.isEmpty() && index + statements.size() < siblings.size() && isGuard(module, siblings.get(index + statements.size()))
                && arms.get(arms.size() - 1).body().exits() && arms.size() < guards) {
            Cst next = siblings.get(index + statements.size());
            statements.add(next);
            arms.addAll(arms(module, next));
            otherwise = otherwise(module, next);
        }
        List<Cst> rest = siblings.subList(index + statements.size(), siblings.size());
        boolean outermost = path.get(at - 1).equals(function.body());
        if (otherwise.isEmpty() && !rest.isEmpty() && arms.stream().allMatch(each -> each.body().exits())) {
            return new Decision(function, statements, arms, Optional.of(Body.of(module, rest)), List.of(), outermost);
        }
        return new Decision(function, statements, arms, otherwise, rest, outermost);
    }

    private static int offset(Module module, int line) {
        int at = 0;
        for (int i = 1; i < line; i++) {
            at = module.lineEnd(at);
        }
        return at + module.indentAt(at).length();
    }

    private static boolean isGuard(Module module, Cst statement) {
        return statement.is("if_statement") && arms(module, statement).stream().allMatch(each -> each.body().exits());
    }

    private static List<Arm> arms(Module module, Cst statement) {
        List<Arm> arms = new ArrayList<>();
        if (statement.is("match_statement")) {
            Optional<Cst> subject = statement.part("subject");
            for (Cst each : Module.all(statement.part("body").orElse(statement), "case_clause")) {
                List<Cst> patterns = each.inner().stream().filter(part -> part.is("case_pattern")).toList();
                Cst block = each.part("consequence").orElseThrow();
                if (patterns.size() == 1 && subject.isPresent()) {
                    if (!module.text(patterns.get(0)).equals("_") || each.part("guard").isPresent()) {
                        arms.add(new Arm(patterns.get(0), subject, each.part("guard").isPresent(), Body.of(module, block, patterns.get(0).end()).noted(each.start())));
                    }
                } else {
                    throw new Refused("a case asks for several values at once");
                }
            }
            return arms;
        }
        Cst condition = statement.part("condition").orElseThrow();
        arms.add(new Arm(condition, Optional.empty(), false, Body.of(module, statement.part("consequence").orElseThrow(), condition.end())));
        for (Cst each : statement.parts("alternative")) {
            if (each.is("elif_clause")) {
                Cst further = each.part("condition").orElseThrow();
                arms.add(new Arm(further, Optional.empty(), false, Body.of(module, each.part("consequence").orElseThrow(), further.end()).noted(each.start())));
            }
        }
        return arms;
    }

    private static Optional<Body> otherwise(Module module, Cst statement) {
        if (statement.is("match_statement")) {
            return Module.all(statement.part("body").orElse(statement), "case_clause").stream()
                    .filter(each -> each.part("guard").isEmpty() && each.inner().stream().anyMatch(part -> part.is("case_pattern") && module.text(part).equals("_"))).findFirst()
                    .map(each -> Body.of(module, each.part("consequence").orElseThrow(), each.inner().get(0).end()).noted(each.start()));
        }
        return statement.parts("alternative").stream().filter(each -> each.is("else_clause")).findFirst()
                .map(each -> Body.of(module, each.part("body").orElseThrow(), each.start()).noted(each.start()));
    }

    public Module module() {
        return function.module();
    }

    /** Offset of its first line. */
    public int from() {
        return module().lineStart(chain.get(0).start());
    }

    /** Offset behind its last line; what happens otherwise is in it only where it is an else. */
    public int to() {
        return module().lineEnd(Math.max(0, chain.get(chain.size() - 1).end() - 1));
    }

    /** Whether what happens otherwise is the code behind it. */
    public boolean isOtherwiseBehind() {
        return otherwise.filter(each -> each.from() >= chain.get(chain.size() - 1).end()).isPresent();
    }

    /** The white space before it. */
    public String indent() {
        return module().indentAt(chain.get(0).start());
    }

    /** Whether the loop of a comprehension or a statement of the function is around it. */
    public boolean inLoop() {
        List<Cst> path = module().path(chain.get(0).start());
        return path.subList(path.indexOf(function.node()), path.size()).stream().anyMatch(each -> each.is("for_statement") || each.is("while_statement"));
    }
}
