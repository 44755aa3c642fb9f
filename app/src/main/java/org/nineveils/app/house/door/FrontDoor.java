package org.nineveils.app.house.door;

import java.util.Map;
import java.util.Optional;
import org.nineveils.app.base.start.CannotStart;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.app.making.kits.KitService;
import org.nineveils.app.photo.photos.PhotoService;
import org.nineveils.app.photo.photos.Side;
import org.nineveils.app.shop.desk.DeskService;
import org.nineveils.document.Json;
import org.nineveils.refusal.Refusal;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseBody;

/**
 * Leads to the maker's rooms or to the desk. What was said once is remembered; the setting {@code
 * nineveils.side} (maker or desk) goes before it. Where nothing was said, what there is tells;
 * where there is nothing, it asks.
 */
@Controller
class FrontDoor {
  private static final String MAKER = "maker";
  private static final String DESK = "desk";
  private static final Map<String, String> ROOMS = Map.of(MAKER, "/kits", DESK, "/desk");

  private final SideStore store;
  private final KitService kits;
  private final DeskService desk;
  private final PhotoService photos;
  private final Journal journal;
  private final String setting;

  FrontDoor(
      SideStore store,
      KitService kits,
      DeskService desk,
      PhotoService photos,
      Journal journal,
      @Value("${nineveils.side:}") String setting) {
    this.store = store;
    this.kits = kits;
    this.desk = desk;
    this.photos = photos;
    this.journal = journal;
    this.setting = setting;
    if (!setting.isEmpty() && !ROOMS.containsKey(setting)) {
      throw new CannotStart("nineveils.side is %s; it takes maker or desk.".formatted(setting));
    }
  }

  private static String known(String side) {
    if (!ROOMS.containsKey(side)) {
      throw new Refusal("The side is maker or desk, not “%s”.".formatted(side));
    }
    return side;
  }

  @GetMapping("/")
  String start() {
    Optional<String> said = setting.isEmpty() ? store.find() : Optional.of(setting);
    return "redirect:" + said.or(this::told).map(ROOMS::get).orElse("/start");
  }

  /** What there is of one side; empty where there is nothing yet, or nothing but photos of both. */
  private Optional<String> told() {
    if (!kits.kits().isEmpty() || photos.count(Side.WALL) > 0) {
      return Optional.of(MAKER);
    }
    return desk.all().isEmpty() && photos.count(Side.DESK) == 0
        ? Optional.empty()
        : Optional.of(DESK);
  }

  /** Asks, whatever was said before. */
  @GetMapping("/start")
  String ask() {
    return "house/door/start";
  }

  /** Remembers a side. */
  @PostMapping("/api/start")
  @ResponseBody
  Map<String, Object> remember(@RequestBody String body) {
    String side = known(Json.read(body, "The request").text("side"));
    journal.quietly(
        () -> {
          store.put(side);
          return null;
        });
    return Map.of("go", ROOMS.get(side));
  }
}
