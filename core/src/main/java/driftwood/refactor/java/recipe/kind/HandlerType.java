package driftwood.refactor.java.recipe.kind;

import driftwood.pattern.Words;
import driftwood.refactor.java.decision.Outcome;
import driftwood.refactor.java.ground.Drafting;
import driftwood.refactor.java.ground.Unit;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import javax.lang.model.element.TypeElement;
import javax.lang.model.element.VariableElement;
import javax.lang.model.type.TypeKind;
import javax.lang.model.type.TypeMirror;

/**
 * The type of what a table holds: one of the platform's where it says as much, else an interface of its own.
 *
 * @param name        as written
 * @param call        the routine that is called on it
 * @param declaration of an interface of its own
 */
record HandlerType(String name, String call, Optional<String> declaration) {
    /** A line of the table that is longer is none to read. */
    private static final int MOST = 90;

    /**
     * For a table.
     *
     * @param owner   what a handler is handed first, where it needs the object around
     * @param needs   what else it is handed
     * @param routine whose work it does
     * @param named   name of an interface of its own
     * @param own     whether there must be one
     */
    // driftwood: leave long-parameter-list because the parts of a table are handed over once, by the recipe that writes it
    static HandlerType of(Drafting drafting, Unit unit, Outcome outcome, Optional<TypeElement> owner, Collection<VariableElement> needs, String routine, String named, boolean own) {
        boolean plain = !own && owner.isEmpty() && needs.size() <= 1 && outcome.thrown().isEmpty() && needs.stream().allMatch(each -> isReference(each.asType()))
                && (isReference(outcome.type()) || !outcome.gives() && needs.size() == 1);
        if (plain) {
            String word = !outcome.gives() ? "Consumer" : needs.isEmpty() ? "Supplier" : "Function";
            String arguments = Stream.concat(needs.stream().map(VariableElement::asType), outcome.gives() ? Stream.of(outcome.type()) : Stream.empty())
                    .map(each -> drafting.imports().name(each, unit)).collect(Collectors.joining(", "));
            String call = word.equals("Supplier") ? "get" : word.equals("Consumer") ? "accept" : "apply";
            return new HandlerType(drafting.imports().platform("java.util.function." + word, unit) + "<" + arguments + ">", call, Optional.empty());
        }
        String before = owner.map(each -> each.getSimpleName() + " " + Words.lower(each.getSimpleName().toString()) + (needs.isEmpty() ? "" : ", ")).orElse("");
        String declaration = "/** What " + routine + "() does for one key. */\n" + "private interface " + named + " {\n    " + drafting.imports().name(outcome.type(), unit) + " apply(" + before
                + drafting.imports().parameters(needs, unit).replaceAll("\\bfinal ", "") + ")" + drafting.imports().thrown(outcome.thrown(), unit) + ";\n}";
        return new HandlerType(named, "apply", Optional.of(declaration));
    }

    private static boolean isReference(TypeMirror type) {
        return type.getKind() == TypeKind.DECLARED || type.getKind() == TypeKind.ARRAY;
    }

    /**
     * A handler written in the table itself, where it is one short expression.
     *
     * @param code     of a routine that would do the same
     * @param needs    what it is handed
     * @param isCalled whether the code is one call, made for what it does
     */
    static Optional<String> inPlace(String code, Collection<VariableElement> needs, boolean isCalled) {
        boolean gives = code.startsWith("return ");
        if (!gives && !isCalled || !code.endsWith(";") || code.length() > MOST || Stream.of("\n", "//", "/*").anyMatch(code::contains)) {
            return Optional.empty();
        }
        String expression = code.substring(gives ? "return ".length() : 0, code.length() - 1);
        List<String> names = needs.stream().map(each -> each.getSimpleName().toString()).toList();
        String handed = "(" + String.join(", ", names) + ")";
        if (expression.matches("new [A-Z]\\w*\\([^()]*\\)") && expression.endsWith(handed)) {
            return Optional.of(expression.substring("new ".length(), expression.length() - handed.length()) + "::new");
        }
        return Optional.of((names.size() == 1 ? names.get(0) : "(" + String.join(", ", names) + ")") + " -> " + expression);
    }
}
