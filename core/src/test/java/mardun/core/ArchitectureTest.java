package mardun.core;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;

@AnalyzeClasses(packages = "mardun.core", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {

    @ArchTest
    static final ArchRule onlyTheRulesOfTheTrade = noClasses()
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage(
                    "org.springframework..",
                    "jakarta..",
                    "javax.sql..",
                    "java.sql..",
                    "java.net..",
                    "tools.jackson..",
                    "com.fasterxml.jackson..",
                    "org.hibernate..");

    @ArchTest
    static final ArchRule noCirclesBetweenSubjects =
            slices().matching("mardun.core.(*)..").should().beFreeOfCycles();

    @ArchTest
    static final ArchRule measuresStandAlone = noClasses()
            .that()
            .resideInAPackage("mardun.core.measure..")
            .should()
            .dependOnClassesThat()
            .resideInAnyPackage("mardun.core.design..", "mardun.core.working..", "mardun.core.batch..");

    @ArchTest
    static final ArchRule noClockOfItsOwn = noClasses()
            .should()
            .callMethod(java.time.LocalDate.class, "now")
            .orShould()
            .callMethod(java.time.Instant.class, "now");
}
