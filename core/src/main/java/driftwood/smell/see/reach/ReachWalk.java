package driftwood.smell.see.reach;

import driftwood.program.Trail;
import driftwood.program.Walk;
import driftwood.read.FileTree;
import driftwood.smell.Seer;
import driftwood.tree.*;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** Sees where code reaches outside of itself. */
public final class ReachWalk extends Walk {
    /** Detectors that share it share its sightings. */
    public static final Seer<Reach> SEER = new Seer<>("reach", 13, Reach.class, file -> {
        ReachWalk walk = new ReachWalk(file);
        walk.scan(file.unit());
        return walk.reaches;
    });

    private static final Set<String> BINDING = Set.of("bind", "connect");
    private final List<Reach> reaches = new ArrayList<>();
    /** Types of the fields, by the type that declares them. */
    private final Map<String, Map<String, TypeRef>> fields = new HashMap<>();
    private boolean storing;
    private boolean field;
    private boolean returning;

    private ReachWalk(FileTree file) {
        super(file);
    }

    @Override
    public Void visitField(Field declared) {
        field = !declared.traits().isStatic();
        storing = true;
        super.visitField(declared);
        storing = false;
        field = false;
        return null;
    }

    @Override
    public Void visitAssignment(Assignment assignment) {
        boolean outer = storing;
        Node target = assignment.target();
        storing = target instanceof Name name ? !isLocal(name.name()) : target instanceof Member member
                && member.receiver() instanceof Name self
                && self.isSelf();
        super.visitAssignment(assignment);
        storing = outer;
        return null;
    }

    @Override
    public Void visitReturn(Return back) {
        returning = true;
        super.visitReturn(back);
        returning = false;
        return null;
    }

    @Override
    public Void visitLambda(Lambda lambda) {
        boolean outer = storing;
        storing = false;
        super.visitLambda(lambda);
        storing = outer;
        return null;
    }

    /** The way to what is called on: an own field of a declared type is a value of that type. */
    private Trail way(Node receiver) {
        String name = receiver instanceof Name bare ? bare.name() : receiver instanceof Member member && member.receiver() instanceof Name self
                && self.isSelf() ? member.name() : "";
        boolean local = receiver instanceof Name && isLocal(name);
        TypeRef type = local ? null : fields.getOrDefault(type(), Map.of()).get(name);
        return type == null ? trail(receiver) : Trail.typed(type);
    }

    @Override
    protected void entered(TypeDeclaration declared) {
        Map<String, TypeRef> own = new HashMap<>();
        for (Node member : declared.members()) {
            if (member instanceof Field one && one.type().isPresent()) {
                own.put(one.name(), one.type());
            }
        }
        fields.put(type(), own);
    }

    @Override
    public Void visitCall(Call call) {
        if (Resources.mayBe(call, file)) {
            Resources.ofCall(call, call.receiver().map(this::way).orElse(Trail.UNKNOWN), file).ifPresent(each -> reach(each, call, call.arguments()));
        }
        return super.visitCall(call);
    }

    @Override
    public Void visitMember(Member member) {
        Resources.ofMember(member, file).ifPresent(each -> reach(each, member, List.of()));
        return super.visitMember(member);
    }

    @Override
    public Void visitCreation(Creation creation) {
        Resources.ofCreation(creation, file).ifPresent(each -> reach(each, creation, creation.arguments()));
        return super.visitCreation(creation);
    }

    /** The address that what was just made is bound to in the same routine, where the routine fixes it. */
    private String bound() {
        Optional<Routine> around = routine();
        List<Call> calls = around.flatMap(Routine::body).map(body -> Search.all(body, Call.class)).orElse(List.of());
        return calls.stream().filter(each -> BINDING.contains(each.name()) && each.arguments().size() == 1)
                .map(each -> each.arguments().get(0))
                .filter(address -> around.get().parameters().stream()
                        .noneMatch(one -> Search.mentions(address, one.name())))
                .map(file::brief).findFirst().orElse("");
    }

    private void reach(Resource resource, Node at, List<Node> arguments) {
        boolean instantiation = field || routine().map(each -> each.kind() == RoutineKind.CONSTRUCTOR).orElse(false);
        Optional<Node> first = arguments.stream().findFirst();
        String source = "";
        boolean parameter = false;
        // driftwood: leave type-switch because what names a resource is read from the tree, where each kind has its own parts
        if (first.orElse(null) instanceof Literal literal) {
            source = literal.text();
        } else if (first.orElse(null) instanceof Sequence address && address.parts().stream().allMatch(Literal.class::isInstance)) {
            source = address.parts().stream().map(each -> ((Literal) each).text()).collect(Collectors.joining(":"));
        } else if (first.orElse(null) instanceof Name name) {
            parameter = routine().map(each -> each.parameters().stream()
                    .anyMatch(one -> one.name().equals(name.name()))).orElse(false);
            boolean constant = name.name().equals(name.name().toUpperCase(java.util.Locale.ROOT));
            source = parameter || constant ? name.name() : "";
        }
        if (source.isEmpty() && first.orElse(null) instanceof Member address && address.receiver() instanceof Name owner && Character.isUpperCase(owner.name().charAt(0))) {
            source = arguments.stream().skip(1).filter(Literal.class::isInstance).map(each -> ((Literal) each).text()).findFirst().orElse("");
        }
        if (first.isEmpty() && resource.held()) {
            source = bound();
        }
        reaches.add(new Reach(type(), member(), instantiation, storing, resource, source, parameter, returning,
                file.line(at)));
    }
}
