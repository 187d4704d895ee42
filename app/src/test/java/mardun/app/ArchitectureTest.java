package mardun.app;

import static com.tngtech.archunit.base.DescribedPredicate.describe;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaModifier;
import com.tngtech.archunit.core.importer.ImportOption;
import com.tngtech.archunit.junit.AnalyzeClasses;
import com.tngtech.archunit.junit.ArchTest;
import com.tngtech.archunit.lang.ArchRule;
import jakarta.persistence.AttributeConverter;
import jakarta.persistence.Entity;
import mardun.app.settings.Settings;
import org.hibernate.annotations.Immutable;
import org.springframework.data.repository.Repository;
import org.springframework.web.bind.annotation.RestController;

@AnalyzeClasses(packages = "mardun.app", importOptions = ImportOption.DoNotIncludeTests.class)
class ArchitectureTest {

    @ArchTest
    static final ArchRule areasDoNotGoInCircles = slices().matching("mardun.app.(*)..")
            .should()
            .beFreeOfCycles()
            .ignoreDependency(
                    describe(
                            "the start of the application",
                            c -> c.getPackageName().equals("mardun.app")),
                    describe("anything", c -> true));

    @ArchTest
    static final ArchRule repositoriesStayInTheirArea =
            classes().that().areAssignableTo(Repository.class).should().bePackagePrivate();

    @ArchTest
    static final ArchRule entitiesStayInTheirArea = classes()
            .that()
            .areAnnotatedWith(Entity.class)
            .and(describe("aren't the settings", c -> !c.isEquivalentTo(Settings.class)))
            .should()
            .bePackagePrivate();

    /** Else each value is written and read once more with each row, to have a copy to compare it with. */
    @ArchTest
    static final ArchRule valuesInColumnsAreReplacedNeverChanged = classes()
            .that()
            .areAssignableTo(AttributeConverter.class)
            .and()
            .doNotHaveModifier(JavaModifier.ABSTRACT)
            .should()
            .beAnnotatedWith(Immutable.class);

    @ArchTest
    static final ArchRule controllersLeaveTheWorkToServices = noClasses()
            .that()
            .areAnnotatedWith(RestController.class)
            .should()
            .dependOnClassesThat()
            .areAssignableTo(Repository.class);

    @ArchTest
    static final ArchRule timeComesFromTheClock = noClasses()
            .should()
            .callMethod(java.time.LocalDate.class, "now")
            .orShould()
            .callMethod(java.time.Instant.class, "now");
}
