package org.nineveils;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.noClasses;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class ArchitectureTest {
  private static final int MOST_LINES = 300;
  private static final JavaClasses CORE =
      new ClassFileImporter()
          .withImportOption(new ImportOption.DoNotIncludeTests())
          .importPackages("org.nineveils");

  @Test
  void coreKnowsNoInterfaceAndNoDatabase() {
    noClasses()
        .should()
        .dependOnClassesThat()
        .resideInAnyPackage("org.springframework..", "jakarta..", "java.sql..", "javax.sql..")
        .check(CORE);
  }

  @Test
  void packagesDoNotDependOnEachOtherInCircles() {
    slices().matching("org.nineveils.(*)..").should().beFreeOfCycles().check(CORE);
  }

  @Test
  void kindsDoNotKnowTheRendererNorEachOther() {
    noClasses()
        .that()
        .resideInAPackage("org.nineveils.veil..")
        .should()
        .dependOnClassesThat()
        .resideInAPackage("org.nineveils.stack..")
        .orShould()
        .dependOnClassesThat()
        .resideInAPackage("org.nineveils.file..")
        .check(CORE);
    slices().matching("org.nineveils.veil.(*)..").should().notDependOnEachOther().check(CORE);
  }

  @Test
  void onlyDocumentsAndReleasesKnowJson() {
    noClasses()
        .that()
        .resideOutsideOfPackages("org.nineveils.document..")
        .should()
        .dependOnClassesThat()
        .resideInAPackage("tools.jackson..")
        .check(CORE);
  }

  @Test
  void filesAreSmallAndPackagesDescribed() throws IOException {
    for (Path file : sources()) {
      assertThat(Files.readAllLines(file)).as(file.toString()).hasSizeLessThanOrEqualTo(MOST_LINES);
      assertThat(file.resolveSibling("package-info.java")).exists();
    }
  }

  private static List<Path> sources() throws IOException {
    try (Stream<Path> all = Files.walk(Path.of("src/main/java"))) {
      return all.filter(f -> f.toString().endsWith(".java")).toList();
    }
  }
}
