package ration;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static java.util.Map.entry;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import ration.model.Item;

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

    /**
     * Who answers by kind does so by a visit: a ladder of questions forgets a new kind without a word. What still asks more
     * than twice is named here with how often; the numbers only go down.
     */
    @Test
    void kindsAreAskedByVisit() {
        Map<String, Long> asking = new TreeMap<>();
        for (JavaClass c : CORE) {
            long n = c.getPackageName().equals("ration.model") ? 0 : c.getInstanceofChecks().stream().filter(i -> i.getRawType()
                    .isAssignableTo(Item.class)).count();
            if (n > 2) {
                asking.merge(c.getName().replaceAll("\\$.*", "").replaceAll(".*\\.", ""), n, Long::sum);
            }
        }
        assertThat(asking).allSatisfy((name, n) -> assertThat(n).as(name).isLessThanOrEqualTo(LADDERS.getOrDefault(name, 0)));
    }

    private static final Map<String, Integer> LADDERS = Map.ofEntries(entry("AirPicture", 3), entry("Arrangement", 8), entry(
            "Checks", 4), entry("HeadBudget", 6), entry("Labels", 8), entry("LayoutEdits", 16), entry("MoreDegrees", 5), entry(
            "PathHeat", 6), entry("PathLine", 3), entry("PathProfile", 8), entry("PatternSheet", 3), entry("PickedItem", 4), entry(
            "Schematic", 4), entry("SchematicPart", 3), entry("SoakPath", 5), entry("TakenGround", 3), entry("VaporChecks", 3));
}
