package driftwood.behaviour.slip;

import driftwood.witness.Reached;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.ClassWriter;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.tree.AbstractInsnNode;
import org.objectweb.asm.tree.ClassNode;
import org.objectweb.asm.tree.InsnList;
import org.objectweb.asm.tree.LdcInsnNode;
import org.objectweb.asm.tree.LineNumberNode;
import org.objectweb.asm.tree.MethodInsnNode;
import org.objectweb.asm.tree.MethodNode;

/**
 * Finds the places in compiled classes where a small mistake could be made, and makes it. The sorts of mistakes are
 * those of DeMillo, Lipton and Sayward, Hints on Test Data Selection (1978), as far as byte code shows them.
 */
public final class Slips {
    /** Of limits and conditions that stand on one line; what the compiler writes twice, for finally, is no more than a few. */
    private static final List<String> NUMBERS = List.of("", "second ", "third ", "fourth ");
    private static final String REACHED = Reached.class.getName().replace('.', '/');

    private Slips() {
    }

    /** All slips of a class in the routines that count. */
    static List<Slip> in(byte[] bytes, Predicate<MethodNode> counts) {
        ClassNode type = read(bytes);
        List<Slip> slips = new ArrayList<>();
        Map<String, Integer> told = new HashMap<>();
        for (int at = 0; at < type.methods.size(); at++) {
            MethodNode method = type.methods.get(at);
            // Which number a hash is, nobody is to see; whether equal objects have the same is compared.
            boolean hash = method.name.equals("hashCode") && method.desc.equals("()I");
            if (isWritten(type, method) && !hash && counts.test(method)) {
                for (Slip each : in(type, method, at)) {
                    int before = told.merge(each.key(), 1, Integer::sum) - 1;
                    boolean jump = each.kind() == Slip.Kind.LIMIT || each.kind() == Slip.Kind.CONDITION;
                    if (before == 0 || jump && before < NUMBERS.size()) {
                        slips.add(each.nth(NUMBERS.get(before)));
                    }
                }
            }
        }
        return slips;
    }

    private static List<Slip> in(ClassNode type, MethodNode method, int at) {
        List<Slip> slips = new ArrayList<>();
        int line = 0;
        for (int i = 0; i < method.instructions.size(); i++) {
            AbstractInsnNode node = method.instructions.get(i);
            if (node instanceof LineNumberNode number) {
                line = number.line;
            }
            for (Mistake each : Mistake.at(node, method, type)) {
                slips.add(new Slip(type.name.replace('/', '.'), method.name, at, i, line, each.kind(), each.what()));
            }
        }
        return slips;
    }

    /** Whether somebody wrote the routine, rather than the compiler. */
    private static boolean isWritten(ClassNode type, MethodNode method) {
        boolean made = (method.access & (Opcodes.ACC_SYNTHETIC | Opcodes.ACC_BRIDGE)) != 0
                && !method.name.startsWith("lambda$");
        boolean ofEnum = (type.access & Opcodes.ACC_ENUM) != 0
                && Set.of("values", "valueOf", "$values", "<clinit>").contains(method.name);
        return !made && !ofEnum && (type.access & Opcodes.ACC_SYNTHETIC) == 0 && method.instructions.size() > 0;
    }

    /** The class with one slip planted. */
    static byte[] planted(byte[] bytes, Slip slip) {
        ClassNode type = read(bytes);
        MethodNode method = type.methods.get(slip.at());
        AbstractInsnNode node = method.instructions.get(slip.index());
        for (Mistake each : Mistake.at(node, method, type)) {
            if (each.kind() == slip.kind() && each.what().equals(slip.plain())) {
                each.plant().run();
                break;
            }
        }
        return written(type);
    }

    /** The class, saying of each line of some that code comes there. @param places numbers of lines, by place */
    static byte[] watched(byte[] bytes, Map<String, Integer> places) {
        ClassNode type = read(bytes);
        String owner = type.name.replace('/', '.');
        for (MethodNode method : type.methods) {
            int line = 0;
            for (AbstractInsnNode node : method.instructions.toArray()) {
                if (node instanceof LineNumberNode number) {
                    line = number.line;
                }
                Integer place = places.get(owner + ':' + line);
                if (place != null && node instanceof LineNumberNode) {
                    come(method, node, place);
                } else if (place != null) {
                    Compared.tell(method, node, place);
                }
            }
        }
        return written(type);
    }

    private static void come(MethodNode method, AbstractInsnNode line, int place) {
        AbstractInsnNode first = line;
        while (first != null && first.getOpcode() < 0) {
            first = first.getNext();
        }
        if (first != null) {
            InsnList told = new InsnList();
            told.add(new LdcInsnNode(place));
            told.add(new MethodInsnNode(Opcodes.INVOKESTATIC, REACHED, "at", "(I)V", false));
            // Frames know an object that is not yet initialised by the label right before its creation.
            if (first.getOpcode() == Opcodes.NEW) {
                method.instructions.insert(first, told);
            } else {
                method.instructions.insertBefore(first, told);
            }
        }
    }

    private static byte[] written(ClassNode type) {
        ClassWriter writer = new ClassWriter(ClassWriter.COMPUTE_MAXS);
        type.accept(writer);
        return writer.toByteArray();
    }

    static ClassNode read(byte[] bytes) {
        ClassNode type = new ClassNode();
        new ClassReader(bytes).accept(type, 0);
        return type;
    }
}
