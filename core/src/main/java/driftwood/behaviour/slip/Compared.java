package driftwood.behaviour.slip;

import driftwood.witness.Reached;
import java.util.Map;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.tree.AbstractInsnNode;
import org.objectweb.asm.tree.InsnList;
import org.objectweb.asm.tree.InsnNode;
import org.objectweb.asm.tree.JumpInsnNode;
import org.objectweb.asm.tree.LdcInsnNode;
import org.objectweb.asm.tree.MethodInsnNode;
import org.objectweb.asm.tree.MethodNode;

/** Makes observed code say what it compares, so that cases can be made in which both sides are equal. */
final class Compared {
    private static final String TO = Reached.class.getName().replace('.', '/');
    /** What stands in place of a comparison, and what it gives for what is no number. */
    private static final Map<Integer, String> DECIMALS = Map.of(Opcodes.DCMPL, "doubles -1", Opcodes.DCMPG, "doubles 1",
            Opcodes.FCMPL, "floats -1", Opcodes.FCMPG, "floats 1");

    private Compared() {
    }

    /** Adds the telling to an instruction that compares; any other stays as it is. @param place its number */
    static void tell(MethodNode method, AbstractInsnNode node, int place) {
        int opcode = node.getOpcode();
        if (node instanceof JumpInsnNode && opcode >= Opcodes.IF_ICMPEQ && opcode <= Opcodes.IF_ICMPLE) {
            method.instructions.insertBefore(node, call(new InsnNode(Opcodes.DUP2), place, "ints", "(III)V"));
        } else if (node instanceof JumpInsnNode && opcode >= Opcodes.IFLT && opcode <= Opcodes.IFLE && !isAfterComparison(node)) {
            method.instructions.insertBefore(node, call(new InsnNode(Opcodes.DUP), place, "zero", "(II)V"));
        } else if (opcode == Opcodes.LCMP) {
            replace(method, node, call(null, place, "longs", "(JJI)I"));
        } else if (DECIMALS.containsKey(opcode)) {
            String[] words = DECIMALS.get(opcode).split(" ");
            InsnList told = call(new InsnNode(words[1].equals("1") ? Opcodes.ICONST_1 : Opcodes.ICONST_M1), place, words[0],
                    words[0].equals("doubles") ? "(DDII)I" : "(FFII)I");
            replace(method, node, told);
        } else if (node instanceof MethodInsnNode called && called.owner.equals("java/lang/String") && called.name.equals("equals")) {
            replace(method, node, call(null, place, "texts", "(Ljava/lang/String;Ljava/lang/Object;I)Z"));
        }
    }

    /** What is compared with nothing there is only how two others compare. */
    private static boolean isAfterComparison(AbstractInsnNode node) {
        AbstractInsnNode before = node.getPrevious();
        while (before != null && before.getOpcode() < 0) {
            before = before.getPrevious();
        }
        boolean told = before instanceof MethodInsnNode call && call.owner.equals(TO);
        return told || before != null && before.getOpcode() >= Opcodes.LCMP && before.getOpcode() <= Opcodes.DCMPG;
    }

    private static InsnList call(AbstractInsnNode first, int place, String name, String form) {
        InsnList told = new InsnList();
        if (first != null) {
            told.add(first);
        }
        told.add(new LdcInsnNode(place));
        told.add(new MethodInsnNode(Opcodes.INVOKESTATIC, TO, name, form, false));
        return told;
    }

    /** A null receiver goes on to be told by the instruction itself, so it stays what it was for texts. */
    private static void replace(MethodNode method, AbstractInsnNode node, InsnList other) {
        method.instructions.insertBefore(node, other);
        method.instructions.remove(node);
    }
}
