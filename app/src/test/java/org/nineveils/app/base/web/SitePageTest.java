package org.nineveils.app.base.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.domain.JavaMethod;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.List;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ResponseBody;

class SitePageTest {
  /** A method of a controller that gives a name of a template, or where to go. */
  private static boolean isPage(JavaMethod m) {
    return m.isAnnotatedWith(GetMapping.class)
        && m.getRawReturnType().isEquivalentTo(String.class)
        && !m.isAnnotatedWith(ResponseBody.class);
  }

  @Test
  void everyPageThatAControllerAnswersIsListedAndNoOther() {
    TreeSet<String> answered = new TreeSet<>();
    for (JavaClass c :
        new ClassFileImporter()
            .withImportOption(new ImportOption.DoNotIncludeTests())
            .importPackages("org.nineveils.app")) {
      if (c.isAnnotatedWith(Controller.class)) {
        c.getMethods().stream()
            .filter(SitePageTest::isPage)
            .forEach(
                m -> answered.addAll(List.of(m.getAnnotationOfType(GetMapping.class).value())));
      }
    }
    assertThat(SitePage.ALL.stream().map(SitePage::address).toList())
        .containsExactlyInAnyOrderElementsOf(answered);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "/",
        "/kits",
        "/kits/17",
        "/stall",
        "/stall/abc-def",
        "/find",
        "/safe",
        "/desk/find",
        "/folders"
      })
  void aLinkInAMailMayLeadToAPageThatOnlyShows(String path) {
    assertThat(SitePage.isLinked(path)).isTrue();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "/fitting/of",
        "/kits/x",
        "/kits/1/2",
        "/kits/12345678901234567890",
        "/api/kits",
        "/stall/abc/file",
        "/effects/1/small",
        "/kits/1/"
      })
  void noLinkFromElsewhereStartsAnythingOrRenders(String path) {
    assertThat(SitePage.isLinked(path)).isFalse();
  }
}
