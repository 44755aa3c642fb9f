package org.nineveils.app.shop.stall;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.BoundingBox;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.nineveils.app.testing.Axe;
import org.nineveils.app.testing.Http;
import org.nineveils.app.testing.RunningApp;
import org.nineveils.app.testing.Workplace;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;

/** From the maker's bench over the stall into the hands of a photographer elsewhere, and on. */
class StallIT {
  private static final String PLACE = ".handles [aria-label^='Flare']";

  @TempDir Path folder;

  private final RunningApp app = RunningApp.demo();
  private final Http maker = new Http(app);

  private static void saved(Page page) {
    page.waitForFunction(
        "() => document.querySelector('[data-saved]').textContent === 'Saved' && !document.querySelector('[data-pack]').disabled");
  }

  private static void pack(Page page) {
    page.locator("[data-collection][data-ready]").waitFor();
    page.locator("[data-pack]").click();
    page.locator("#pack-all-the-same .primary").click();
    page.locator(".said")
        .getByText("Packed “")
        .waitFor(new Locator.WaitForOptions().setTimeout(180_000)); // it may wait for its turn
    page.locator("[data-collection][data-ready]").waitFor();
  }

  /** Puts the newest release out and gives its code. */
  private static String putOut(Page page, String version, String price) {
    page.locator("[data-put-out] [name=release]")
        .selectOption(new com.microsoft.playwright.options.SelectOption().setLabel(version));
    page.locator("[data-put-out] [name=price]").fill(price);
    page.locator("[data-put-out] button").click();
    page.locator(".out-now li", new Page.LocatorOptions().setHasText(version)).waitFor();
    return page.locator("[data-stall-said] .stall-code").innerText();
  }

  private int effect(long kit, String name) {
    return Json.read(maker.get("/api/rack/" + kit).body(), "").objects("effects", f -> f).stream()
        .filter(f -> f.text("name").equals(name))
        .findFirst()
        .orElseThrow()
        .whole("id");
  }

  /** Another start opacity of an effect: whoever wears it keeps the one that is set. */
  private void changes(int effect, double start) {
    Fields state = Json.read(maker.get("/api/effects/%d?photo=5".formatted(effect)).body(), "");
    Map<String, Object> doc = new LinkedHashMap<>(state.object("effect").raw());
    doc.put("start", start);
    String body =
        Json.write(
            Json.object("rev", state.whole("rev"), "label", "start", "effect", doc, "photo", 5));
    var answer = maker.json("PUT", "/api/effects/" + effect, body);
    assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
  }

  private static Locator piece(Page page, String name) {
    return page.locator(".piece", new Page.LocatorOptions().setHasText(name)).first();
  }

  private static void wear(Page page, String name) {
    Workplace room = new Workplace(page);
    piece(page, name).click();
    page.mouse().move(600, 300);
    room.veil(name).waitFor();
    room.settle();
  }

  private static List<Fields> worn(Http http, Page page) {
    String id = page.url().replaceAll("#.*", "").replaceAll(".*/", "");
    return Json.read(http.get("/api/fittings/" + id).body(), "")
        .object("fitting")
        .objects("worn", f -> f);
  }

  private static double dial(Fields worn, String key) {
    Fields veils = worn.object("veils");
    return veils.names().stream()
        .map(v -> veils.object(v).object("dials"))
        .filter(d -> d.has(key))
        .findFirst()
        .orElseThrow()
        .number(key);
  }

  /** The dial that was turned first, and to what; empty where none was. */
  private static String turned(Fields worn) {
    Fields veils = worn.object("veils");
    return veils.names().stream()
        .map(v -> veils.object(v).object("dials"))
        .flatMap(d -> d.names().stream().limit(1).map(k -> k + " " + d.number(k)))
        .findFirst()
        .orElse("");
  }

