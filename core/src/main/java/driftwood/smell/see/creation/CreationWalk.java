package driftwood.smell.see.creation;

import driftwood.program.Walk;
import driftwood.read.FileTree;
import driftwood.smell.Seer;
import driftwood.smell.see.creation.Instantiation.How;
import driftwood.tree.*;
import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.Optional;

/** Sees every creation of an instance and what becomes of it in the routine around. */
public final class CreationWalk extends Walk {
    /** Detectors that share it share its sightings. */
    public static final Seer<Instantiation> SEER = new Seer<>("birth", 9, Instantiation.class, file -> {
        CreationWalk walk = new CreationWalk(file);
        walk.scan(file.unit());
        return walk.instantiations;
    });
    /** What is called so on a collection keeps what it is handed, as it is. */
    private static final Set<String> COLLECTS = Set.of("add", "addFirst", "addLast", "put", "push", "offer", "append", "insert", "enqueue", "Add", "Push", "Enqueue");

    private final List<Instantiation> instantiations = new ArrayList<>();
    private final Map<Node, How> ways = new IdentityHashMap<>();
    private final Map<Node, String> names = new IdentityHashMap<>();
    private final Map<Node, List<String>> sets = new IdentityHashMap<>();
    private final Map<Node, Node> around = new IdentityHashMap<>();
    private final Map<Node, LocalUses> known = new IdentityHashMap<>();
    private int fallbacks;

    private CreationWalk(FileTree file) {
        super(file);
    }

    private void way(Node value, How how, String name) {
        // driftwood: leave type-switch because what is made is read from the tree, where each kind has its own parts
        if (value instanceof Creation) {
            ways.putIfAbsent(value, how);
            names.putIfAbsent(value, name);
        } else if (value instanceof Conditional choice) {
            way(choice.then(), how, name);
            way(choice.otherwise(), how, name);
        }
    }

    @Override
    public Void visitField(Field field) {
        field.initial().ifPresent(value -> way(value, How.FIELD, field.name()));
        return super.visitField(field);
    }

    @Override
    public Void visitLocal(Local local) {
        local.initial().ifPresent(value -> way(value, How.LOCAL, local.name()));
        return super.visitLocal(local);
    }

    @Override
    public Void visitTry(Try attempt) {
        for (Node each : attempt.resources()) {
            if (each instanceof Local local) {
                local.initial().ifPresent(value -> way(value, How.OPENED, local.name()));
            }
        }
        return super.visitTry(attempt);
    }

    @Override
    public Void visitAssignment(Assignment assignment) {
        Node target = assignment.target();
        // driftwood: leave type-switch because a target is read from the tree, where each kind has its own parts
        if (target instanceof Name name) {
            way(assignment.value(), isLocal(name.name()) ? How.LOCAL : How.FIELD, name.name());
        } else if (target instanceof Member member && member.receiver() instanceof Name self
                && self.isSelf()) {
            way(assignment.value(), How.FIELD, member.name());
        }
        return super.visitAssignment(assignment);
    }

    @Override
    public Void visitReturn(Return back) {
        back.value().ifPresent(value -> way(value, How.RETURNED, ""));
        return super.visitReturn(back);
    }

    @Override
    public Void visitCall(Call call) {
        call.receiver().ifPresent(value -> way(value, How.RECEIVER, ""));
        How handed = call.receiver().isPresent() && COLLECTS.contains(call.name()) ? How.COLLECTED : How.ARGUMENT;
        call.arguments().forEach(value -> way(value, handed, ""));
        return super.visitCall(call);
    }

    /** {@code given == null ? new T() : given}: a default that callers can override. */
    @Override
    public Void visitConditional(Conditional choice) {
        boolean asks = choice.condition() instanceof NullTest;
        fallbacks += asks ? 1 : 0;
        super.visitConditional(choice);
        fallbacks -= asks ? 1 : 0;
        return null;
    }

    @Override
    public Void visitIf(If branch) {
        boolean chooses = branch.otherwise().map(each -> Search.any(each, Creation.class::isInstance)).orElse(false);
        boolean asks = branch.condition() instanceof NullTest && !chooses;
        fallbacks += asks ? 1 : 0;
        super.visitIf(branch);
        fallbacks -= asks ? 1 : 0;
        return null;
    }

    @Override
    public Void visitBlock(Block block) {
        List<Node> statements = block.statements();
        for (int i = 0; i < statements.size(); i++) {
            Optional<Creation> made = Setters.made(statements.get(i));
            if (made.isPresent()) {
                around.put(made.get(), block);
                sets.put(made.get(), Setters.after(statements, i));
            }
        }
        return super.visitBlock(block);
    }

    @Override
    public Void visitCreation(Creation creation) {
        if (creation.arguments().size() == 1) {
            Node only = creation.arguments().get(0);
            if (only instanceof Creation) {
                ways.putIfAbsent(only, How.WRAPPED);
                names.put(only, creation.type().name());
            }
        } else {
            creation.arguments().forEach(value -> way(value, How.ARGUMENT, ""));
        }
        if (!creation.array()) {
            instantiations.add(instantiation(creation));
        }
        return super.visitCreation(creation);
    }

    private Instantiation instantiation(Creation creation) {
        How how = ways.getOrDefault(creation, How.OTHER);
        String name = names.getOrDefault(creation, "");
        boolean used = how == How.RECEIVER;
        int useLine = file.line(creation);
        boolean leaves = how == How.RETURNED;
        String wrapper = how == How.WRAPPED ? name : "";
        Node body = how == How.LOCAL || how == How.OPENED ? routine().flatMap(Routine::body).<Node>map(each -> each)
                .orElse(around.get(creation)) : null;
        if (how == How.FIELD) {
            useLine = routine().flatMap(Routine::body).map(each -> firstUse(each, creation, name)).orElse(useLine);
        }
        if (body != null) {
            LocalUses locals = known.computeIfAbsent(body, LocalUses::of);
            List<Node> calls = locals.called().getOrDefault(name, List.of());
            used = !calls.isEmpty() || locals.within().contains(name);
            useLine = firstUse(body, creation, name);
            leaves = locals.leaving().contains(name);
            wrapper = locals.wrappers().getOrDefault(name, "");
        }
        return new Instantiation(type(), member(), creation.type().name(), how, how == How.WRAPPED ? "" : name,
                fallbacks > 0, used, leaves, wrapper, List.copyOf(sets.getOrDefault(creation, List.of())),
                file.line(creation), file.endLine(creation), useLine);
    }

    /** The first line behind a creation on which something that goes by its name is called on. */
    private int firstUse(Node body, Creation creation, String name) {
        return known.computeIfAbsent(body, LocalUses::of).called().getOrDefault(name, List.of()).stream()
                .filter(each -> each.start() > creation.end()).mapToInt(file::line).min().orElse(file.line(creation));
    }
}
