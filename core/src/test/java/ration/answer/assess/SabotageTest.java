package ration.answer.assess;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.Callable;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.objectweb.asm.ClassReader;
import org.objectweb.asm.ClassVisitor;
import org.objectweb.asm.ClassWriter;
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

    @ParameterizedTest
    @CsvSource({
        "FlowChecks, of, flow.checked",
        "FirewallChecks, of, firewall.checked",
        "PathChecks, of, paths.checked",
        "PressureChecks, of, pressures.checked",
        "TankChecks, of, tanks.checked",
        "BuildChecks, of, build.checked",
        "VaporChecks, of, vapor.checked",
        "AirChecks, of, air.checked",
        "ProofChecks, of, proof.checked",
        "ProofChecks, program, proof.checked",
        "VaporAnswer, of, vapor.checked",
        "AirAnswer, of, air.checked"
    })
    void theRestStandsAndNothingHoldsByIt(String part, String method, String toldBy) throws Exception {
        Map<String, String> whole = new Found().call();
        assertThat(whole).doesNotContainKey(toldBy);
        for (String thrown : new String[] {"java/lang/IllegalStateException", "java/lang/StackOverflowError"}) {
            Map<String, String> left = found("ration.answer.assess." + part, method, thrown);
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

    @SuppressWarnings("unchecked")
    private static Map<String, String> found(String part, String method, String thrown) throws Exception {
        Apart program = new Apart((name, read) -> name.equals(part) ? failing(read, method, thrown) : read);
        return ((Callable<Map<String, String>>)
                        program.seen(Found.class).getConstructor().newInstance())
                .call();
    }

    /** The class with the body of its static methods of a name replaced by a throw. */
    private static byte[] failing(byte[] read, String method, String thrown) {
        ClassReader reader = new ClassReader(read);
        ClassWriter writer = new ClassWriter(ClassWriter.COMPUTE_MAXS);
        reader.accept(
                new ClassVisitor(Opcodes.ASM9, writer) {
                    @Override
                    public MethodVisitor visitMethod(
                            int access, String name, String type, String signature, String[] exceptions) {
                        MethodVisitor out = super.visitMethod(access, name, type, signature, exceptions);
                        if (!name.equals(method) || (access & Opcodes.ACC_STATIC) == 0) {
                            return out;
                        }
                        out.visitCode();
                        out.visitTypeInsn(Opcodes.NEW, thrown);
                        out.visitInsn(Opcodes.DUP);
                        out.visitMethodInsn(Opcodes.INVOKESPECIAL, thrown, "<init>", "()V", false);
                        out.visitInsn(Opcodes.ATHROW);
                        out.visitMaxs(0, 0);
                        out.visitEnd();
                        // what it did is dropped
                        return null;
                    }
                },
                0);
        return writer.toByteArray();
    }
}
