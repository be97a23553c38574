package driftwood.smell.see.shape;

import driftwood.program.Whereabouts;
import driftwood.read.FileTree;
import driftwood.smell.Seer;
import driftwood.tree.*;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;

/** Sees the shape of every routine body. */
public final class ShapeWalk extends Whereabouts {
    /** Detectors that share it share its sightings. */
    public static final Seer<Shape> SEER = new Seer<>("shape", 8, Shape.class, file -> {
        ShapeWalk walk = new ShapeWalk(file);
        walk.scan(file.unit());
        return walk.shapes;
    });
    /** What compilers put in front of the modules that they write. */
    private static final Pattern MADE = Pattern.compile("__([a-z]+[A-Z]\\w*|extends|assign|awaiter|generator|rest|spread|read|values|decorate|metadata|param|await|export)"
            + "|_(interopRequire\\w+|classCallCheck|createClass|defineProperty|inherits|objectSpread|extends)\\d*");
    private final List<Shape> shapes = new ArrayList<>();
    private static final int[] NONE = {};
    private final Deque<String> own = new ArrayDeque<>();
    private final Deque<Boolean> heirs = new ArrayDeque<>();

    private ShapeWalk(FileTree file) {
        super(file);
    }

    @Override
    public Void visitTypeDeclaration(TypeDeclaration declaration) {
        own.push(declaration.name());
        heirs.push(!declaration.supertypes().isEmpty());
        super.visitTypeDeclaration(declaration);
        heirs.pop();
        own.pop();
        return null;
    }

    @Override
    public Void visitRoutine(Routine routine) {
        if (routine.body().isPresent() && !own.isEmpty() && !own.peek().isEmpty() && !MADE.matcher(routine.name()).matches()) {
            Block body = routine.body().get();
            Map<String, String> locals = new HashMap<>();
            routine.parameters().forEach(each -> locals.put(each.name(), "p" + locals.size()));
            Search.all(body, Local.class).forEach(each -> locals.putIfAbsent(each.name(), "v" + locals.size()));
            locals.put(own.peek(), "Self");
            Tokens tokens = new Tokens(file.source().text(), body.start(), body.end(), locals);
            boolean constructor = routine.kind() == RoutineKind.CONSTRUCTOR;
            shapes.add(new Shape(type(), symbol(routine), constructor ? "new" : routine.name(),
                    routine.parameters().size(), statements(body), tokens.outline(), tokens.exact(),
                    heirs.peek() ? pieces(body, locals) : NONE, file.line(routine), file.endLine(routine)));
        }
        return super.visitRoutine(routine);
    }

    /** Simple statements are those that no other statement stands in; none where all are: the outline says the same. */
    private int[] pieces(Node body, Map<String, String> locals) {
        if (!Search.any(body, node -> node instanceof If || node instanceof Loop || node instanceof Match)) {
            return NONE;
        }
        List<Integer> pieces = new ArrayList<>();
        body.eachChild(child -> pieces(child, locals, pieces));
        return pieces.stream().mapToInt(Integer::intValue).toArray();
    }

    private void pieces(Node node, Map<String, String> locals, List<Integer> into) {
        // driftwood: leave type-switch because simple statements are told from those that hold others in this place only
        if (node instanceof Evaluate || node instanceof Local || node instanceof Return || node instanceof Throw) {
            into.add(Long.hashCode(new Tokens(file.source().text(), node.start(), node.end(), locals).outline()));
        } else if (node instanceof Block || node instanceof If || node instanceof Loop || node instanceof Match || node instanceof Arm
                || node instanceof Try) {
            node.eachChild(child -> pieces(child, locals, into));
        }
    }

    private static int statements(Node body) {
        int[] count = {0};
        body.eachChild(child -> count[0] += (child instanceof Block ? 0 : 1) + below(child));
        return count[0];
    }

    private static int below(Node statement) {
        int[] count = {0};
        statement.eachChild(child -> {
            if (child instanceof Block || child instanceof Arm) {
                count[0] += statements(child);
            } else if (statement instanceof If || statement instanceof Loop) {
                count[0] += below(child);
            }
        });
        return count[0];
    }
}
