package driftwood.behaviour.slip;

import driftwood.behaviour.slip.Slip.Kind;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.Type;
import org.objectweb.asm.tree.AbstractInsnNode;
import org.objectweb.asm.tree.ClassNode;
import org.objectweb.asm.tree.FieldInsnNode;
import org.objectweb.asm.tree.IincInsnNode;
import org.objectweb.asm.tree.InsnList;
import org.objectweb.asm.tree.InsnNode;
import org.objectweb.asm.tree.IntInsnNode;
import org.objectweb.asm.tree.JumpInsnNode;
import org.objectweb.asm.tree.LabelNode;
import org.objectweb.asm.tree.LdcInsnNode;
import org.objectweb.asm.tree.LookupSwitchInsnNode;
import org.objectweb.asm.tree.MethodInsnNode;
import org.objectweb.asm.tree.MethodNode;
import org.objectweb.asm.tree.TableSwitchInsnNode;

/**
 * A mistake that can be made at one instruction.
 *
 * @param kind  what sort
 * @param what  what was there and what would be there instead
 * @param plant makes it, in the tree that it was found in
 */
record Mistake(Kind kind, String what, Runnable plant) {
    private static final Map<Integer, Integer> LIMITS = Map.of(
            Opcodes.IF_ICMPLT, Opcodes.IF_ICMPLE, Opcodes.IF_ICMPLE, Opcodes.IF_ICMPLT,
            Opcodes.IF_ICMPGT, Opcodes.IF_ICMPGE, Opcodes.IF_ICMPGE, Opcodes.IF_ICMPGT,
            Opcodes.IFLT, Opcodes.IFLE, Opcodes.IFLE, Opcodes.IFLT,
            Opcodes.IFGT, Opcodes.IFGE, Opcodes.IFGE, Opcodes.IFGT);
    /** The other branch of each jump; the opcodes stand in pairs. */
    private static final List<Integer> OPPOSITES = List.of(Opcodes.IFEQ, Opcodes.IFNE, Opcodes.IFLT, Opcodes.IFGE,
            Opcodes.IFGT, Opcodes.IFLE, Opcodes.IF_ICMPEQ, Opcodes.IF_ICMPNE, Opcodes.IF_ICMPLT, Opcodes.IF_ICMPGE,
            Opcodes.IF_ICMPGT, Opcodes.IF_ICMPLE, Opcodes.IF_ACMPEQ, Opcodes.IF_ACMPNE, Opcodes.IFNULL, Opcodes.IFNONNULL);
    private static final String[] SIGNS = {"+", "-", "*", "/", "%"};
    private static final Set<String> QUIET = Set.of("addSuppressed", "close");

    /** Routines to which the order of their arguments makes no difference, by the beginning of their name. */
    private static final Pattern EVEN_HANDED = Pattern.compile("(min|max|sum|add|mul|plus|greatestCommon|gcd|lcm|equal|same|both)"
            + "([A-Z].*)?|mul(tiply|Pos)?.*|.*(Gcd|Lcm)");

    static List<Mistake> at(AbstractInsnNode node, MethodNode method, ClassNode type) {
        List<Mistake> found = new ArrayList<>();
        if (node instanceof JumpInsnNode jump) {
            jumps(jump, found);
        } else if (node instanceof InsnNode plain) {
            operators(plain, method, found);
            constants(plain, method, found);
            results(plain, method, type, found);
        } else if (node instanceof IincInsnNode step) {
            found.add(new Mistake(Kind.OPERATOR, step.incr >= 0 ? "+ becomes -" : "- becomes +",
                    () -> step.incr = -step.incr));
        } else if (node instanceof IntInsnNode number && number.getOpcode() != Opcodes.NEWARRAY) {
            found.add(new Mistake(Kind.CONSTANT, number.operand + " becomes " + (number.operand + 1),
                    () -> number.operand++));
        } else if (node instanceof LdcInsnNode constant) {
            loaded(constant, found);
        } else if (node instanceof MethodInsnNode call) {
            calls(call, method, found);
        } else if (node instanceof TableSwitchInsnNode table) {
            arms(table.labels, table.dflt, table.min, found);
        } else if (node instanceof LookupSwitchInsnNode table) {
            arms(table.labels, table.dflt, Integer.MIN_VALUE, found);
        }
        return found;
    }

