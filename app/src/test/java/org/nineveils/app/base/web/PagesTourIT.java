package org.nineveils.app.base.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.LoadState;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.TestInstance;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.FieldSource;
import org.nineveils.app.testing.Axe;
import org.nineveils.app.testing.Clipped;
import org.nineveils.app.testing.RunningApp;
import org.nineveils.app.testing.RunningApp.ObservedPage;
import org.nineveils.app.testing.Workplace;

/**
 * Every page, loaded once: it breaks no rule that axe-core calls serious or critical (WCAG 2.2,
 * levels A and AA) in a bright and in a dim room, and all its words can be read at every usual size
 * of a window.
 */
@TestInstance(TestInstance.Lifecycle.PER_CLASS)
class PagesTourIT {
  /** Where the demo has something at an address with parts. */
  private static final Map<String, String> IN_THE_DEMO =
      Map.of(
          "/kits/{id}", "/kits/2",
          "/find", "/find?q=soft",
          "/bench/{id}", "/bench/26",
          "/fitting/{id}", "/fitting/of?wardrobe=kit:2&photo=2",
          "/proofs/{kit}", "/proofs/2",
          "/photos/{id}", "/photos/6",
          "/collections/{id}", "/collections/1",
          "/collections/{id}/buyer", "/collections/1/buyer",
          "/desk/find", "/desk/find?q=soft");

  static final List<String> ADDRESSES =
      SitePage.ALL.stream()
          .filter(SitePage::linked)
          .map(p -> IN_THE_DEMO.getOrDefault(p.address(), p.address()))
          .filter(address -> !address.contains("{") && !address.equals("/log-in"))
          .distinct()
          .toList();

  private ObservedPage observed;

  @BeforeAll
  void open() {
    observed = RunningApp.demo().page();
  }

  @AfterAll
  void close() {
    observed.close();
  }

  @ParameterizedTest
  @FieldSource("ADDRESSES")
  void everyPageCanBeReadByAllInEveryLightAndSize(String address) {
    Page page = observed.page();
    observed.faults().clear(); // of the page before
    page.setViewportSize(1280, 800);
    page.navigate(address);
    page.waitForLoadState(LoadState.DOMCONTENTLOADED);
    if (page.locator("[data-stage]").count() > 0 && page.locator("[data-saved]").count() > 0) {
      new Workplace(page).settle();
    }
    for (String room : new String[] {"bright", "dim"}) {
      page.evaluate("room => document.documentElement.dataset.room = room", room);
      assertThat(Axe.faults(page)).as(room).isEmpty();
    }
    for (int[] size : Clipped.SIZES) {
      page.setViewportSize(size[0], size[1]);
      page.waitForFunction(
          "() => new Promise(d => requestAnimationFrame(() => requestAnimationFrame(() => d(true))))");
      assertThat(Clipped.on(page)).as("%d wide", size[0]).isEmpty();
    }
    assertThat(observed.faults()).isEmpty();
  }
}
