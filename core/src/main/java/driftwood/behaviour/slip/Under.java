package driftwood.behaviour.slip;

import driftwood.behaviour.view.Surface.Target;
import driftwood.behaviour.view.Ways;
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
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
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
 * for abstract ones, their descendants; beside them, the project's other classes that these call. Of all of them the
 * routines that the observed ones lead to.
 */
public final class Under {
    /** Classes beside the observed ones. */
    private static final int MOST_BESIDE = 40;

    private final Program program;
    private final List<Path> classes;
    private final Map<String, byte[]> bytes = new LinkedHashMap<>();
    private final Map<String, ClassNode> nodes = new LinkedHashMap<>();
    private final Map<String, String> files = new LinkedHashMap<>();
    private final Set<String> reached = new HashSet<>();
    private final List<Slip> slips = new ArrayList<>();
    private final Branches branches = new Branches();
    /** Classes of the observed types, by internal name; all others only stand beside them. */
    private final Set<String> main = new HashSet<>();
    private final Map<String, TypeOutline> byBinaryName = new HashMap<>();

    public Under(Program program, List<Path> classes, List<Target> targets) throws IOException {
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
        main.addAll(nodes.keySet());
        Ways ways = new Ways(program);
        program.types().stream().filter(type -> !program.fileOf(type).test())
                .forEach(type -> byBinaryName.put(ways.binaryName(type).replace('.', '/'), type));
        for (Target target : targets) {
            follow(target);
        }
    }

    /** A class beside the observed ones, with those that may answer for it. */
    private void beside(String owner) throws IOException {
        TypeOutline type = byBinaryName.get(owner);
        if (type == null || nodes.containsKey(owner) || nodes.size() - main.size() >= MOST_BESIDE) {
            return;
        }
        load(type);
        for (TypeOutline each : type.isConcrete() ? List.<TypeOutline>of() : program.descendants(type)) {
            if (nodes.size() - main.size() < MOST_BESIDE) {
                load(each);
            }
        }
    }

    /** Whether a slip is in an observed type. */
    public boolean isMain(Slip slip) {
        return main.contains(slip.owner().replace('.', '/'));
    }

    private void load(TypeOutline type) throws IOException {
        String name = new Ways(program).binaryName(type);
        Optional<Path> found = classes.stream().map(each -> each.resolve(name.replace('.', '/') + ".class"))
                .filter(Files::isRegularFile).findFirst();
        if (found.isEmpty()) {
            return;
        }
        Path own = found.get();
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

    private void follow(Target target) throws IOException {
        String owner = new Ways(program).binaryName(target.type()).replace('.', '/');
        Deque<String> open = new ArrayDeque<>();
        String name = target.routine().map(RoutineOutline::name).orElse("<init>");
        int parameters = target.routine().map(each -> each.parameters().size()).orElse(-1);
        for (ClassNode node : List.copyOf(nodes.values())) {
            boolean own = node.name.equals(owner);
            if (!main.contains(node.name)) {
                continue;
            }
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
                open.addAll(callees(next));
            }
        }
    }

    private List<String> callees(String key) throws IOException {
        String owner = key.substring(0, key.indexOf(' '));
        List<String> found = new ArrayList<>();
        for (MethodNode method : nodes.get(owner).methods) {
            if (key(owner, method).equals(key)) {
                for (AbstractInsnNode node : method.instructions) {
                    if (node instanceof MethodInsnNode call) {
                        beside(call.owner);
                        declared(call.owner, call.name, call.desc, found);
                    } else if (node instanceof InvokeDynamicInsnNode dynamic) {
                        for (Object each : dynamic.bsmArgs) {
                            if (each instanceof Handle handle) {
                                beside(handle.getOwner());
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
    public Collection<String> files() {
        return new TreeSet<>(files.values());
    }

    /** All slips, class by class. */
    public synchronized List<Slip> slips() {
        if (slips.isEmpty()) {
            bytes.forEach((name, each) -> slips.addAll(Slips.in(each, method -> reached.contains(key(name, method)))));
        }
        return slips;
    }

    /** The places of all slips. */
    public Set<String> places() {
        return slips().stream().map(Slip::place).collect(Collectors.toCollection(LinkedHashSet::new));
    }

    /** The class of a slip, with the slip planted. */
    public byte[] planted(Slip slip) {
        return Slips.planted(bytes.get(slip.owner().replace('.', '/')), slip);
    }

    /**
     * The classes, by binary name, saying which branches are taken and when code comes to one of some places. JaCoCo does
     * not know of code before an exception in the middle of a block, so the places are told apart from the branches.
     *
     * @param places their numbers
     */
    public synchronized Map<String, byte[]> watched(Map<String, Integer> places) throws IOException {
        Map<String, byte[]> watched = new LinkedHashMap<>();
        for (Map.Entry<String, byte[]> each : bytes.entrySet()) {
            byte[] telling = branches.telling(each.getValue(), each.getKey());
            watched.put(each.getKey().replace('/', '.'), Slips.watched(telling, places));
        }
        return watched;
    }

    /** Adds what a case takes. @return whether it takes a branch that no case took before */
    public boolean takesNew(Map<Long, BitSet> taken) {
        return branches.add(taken);
    }

    /** What all cases take together. */
    public Coverage taken() throws IOException {
        return branches.of(bytes, files, (owner, routine) -> main.contains(owner) && reached.contains(owner + ' ' + routine));
    }

    /** Path of the source file. */
    public String file(Slip slip) {
        return files.getOrDefault(slip.owner().replace('.', '/'), "");
    }
}
