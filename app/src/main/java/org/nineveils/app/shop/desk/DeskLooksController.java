package org.nineveils.app.shop.desk;

import java.util.Map;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.app.base.undo.Undo;
import org.nineveils.app.photo.photos.Photo;
import org.nineveils.app.photo.photos.PhotoService;
import org.nineveils.app.photo.photos.Side;
import org.nineveils.app.wear.fitting.Anywhere;
import org.nineveils.app.wear.fitting.FittingRow;
import org.nineveils.app.wear.fitting.FittingService;
import org.nineveils.app.wear.looks.OwnLook;
import org.nineveils.app.wear.looks.OwnLookPictures;
import org.nineveils.app.wear.looks.OwnLooks;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.refusal.Refusal;
import org.nineveils.release.code.StallCode;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseBody;

/** Looks of her own at the desk, and handing them out. */
@Controller
class DeskLooksController {
  private final OwnLooks looks;
  private final OwnLookPictures pictures;
  private final LookHandOut handOut;
  private final DeskService desk;
  private final FittingService fittings;
  private final PhotoService photos;
  private final Journal journal;

  DeskLooksController(
      OwnLooks looks,
      OwnLookPictures pictures,
      LookHandOut handOut,
      DeskService desk,
      FittingService fittings,
      PhotoService photos,
      Journal journal) {
    this.looks = looks;
    this.pictures = pictures;
    this.handOut = handOut;
    this.desk = desk;
    this.fittings = fittings;
    this.photos = photos;
    this.journal = journal;
  }

  /**
   * A look on the page.
   *
   * @param effects names of what is in it
   * @param told what is told before it is handed out
   * @param photo id of the photo that shows it; 0 where there is none, or where something is
   *     missing
   */
  record Line(OwnLook look, String effects, LookHandOut.Told told, long photo) {}

  @GetMapping("/desk/looks")
  String all(Model model) {
    model.addAttribute("undo", Undo.of(journal, DeskService.SCOPE));
    boolean photographed = photos.count(Side.DESK) > 0;
    model.addAttribute("looks", looks.all().stream().map(l -> line(l, photographed)).toList());
    return "shop/desk/looks";
  }

  private Line line(OwnLook look, boolean photographed) {
    LookHandOut.Told told = handOut.of(look);
    boolean shown = photographed && told.missing().isEmpty();
    return new Line(
        look, String.join(", ", looks.names(look)), told, shown ? pictures.photo(look).id() : 0);
  }

  /** Opens the fitting of the photo that shows a look, with the look under the keys. */
  @GetMapping("/desk/looks/{id}")
  String open(@PathVariable("id") long id) {
    OwnLook look = looks.get(id);
    Photo photo = pictures.photo(look);
    String wardrobe =
        look.look().worn().stream()
            .map(w -> Anywhere.wardrobeOf(w.effect()))
            .filter(w -> desk.byWardrobe(w).isPresent())
            .findFirst()
            .orElseThrow(() -> new Refusal(looks.missing(look)));
    FittingRow row = fittings.of(wardrobe, photo.id());
    return "redirect:/desk/fitting/" + row.id() + "#look=" + id;
  }

  /** Puts a look out under a code. */
  @PostMapping("/api/desk/looks/{id}/hand-out")
  @ResponseBody
  Map<String, Object> out(@PathVariable("id") long id, @RequestBody String body) {
    Fields f = Json.read(body, "The request");
    String name = f.text("name");
    StallCode code =
        handOut.handOut(id, name, f.text("note", ""), f.text("photo", "").equals("along"));
    return Json.object("said", "“%s” is out under %s.".formatted(name.strip(), code.shown()));
  }
}