    private static void jumps(JumpInsnNode jump, List<Mistake> found) {
        int opcode = jump.getOpcode();
        int at = OPPOSITES.indexOf(opcode);
        AbstractInsnNode before = previous(jump);
        boolean assertion = before instanceof FieldInsnNode field && field.name.equals("$assertionsDisabled");
        boolean closing = (opcode == Opcodes.IFNULL || opcode == Opcodes.IFNONNULL) && isClose(jump);
        if (at < 0 || assertion || closing) {
            return;
        }
        found.add(new Mistake(Kind.CONDITION, "the condition is turned round",
                () -> jump.setOpcode(OPPOSITES.get(at ^ 1))));
        if (LIMITS.containsKey(opcode)) {
            found.add(new Mistake(Kind.LIMIT, "the limit moves by one", () -> jump.setOpcode(LIMITS.get(opcode))));
        }
    }

    /** What the compiler adds to close a resource. */
    private static boolean isClose(AbstractInsnNode jump) {
        AbstractInsnNode next = next(next(jump));
        return next instanceof MethodInsnNode call && QUIET.contains(call.name);
    }

    private static void operators(InsnNode plain, MethodNode method, List<Mistake> found) {
        int opcode = plain.getOpcode();
        if (opcode >= Opcodes.IADD && opcode <= Opcodes.DREM) {
            int sign = (opcode - Opcodes.IADD) / 4;
            int other = sign == 4 ? 2 : sign ^ 1;
            int becomes = opcode + 4 * (other - sign);
            found.add(new Mistake(Kind.OPERATOR, SIGNS[sign] + " becomes " + SIGNS[other],
                    () -> method.instructions.set(plain, new InsnNode(becomes))));
        } else if (opcode >= Opcodes.ISHL && opcode <= Opcodes.LSHR) {
            int becomes = opcode <= Opcodes.LSHL ? opcode + 2 : opcode - 2;
            found.add(new Mistake(Kind.OPERATOR, "the shift goes the other way",
                    () -> method.instructions.set(plain, new InsnNode(becomes))));
        } else if (opcode >= Opcodes.IAND && opcode <= Opcodes.LOR) {
            int becomes = opcode <= Opcodes.LAND ? opcode + 2 : opcode - 2;
            found.add(new Mistake(Kind.OPERATOR, opcode <= Opcodes.LAND ? "& becomes |" : "| becomes &",
                    () -> method.instructions.set(plain, new InsnNode(becomes))));
        }
    }

    private static void constants(InsnNode plain, MethodNode method, List<Mistake> found) {
        int opcode = plain.getOpcode();
        if (opcode >= Opcodes.ICONST_M1 && opcode <= Opcodes.ICONST_5) {
            int value = opcode - Opcodes.ICONST_0;
            int becomes = value == 1 ? 0 : value + 1;
            int other = becomes > 5 ? Opcodes.ICONST_0 : Opcodes.ICONST_0 + becomes;
            AbstractInsnNode next = next(plain);
            boolean handedBack = next != null && next.getOpcode() == Opcodes.IRETURN;
            if (!handedBack) {
                found.add(new Mistake(Kind.CONSTANT, value + " becomes " + (other - Opcodes.ICONST_0),
                        () -> method.instructions.set(plain, new InsnNode(other))));
            }
        } else if (opcode == Opcodes.LCONST_0 || opcode == Opcodes.LCONST_1) {
            int other = opcode == Opcodes.LCONST_0 ? Opcodes.LCONST_1 : Opcodes.LCONST_0;
            found.add(new Mistake(Kind.CONSTANT, opcode == Opcodes.LCONST_0 ? "0 becomes 1" : "1 becomes 0",
                    () -> method.instructions.set(plain, new InsnNode(other))));
        }
    }

    private static void loaded(LdcInsnNode constant, List<Mistake> found) {
        Object value = constant.cst;
        Object other = value instanceof Integer number ? (Object) (number + 1)
                : value instanceof Long number ? (Object) (number + 1)
                : value instanceof Double number ? (Object) (number + 1)
                : value instanceof Float number ? (Object) (number + 1)
                : value instanceof String text ? text + "?" : null;
        if (other != null && !other.equals(value)) {
            String was = value instanceof String text ? '"' + text + '"' : value.toString();
            found.add(new Mistake(Kind.CONSTANT, was + " becomes " + (value instanceof String ? "another text" : other),
                    () -> constant.cst = other));
        }
    }