  @Test
  void packedPutOutFetchedByCodeWornUpdatedAndWentBackFrom() throws Exception {
    long kit = maker.eighteen();
    String name = "Larch by Post";
    String made = maker.json("POST", "/api/collections", "{\"name\":\"" + name + "\"}").body();
    String go = Json.read(made, "").text("go");
    RunningApp house = RunningApp.on(folder, 0, "--nineveils.stall=" + app.url());
    try (var atMaker = app.page();
        var atDesk = house.page()) {
      Page page = atMaker.page();
      page.navigate(go);
      page.getByText("The collection: nothing goes in").waitFor();
      page.locator("[data-tick='kit:%d']".formatted(kit)).setChecked(true);
      saved(page);
      page.getByText("Nothing keeps it in.").waitFor();
      pack(page);
      String code = putOut(page, "1.0", "Free for the first hundred");
      page.navigate("/stall/" + code);
      assertThat(page.locator("main").innerText())
          .contains("Free for the first hundred", "by the simulated clientele");
      assertThat(Axe.faults(page)).isEmpty();
      page.navigate(go);

      // at a desk that has nothing yet
      Http http = new Http(house);
      byte[] photo = Files.readAllBytes(Path.of("../demo/photos/portrait-light-skin-studio.jpg"));
      http.upload("/api/photos/desk", "studio.jpg", photo);
      Page desk = atDesk.page();
      desk.navigate("/desk");
      desk.locator("[name=code]").fill(withOneLetterWrong(code));
      desk.getByText("Fetch it").click();
      desk.locator(".by-code .fault").getByText("was typed with an error").waitFor();
      atDesk.faults().removeIf(f -> f.contains("422"));
      desk.locator("[name=code]").fill(code.toLowerCase(java.util.Locale.ROOT));
      desk.getByText("Fetch it").click();
      desk.waitForURL("**/desk/1");
      assertThat(desk.locator("main").innerText()).contains(name, "version 1.0", "Candle glow");

      // worn: a dial turned, a place moved, the start opacity taken, a favourite marked
      desk.navigate("/desk/fitting/of?wardrobe=release:1&photo=1");
      Workplace room = new Workplace(desk);
      room.settle();
      desk.locator("[aria-label='Favourite: Slate matte']").click();
      desk.locator("[aria-label='Favourite: Slate matte'][aria-pressed=true]").waitFor();
      wear(desk, "Low sun");
      BoundingBox sun = desk.locator(PLACE).last().boundingBox();
      desk.mouse().move(sun.x + sun.width / 2, sun.y + sun.height / 2);
      desk.mouse().down();
      desk.mouse().move(sun.x + 90, sun.y + 40);
      desk.mouse().move(sun.x - 110, sun.y + 60);
      desk.mouse().up();
      room.settle();
      wear(desk, "Candle glow");
      Locator glow = desk.locator("[data-card-opacity] .setting[data-key=glow] input[type=number]");
      glow.fill("61");
      glow.press("Enter");
      room.settle();
      wear(desk, "Eyes awake");
      room.paint(0.45, 0.35, 0.55, 0.35);
      List<Fields> before = worn(http, desk);
      Object picture = room.picture();
      assertThat(before).hasSize(3);
      Fields low =
          before.stream().filter(w -> w.number("opacity") == 0.6).findFirst().orElseThrow();
      double across = dial(low, "flareX");

      // changed, packed and put out again
      changes(effect(kit, "Low sun"), 0.3);
      changes(effect(kit, "Slate matte"), 0.5);
      page.reload();
      page.getByText("Call it 2.0").click();
      saved(page);
      pack(page);
      assertThat(putOut(page, "2.0", "")).isEqualTo(code);

      // what it changes, first for her photos
      desk.navigate("/desk");
      desk.waitForCondition( // pages show what was known last of a stall elsewhere
          () -> {
            desk.reload();
            return desk.getByText("2.0 is out").isVisible();
          });
      desk.getByText("What it changes").click();
      desk.waitForURL("**/update/**");
      assertThat(http.get("/desk").body())
          .as("put aside until she decides")
          .doesNotContain("/desk/2\"");
      desk.locator("[data-update-page][data-ready]").waitFor();
      assertThat(Axe.faults(desk)).isEmpty();
      assertThat(desk.locator("[data-since-said]").innerText())
          .contains("2 look different", "One of them is worn by your photos");
      Locator first = desk.locator("[data-since] li").first();
      assertThat(first.innerText())
          .contains("Low sun", "30 % instead of 60 %", "one photo wears it");
      assertThat(first.locator(".since-two").count()).isEqualTo(1);
      desk.waitForFunction(
          "() => /ΔE [1-9]/.test(document.querySelector('[data-since] .since-by').textContent)");
      desk.waitForFunction(
          "() => [...document.querySelectorAll('[data-since] img')].slice(0, 2).every(i => i.naturalWidth > 100)");
      desk.locator("[data-update]").click();
      desk.locator(".said").getByText("is 2.0 now").waitFor();
      desk.locator(".said button").click();
      desk.getByText("Taken back: update Larch by Post to 2.0.").waitFor();
      assertThat(http.get("/desk").body()).contains("/desk/1\"").doesNotContain("/desk/2\"");
      desk.navigate("/desk/1/update/2");
      desk.locator("[data-update]").click();
      desk.locator(".said").getByText("is 2.0 now").waitFor();

      // what she had set is as it was
      desk.navigate("/desk/fitting/of?wardrobe=release:2&photo=1");
      room.settle();
      assertThat(room.picture()).isEqualTo(picture);
      List<Fields> after = worn(http, desk);
      assertThat(after.stream().map(StallIT::turned).toList())
          .containsExactlyInAnyOrder("", "glow 61.0", "flareX " + across);
      assertThat(desk.locator("[aria-label='Favourite: Slate matte']").getAttribute("aria-pressed"))
          .isEqualTo("true");
      assertThat(http.get("/desk").body()).doesNotContain("/desk/1\"");

      // words first, figures where they are wanted, and who vouches for it
      desk.locator("[data-live] dd").first().waitFor();
      assertThat(desk.locator("[data-live]").innerText())
          .contains("Skin", "Contrast")
          .doesNotContain("L*", "°", "‰", "ΔE");
      desk.locator("[data-live-figures]").click();
      assertThat(desk.locator("[data-live]").innerText()).contains("L*");
      assertThat(desk.locator("[data-vouched]").innerText()).contains("✓");

      // and back
      desk.navigate("/desk/2");
      desk.getByText("Go back to 1.0").click();
      desk.locator(".said").getByText("is 1.0 again").waitFor();
      desk.navigate("/desk/fitting/of?wardrobe=release:1&photo=1");
      room.settle();
      assertThat(room.picture()).isEqualTo(picture);
      assertThat(worn(http, desk)).hasSize(3);
      desk.navigate("/desk");
      desk.getByText("2.0 is out").waitFor();

      // found across collections, by favourites
      desk.navigate("/desk/find");
      desk.locator("[name=favourites]").check();
      desk.locator("article .name").waitFor();
      assertThat(desk.locator("article .name").allInnerTexts()).containsExactly("Slate matte");
      desk.locator("article a").click();
      desk.waitForURL("**/desk/fitting/**");
      room.settle();
      desk.waitForFunction("() => document.activeElement.textContent.includes('Slate matte')");

      // withdrawn: nobody gets it any more
      page.locator("[aria-label='Withdraw 2.0']").click();
      page.locator("[aria-label='Put out again 2.0']").waitFor();
      page.locator("[aria-label='Withdraw 1.0']").click();
      page.locator("[aria-label='Put out again 1.0']").waitFor();
      assertThat(http.json("POST", "/api/desk/fetch", "{\"code\":\"" + code + "\"}").statusCode())
          .isEqualTo(404);
      assertThat(atMaker.faults()).isEmpty();
      assertThat(atDesk.faults()).isEmpty();
    } finally {
      house.close();
      maker.json("DELETE", "/api/kits/" + kit, "");
    }
  }

