package org.nineveils.app.house.door;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.microsoft.playwright.Page;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.nineveils.app.base.web.SitePage;
import org.nineveils.app.testing.Axe;
import org.nineveils.app.testing.Http;
import org.nineveils.app.testing.RunningApp;

/** A house of one's own: each side has its door, and the desk leads nowhere into the workshop. */
class FrontDoorIT {
  @TempDir Path folder;

  private static List<String> doorsToTheWorkshop(Page page) {
    List<String> maker = SitePage.of(SitePage.Head.MAKER).stream().map(SitePage::address).toList();
    List<String> out = new ArrayList<>();
    for (Object href : (List<?>) page.evaluate("() => [...document.links].map(a => a.pathname)")) {
      if (maker.stream().anyMatch(m -> href.equals(m) || href.toString().startsWith(m + "/"))) {
        out.add(page.url() + " → " + href);
      }
    }
    return out;
  }

  @Test
  void anEmptyHouseAsksOnceAndTheDeskLeadsNowhereIntoTheWorkshop() {
    try (RunningApp app = RunningApp.on(folder, 0);
        var observed = app.page()) {
      Page page = observed.page();
      page.navigate("/");
      page.waitForURL("**/start");
      assertThat(Axe.faults(page)).isEmpty();
      page.keyboard().press("Tab");
      page.getByText("I take photos").click();
      page.waitForURL("**/desk");
      page.navigate("/");
      page.waitForURL("**/desk");
      List<String> doors = new ArrayList<>();
      for (String at :
          List.of(
              "/desk",
              "/desk/find",
              "/desk/photos",
              "/folders",
              "/desk/stall",
              "/stall",
              "/desk/77",
              "/desk/no-page",
              "/stall/none")) {
        page.navigate(at);
        doors.addAll(doorsToTheWorkshop(page));
        assertThat(page.locator("body").innerText()).doesNotContain("Pack a collection");
      }
      assertThat(doors).isEmpty();
      page.navigate("/desk/77");
      page.getByText("Back to the desk").click();
      page.waitForURL("**/desk");
      observed.faults().removeIf(f -> f.contains("status of 4"));
      assertThat(observed.faults()).isEmpty();
    }
    try (RunningApp again = RunningApp.on(folder, 0)) {
      assertThat(leadsTo(again)).as("remembered").isEqualTo("/desk");
    }
    try (RunningApp told = RunningApp.on(folder, 0, "--nineveils.side=maker")) {
      assertThat(leadsTo(told)).as("the setting goes before").isEqualTo("/kits");
    }
  }

  @Test
  void aSideThatIsNoneKeepsItFromStarting() {
    assertThatThrownBy(() -> RunningApp.on(folder, 0, "--nineveils.side=both"))
        .hasStackTraceContaining("nineveils.side is both; it takes maker or desk.");
  }

  private static String leadsTo(RunningApp app) {
    return new Http(app)
        .get("/")
        .headers()
        .firstValue("Location")
        .orElse("")
        .replaceAll("https?://[^/]*", "");
  }

  @Test
  void whatThereIsTellsWhereNothingWasSaid() {
    assertThat(leadsTo(RunningApp.demo())).isEqualTo("/kits");
    assertThat(new Http(RunningApp.demo()).json("POST", "/api/start", "{\"side\":\"both\"}").body())
        .contains("maker or desk");
  }
}
