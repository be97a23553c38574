package driftwood.smell.see.chain;

import driftwood.smell.Chain.Product;
import driftwood.tree.Assignment;
import driftwood.tree.Call;
import driftwood.tree.Cast;
import driftwood.tree.Creation;
import driftwood.tree.Evaluate;
import driftwood.tree.Jump;
import driftwood.tree.Local;
import driftwood.tree.Name;
import driftwood.tree.Node;
import driftwood.tree.Return;
import driftwood.tree.TreeVisitor;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What a body creates as its result, by its last statement: returned, assigned, or handed to one call. */
final class Products implements TreeVisitor<Optional<Product>> {
    private final String source;
    private final Map<String, Creation> locals = new HashMap<>();

    private Products(String source) {
        this.source = source;
    }

    /** @param statements of a body, flat */
    static Optional<Product> of(List<Node> statements, String source) {
        Products products = new Products(source);
        for (Node each : statements) {
            if (each instanceof Local local && local.initial().isPresent()
                    && local.initial().get() instanceof Creation creation) {
                products.locals.put(local.name(), creation);
            }
        }
        return statements.isEmpty() ? Optional.empty() : statements.get(statements.size() - 1).accept(products);
    }

    private Optional<Product> created(Node value, String use) {
        Node made = value instanceof Cast cast ? cast.value() : value;
        Creation creation = made instanceof Name name ? locals.get(name.name())
                : made instanceof Creation direct ? direct : null;
        return creation == null || creation.array() ? Optional.empty()
                : Optional.of(new Product(creation.type().name(), use, creation.body().isPresent()));
    }

    /** A bare expression is the value of a conditional expression or of an arrow. */
    @Override
    public Optional<Product> visitNode(Node node) {
        return created(node, "return");
    }

    @Override
    public Optional<Product> visitReturn(Return back) {
        return back.value().flatMap(value -> created(value, "return"));
    }

    @Override
    public Optional<Product> visitJump(Jump jump) {
        return jump.value().flatMap(value -> created(value, "return"));
    }

    @Override
    public Optional<Product> visitEvaluate(Evaluate evaluate) {
        return evaluate.expression().accept(this);
    }

    /** Where the first assignment declares. */
    @Override
    public Optional<Product> visitLocal(Local local) {
        return local.initial().filter(Creation.class::isInstance).flatMap(value -> created(value, "= " + local.name()));
    }

    @Override
    public Optional<Product> visitAssignment(Assignment assignment) {
        return assignment.operator().equals("=")
                ? created(assignment.value(), "= " + (assignment.target() instanceof Name name ? name.name() : assignment.target().text(source))) : Optional.empty();
    }

    @Override
    public Optional<Product> visitCall(Call call) {
        if (call.arguments().size() != 1) {
            return Optional.empty();
        }
        String receiver = call.receiver().map(each -> each.text(source) + ".").orElse("");
        return created(call.arguments().get(0), receiver + call.name());
    }
}
