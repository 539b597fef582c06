package ration;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import org.junit.jupiter.api.Test;

/** The rooms of the core and which doors lie between them. */
class ArchitectureTest {

    private static final JavaClasses CORE = new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests()).importPackages("ration");

    @Test
    void packagesFormNoCycle() {
        slices().matching("ration.(*)..").should().beFreeOfCycles().check(CORE);
    }

    @Test
    void noInterfaceCodeInTheCore() {
        noClasses().should().dependOnClassesThat().resideInAnyPackage("javafx..", "java.awt..", "javax.swing..")
                .check(CORE);
    }

    @Test
    void onlyFilesAndReferencesKnowJson() {
        noClasses().that().resideOutsideOfPackages("ration.file..", "ration.reference..")
                .should().dependOnClassesThat().resideInAPackage("com.fasterxml..").check(CORE);
    }

    @Test
    void theSolverKnowsNothingOfAircraft() {
        classes().that().resideInAPackage("ration.network..").should().onlyDependOnClassesThat()
                .resideInAnyPackage("ration.network..", "ration.fluid..", "org.ejml..", "java..").check(CORE);
    }

    @Test
    void nothingPrints() {
        noClasses().should().accessField(System.class, "out").orShould().accessField(System.class, "err").check(CORE);
    }
}
