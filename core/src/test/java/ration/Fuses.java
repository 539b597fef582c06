package ration;

import java.util.Set;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.ClassVisitor;
import org.objectweb.asm.ClassWriter;
import org.objectweb.asm.Label;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;

/**
 * Ways to fail, put at the head of static methods of a program that is loaded {@link Apart}; none while it is healed.
 */
public final class Fuses {

    /** An exception, and an error of the machine. */
    public static final String[] THROWN = {"java/lang/IllegalStateException", "java/lang/StackOverflowError"};

    /** Names the method that fails and by what; the program that is loaded apart asks it. */
    private static final String FAILING = "ration.test.failing";

    private Fuses() {}

    /** From now on this method fails by that. */
    public static void blow(String method, String thrown) {
        System.setProperty(FAILING, method + " " + thrown);
    }

    public static void heal() {
        System.clearProperty(FAILING);
    }

    /**
     * Classes of a package with a way to fail.
     *
     * @param room the package with its dot
     * @param methods static ones, as Router.of
     */
    public static Apart.Change in(String room, Set<String> methods) {
        return (name, read) -> {
            String simple = name.substring(name.lastIndexOf('.') + 1);
            return name.startsWith(room) && methods.stream().anyMatch(p -> p.startsWith(simple + "."))
                    ? failing(simple, methods, read)
                    : read;
        };
    }

    private static byte[] failing(String simple, Set<String> methods, byte[] read) {
        ClassReader reader = new ClassReader(read);
        ClassWriter writer = new ClassWriter(ClassWriter.COMPUTE_MAXS);
        reader.accept(
                new ClassVisitor(Opcodes.ASM9, writer) {
                    @Override
                    public MethodVisitor visitMethod(
                            int access, String method, String type, String signature, String[] exceptions) {
                        MethodVisitor out = super.visitMethod(access, method, type, signature, exceptions);
                        String part = simple + "." + method;
                        return (access & Opcodes.ACC_STATIC) == 0 || !methods.contains(part)
                                ? out
                                : new Fuse(out, part);
                    }
                },
                0);
        return writer.toByteArray();
    }

    /** Throws what is asked for before a method does anything. */
    private static final class Fuse extends MethodVisitor {

        private final String part;

        Fuse(MethodVisitor out, String part) {
            super(Opcodes.ASM9, out);
            this.part = part;
        }

        @Override
        public void visitCode() {
            super.visitCode();
            for (String thrown : THROWN) {
                Label on = new Label();
                visitLdcInsn(part + " " + thrown);
                visitLdcInsn(FAILING);
                visitMethodInsn(
                        Opcodes.INVOKESTATIC,
                        "java/lang/System",
                        "getProperty",
                        "(Ljava/lang/String;)Ljava/lang/String;",
                        false);
                visitMethodInsn(Opcodes.INVOKEVIRTUAL, "java/lang/String", "equals", "(Ljava/lang/Object;)Z", false);
                visitJumpInsn(Opcodes.IFEQ, on);
                visitTypeInsn(Opcodes.NEW, thrown);
                visitInsn(Opcodes.DUP);
                visitMethodInsn(Opcodes.INVOKESPECIAL, thrown, "<init>", "()V", false);
                visitInsn(Opcodes.ATHROW);
                visitLabel(on);
                visitFrame(Opcodes.F_SAME, 0, null, 0, null);
            }
        }
    }
}
