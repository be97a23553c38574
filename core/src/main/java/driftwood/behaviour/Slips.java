package driftwood.behaviour;

import driftwood.behaviour.Slip.Kind;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.ClassWriter;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.tree.AbstractInsnNode;
import org.objectweb.asm.tree.ClassNode;
import org.objectweb.asm.tree.InsnList;
import org.objectweb.asm.tree.InsnNode;
import org.objectweb.asm.tree.LineNumberNode;
import org.objectweb.asm.tree.MethodNode;
import org.objectweb.asm.tree.TypeInsnNode;
import org.objectweb.asm.tree.MethodInsnNode;

/**
 * Finds the places in compiled classes where a small mistake could be made, and makes it. The sorts of mistakes are
 * those of DeMillo, Lipton and Sayward, Hints on Test Data Selection (1978), as far as byte code shows them.
 */
final class Slips {
    private Slips() {
    }

    /** All slips of a class in the routines that count. */
    static List<Slip> in(byte[] bytes, Predicate<MethodNode> counts) {
        ClassNode type = read(bytes);
        List<Slip> slips = new ArrayList<>();
        Set<String> told = new HashSet<>();
        for (int at = 0; at < type.methods.size(); at++) {
            MethodNode method = type.methods.get(at);
            if (isWritten(type, method) && counts.test(method)) {
                for (Slip each : in(type, method, at)) {
                    if (told.add(each.key())) {
                        slips.add(each);
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
        if (slip.kind() == Kind.PROBE) {
            method.instructions.insertBefore(node, failing());
        } else {
            for (Mistake each : Mistake.at(node, method, type)) {
                if (each.kind() == slip.kind() && each.what().equals(slip.what())) {
                    each.plant().run();
                    break;
                }
            }
        }
        ClassWriter writer = new ClassWriter(ClassWriter.COMPUTE_MAXS);
        type.accept(writer);
        return writer.toByteArray();
    }

    /** An error of its own: no code catches it by name, and whoever catches everything has come here all the same. */
    private static InsnList failing() {
        InsnList list = new InsnList();
        list.add(new InsnNode(Opcodes.NOP));
        list.add(new TypeInsnNode(Opcodes.NEW, "java/lang/LinkageError"));
        list.add(new InsnNode(Opcodes.DUP));
        list.add(new MethodInsnNode(Opcodes.INVOKESPECIAL, "java/lang/LinkageError", "<init>", "()V", false));
        list.add(new MethodInsnNode(Opcodes.INVOKESTATIC, "driftwood/witness/Reached", "here",
                "(Ljava/lang/Error;)V", false));
        return list;
    }

    static ClassNode read(byte[] bytes) {
        ClassNode type = new ClassNode();
        new ClassReader(bytes).accept(type, 0);
        return type;
    }
}
