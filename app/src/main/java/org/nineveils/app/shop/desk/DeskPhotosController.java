package org.nineveils.app.shop.desk;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.app.base.undo.Undo;
import org.nineveils.app.photo.photos.Photo;
import org.nineveils.app.photo.photos.PhotoService;
import org.nineveils.app.photo.photos.SavedResults;
import org.nineveils.app.photo.photos.Side;
import org.nineveils.app.photo.photos.Sittings;
import org.nineveils.app.wear.fitting.PhotoLooks;
import org.nineveils.document.Json;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The photographer's photos: in what they wear, by sitting, each a door to its fitting. */
@Controller
class DeskPhotosController {
  private static final String WARDROBES = "release";

  private final DeskService desk;
  private final PhotoService photos;
  private final Sittings sittings;
  private final PhotoLooks looks;
  private final SavedResults saved;
  private final Journal journal;

  DeskPhotosController(
      DeskService desk,
      PhotoService photos,
      Sittings sittings,
      PhotoLooks looks,
      SavedResults saved,
      Journal journal) {
    this.desk = desk;
    this.photos = photos;
    this.sittings = sittings;
    this.looks = looks;
    this.saved = saved;
    this.journal = journal;
  }

  @GetMapping("/desk/photos")
  String photos(Model model) {
    model.addAttribute("data", Json.write(data()));
    model.addAttribute("releases", desk.all());
    model.addAttribute("undo", Undo.of(journal, PhotoService.scope(Side.DESK)));
    return "shop/desk/photos";
  }

  private Map<String, Object> data() {
    Map<Long, PhotoLooks.Look> worn = looks.of(WARDROBES);
    Map<Long, String> stamps = saved.stamps();
    Map<Long, Long> in = sittings.of(Side.DESK);
    List<Object> list = new ArrayList<>();
    for (Photo p : photos.all(Side.DESK)) {
      PhotoLooks.Look look = worn.get(p.id());
      list.add(
          Json.object(
              "id", p.id(),
              "name", p.name(),
              "width", p.width(),
              "height", p.height(),
              "sitting", in.getOrDefault(p.id(), 0L),
              "fitting", look == null ? 0L : look.fitting(),
              "title", look == null ? "" : look.title(),
              "effects", look == null ? 0 : look.effects(),
              "saved", look != null && look.stamp().equals(stamps.get(p.id()))));
    }
    return Json.object(
        "photos", list,
        "sittings",
            sittings.all(Side.DESK).stream()
                .map(s -> Json.object("id", s.id(), "name", s.name()))
                .toList(),
        "collections",
            desk.choices().stream()
                .map(c -> Json.object("wardrobe", c.wardrobe(), "title", c.title()))
                .toList());
  }

  /** Goes on with a photo, or begins it; where nothing says with which collection, it is asked. */
  @GetMapping("/desk/fitting/begin")
  String begin(@RequestParam("photo") long photoId) {
    if (desk.choices().isEmpty()) {
      return "redirect:/desk";
    }
    long fitting = looks.begun(WARDROBES, photoId);
    return "redirect:"
        + (fitting == 0 ? "/desk/photos#wear=" + photoId : "/desk/fitting/" + fitting);
  }
}
