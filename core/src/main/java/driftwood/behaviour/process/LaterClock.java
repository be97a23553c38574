package driftwood.behaviour.process;

import driftwood.witness.Later;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.ClassVisitor;
import org.objectweb.asm.ClassWriter;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;
import org.objectweb.asm.Type;

/** Makes a copy of those classes that read the clock; in the copy the clock is more than a year ahead. */
public final class LaterClock {
    private static final String LATER = Type.getInternalName(Later.class);
    private static final Set<String> CLOCKS = Set.of("currentTimeMillis", "nanoTime");
    private static final Set<String> DATES = Set.of("java/time/Instant", "java/time/LocalDate", "java/time/LocalTime",
            "java/time/LocalDateTime", "java/time/ZonedDateTime", "java/time/OffsetDateTime", "java/time/Year",
            "java/time/YearMonth");

    private LaterClock() {
    }

    /**
     * Copies what reads the clock.
     *
     * @param classes compiled classes, in folders
     * @param into    a folder that goes before them on the class path
     * @return whether any class reads the clock
     */
    public static boolean copy(Path classes, Path into) {
        boolean any = false;
        try (Stream<Path> all = Files.walk(classes)) {
            for (Path each : all.filter(file -> file.toString().endsWith(".class")).toList()) {
                Optional<byte[]> changed = changed(Files.readAllBytes(each));
                if (changed.isPresent()) {
                    Path to = into.resolve(classes.relativize(each).toString());
                    Files.createDirectories(to.getParent());
                    Files.write(to, changed.get());
                    any = true;
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException("cannot read the compiled classes in " + classes, e);
        }
        return any;
    }

    /** The class with a later clock; empty where it does not read the clock. */
    private static Optional<byte[]> changed(byte[] bytes) {
        ClassWriter writer = new ClassWriter(0);
        Changing changing = new Changing(writer);
        new ClassReader(bytes).accept(changing, 0);
        return changing.any ? Optional.of(writer.toByteArray()) : Optional.empty();
    }

    private static final class Changing extends ClassVisitor {
        private boolean any;

        Changing(ClassVisitor next) {
            super(Opcodes.ASM9, next);
        }

        @Override
        public MethodVisitor visitMethod(int access, String name, String descriptor, String signature, String[] raised) {
            return new MethodVisitor(Opcodes.ASM9, super.visitMethod(access, name, descriptor, signature, raised)) {
                @Override
                public void visitMethodInsn(int code, String owner, String called, String form, boolean isInterface) {
                    boolean clock = owner.equals("java/lang/System") && CLOCKS.contains(called);
                    boolean date = DATES.contains(owner) && called.equals("now") && form.startsWith("()");
                    boolean old = owner.equals("java/util/Date") && called.equals("<init>") && form.equals("()V");
                    any |= clock || date || old;
                    if (clock) {
                        super.visitMethodInsn(code, LATER, called, form, false);
                    } else if (date) {
                        super.visitMethodInsn(code, LATER, Later.named(owner), form, false);
                    } else if (old) {
                        super.visitMethodInsn(Opcodes.INVOKESTATIC, LATER, "currentTimeMillis", "()J", false);
                        super.visitMethodInsn(code, owner, called, "(J)V", false);
                    } else {
                        super.visitMethodInsn(code, owner, called, form, isInterface);
                    }
                }

                @Override
                public void visitMaxs(int stack, int locals) {
                    super.visitMaxs(stack + 2, locals);
                }
            };
        }
    }
}
