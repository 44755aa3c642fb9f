package org.nineveils.app.making.carry;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.FilePayload;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.nineveils.app.testing.Http;
import org.nineveils.app.testing.RunningApp;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.release.KitFile;
import org.nineveils.release.KitFiles;

class CarryIT {
  private final Http demo = new Http(RunningApp.demo());

  private static KitFile open(byte[] file) {
    return KitFiles.open(file, "file", "Quillfern");
  }

  @Test
  void aKitIsOpenedOnAnotherInstallationEqualInAllThatIsTheMakers() throws Exception {
    http(demo, "/api/rack/3/tag", "{\"effects\": [%d], \"tag\": \"fur\"}".formatted(first(3)));
    byte[] file = demo.bytes("/kits/file?kits=1,3");
    Http other = new Http(RunningApp.empty());
    try (var observed = RunningApp.empty().page()) {
      Page page = observed.page();
      page.navigate("/kits");
      other.upload("/api/kits/open", "two.kits.zip", file);
      page.navigate("/kits");
      assertThat(page.locator(".kit-card h2").allInnerTexts())
          .contains("Willow Basket", "Burr and Whisker");
      KitFile there =
          open(other.bytes("/kits/file?kits=" + ids(page).get(0) + "," + ids(page).get(1)));
      KitFile here = open(file);
      assertThat(there.kits()).isEqualTo(here.kits());
      assertThat(there.pictures().keySet()).isEqualTo(here.pictures().keySet());

      page.locator("[data-open-kits]")
          .setInputFiles(new FilePayload("two.kits.zip", "application/zip", file));
      page.locator("dialog[data-asks]").waitFor();
      assertThat(page.locator("dialog[data-asks]").innerText())
          .contains("“Willow Basket”", "Nothing of yours is replaced");
      page.locator("dialog[data-asks]").getByText("Open them under other names").click();
      page.getByText("2 kits were opened.").waitFor();
      assertThat(page.locator(".kit-card h2").allInnerTexts())
          .contains("Willow Basket 2", "Burr and Whisker 2");
      page.keyboard().press("Control+z");
      page.getByText("Taken back: open 2 kits.").waitFor();
      assertThat(page.locator(".kit-card h2").allInnerTexts()).doesNotContain("Willow Basket 2");
      for (Object id : ids(page)) {
        other.json("DELETE", "/api/kits/" + id, "");
      }
      observed.faults().removeIf(fault -> fault.contains("409"));
      assertThat(observed.faults()).isEmpty();
    }
    demo.json("POST", "/api/rack/3/undo?redo=false", "");
  }

  /** Ids of the two kits that were opened, in order: others live in this application. */
  private static List<?> ids(Page page) {
    return (List<?>)
        page.evaluate(
            """
            () => ["Willow Basket", "Burr and Whisker"].map(name => [...document.querySelectorAll(".kit-card")]
              .find(card => card.querySelector("h2").textContent === name).querySelector("[data-carry]").value)""");
  }

  private long first(int kit) {
    Fields rack = Json.read(demo.get("/api/rack/" + kit).body(), "The rack");
    return rack.objects("effects", e -> e.whole("id")).get(0);
  }

  private static void http(Http http, String path, String body) {
    assertThat(http.json("POST", path, body).statusCode()).isEqualTo(200);
  }

  @Test
  void whatIsNoKitFileIsRefusedInASentenceAndChangesNothing() {
    int before = demo.get("/kits").body().split("kit-card", -1).length;
    var answer =
        demo.upload(
            "/api/kits/open",
            "odd.zip",
            "not a file".getBytes(java.nio.charset.StandardCharsets.UTF_8));
    assertThat(answer.statusCode()).isEqualTo(422);
    assertThat(answer.body()).contains("odd.zip");
    assertThat(demo.get("/kits").body().split("kit-card", -1)).hasSize(before);
  }
}