  private static String withOneLetterWrong(String code) {
    char last = code.charAt(code.length() - 1);
    return code.substring(0, code.length() - 1) + (last == 'C' ? 'D' : 'C');
  }

  /**
   * A combination with its own mask that follows, a place moved by hand and a start opacity:
   * another desk shows the very same picture.
   */
  @Test
  void aCombinationGoesOutUnderACodeAndLooksTheSameAtAnotherDesk() throws Exception {
    long kit = maker.eighteen();
    RunningApp house = RunningApp.on(folder, 0, "--nineveils.stall=" + app.url());
    try (var atMaker = app.page();
        var atDesk = house.page()) {
      Page page = atMaker.page();
      Workplace room = new Workplace(page);
      page.navigate("/fitting/of?wardrobe=kit:%d&photo=9".formatted(kit));
      room.settle();
      wear(page, "Low sun");
      BoundingBox sun = page.locator(PLACE).last().boundingBox();
      page.mouse().move(sun.x + sun.width / 2, sun.y + sun.height / 2);
      page.mouse().down();
      page.mouse().move(sun.x - 60, sun.y + 30);
      page.mouse().move(sun.x - 140, sun.y + 70);
      page.mouse().up();
      room.settle();
      wear(page, "Evening amber");
      page.locator("[data-keep-open]").click();
      Locator dialog = page.locator("[data-keep]");
      dialog.locator("[name=over]").selectOption("code");
      dialog.locator("[name=name]").fill("Evening on the left");
      dialog.locator(".primary").click();
      page.locator(".said").getByText("“Evening on the left” is out under").waitFor();
      page.locator(".said button").click();
      page.waitForURL("**/stall/*");
      String code = page.locator("[data-code]").innerText();

      Http http = new Http(house);
      String first =
          Json.read(maker.get("/api/fittings/of?wardrobe=kit:%d&photo=9".formatted(kit)).body(), "")
              .object("fitting")
              .list("worn")
              .toString();
      assertThat(first).contains("flareX");
      http.json("POST", "/api/desk/fetch", "{\"code\":\"" + code + "\"}");
      byte[] dog = Files.readAllBytes(Path.of("../demo/photos/pet-black-dog.jpg"));
      http.upload("/api/photos/desk", "dog.jpg", dog);
      Page desk = atDesk.page();
      desk.navigate("/desk/1");
      assertThat(desk.locator(".effect").innerText()).contains("Evening on the left");
      desk.navigate("/desk/fitting/of?wardrobe=release:1&photo=1");
      Workplace there = new Workplace(desk);
      there.settle();
      wear(desk, "Evening on the left");
      page.navigate("/fitting/of?wardrobe=kit:%d&photo=9".formatted(kit));
      room.settle();
      for (double[] at : new double[][] {{0.3, 0.3}, {0.5, 0.5}, {0.6, 0.7}}) {
        List<Integer> own = room.colour(at[0], at[1]);
        List<Integer> theirs = there.colour(at[0], at[1]);
        for (int c = 0; c < 3; c++) {
          assertThat(theirs.get(c)).isCloseTo(own.get(c), org.assertj.core.data.Offset.offset(6));
        }
      }
      assertThat(atDesk.faults()).isEmpty();
    } finally {
      house.close();
      maker.json("DELETE", "/api/kits/" + kit, "");
    }
  }
}