    private static void results(InsnNode plain, MethodNode method, ClassNode type, List<Mistake> found) {
        Type result = Type.getReturnType(method.desc);
        InsnList more = new InsnList();
        String what;
        switch (plain.getOpcode()) {
            case Opcodes.IRETURN -> {
                boolean flag = result.getSort() == Type.BOOLEAN;
                more.add(new InsnNode(Opcodes.ICONST_1));
                more.add(new InsnNode(flag ? Opcodes.IXOR : Opcodes.IADD));
                what = flag ? "true and false change places" : "one more is handed back";
            }
            case Opcodes.LRETURN -> {
                more.add(new InsnNode(Opcodes.LCONST_1));
                more.add(new InsnNode(Opcodes.LADD));
                what = "one more is handed back";
            }
            case Opcodes.DRETURN -> {
                more.add(new InsnNode(Opcodes.DCONST_1));
                more.add(new InsnNode(Opcodes.DADD));
                what = "one more is handed back";
            }
            case Opcodes.FRETURN -> {
                more.add(new InsnNode(Opcodes.FCONST_1));
                more.add(new InsnNode(Opcodes.FADD));
                what = "one more is handed back";
            }
            case Opcodes.ARETURN -> {
                AbstractInsnNode before = previous(plain);
                if (before != null && before.getOpcode() == Opcodes.ACONST_NULL
                        || before != null && before.getOpcode() == Opcodes.INVOKEDYNAMIC && type.recordComponents != null) {
                    return;
                }
                more.add(new InsnNode(Opcodes.POP));
                more.add(new InsnNode(Opcodes.ACONST_NULL));
                what = "null is handed back";
            }
            default -> {
                return;
            }
        }
        found.add(new Mistake(Kind.RESULT, what, () -> method.instructions.insertBefore(plain, more)));
    }

    private static void calls(MethodInsnNode call, MethodNode method, List<Mistake> found) {
        Type[] arguments = Type.getArgumentTypes(call.desc);
        if (Type.getReturnType(call.desc) == Type.VOID_TYPE && !call.name.equals("<init>") && !QUIET.contains(call.name)) {
            found.add(new Mistake(Kind.REMOVED_CALL, "the call of " + call.name + " is left out", () -> {
                for (int i = arguments.length - 1; i >= 0; i--) {
                    method.instructions.insertBefore(call, pop(arguments[i].getSize()));
                }
                if (call.getOpcode() != Opcodes.INVOKESTATIC) {
                    method.instructions.insertBefore(call, pop(1));
                }
                method.instructions.set(call, new InsnNode(Opcodes.NOP));
            }));
        }
        int last = arguments.length - 1;
        boolean evenHanded = call.getOpcode() == Opcodes.INVOKESTATIC && arguments.length == 2 && EVEN_HANDED.matcher(call.name).matches();
        if (!evenHanded && last >= 1 && arguments[last].equals(arguments[last - 1]) && arguments[last].getSize() == 1) {
            found.add(new Mistake(Kind.SWAPPED, "the last two arguments of " + call.name + " change places",
                    () -> method.instructions.insertBefore(call, new InsnNode(Opcodes.SWAP))));
        }
    }

    private static InsnNode pop(int size) {
        return new InsnNode(size == 2 ? Opcodes.POP2 : Opcodes.POP);
    }

    private static void arms(List<LabelNode> labels, LabelNode otherwise, int first, List<Mistake> found) {
        for (int i = 0; i < labels.size(); i++) {
            int at = i;
            if (labels.get(i) != otherwise) {
                found.add(new Mistake(Kind.LOST_ARM, "arm " + (i + 1) + " is lost", () -> labels.set(at, otherwise)));
            }
        }
    }

    private static AbstractInsnNode previous(AbstractInsnNode node) {
        AbstractInsnNode at = node.getPrevious();
        while (at != null && at.getOpcode() < 0) {
            at = at.getPrevious();
        }
        return at;
    }

    private static AbstractInsnNode next(AbstractInsnNode node) {
        AbstractInsnNode at = node == null ? null : node.getNext();
        while (at != null && at.getOpcode() < 0) {
            at = at.getNext();
        }
        return at;
    }
}
