package org.nineveils.app.making.bench;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.nineveils.app.testing.Http;
import org.nineveils.app.testing.RunningApp;
import org.nineveils.app.testing.Workplace;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;

/** A new effect at the bench for each test, and what is stored of it. */
abstract class BenchTrial {
  static final List<String> KINDS =
      List.of("light", "curve", "colour", "ink", "tint", "soft", "crisp", "edge", "overlay");

  private static int made;

  final RunningApp app = RunningApp.demo();
  final Http http = new Http(app);
  private RunningApp.ObservedPage observed;
  String effect;
  String name;

  /** Parts of messages that a test expects in the browser's console. */
  final List<String> allowedFaults = new ArrayList<>();

  Page page;
  Workplace bench;

  @BeforeEach
  void openANewEffect() {
    name = "Bench trial %d".formatted(++made);
    String body = "{\"name\": \"%s\"}".formatted(name);
    String go = Json.read(http.json("POST", "/api/sections/2/effects", body).body(), "").text("go");
    effect = go.replaceAll("\\D", "");
    observed = app.page();
    page = observed.page();
    bench = new Workplace(page);
    page.navigate(go);
    bench.settle();
  }

  @AfterEach
  void nothingWentWrongOnThePage() {
    assertThat(observed.faults())
        .allMatch(fault -> allowedFaults.stream().anyMatch(fault::contains));
    observed.close();
    http.json("DELETE", "/api/effects/" + effect, "");
  }

  final Fields stored() {
    return Json.read(http.get("/api/effects/" + effect + "?photo=1").body(), "The state");
  }

  final List<Fields> veils() {
    return stored().object("effect").objects("veils", f -> f);
  }
}
