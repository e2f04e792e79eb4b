package org.wiseember.desktop;

import static com.tngtech.archunit.base.DescribedPredicate.alwaysTrue;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideInAPackage;
import static com.tngtech.archunit.core.domain.JavaClass.Predicates.resideOutsideOfPackage;
import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** The arrows between modules and what the core may touch. */
public class ArrowsTest {
  /** What runs found, as others build on it. */
  private static final String FOUND = "org.wiseember.trial.kind.found..";

  private JavaClasses classes;

  @BeforeClass
  public void read() {
    classes =
        new ClassFileImporter()
            .withImportOption(
                from -> !from.contains("-tests.jar") && !from.contains("/test-classes/"))
            .importPackages("org.wiseember");
  }

  @Test
  public void theCoreIsPureComputation() {
    noClasses()
        .that()
        .resideInAPackage("org.wiseember.core..")
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage(
            "java.io..",
            "java.nio..",
            "java.sql..",
            "java.net..",
            "java.awt..",
            "javafx..",
            "java.util.logging..",
            "org.wiseember.bench..",
            "org.wiseember.workbook..",
            "org.wiseember.report..",
            "org.wiseember.trial..",
            "org.wiseember.desktop..")
        .check(classes);
    noClasses()
        .that()
        .resideInAPackage("org.wiseember.core..")
        .should()
        .dependOnClassesThat()
        .haveFullyQualifiedName("java.time.Clock")
        .orShould()
        .callMethod(System.class, "currentTimeMillis")
        .orShould()
        .callMethod(System.class, "nanoTime")
        .check(classes);
  }

  @Test
  public void benchWorkbookAndReportKnowOnlyTheCore() {
    for (String one : new String[] {"bench", "workbook", "report"}) {
      for (String other : new String[] {"bench", "workbook", "report", "trial", "desktop"}) {
        if (!one.equals(other)) {
          noClasses()
              .that()
              .resideInAPackage("org.wiseember." + one + "..")
              .should()
              .dependOnClassesThat()
              .resideInAPackage("org.wiseember." + other + "..")
              .check(classes);
        }
      }
    }
  }

  @Test
  public void onlyTheWindowKnowsTheToolkit() {
    noClasses()
        .that()
        .resideOutsideOfPackage("org.wiseember.desktop..")
        .should()
        .dependOnClassesThat()
        .resideInAPackage("javafx..")
        .check(classes);
  }

  /** What the window works on can be looked at without one. */
  @Test
  public void modelsKnowNoScene() {
    noClasses()
        .that()
        .resideInAPackage("org.wiseember.desktop.model..")
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage("javafx.scene..", "javafx.stage..")
        .check(classes);
  }

  /** Procedures run on the bench clock alone. */
  @Test
  public void proceduresNeverReadTheWallClock() {
    noClasses()
        .that()
        .resideInAnyPackage("org.wiseember.bench.procedure..", "org.wiseember.bench.simulated..")
        .should()
        .callMethod(System.class, "nanoTime")
        .orShould()
        .callMethod(System.class, "currentTimeMillis")
        .orShould()
        .dependOnClassesThat()
        .resideInAPackage("java.time..")
        .check(classes);
  }

  /** Inside of any module, no package needs one that needs it. */
  @Test
  public void packagesDoNotGoRoundInCircles() {
    for (String module : new String[] {"core", "bench", "workbook", "report", "trial", "desktop"}) {
      slices()
          .matching("org.wiseember." + module + ".(**)")
          .should()
          .beFreeOfCycles()
          .check(classes);
    }
  }

  /** Charts are described by data; how they are drawn is known in one place, and shown in one. */
  @Test
  public void chartsAreDescribedAndNotDrawn() {
    noClasses()
        .that()
        .resideOutsideOfPackages(
            "org.wiseember.report.chart..",
            "org.wiseember.desktop.look..",
            "org.wiseember.desktop.model..")
        .should()
        .dependOnClassesThat()
        .resideInAPackage("org.jfree..")
        .check(classes);
  }

  /** What is typed is read by one reader, so that it means the same in every field. */
  @Test
  public void theWindowReadsNoNumbersOfItsOwn() {
    noClasses()
        .that()
        .resideInAPackage("org.wiseember.desktop..")
        .should()
        .callMethod(Double.class, "parseDouble", String.class)
        .orShould()
        .callMethod(Double.class, "valueOf", String.class)
        .check(classes);
  }

  /** Whoever wants what a test found asks for what was found, and the registry alone knows all. */
  @Test
  public void nobodyOutsideKnowsATest() {
    noClasses()
        .that()
        .resideOutsideOfPackage("org.wiseember.trial.kind..")
        .and()
        .doNotHaveSimpleName("AllTests")
        .should()
        .dependOnClassesThat(
            resideInAPackage("org.wiseember.trial.kind.*..").and(resideOutsideOfPackage(FOUND)))
        .check(classes);
  }

  /** A test knows the pages it makes and what all tests share, and no other test. */
  @Test
  public void aTestKnowsNoOtherTest() {
    slices()
        .matching("org.wiseember.trial.kind.(*)..")
        .should()
        .notDependOnEachOther()
        .ignoreDependency(alwaysTrue(), resideInAPackage(FOUND))
        .check(classes);
    noClasses()
        .that()
        .resideInAPackage("org.wiseember.trial.kind..")
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage(
            "org.wiseember.trial",
            "org.wiseember.trial.verdict..",
            "org.wiseember.trial.rig..",
            "org.wiseember.trial.record..",
            "org.wiseember.trial.page..",
            "org.wiseember.trial.demo..")
        .check(classes);
  }
}
