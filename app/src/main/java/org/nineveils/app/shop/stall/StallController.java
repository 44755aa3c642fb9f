package org.nineveils.app.shop.stall;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.nineveils.app.base.fault.NotFound;
import org.nineveils.app.photo.render.Answers;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.name.Names;
import org.nineveils.release.Checksums;
import org.nineveils.release.Release;
import org.nineveils.release.code.StallCode;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** The pages of the stall, and putting out and withdrawing. */
@Controller
class StallController {
  private final StallService stall;
  private final Clock clock;

  StallController(StallService stall, Clock clock) {
    this.stall = stall;
    this.clock = clock;
  }

  /**
   * A version as pages show it.
   *
   * @param simulated how many of the simulated clientele fetched it
   */
  record Line(StallRows.Version row, int simulated) {}

  /**
   * What is out under a code.
   *
   * @param newest the version that is handed out; null where all are withdrawn
   * @param lines all versions, the highest first
   */
  record Card(
      StallRows.Item item,
      String code,
      StallRows.Version newest,
      Release release,
      List<Line> lines) {}

  private Card card(StallRows.Item item) {
    return new Card(
        item,
        new StallCode(item.code()).shown(),
        stall.newest(item).orElse(null),
        release(item),
        stall.versions(item).stream().map(v -> new Line(v, simulated(item, v))).toList());
  }

  /** The version that is handed out; the highest one where all are withdrawn. */
  private Release release(StallRows.Item item) {
    return stall.release(stall.newest(item).orElseGet(() -> stall.versions(item).get(0)));
  }

  private int simulated(StallRows.Item item, StallRows.Version version) {
    Instant to = version.isOut() ? clock.instant() : Instant.parse(version.withdrawnAt());
    return Clientele.fetched(
        item.code() + version.version(), Instant.parse(version.putOutAt()), to);
  }

  @GetMapping("/stall")
  String all(Model model) {
    List<Card> cards = stall.all().stream().map(this::card).toList();
    model.addAttribute("cards", cards.stream().filter(c -> c.newest() != null).toList());
    model.addAttribute("withdrawn", cards.stream().filter(c -> c.newest() == null).toList());
    return "shop/stall/stall";
  }

  /** All that can be fetched, for another house. */
  @GetMapping("/stall/out")
  @ResponseBody
  Map<String, Object> out() {
    return OutJson.format(stall.out());
  }

  @GetMapping("/stall/{code}")
  String one(@PathVariable("code") String code, Model model) {
    Card card = card(stall.item(code));
    model.addAttribute("card", card);
    model.addAttribute("size", card.newest() == null ? 0 : stall.size(card.newest()));
    return "shop/stall/item";
  }

  /** The photo on its front; without a cover, the first picture that it holds. */
  @GetMapping("/stall/{code}/cover")
  ResponseEntity<byte[]> cover(
      @PathVariable("code") String code, @RequestParam("after") boolean after) {
    Release release = release(stall.item(code));
    byte[] picture =
        release.cover().isThere()
            ? side(release.cover().before(), release.cover().after(), after)
            : release.effects().stream()
                .filter(e -> e.after().length > 0)
                .findFirst()
                .map(e -> side(e.before(), e.after(), after))
                .orElseThrow(() -> new NotFound("This came without pictures."));
    return Answers.jpeg(picture, Checksums.sha256(picture));
  }

  /** The release that is handed out under a code, as a file. */
  @GetMapping("/stall/{code}/file")
  ResponseEntity<byte[]> file(@PathVariable("code") String code) {
    String name = Names.slug(stall.item(code).name()) + ".zip";
    return Answers.download(stall.file(code), MediaType.parseMediaType("application/zip"), name);
  }

  /** Which version that is. */
  @GetMapping("/stall/{code}/newest")
  @ResponseBody
  Map<String, Object> newest(@PathVariable("code") String code) {
    return stall
        .newest(stall.item(code))
        .map(v -> Json.object("version", v.version()))
        .orElseThrow(() -> new NotFound("Nothing is out under this code."));
  }

  private static byte[] side(byte[] before, byte[] now, boolean after) {
    return after ? now : before;
  }

  /** Puts a packed release out. */
  @PostMapping("/api/stall")
  @ResponseBody
  Map<String, Object> putOut(@RequestBody String body) {
    Fields f = Json.read(body, "The request");
    f.only("release", "price");
    StallRows.Item item = stall.putOut(f.whole("release"), f.text("price", ""));
    Map<String, Object> out = of(item.collectionId());
    out.put("said", "“%s” is out under %s.".formatted(item.name(), out.get("code")));
    return out;
  }

  /** What of a collection is out; without “code” nothing ever was. */
  @GetMapping("/api/stall/of/{collection}")
  @ResponseBody
  Map<String, Object> of(@PathVariable("collection") long collection) {
    return stall.ofCollection(collection).map(this::shown).orElseGet(Json::object);
  }

  private Map<String, Object> shown(StallRows.Item item) {
    Card card = card(item);
    return Json.object(
        "code", card.code(),
        "page", "/stall/" + item.code(),
        "versions",
            card.lines().stream()
                .map(
                    l ->
                        Json.object(
                            "id", l.row().id(),
                            "version", l.row().version(),
                            "price", l.row().price(),
                            "out", l.row().isOut(),
                            "fetched", l.row().fetched(),
                            "simulated", l.simulated()))
                .toList());
  }

  @PostMapping("/api/stall/versions/{id}/withdraw")
  @ResponseBody
  Map<String, Object> withdraw(@PathVariable("id") long id) {
    StallRows.Version version = stall.withdraw(id);
    return Json.object(
        "said", "Version %s is withdrawn; whoever has it keeps it.".formatted(version.version()));
  }

  @PostMapping("/api/stall/versions/{id}/put-out")
  @ResponseBody
  Map<String, Object> again(@PathVariable("id") long id) {
    StallRows.Version version = stall.again(id);
    return Json.object("said", "Version %s is out again.".formatted(version.version()));
  }
}
