package ration;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import ration.aircraft.model.Item;
import ration.aircraft.model.TankShape;
import ration.record.evidence.Work;

/** The rooms of the core and which doors lie between them. */
class ArchitectureTest {

    private static final JavaClasses CORE = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("ration");

    @Test
    void packagesFormNoCycle() {
        slices().matching("ration.(*).(*)..").should().beFreeOfCycles().check(CORE);
    }

    /** The wings from the ground up: each knows those before it, and none after. */
    private static final List<String> WINGS =
            List.of("base", "solver", "verdict", "aircraft", "physics", "record", "answer", "publish");

    @Test
    void aWingKnowsOnlyThoseBelowIt() {
        for (int i = 0; i < WINGS.size() - 1; i++) {
            noClasses()
                    .that()
                    .resideInAPackage("ration." + WINGS.get(i) + "..")
                    .should()
                    .dependOnClassesThat()
                    .resideInAnyPackage(WINGS.subList(i + 1, WINGS.size()).stream()
                            .map(w -> "ration." + w + "..")
                            .toArray(String[]::new))
                    .check(CORE);
        }
        assertThat(CORE.stream().map(c -> c.getPackageName().split("\\.")[1]).distinct())
                .containsExactlyInAnyOrderElementsOf(WINGS);
    }

    @Test
    void theModelKnowsNoNetwork() {
        noClasses()
                .that()
                .resideInAPackage("ration.aircraft..")
                .should()
                .dependOnClassesThat()
                .resideInAPackage("ration.solver..")
                .check(CORE);
    }

    @Test
    void noInterfaceCodeInTheCore() {
        noClasses()
                .should()
                .dependOnClassesThat()
                .resideInAnyPackage("javafx..", "java.awt..", "javax.swing..")
                .check(CORE);
    }

    @Test
    void onlyFilesAndReferencesKnowJson() {
        noClasses()
                .that()
                .resideOutsideOfPackages("ration.record.file..", "ration.solver.reference..")
                .should()
                .dependOnClassesThat()
                .resideInAPackage("com.fasterxml..")
                .check(CORE);
    }

    @Test
    void theSolverKnowsNothingOfAircraft() {
        classes()
                .that()
                .resideInAPackage("ration.solver.network..")
                .should()
                .onlyDependOnClassesThat()
                .resideInAnyPackage("ration.solver.network..", "ration.base.fluid..", "org.ejml..", "java..")
                .check(CORE);
    }

    /** tools/format lays the code out; what it cannot break, a text too long for its line, is broken by hand. */
    @Test
    void noLineIsTooLong() throws IOException {
        List<String> found = new ArrayList<>();
        for (String module : List.of("core", "cli", "desktop", "bench")) {
            try (Stream<Path> sources = Files.walk(Path.of("..", module, "src"))) {
                for (Path source :
                        sources.filter(p -> p.toString().endsWith(".java")).toList()) {
                    Files.readAllLines(source).stream()
                            .filter(l -> l.length() > 120)
                            .forEach(l -> found.add(source.getFileName() + ": " + l.strip()));
                }
            }
        }
        assertThat(found).isEmpty();
    }

    /** Files are written in one place, whole or as they were; a rig's lines alone are read while they are written. */
    @Test
    void filesAreWrittenInOnePlace() throws IOException {
        Pattern writes =
                Pattern.compile("Files\\s*\\.(write|writeString|newBufferedWriter|newOutputStream|copy|move)\\(|new"
                        + " (FileOutputStream|FileWriter|RandomAccessFile)\\(");
        List<String> found = new ArrayList<>();
        for (String module : List.of("core", "cli", "desktop")) {
            try (Stream<Path> sources = Files.walk(Path.of("..", module, "src", "main", "java"))) {
                for (Path source :
                        sources.filter(p -> p.toString().endsWith(".java")).toList()) {
                    if (writes.matcher(Files.readString(source)).find()) {
                        found.add(source.getFileName().toString());
                    }
                }
            }
        }
        assertThat(found).containsExactlyInAnyOrder("SafeWrite.java", "RigCommand.java");
    }

    @Test
    void nothingPrints() {
        noClasses()
                .should()
                .accessField(System.class, "out")
                .orShould()
                .accessField(System.class, "err")
                .check(CORE);
    }

    /**
     * Who answers by kind does so by a visit, or asks one item whether it is of one kind: a ladder of questions forgets
     * a new kind without a word.
     */
    @Test
    void kindsAreAskedByVisit() {
        assertThat(CORE.stream()
                        .filter(c -> !c.getPackageName().equals("ration.aircraft.model"))
                        .filter(c -> c.getInstanceofChecks().stream()
                                .anyMatch(i -> List.of(Item.class, TankShape.class, Work.class).stream()
                                        .anyMatch(kind -> i.getRawType().isAssignableTo(kind))))
                        .map(JavaClass::getName))
                .isEmpty();
    }
}
