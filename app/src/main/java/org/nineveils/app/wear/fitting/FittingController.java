package org.nineveils.app.wear.fitting;

import java.util.List;
import java.util.Map;
import org.nineveils.app.photo.photos.Photo;
import org.nineveils.app.photo.photos.PhotoService;
import org.nineveils.app.photo.photos.Side;
import org.nineveils.app.photo.render.Answers;
import org.nineveils.app.photo.render.Exports;
import org.nineveils.app.photo.render.Result;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.document.KindsJson;
import org.nineveils.document.PaintJson;
import org.nineveils.document.StackJson;
import org.nineveils.file.PictureFormat;
import org.nineveils.kit.Fitting;
import org.nineveils.kit.Worn;
import org.nineveils.name.NamePattern;
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
import org.springframework.web.context.request.WebRequest;

/** The page of a fitting, for both sides, and its results as files. */
@Controller
class FittingController {
  private final FittingService fittings;
  private final PhotoService photos;
  private final Exports exports;
  private final Rasters rasters;
  private final FittingStates states;
  private final Wardrobes wardrobes;
  private final PhotoLooks looks;

  FittingController(
      FittingService fittings,
      PhotoService photos,
      Exports exports,
      Rasters rasters,
      FittingStates states,
      Wardrobes wardrobes,
      PhotoLooks looks) {
    this.looks = looks;
    this.fittings = fittings;
    this.wardrobes = wardrobes;
    this.photos = photos;
    this.exports = exports;
    this.rasters = rasters;
    this.states = states;
  }

  /** Goes on with the last fitting, or starts one with the first kit. */
  @GetMapping("/fitting")
  String latest() {
    return fittings
        .latest("kit")
        .map(row -> "redirect:/fitting/" + row.id())
        .orElseGet(
            () ->
                wardrobes.choices("kit").stream()
                    .findFirst()
                    .map(choice -> "redirect:/fitting/of?wardrobe=" + choice.wardrobe())
                    .orElse("redirect:/kits"));
  }

  /**
   * Opens the fitting of a photo in a wardrobe; the first photo of its side where none is named.
   */
  @GetMapping({"/fitting/of", "/desk/fitting/of"})
  String open(
      @RequestParam("wardrobe") String wardrobe,
      @RequestParam(name = "photo", required = false) Long photoId) {
    Side side = fittings.wardrobe(wardrobe).side();
    Long photo =
        photoId != null
            ? photoId
            : photos.all(side).stream().findFirst().map(Photo::id).orElse(null);
    if (photo == null) {
      return side == Side.WALL ? "redirect:/photos" : "redirect:/desk/photos";
    }
    photos.get(photo);
    long id = fittings.of(wardrobe, photo).id();
    return (side == Side.WALL ? "redirect:/fitting/" : "redirect:/desk/fitting/") + id;
  }

  @GetMapping({"/fitting/{id}", "/desk/fitting/{id}"})
  String fitting(@PathVariable("id") long id, Model model) {
    FittingRow row = fittings.get(id);
    Wardrobe wardrobe = fittings.wardrobe(row);
    Photo photo = photos.get(row.photoId());
    boolean desk = wardrobe.side() == Side.DESK;
    model.addAttribute("row", row);
    model.addAttribute("desk", desk);
    model.addAttribute("wardrobe", wardrobe);
    model.addAttribute("vouched", wardrobes.vouched(row.wardrobe()).orElse(null));
    model.addAttribute("keepers", wardrobe.keepers().get());
    model.addAttribute("sections", Shown.sections(wardrobe));
    model.addAttribute("photo", photo);
    model.addAttribute("photoList", Photo.list(photos.all(wardrobe.side())));
    model.addAttribute("choices", wardrobes.choices(row.wardrobe().split(":", 2)[0]));
    model.addAttribute("besides", wardrobes.besides(row, wardrobe));
    model.addAttribute("formats", PictureFormat.values());
    model.addAttribute("data", Json.write(state(row, wardrobe)));
    return "wear/fitting/fitting";
  }

  /**
   * The fitting of a photo in a wardrobe, as its page takes it up; started where there was none.
   */
  @GetMapping("/api/fittings/of")
  @ResponseBody
  Map<String, Object> of(
      @RequestParam("wardrobe") String wardrobe, @RequestParam("photo") long photoId) {
    photos.get(photoId);
    FittingRow row = fittings.of(wardrobe, photoId);
    return states.of(row, fittings.wardrobe(row));
  }

  /** The photo of a fitting in what it wears, small. */
  @GetMapping("/api/fittings/{id}/small")
  ResponseEntity<byte[]> small(@PathVariable("id") long id, WebRequest request) {
    return Answers.jpeg(looks.small(id), request);
  }

  /** Starts making the picture at full size. */
  @PostMapping("/api/fittings/{id}/export")
  @ResponseBody
  Map<String, Object> export(
      @PathVariable("id") long id,
      @RequestParam("format") String format,
      @RequestBody(required = false) String body) {
    FittingRow row = fittings.get(id);
    if (format.equals(Rasters.FORMAT)) {
      return Map.of("job", rasters.start(row).shown());
    }
    Fields wishes = Json.read(body == null ? "{}" : body, "The request");
    Result as = Result.asked(format, wishes);
    Wardrobe wardrobe = fittings.wardrobe(row);
    Fitting worn = fittings.fitting(row);
    Map<String, Object> state = StackJson.format(worn, wardrobe.effects());
    Photo photo = photos.get(row.photoId());
    String name = LookName.of(worn, wardrobe);
    return Map.of(
        "job",
        exports
            .start(photo, state, as, name, NamePattern.ofText(wishes.text("names", "")))
            .shown());
  }

  /** The paint of a worn effect as a file that the command line takes. */
  @GetMapping({"/fitting/{id}/paint", "/desk/fitting/{id}/paint"})
  ResponseEntity<byte[]> paint(@PathVariable("id") long id, @RequestParam("effect") String key) {
    Worn worn =
        fittings.fitting(fittings.get(id)).worn().stream()
            .filter(w -> w.effect().equals(key))
            .findFirst()
            .orElseThrow(
                () ->
                    new org.nineveils.app.base.fault.NotFound(
                        "The photo does not wear this effect."));
    byte[] json =
        Json.writePretty(PaintJson.format(worn.paint()))
            .getBytes(java.nio.charset.StandardCharsets.UTF_8);
    return Answers.download(json, MediaType.APPLICATION_JSON, "paint.json");
  }

  private Map<String, Object> state(FittingRow row, Wardrobe wardrobe) {
    Map<String, Object> state = states.of(row, wardrobe);
    state.putAll(
        Json.object(
            "wardrobe", row.wardrobe(),
            "kinds", KindsJson.format(),
            "sorts", KindsJson.rules(),
            "guards", KindsJson.guards(),
            "edges", KindsJson.maskEdges(),
            "names",
                wardrobe.pieces().stream()
                    .map(p -> List.of(p.offer().key(), p.offer().name()))
                    .toList()));
    return state;
  }
}
