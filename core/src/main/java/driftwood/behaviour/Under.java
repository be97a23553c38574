package driftwood.behaviour;

import driftwood.behaviour.Surface.Target;
import driftwood.program.Program;
import driftwood.program.RoutineOutline;
import driftwood.program.TypeOutline;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collection;
import java.util.Deque;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.objectweb.asm.Handle;
import org.objectweb.asm.Type;
import org.objectweb.asm.tree.AbstractInsnNode;
import org.objectweb.asm.tree.ClassNode;
import org.objectweb.asm.tree.InvokeDynamicInsnNode;
import org.objectweb.asm.tree.MethodInsnNode;
import org.objectweb.asm.tree.MethodNode;

/**
 * The compiled code under observation: the classes of the observed types with those nested in them, their ancestors and,
 * for abstract ones, their descendants; of these the routines that the observed ones lead to.
 */
final class Under {
    private final Program program;
    private final Path classes;
    private final Map<String, byte[]> bytes = new LinkedHashMap<>();
    private final Map<String, ClassNode> nodes = new LinkedHashMap<>();
    private final Map<String, String> files = new LinkedHashMap<>();
    private final Set<String> reached = new HashSet<>();
    private final Branches branches = new Branches();

    Under(Program program, Path classes, List<Target> targets) throws IOException {
        this.program = program;
        this.classes = classes;
        Set<TypeOutline> types = new LinkedHashSet<>();
        for (Target target : targets) {
            types.add(target.type());
            types.addAll(program.ancestors(target.type()));
            if (!target.type().isConcrete()) {
                types.addAll(program.descendants(target.type()));
            }
        }
        for (TypeOutline type : types) {
            load(type);
        }
        targets.forEach(this::follow);
    }

    private void load(TypeOutline type) throws IOException {
        String name = new Ways(program).binaryName(type);
        Path own = classes.resolve(name.replace('.', '/') + ".class");
        if (!Files.isRegularFile(own)) {
            return;
        }
        String simple = own.getFileName().toString().replace(".class", "");
        try (Stream<Path> beside = Files.list(own.getParent())) {
            for (Path each : beside.sorted().toList()) {
                String file = each.getFileName().toString();
                if (file.equals(simple + ".class") || file.startsWith(simple + "$") && file.endsWith(".class")) {
                    byte[] read = Files.readAllBytes(each);
                    ClassNode node = Slips.read(read);
                    bytes.put(node.name, read);
                    nodes.put(node.name, node);
                    files.put(node.name, type.file());
                }
            }
        }
    }

    private void follow(Target target) {
        String owner = new Ways(program).binaryName(target.type()).replace('.', '/');
        Deque<String> open = new ArrayDeque<>();
        String name = target.routine().map(RoutineOutline::name).orElse("<init>");
        int parameters = target.routine().map(each -> each.parameters().size()).orElse(-1);
        for (ClassNode node : nodes.values()) {
            boolean own = node.name.equals(owner);
            for (MethodNode method : node.methods) {
                boolean routine = method.name.equals(name)
                        && (parameters < 0 ? own : Type.getArgumentTypes(method.desc).length == parameters);
                boolean named = target.ladder().stream().anyMatch(each -> each.name().equals(method.name));
                if (routine || own && named || own && method.name.equals("<clinit>")) {
                    open.add(key(node.name, method));
                }
            }
        }
        while (!open.isEmpty()) {
            String next = open.poll();
            if (reached.add(next)) {
                callees(next).forEach(open::add);
            }
        }
    }

    private List<String> callees(String key) {
        String owner = key.substring(0, key.indexOf(' '));
        List<String> found = new ArrayList<>();
        for (MethodNode method : nodes.get(owner).methods) {
            if (key(owner, method).equals(key)) {
                for (AbstractInsnNode node : method.instructions) {
                    if (node instanceof MethodInsnNode call) {
                        declared(call.owner, call.name, call.desc, found);
                    } else if (node instanceof InvokeDynamicInsnNode dynamic) {
                        for (Object each : dynamic.bsmArgs) {
                            if (each instanceof Handle handle) {
                                declared(handle.getOwner(), handle.getName(), handle.getDesc(), found);
                            }
                        }
                    }
                }
            }
        }
        return found;
    }

    /** A call may mean the routine of its owner, an inherited one, or one that overrides it. */
    private void declared(String owner, String name, String desc, List<String> found) {
        boolean exact = name.equals("<init>") || name.startsWith("lambda$");
        for (ClassNode node : nodes.values()) {
            if (exact && !node.name.equals(owner)) {
                continue;
            }
            for (MethodNode method : node.methods) {
                boolean starts = node.name.equals(owner) && method.name.equals("<clinit>");
                if (nodes.containsKey(owner) && (method.name.equals(name) && method.desc.equals(desc) || starts)) {
                    found.add(key(node.name, method));
                }
            }
        }
    }

    private static String key(String owner, MethodNode method) {
        return owner + ' ' + method.name + method.desc;
    }

    /** Paths of the source files. */
    Collection<String> files() {
        return new TreeSet<>(files.values());
    }

    /** All slips, class by class. */
    List<Slip> slips() {
        List<Slip> slips = new ArrayList<>();
        bytes.forEach((name, each) -> slips.addAll(Slips.in(each, method -> reached.contains(key(name, method)))));
        return slips;
    }

    /** The class of a slip, with the slip planted. */
    byte[] planted(Slip slip) {
        return Slips.planted(bytes.get(slip.owner().replace('.', '/')), slip);
    }

    /**
     * The classes, by binary name, saying which branches are taken and when code comes to one of some places. JaCoCo does
     * not know of code before an exception in the middle of a block, so the places are told apart from the branches.
     *
     * @param places their numbers
     */
    synchronized Map<String, byte[]> watched(Map<String, Integer> places) throws IOException {
        Map<String, byte[]> watched = new LinkedHashMap<>();
        for (Map.Entry<String, byte[]> each : bytes.entrySet()) {
            byte[] telling = branches.telling(each.getValue(), each.getKey());
            watched.put(each.getKey().replace('/', '.'), Slips.watched(telling, places));
        }
        return watched;
    }

    /** Adds what a case takes. @return whether it takes a branch that no case took before */
    boolean takesNew(Map<Long, BitSet> taken) {
        return branches.add(taken);
    }

    /** What all cases take together. */
    Coverage taken() throws IOException {
        return branches.of(bytes, files, (owner, routine) -> reached.contains(owner + ' ' + routine));
    }

    /** Path of the source file. */
    String file(Slip slip) {
        return files.getOrDefault(slip.owner().replace('.', '/'), "");
    }
}
