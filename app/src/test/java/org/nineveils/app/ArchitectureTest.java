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
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class ArchitectureTest {
  private static final int MOST_LINES = 300;
  private static final String MAIN = "src/main/java/org/nineveils/app";
  private static final JavaClasses APP =
      new ClassFileImporter()
          .withImportOption(new ImportOption.DoNotIncludeTests())
          .importPackages("org.nineveils.app");

  @Test
  void aWingKnowsOnlyThoseBelowIt() {
    Wings.arrows(APP)
        .forEach(
            (arrow, classes) -> {
              String[] ends = arrow.split(" ", -1);
              assertThat(Wings.UPWARDS).contains(ends);
              assertThat(Wings.UPWARDS.indexOf(ends[0]))
                  .as("%s knows %s: %s", ends[0], ends[1], classes)
                  .isGreaterThan(Wings.UPWARDS.indexOf(ends[1]));
            });
    assertThat(Wings.rooms(APP).keySet()).containsExactlyInAnyOrderElementsOf(Wings.UPWARDS);
  }

  @Test
  void roomsDoNotDependOnEachOtherInCircles() {
    slices().matching("org.nineveils.app.(*).(*)..").should().beFreeOfCycles().check(APP);
  }

  /** Each says what it is, where to start in it and what it must not know. */
  @Test
  void everyWingIntroducesItself() throws IOException {
    for (String wing : Wings.UPWARDS) {
      String said =
          Files.readString(Path.of(MAIN, wing, "package-info.java")).replaceAll("[\\s*]+", " ");
      assertThat(said).as(wing).contains("Start").contains("knows nothing of");
    }
  }

  /**
   * Scripts, templates and styles lie in the same wings, and know one another in the same order.
   */
  @Test
  void scriptsTemplatesAndStylesLieInTheWings() throws IOException {
    Pattern script = Pattern.compile("(?:from|import\\()\\s*\"([^\"]+\\.js)\"");
    Pattern part = Pattern.compile("~\\{([a-z]+)/|\"@?\\{?/js/([a-z]+)/");
    for (Path file : files("src/main/resources/static/js")) {
      Path root = Path.of("src/main/resources/static/js");
      Matcher found = script.matcher(Files.readString(file));
      while (found.find()) {
        Path other = file.getParent().resolve(found.group(1)).normalize();
        assertThat(other).exists();
        knows(file, floor(root, file), floor(root, other));
      }
    }
    for (Path file : files("src/main/resources/templates")) {
      if (file.getParent().endsWith("templates")) {
        continue; // error.html, which Spring Boot looks for there
      }
      int floor = floor(Path.of("src/main/resources/templates"), file);
      Matcher found = part.matcher(Files.readString(file));
      while (found.find()) {
        String wing = found.group(1) == null ? found.group(2) : found.group(1);
        knows(file, floor, Wings.UPWARDS.indexOf(wing));
      }
    }
    for (Path file : files("src/main/css")) {
      assertThat(file.endsWith("nine-veils.css") || floor(Path.of("src/main/css"), file) >= 0)
          .as(file.toString())
          .isTrue();
    }
  }

  private static void knows(Path who, int own, int other) {
    assertThat(own).as("%s lies in a wing", who).isNotNegative();
    assertThat(other).as("%s looks up", who).isBetween(0, own);
  }

  private static int floor(Path root, Path file) {
    return Wings.UPWARDS.indexOf(root.relativize(file).getName(0).toString());
  }

  private static List<Path> files(String root) throws IOException {
    try (Stream<Path> all = Files.walk(Path.of(root))) {
      return all.filter(Files::isRegularFile).toList();
    }
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
      for (Path file : files(root)) {
        assertThat(Files.readAllLines(file))
            .as(file.toString())
            .hasSizeLessThanOrEqualTo(MOST_LINES);
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
