package org.nineveils.app.wear.looks;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.nineveils.app.testing.Axe;
import org.nineveils.app.testing.Http;
import org.nineveils.app.testing.RunningApp;
import org.nineveils.app.testing.Workplace;
import org.nineveils.blend.BlendMode;
import org.nineveils.catalogue.Kinds;
import org.nineveils.kit.StackingRule;
import org.nineveils.mask.Mask;
import org.nineveils.release.Release;
import org.nineveils.release.ReleaseWriter;
import org.nineveils.setting.SettingValues;
import org.nineveils.veil.Editions;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Veil;
import org.nineveils.veil.VeilKind;

/** A photographer keeps looks of her own; handing one out is another act, and not always hers. */
class OwnLooksIT {
  @TempDir Path folder;
  private Http http;
  private Page page;
  private Workplace room;

  private static byte[] release(String name, String effect, double light, boolean mayHandOut) {
    VeilKind kind = Kinds.ofId("light");
    SettingValues stops = SettingValues.parse(kind.settings(), Map.of("exposure", light));
    Veil veil = new Veil("a", "Dark", kind, stops, BlendMode.NORMAL, 1, false, Mask.EVERYWHERE, "");
    Effect made = new Effect(List.of(veil), "", Editions.current());
    var part = new Release.EffectPart(effect, "", made, new byte[0], new byte[0]);
    var section = new Release.SectionPart(1, "Looks", StackingRule.STACK_FREELY, List.of(part));
    var kit = new Release.KitPart(name + " kit", "", List.of(section));
    return ReleaseWriter.write(
        new Release(name, "1.0", "Fernhand", "Own photos only.", "", List.of(kit), Map.of())
            .withMayHandOut(mayHandOut));
  }

  private long take(byte[] release) {
    String go = http.upload("/api/desk", "r.zip", release).body();
    return Long.parseLong(go.replaceAll(".*\"go\":\"/desk/(\\d+)\".*", "$1"));
  }

  private Locator piece(String name) {
    return page.locator(".piece", new Page.LocatorOptions().setHasText(name));
  }

  private void wear(String name) {
    piece(name).click();
    page.mouse().move(600, 300);
    room.veil(name).waitFor();
    room.settle();
  }

  private void keep(String name) {
    page.locator("[data-look-open]").click();
    page.locator("[data-look-keep] [name=name]").fill(name);
    page.locator("[data-look-keep] .primary").click();
    page.locator("[data-own-look]", new Page.LocatorOptions().setHasText(name)).waitFor();
  }

  private Locator look(String name) {
    return page.locator(
        ".own-look", new Page.LocatorOptions().setHas(page.locator("input[value='" + name + "']")));
  }

