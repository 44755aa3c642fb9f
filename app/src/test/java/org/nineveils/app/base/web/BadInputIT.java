package org.nineveils.app.base.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import java.util.zip.CRC32;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.nineveils.app.testing.Http;
import org.nineveils.app.testing.RunningApp;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;

/** Bad input gets a sentence, changes nothing and leaves nothing behind. */
class BadInputIT {
  private final RunningApp app = RunningApp.demo();
  private final Http http = new Http(app);

  /** Files kept, photos, kits and releases: what must be the same afterwards. */
  private List<String> everything() {
    try (Stream<Path> kept = Files.walk(app.data().resolve("files"))) {
      List<String> all = new java.util.ArrayList<>(kept.map(Path::toString).sorted().toList());
      for (String page : List.of("/photos", "/kits", "/kits/1", "/desk", "/collections")) {
        all.add(http.get(page).body().replaceAll("name=\"csrf\" content=\"[^\"]+\"", ""));
      }
      return all;
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }

  private void refused(
      int status, java.util.function.Supplier<HttpResponse<String>> request, String... says) {
    List<String> before = everything();
    HttpResponse<String> answer = request.get();
    assertThat(answer.statusCode()).as(answer.body()).isEqualTo(status);
    String sentence = Json.read(answer.body(), "The answer").text("sentence");
    assertThat(sentence).contains(says).endsWith(".");
    assertThat(answer.body()).doesNotContain("Exception", "at org.");
    assertThat(everything()).isEqualTo(before);
  }

  private static byte[] demoPhoto() {
    try {
      return Files.readAllBytes(Path.of("../demo/photos/pet-ginger-cat.jpg"));
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }

  private static byte[] zip(String... entries) {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (ZipOutputStream zip = new ZipOutputStream(out)) {
      for (String entry : entries) {
        zip.putNextEntry(new ZipEntry(entry));
        zip.write(1);
      }
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
    return out.toByteArray();
  }

  @Test
  void aLongNameInAnotherScriptIsTakenAndCutByLetters() {
    String name = "Ночная прогулка с собакой по заснеженному парку ".repeat(4) + ".jpg";
    var answer = http.upload("/api/photos/desk", name, demoPhoto());
    assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
    var photo = Json.read(answer.body(), "");
    assertThat(photo.text("name")).startsWith("Ночная прогулка").hasSizeLessThanOrEqualTo(60);
    http.json("DELETE", "/api/photos/" + photo.whole("id"), "");
  }

  @Test
  void aTextFileNamedJpg() {
    byte[] text = "no picture at all".getBytes(StandardCharsets.UTF_8);
    refused(
        422,
        () -> http.upload("/api/photos/wall", "holiday.jpg", text),
        "“holiday.jpg” is not a JPEG");
  }

  @Test
  void aTruncatedJpeg() {
    byte[] whole = demoPhoto();
    byte[] cut = Arrays.copyOf(whole, whole.length / 2);
    refused(
        422,
        () -> http.upload("/api/photos/wall", "cut.jpg", cut),
        "“cut.jpg” is damaged or cut short");
  }

  @Test
  void aHeaderOf30000By30000Pixels() {
    ByteBuffer png = ByteBuffer.allocate(45);
    png.put(new byte[] {(byte) 0x89, 'P', 'N', 'G', '\r', '\n', 0x1a, '\n'}).putInt(13);
    png.put("IHDR".getBytes(StandardCharsets.US_ASCII)).putInt(30_000).putInt(30_000);
    png.put(new byte[] {8, 2, 0, 0, 0});
    CRC32 crc = new CRC32();
    crc.update(png.array(), 12, 17);
    png.putInt((int) crc.getValue());
    refused(422, () -> http.upload("/api/photos/wall", "huge.png", png.array()), "30000 × 30000");
  }

  @Test
  void aPhotoForASideThatThereIsNot() {
    refused(422, () -> http.upload("/api/photos/cellar", "a.jpg", demoPhoto()), "“cellar”");
  }

  @Test
  void anEmptyZipAndAPathThatLeavesThePackage() {
    refused(422, () -> http.upload("/api/desk", "empty.zip", zip()), "“empty.zip”", "empty");
    refused(
        422, () -> http.upload("/api/desk", "evil.zip", zip("../evil")), "“../evil” is no path");
  }

  @Test
  void aNameThatIsTaken() {
    refused(
        409,
        () -> http.json("POST", "/api/kits", "{\"name\": \"WILLOW basket\"}"),
        "already a kit called “WILLOW basket”",
        "Nothing was changed");
    refused(
        409,
        () -> http.json("POST", "/api/sections/2/effects", "{\"name\": \"Dove\"}"),
        "already an effect in this kit called “Dove”");
    refused(
        409,
        () -> http.json("POST", "/api/collections", "{\"name\": \"First weeks\"}"),
        "a collection");
    refused(
        409,
        () ->
            http.json(
                "POST",
                "/api/kits",
                "{\"name\": \"W\u0131llow\u200b basket\"}".replace("\u0131", "i")),
        "already a kit called “Willow basket”");
    refused(409, () -> http.json("PUT", "/api/photos/2", "{\"name\": \"Ginger cat\"}"), "a photo");
  }

  @Test
  void anEmptyNameAndAVersionThatIsNone() {
    refused(422, () -> http.json("POST", "/api/kits", "{\"name\": \"  \"}"), "A kit needs a name.");
    refused(
        422,
        () ->
            http.json(
                "PUT",
                "/api/collections/1",
                "{\"rev\": 2, \"label\": \"version\", \"collection\": {\"name\": \"First Weeks\", \"version\": \"newest\", \"licence\": \"\", \"notes\": \"\", \"kits\": [1]}}"),
        "such as 1.0.2",
        "“newest”");
  }

  private String effectWith(String opacity, String setting) {
    return """
        {"rev": 1, "label": "x", "effect": {"edition": 1, "veils": [
          {"id": "a", "name": "Even", "kind": "light", "blend": "normal", "opacity": %s,
           "mask": {"cover": "everywhere"}, "settings": {%s}}]}}"""
        .formatted(opacity, setting);
  }

  @Test
  void anOpacityOf300PerCent() {
    refused(
        422,
        () -> http.json("PUT", "/api/effects/1", effectWith("3", "")),
        "veils 1",
        "between 0 and 100 %",
        "300.0 %");
  }

  @Test
  void aSettingOutOfItsRangeOrUnknown() {
    refused(
        422,
        () -> http.json("PUT", "/api/effects/1", effectWith("1", "\"exposure\": 90")),
        "Exposure must be between -5 and 5 stops, but was 90");
    refused(
        422, () -> http.json("PUT", "/api/effects/1", effectWith("1", "\"glow\": 1")), "“glow”");
  }

  @Test
  void brokenJsonAndWrongNumbersInAddresses() {
    refused(422, () -> http.json("POST", "/api/kits", "{name"), "not valid JSON");
    refused(400, () -> http.json("PUT", "/api/effects/one", "{}"), "does not make sense");
    refused(404, () -> http.json("PUT", "/api/kits/999", "{\"name\": \"x\"}"), "no longer here");
  }

  @Test
  void anAreaOutsideThePictureIsHeldWithinIt() {
    String body =
        """
        {"photo": 1, "effect": {"edition": 1, "veils": []}, "longSide": 300,
         "area": {"x": 5000, "y": 10, "width": 90000, "height": 10}}""";
    assertThat(http.json("POST", "/api/effects/1/render", body).statusCode()).isEqualTo(200);
    refused(
        422,
        () -> http.json("POST", "/api/effects/1/render", body.replace("300", "0")),
        "1 to 20000");
  }

  @Test
  void aTraceAKeepingABatchAPinAndASwatchThatMakeNoSense() {
    String fitting = "/api/fittings/" + http.fitting("kit:3", 9);
    String spot =
        """
        {"photo": 1, "effect": {"edition": 1, "veils": []}, "longSide": 300, "spot": {"x": "left", "y": 0, "width": 0, "height": 0}}""";
    refused(422, () -> http.json("POST", "/api/effects/1/trace", spot), "spot", "“x”", "a number");
    refused(
        422,
        () ->
            http.json(
                "POST",
                "/api/effects/1/paint-all",
                "{\"photo\": 1, \"veil\": \"v001\", \"how\": \"shake\"}"),
        "“shake”");
    refused(
        404,
        () -> http.json("GET", "/api/effects/1/differences", ""),
        "The effect that this one comes from is gone");
    refused(
        422,
        () ->
            http.json(
                "POST",
                fitting.replace("fittings", "kits/keep"),
                "{\"name\": \"x\", \"section\": 1, \"picks\": []}"),
        "Tick at least one veil");
    refused(
        422,
        () -> http.json("POST", fitting + "/batch", "{\"photos\": [\"all\"]}"),
        "a list of whole numbers");
    refused(404, () -> http.json("POST", fitting + "/batch", "{\"photos\": [999]}"), "photo");
    refused(404, () -> http.json("DELETE", fitting + "/pins/77", ""), "This pin is no longer here");
    refused(
        422,
        () -> http.json("POST", fitting + "/wear", "{\"effect\": \"1\", \"answer\": \"maybe\"}"),
        "“maybe”");
    refused(
        422,
        () -> http.json("POST", "/api/swatches", "{\"name\": \"\", \"veil\": {}}"),
        "The request, veil");
    refused(
        422,
        () -> http.upload("/api/pictures?use=COLOUR_TABLE", "photo.png", demoPhoto()),
        "“photo.png”");
    refused(
        400,
        () -> http.upload("/api/pictures?use=HAT", "photo.png", demoPhoto()),
        "does not make sense");
  }

  @Test
  void pagesThatAreGoneSaySoInWords() {
    for (String path :
        List.of(
            "/kits/999",
            "/bench/999",
            "/fitting/999",
            "/nothing",
            "/desk/77",
            "/fitting/of?wardrobe=moon:1",
            "/fitting/of?wardrobe=kit:x",
            "/proofs/88")) {
      HttpResponse<String> answer = http.get(path);
      assertThat(answer.statusCode()).as(path).isEqualTo(404);
      assertThat(answer.body())
          .contains(path.startsWith("/desk") ? "Back to the desk" : "Back to the start")
          .doesNotContain("Exception", "Whitelabel");
    }
  }

  @Test
  void theFittingToGoOnWithIsOfAKitThatIsStillHere() {
    long kit = http.kitLike(3, "Soon gone");
    String gone = http.fitting("kit:" + kit, 4);
    Fields rack = Json.read(http.get("/api/rack/" + kit).body(), "The kit");
    int effect = rack.objects("effects", e -> e.whole("id")).get(0);
    http.json("POST", "/api/fittings/" + gone + "/wear", "{\"effect\": \"%d\"}".formatted(effect));
    assertThat(http.get("/fitting").headers().firstValue("Location").orElseThrow())
        .endsWith("/fitting/" + gone);
    http.json("DELETE", "/api/kits/" + kit, "");
    String next = http.get("/fitting").headers().firstValue("Location").orElseThrow();
    assertThat(http.get(next.replaceAll("^https?://[^/]+", "")).statusCode()).isIn(200, 302);
    assertThat(next).doesNotEndWith("/fitting/" + gone);
  }
}
