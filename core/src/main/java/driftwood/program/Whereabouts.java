package driftwood.program;

import driftwood.program.RoutineOutline.ParameterOutline;
import driftwood.read.FileTree;
import driftwood.tree.*;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Walks a file and knows at each node in which type and in which routine it is. Who needs the locals in sight as well
 * extends {@link Walk}, which costs more. Overriding a declaration's visit must call the original.
 */
public abstract class Whereabouts extends TreeScanner {
    protected final FileTree file;
    private final Deque<String> types = new ArrayDeque<>();
    private final Deque<Place> members = new ArrayDeque<>();
    private final Deque<Routine> routines = new ArrayDeque<>();
    private final Map<String, Integer> anonymous = new HashMap<>();
    private EnumConstant constant = NO_CONSTANT;

    protected Whereabouts(FileTree file) {
        this.file = file;
    }

    /** Qualified name of the type around the current node; empty outside of types. */
    protected final String type() {
        return types.isEmpty() ? "" : types.peek();
    }

    /** Symbol of the routine or field around the current node, else the type's name. */
    protected final String member() {
        return members.isEmpty() ? type() : members.peek().symbol();
    }

    /** The routine around the current node. */
    protected final Optional<Routine> routine() {
        return Optional.ofNullable(routines.peek());
    }

    /** Symbol of a routine declared in the current type. */
    protected final String symbol(Routine routine) {
        return RoutineOutline.symbol(type(), routine.name(), parameters(routine));
    }

    protected static List<ParameterOutline> parameters(Routine routine) {
        List<ParameterOutline> outlines = new ArrayList<>();
        for (Parameter each : routine.parameters()) {
            outlines.add(new ParameterOutline(each.name(), each.type(), each.traits().isNullable(), each.variadic(),
                    each.fallback().isPresent(), each.traits().has(Mark.NAMED)));
        }
        return outlines;
    }

    /** A routine, field or type around; its symbol is spelled out only when somebody asks. */
    private static final class Place {
        private final String type;
        private final Routine routine;
        private String symbol;

        Place(String symbol) {
            this.type = symbol;
            this.routine = NO_ROUTINE;
            this.symbol = symbol;
        }

        Place(String type, Routine routine) {
            this.type = type;
            this.routine = routine;
            this.symbol = "";
        }

        String symbol() {
            if (symbol.isEmpty() && routine != NO_ROUTINE) {
                symbol = RoutineOutline.symbol(type, routine.name(), parameters(routine)).intern();
            }
            return symbol;
        }
    }

    /** Called when a type has been entered, with its qualified name on top; anonymous types too. */
    protected void entered(TypeDeclaration declaration) {
    }

    @Override
    public Void visitTypeDeclaration(TypeDeclaration declaration) {
        String outer = types.isEmpty() ? file.unit().packageName() : types.peek();
        String own = declaration.name().isEmpty() ? "<" + nameless(declaration, outer) + ">" : declaration.name();
        types.push(outer.isEmpty() ? own : outer + "." + own);
        members.push(new Place(types.peek()));
        routines.push(NO_ROUTINE);
        entered(declaration);
        visitNode(declaration);
        routines.pop();
        members.pop();
        types.pop();
        return null;
    }

    /** The constant whose body it is, else a number. */
    private String nameless(TypeDeclaration declaration, String outer) {
        return constant.body().filter(each -> each == declaration).isPresent() ? constant.name() : String.valueOf(anonymous.merge(outer, 1, Integer::sum));
    }

    private static final EnumConstant NO_CONSTANT = new EnumConstant(0, 0, "", List.of(), Optional.empty());

    private static final Routine NO_ROUTINE = new Routine(0, 0, "", RoutineKind.INITIALISER, Traits.NONE, List.of(),
            TypeRef.NONE, List.of(), Optional.empty());

    @Override
    public Void visitRoutine(Routine routine) {
        routines.push(routine);
        members.push(new Place(type(), routine));
        visitNode(routine);
        members.pop();
        routines.pop();
        return null;
    }

    @Override
    public Void visitEnumConstant(EnumConstant inner) {
        EnumConstant outer = constant;
        constant = inner;
        visitNode(inner);
        constant = outer;
        return null;
    }

    @Override
    public Void visitField(Field field) {
        members.push(new Place(Symbol.member(type(), field.name())));
        visitNode(field);
        members.pop();
        return null;
    }
}