  @Test
  void aLookIsKeptWornOnAnotherPhotoFollowsItsCollectionsAndIsHandedOutOnlyWhereItMay()
      throws IOException {
    try (RunningApp app = RunningApp.on(folder, 0);
        var observed = app.page()) {
      http = new Http(app);
      page = observed.page();
      room = new Workplace(page);
      for (String photo : List.of("pet-black-dog", "pet-ginger-cat")) {
        http.upload(
            "/api/photos/desk",
            photo + ".jpg",
            Files.readAllBytes(Path.of("../demo/photos/" + photo + ".jpg")));
      }
      byte[] mosses = release("Mosses", "Moss shade", -0.7, false);
      long ferns = take(release("Ferns", "Fern shade", -1.2, true));
      long moss = take(mosses);

      page.navigate("/desk/fitting/of?wardrobe=release:%d&photo=1".formatted(ferns));
      room.settle();
      wear("Fern shade");
      room.dragHem("Fern shade", -1.2);
      room.settle();
      keep("Quiet");
      assertThat(page.locator(".said").innerText()).contains("“Quiet” is kept among your looks");
      http.json(
          "POST",
          "/api/fittings/%s/together".formatted(page.url().replaceAll(".*/", "")),
          "{\"wardrobe\":\"release:%d\"}".formatted(moss));
      page.reload();
      room.settle();
      wear("Moss shade");
      Object worn = room.picture();
      keep("Quiet, deep");
      assertThat(Axe.faults(page)).isEmpty();

      // on another photo, in the fitting of the other collection, with the opacities that were kept
      page.navigate("/desk/fitting/of?wardrobe=release:%d&photo=2".formatted(moss));
      room.settle();
      Object plain = room.picture();
      Locator kept =
          page.locator("[data-own-look]", new Page.LocatorOptions().setHasText("Quiet, deep"));
      kept.click();
      page.locator(".said").getByText("The photo wears “Quiet, deep”.").waitFor();
      page.mouse().move(600, 300);
      page.locator(".veil").nth(1).waitFor();
      room.settle();
      assertThat(room.picture()).isNotEqualTo(plain).isNotEqualTo(worn);
      assertThat(page.locator(".veil").count()).isEqualTo(2);
      page.locator(".said button").click();
      page.waitForFunction("() => document.querySelectorAll('.veil').length === 0");
      room.settle();
      assertThat(room.picture()).as("one step takes it back").isEqualTo(plain);

      page.navigate("/desk/looks");
      assertThat(Axe.faults(page)).isEmpty();
      page.locator("[aria-label='Hand out Quiet, deep']").click();
      String sources = look("Quiet, deep").locator("dialog").innerText();
      assertThat(sources)
          .contains("Ferns 1.0", "by Fernhand", "may be handed out", "Licence: Own photos only.")
          .contains("Mosses 1.0", "may not be handed out", "does not allow");
      assertThat(look("Quiet, deep").locator("dialog .primary").count()).isZero();
      page.keyboard().press("Escape");
      var tried = http.json("POST", "/api/desk/looks/2/hand-out", "{\"name\":\"X\"}");
      assertThat(tried.statusCode()).isEqualTo(422);
      assertThat(tried.body()).contains("The maker of “Mosses 1.0” does not allow");
      var past = http.json("POST", "/api/stall/hand-out/1", "{\"name\":\"X\",\"picks\":[]}");
      assertThat(past.statusCode()).as("no way round").isEqualTo(422);

      http.json("PUT", "/api/looks/1", "{\"name\":\"Still\"}");
      page.reload();
      page.locator("[aria-label='Hand out Still']").click();
      look("Still").locator("dialog .primary").click();
      page.locator(".said").getByText("“Still” is out under").waitFor();
      http.json("POST", "/api/desk/undo?redo=false", "{}");
      page.reload(); // its name is taken back, what is out stays out
      String code = look("Quiet").locator("[data-code]").innerText();
      String go = http.json("POST", "/api/desk/fetch", "{\"code\":\"" + code + "\"}").body();
      String fetched = http.get(go.replaceAll(".*\"go\":\"([^\"]+)\".*", "$1")).body();
      assertThat(fetched).contains("Own photos only.", "“Ferns 1.0” by Fernhand: Fern shade");

      // what it is made of leaves the desk and comes back
      http.json("DELETE", "/api/desk/" + moss, "");
      page.reload();
      assertThat(look("Quiet, deep").innerText()).contains("“Mosses 1.0” is not at the desk");
      assertThat(http.json("POST", "/api/fittings/1/look", "{\"look\":2}").statusCode())
          .isEqualTo(422);
      take(mosses);
      page.reload();
      assertThat(look("Quiet, deep").innerText()).doesNotContain("not at the desk");
      look("Quiet, deep").getByText("Try it on").click();
      page.waitForURL("**/desk/fitting/*#look=2");
      room.settle();
      assertThat(http.json("POST", "/api/fittings/1/look", "{\"look\":2}").statusCode())
          .isEqualTo(200);

      page.navigate("/desk/looks");
      look("Quiet").locator(".own-look-name [name=name]").fill("quiet, DEEP");
      look("Quiet").getByText("Rename").click();
      page.locator(".own-look-name .fault").getByText("There is a look called").first().waitFor();
      page.locator("[aria-label='Discard Quiet, deep']").click();
      page.locator(".said").getByText("was discarded").waitFor();
      assertThat(page.locator(".own-look").count()).isEqualTo(1);
      page.locator(".said button").click();
      page.locator(".own-look").nth(1).waitFor();
      assertThat(observed.faults()).hasSize(1).allMatch(f -> f.contains("422"));
    }
  }
}
