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

/** Sees the shape of every routine body. */
public final class ShapeWalk extends Whereabouts {
    /** Detectors that share it share its sightings. */
    public static final Seer<Shape> SEER = new Seer<>("shape", 2, Shape.class, file -> {
        ShapeWalk walk = new ShapeWalk(file);
        walk.scan(file.unit());
        return walk.shapes;
    });
    private final List<Shape> shapes = new ArrayList<>();
    private final Deque<String> own = new ArrayDeque<>();

    private ShapeWalk(FileTree file) {
        super(file);
    }

    @Override
    public Void visitTypeDeclaration(TypeDeclaration declaration) {
        own.push(declaration.name());
        super.visitTypeDeclaration(declaration);
        own.pop();
        return null;
    }

    @Override
    public Void visitRoutine(Routine routine) {
        if (routine.body().isPresent() && !own.isEmpty() && !own.peek().isEmpty()) {
            Block body = routine.body().get();
            Map<String, String> locals = new HashMap<>();
            routine.parameters().forEach(each -> locals.put(each.name(), "p" + locals.size()));
            Search.all(body, Local.class).forEach(each -> locals.putIfAbsent(each.name(), "v" + locals.size()));
            locals.put(own.peek(), "Self");
            Tokens tokens = new Tokens(file.source().text(), body.start(), body.end(), locals);
            boolean constructor = routine.kind() == RoutineKind.CONSTRUCTOR;
            shapes.add(new Shape(type(), symbol(routine), constructor ? "new" : routine.name(),
                    routine.parameters().size(), statements(body), tokens.outline(), tokens.exact(),
                    file.line(routine), file.endLine(routine)));
        }
        return super.visitRoutine(routine);
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
