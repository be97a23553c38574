package driftwood.smell.detect.nothing;

import driftwood.program.Trail;
import driftwood.smell.detect.nothing.NothingSighting.Kind;
import driftwood.tree.*;
import java.util.List;
import java.util.Set;
import java.util.function.Function;
import java.util.regex.Pattern;

/** What a routine gives back, as far as it may be nothing. */
final class GivenBack implements TreeVisitor<Void> {
    private static final Set<String> SEARCHING = Set.of("orElse", "getOrDefault", "next", "getattr");
    /** A search by a condition gives nothing where nothing meets it. */
    private static final Pattern CHOOSING = Pattern.compile("find|findLast|detect");
    private static final Pattern OR_NOTHING = Pattern.compile("(first|last|single|find|get|max|min|random|elementAt)\\w*OrNull|(First|Last|Single|ElementAt)OrDefault");

    private final Frame frame;
    private final Function<Node, Trail> trails;
    private final Sink sink;

    /** Is told what may be nothing. */
    interface Sink {
        void add(Kind kind, Trail trail, String note);
    }

    GivenBack(Frame frame, Function<Node, Trail> trails, Sink sink) {
        this.frame = frame;
        this.trails = trails;
        this.sink = sink;
    }

    /** What another routine gave is handed on. */
    @Override
    public Void visitNode(Node value) {
        Trail trail = trails.apply(value).unheld();
        if (trail.isCall()) {
            sink.add(Kind.HANDS_ON, trail, frame.condition());
        }
        return null;
    }

    /** A search or a look-up that is told to give nothing where it finds nothing. */
    @Override
    public Void visitCall(Call call) {
        List<Node> arguments = call.arguments();
        if (SEARCHING.contains(call.name()) && !arguments.isEmpty() && Outcome.isNull(arguments.get(arguments.size() - 1))) {
            sink.add(Kind.YIELDS, Trail.UNKNOWN, "where " + call.name() + "() finds nothing");
            return null;
        }
        boolean chosen = arguments.size() == 1 && arguments.get(0) instanceof Lambda && CHOOSING.matcher(call.name()).matches();
        if (call.receiver().isPresent() && (chosen && (frame.isDuckTyped() || frame.routine.traits().isNullable()) || OR_NOTHING.matcher(call.name()).matches())) {
            sink.add(Kind.YIELDS, Trail.UNKNOWN, "where " + call.name() + "() finds nothing");
            return null;
        }
        return visitNode(call);
    }

    /** What a collection has under a key, in a routine that says that it may give nothing. */
    @Override
    public Void visitIndex(Index index) {
        if (frame.routine.traits().isNullable() && frame.givesNothingByKey(index)) {
            sink.add(Kind.YIELDS, Trail.UNKNOWN, "where there is none for the key");
            return null;
        }
        return visitNode(index);
    }

    /** {@code a ?? b} gives the first where it is something. */
    @Override
    public Void visitConditional(Conditional choice) {
        if (choice.condition() instanceof NullTest test && test.subject() == choice.then()) {
            choice.otherwise().accept(this);
            return null;
        }
        frame.under(choice.condition(), true, () -> choice.then().accept(this));
        frame.under(choice.condition(), false, () -> choice.otherwise().accept(this));
        return null;
    }

    @Override
    public Void visitLiteral(Literal literal) {
        if (Outcome.isNull(literal) && !frame.isPassedThrough()) {
            sink.add(Kind.YIELDS, Trail.UNKNOWN, frame.condition());
        }
        return null;
    }

    /** A field that was found empty, and may not have been filled. */
    @Override
    public Void visitMember(Member member) {
        return member.receiver() instanceof Name self && self.isSelf() ? field(member, member.name()) : visitNode(member);
    }

    private Void field(Node value, String name) {
        if (frame.locals.mayStayEmpty(name)) {
            sink.add(Kind.YIELDS, Trail.UNKNOWN, "unless there was something to fill " + name + " with");
            return null;
        }
        return visitNode(value);
    }

    @Override
    public Void visitName(Name name) {
        if (frame.isThere(name.name())) {
            return null;
        }
        if (frame.locals.mayBeEmpty(name.name())) {
            sink.add(Kind.YIELDS, Trail.UNKNOWN, "unless " + name.name() + " was found");
            return null;
        }
        return field(name, name.name());
    }
}
