package org.nineveils.app.proof.pages;

import java.util.List;
import java.util.Map;
import org.nineveils.app.making.kits.KitService;
import org.nineveils.app.proof.alike.AlikeService;
import org.nineveils.app.proof.approved.ApprovedService;
import org.nineveils.app.proof.files.SheetFiles;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.proof.ApprovedSheet;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What looks alike, and what has changed since a sheet was approved. */
@RestController
@RequestMapping("/api/proofs")
class AlikeApi {
  private final AlikeService alike;
  private final ApprovedService approved;
  private final KitService kits;
  private final SheetFiles files;

  AlikeApi(AlikeService alike, ApprovedService approved, KitService kits, SheetFiles files) {
    this.alike = alike;
    this.approved = approved;
    this.kits = kits;
    this.files = files;
  }

  @GetMapping("/{kit}/alike")
  Map<String, Object> map(
      @PathVariable("kit") long kit, @RequestParam(name = "other", defaultValue = "0") long other) {
    kits.kit(kit);
    return alike.map(kit, other);
  }

  /** What differs in the veils of two effects. */
  @GetMapping("/alike/{one}/{two}")
  Map<String, Object> differ(@PathVariable("one") long one, @PathVariable("two") long two) {
    return Map.of("differ", alike.differ(one, two));
  }

  /** Decides what becomes of two that look alike. */
  @PostMapping("/alike/{one}/{two}")
  Map<String, Object> decide(
      @PathVariable("one") long one, @PathVariable("two") long two, @RequestBody String body) {
    String how = Json.read(body, "The request").text("how");
    switch (how) {
      case "keep" -> alike.keepOne(one, two);
      case "variant" -> alike.keepAsVariant(one, two);
      case "both" -> alike.want(one, two, true);
      case "ask" -> alike.want(one, two, false);
      default -> throw new org.nineveils.refusal.Refusal("There is no way “%s”.".formatted(how));
    }
    return Map.of();
  }

  /** Keeps the sheet as a file. */
  @PostMapping("/{kit}/keep")
  Map<String, Object> keep(@PathVariable("kit") long kit, @RequestBody String body) {
    String as = Json.read(body, "The request").text("as");
    return Map.of("job", files.start(kit, as).shown());
  }

  @GetMapping("/{kit}/changed")
  Map<String, Object> changed(@PathVariable("kit") long kit) {
    kits.kit(kit);
    return approved.changed(kit);
  }

  /** Takes cells that moved as they are now. */
  @PostMapping("/{kit}/changed/accept")
  Map<String, Object> accept(@PathVariable("kit") long kit, @RequestBody String body) {
    Fields f = Json.read(body, "The request");
    List<ApprovedSheet.Place> places =
        f.objects("cells", c -> new ApprovedSheet.Place(c.whole("effect"), c.whole("photo")));
    approved.accept(kit, places);
    return approved.changed(kit);
  }
}
