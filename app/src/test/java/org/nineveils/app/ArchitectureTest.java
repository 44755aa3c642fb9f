package org.nineveils.app;

import static com.tngtech.archunit.lang.syntax.ArchRuleDefinition.classes;
import static com.tngtech.archunit.library.dependencies.SlicesRuleDefinition.slices;
import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.base.DescribedPredicate;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class ArchitectureTest {
  private static final int MOST_LINES = 300;
  private static final JavaClasses APP =
      new ClassFileImporter()
          .withImportOption(new ImportOption.DoNotIncludeTests())
          .importPackages("org.nineveils.app");

  @Test
  void featuresDoNotDependOnEachOtherInCircles() {
    slices().matching("org.nineveils.app.(*)..").should().beFreeOfCycles().check(APP);
  }

  @Test
  void featuresDoNotReachIntoEachOthersStores() {
    classes()
        .that(
            DescribedPredicate.describe(
                "are stores", (JavaClass c) -> c.getSimpleName().endsWith("Store")))
        .should()
        .bePackagePrivate()
        .check(APP);
  }

  @Test
  void scriptsStylesAndClassesAreSmall() throws IOException {
    for (String root :
        new String[] {"src/main/java", "src/main/resources/static/js", "src/main/css"}) {
      try (Stream<Path> all = Files.walk(Path.of(root))) {
        for (Path file : all.filter(Files::isRegularFile).toList()) {
          assertThat(Files.readAllLines(file))
              .as(file.toString())
              .hasSizeLessThanOrEqualTo(MOST_LINES);
        }
      }
    }
  }

  /** What is stored and sent has the digits of no locale. */
  @Test
  void numbersGoIntoTextByTheRootLocale() throws IOException {
    Pattern number =
        Pattern.compile("%[-#+ 0,(]*\\d*(\\.\\d+)?[dfeEgGx][^\"]*\"\\s*\\.formatted\\(");
    for (String root : new String[] {"../core", "../guide", "../cli", "."}) {
      try (Stream<Path> all = Files.walk(Path.of(root, "src/main/java"))) {
        for (Path file : all.filter(f -> f.toString().endsWith(".java")).toList()) {
          assertThat(number.matcher(Files.readString(file).replace("%%", "")).find())
              .as("%s: String.format(Locale.ROOT, …) instead of formatted", file)
              .isFalse();
        }
      }
    }
  }

  /**
   * Every control of a page gets its script from a file of ours: no inline code, no inline style.
   */
  @Test
  void templatesHoldNoCodeAndNoStyle() throws IOException {
    try (Stream<Path> all = Files.walk(Path.of("src/main/resources/templates"))) {
      for (Path file : all.filter(f -> f.toString().endsWith(".html")).toList()) {
        assertThat(Files.readString(file))
            .as(file.toString())
            .doesNotContain(" style=", "<style", "onclick", "javascript:", "th:utext");
      }
    }
  }
}
