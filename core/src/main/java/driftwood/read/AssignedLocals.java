package driftwood.read;

import driftwood.tree.Block;
import driftwood.tree.Local;
import driftwood.tree.Node;
import driftwood.tree.TypeRef;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Deque;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;

/**
 * The locals of a language that has no declarations: the first assignment to a bare name in a routine makes one. A name
 * that is first assigned inside a branch or loop is known all the way through its routine, so it is declared at the top.
 */
public final class AssignedLocals {
    private final Deque<Routine> routines = new ArrayDeque<>();
    /** Where code stands outside of all bodies, as a default of a parameter does. */
    private final Routine nowhere = new Routine(Set.of());

    /** One routine, or statements outside of any. */
    private static final class Routine {
        private final Set<String> names;
        private final Set<String> hoisted = new LinkedHashSet<>();
        private int depth;

        Routine(Collection<String> names) {
            this.names = new HashSet<>(names);
        }
    }

    /** The body of a routine. @param known names that are no locals of its own: its parameters @param body makes it */
    public Block inRoutine(Collection<String> known, Supplier<Block> body) {
        routines.push(new Routine(known));
        Block block;
        Routine left;
        try {
            block = body.get();
        } finally {
            left = routines.pop();
        }
        List<Node> statements = new ArrayList<>();
        left.hoisted.forEach(each -> statements.add(new Local(block.start(), block.start(), each, TypeRef.NONE, Optional.empty())));
        statements.addAll(block.statements());
        return new Block(block.start(), block.end(), statements);
    }

    /** Statements outside of any routine, where nothing has to be declared at the top. */
    public <T> T outside(Supplier<T> statements) {
        routines.push(new Routine(Set.of()));
        routines.peek().depth = Integer.MIN_VALUE / 2;
        try {
            return statements.get();
        } finally {
            routines.pop();
        }
    }

    /** A block of the routine, or one inside another of its blocks. */
    public <T> T inBlock(Supplier<T> block) {
        if (routines.isEmpty()) {
            return block.get();
        }
        routines.peek().depth++;
        try {
            return block.get();
        } finally {
            routines.peek().depth--;
        }
    }

    private Routine around() {
        return routines.isEmpty() ? nowhere : routines.peek();
    }

    /** Takes note of a name that is declared elsewhere, or by other means than an assignment. */
    public void know(String name) {
        around().names.add(name);
    }

    /** Whether a name is known in a routine around here. */
    public boolean isKnown(String name) {
        return routines.stream().anyMatch(each -> each.names.contains(name));
    }

    /** Takes note of a name that is assigned. @return whether it is the first time */
    public boolean takes(String name) {
        return around().names.add(name);
    }

    /** Declares a name at the top where its first assignment, this one, stands inside a branch or loop. @return whether it does */
    public boolean hoists(String name) {
        Routine routine = around();
        boolean inside = routine.depth > 1;
        if (inside) {
            routine.hoisted.add(name.intern());
        }
        return inside;
    }
}
