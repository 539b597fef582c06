package ration.answer.assess;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.Callable;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.ClassVisitor;
import org.objectweb.asm.ClassWriter;
import org.objectweb.asm.Label;
import org.objectweb.asm.MethodVisitor;
import org.objectweb.asm.Opcodes;
import ration.Apart;
import ration.Systems;
import ration.verdict.check.Finding;
import ration.verdict.check.Verdict;

/**
 * One part of the computation fails, by an exception or by an error of the machine: what does not rest on it stands as
 * it was, what does is Not shown, and nothing holds that did not hold before.
 */
class SabotageTest {

    /** What is found of the first demo. */
    public static final class Found implements Callable<Map<String, String>> {
        @Override
        public Map<String, String> call() {
            Map<String, String> all = new LinkedHashMap<>();
            for (Finding f : Assessment.of(Systems.corrie()).findings()) {
                all.merge(f.id(), f.verdict().name(), (a, b) -> a + " " + b);
            }
            return all;
        }
    }

    /** Names the method that fails and by what; the program that is loaded apart asks it. */
    private static final String FAILING = "ration.test.failing";

    private static final Map<String, String> PARTS = Map.ofEntries(
            Map.entry("FlowChecks.of", "flow.checked"),
            Map.entry("FirewallChecks.of", "firewall.checked"),
            Map.entry("PathChecks.of", "paths.checked"),
            Map.entry("PressureChecks.of", "pressures.checked"),
            Map.entry("TankChecks.of", "tanks.checked"),
            Map.entry("BuildChecks.of", "build.checked"),
            Map.entry("VaporChecks.of", "vapor.checked"),
            Map.entry("ReturnVaporChecks.of", "returns.checked"),
            Map.entry("AirChecks.of", "air.checked"),
            Map.entry("ProofChecks.of", "proof.checked"),
            Map.entry("ProofChecks.program", "proof.checked"),
            Map.entry("VaporAnswer.of", "vapor.checked"),
            Map.entry("AirAnswer.of", "air.checked"));

    private static final String[] THROWN = {"java/lang/IllegalStateException", "java/lang/StackOverflowError"};

    private static Callable<Map<String, String>> program;
    private static Map<String, String> whole;

    /** Loaded once, every part with a way to fail: loaded anew for each, it would be compiled anew for each. */
    @BeforeAll
    @SuppressWarnings("unchecked")
    static void load() throws Exception {
        Apart apart = new Apart(SabotageTest::failing);
        program = (Callable<Map<String, String>>)
                apart.seen(Found.class).getConstructor().newInstance();
        whole = program.call();
        assertThat(whole).as("nothing fails").isEqualTo(new Found().call());
    }

    @AfterAll
    static void heal() {
        System.clearProperty(FAILING);
    }

    static Stream<String> parts() {
        return PARTS.keySet().stream().sorted();
    }

    @ParameterizedTest
    @MethodSource("parts")
    void theRestStandsAndNothingHoldsByIt(String part) throws Exception {
        String toldBy = PARTS.get(part);
        assertThat(whole).doesNotContainKey(toldBy);
        for (String thrown : THROWN) {
            System.setProperty(FAILING, part + " " + thrown);
            Map<String, String> left = program.call();
            assertThat(left).as(thrown).containsEntry(toldBy, Verdict.NOT_SHOWN.name());
            left.forEach((id, verdict) -> {
                if (!verdict.equals(whole.get(id))) {
                    assertThat(verdict)
                            .as(part + " fails by " + thrown + ": " + id)
                            .isEqualTo("NOT_SHOWN");
                }
            });
            assertThat(left).as("what stands").hasSizeGreaterThan(whole.size() / 2);
        }
    }

    /** The class with a way to fail at the head of each method that is named here. */
    private static byte[] failing(String name, byte[] read) {
        String simple = name.substring(name.lastIndexOf('.') + 1);
        if (!name.startsWith("ration.answer.assess.")
                || PARTS.keySet().stream().noneMatch(p -> p.startsWith(simple + "."))) {
            return read;
        }
        ClassReader reader = new ClassReader(read);
        ClassWriter writer = new ClassWriter(ClassWriter.COMPUTE_MAXS);
        reader.accept(
                new ClassVisitor(Opcodes.ASM9, writer) {
                    @Override
                    public MethodVisitor visitMethod(
                            int access, String method, String type, String signature, String[] exceptions) {
                        MethodVisitor out = super.visitMethod(access, method, type, signature, exceptions);
                        String part = simple + "." + method;
                        return (access & Opcodes.ACC_STATIC) == 0 || !PARTS.containsKey(part)
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
