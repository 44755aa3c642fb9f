package org.nineveils.app.proofs;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import org.junit.jupiter.api.Test;
import org.nineveils.app.testing.RunningApp;
import org.nineveils.app.testing.Workplace;

class ProofsIT {
  @Test
  void theSheetFillsInStopsAndGoesOnAndACellOpensTheBench() {
    try (var observed = RunningApp.demo().page()) {
      Page page = observed.page();
      page.navigate("/proofs/1");
      page.locator("[data-cell] img").first().waitFor();
      if (page.locator("[data-stop]").isVisible()) {
        page.locator("[data-stop]").click();
        page.locator("[data-start]").waitFor();
        assertThat(page.locator("[data-count]").innerText()).contains("stopped");
        page.navigate("/kits");
        page.navigate("/proofs/1");
        page.locator("[data-start]").click();
      }
      int cells = page.locator("[data-cell]").count();
      assertThat(cells).isGreaterThanOrEqualTo(8 * 11);
      page.waitForFunction("n => document.querySelectorAll('[data-cell] img').length === n", cells);
      page.waitForFunction(
          "() => [...document.querySelectorAll('tbody tr:first-child [data-cell] img')].slice(0, 4).every(i => i.naturalWidth > 100)");
      assertThat(page.locator("[data-count]").innerText())
          .isEqualTo(cells + " of " + cells + " proofs");

      page.locator("[aria-label='Chalk on Ginger cat']").click();
      page.waitForURL("**/bench/*");
      new Workplace(page).settle();
      assertThat(page.locator(".crumbs b").innerText()).isEqualTo("Chalk");
      assertThat(page.locator(".strip [aria-current=true]").getAttribute("title"))
          .isEqualTo("Ginger cat");
      assertThat(observed.faults()).isEmpty();
    }
  }
}
