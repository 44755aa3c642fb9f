package org.nineveils.app.wear.folders;

import java.util.Map;
import org.nineveils.document.Json;
import org.nineveils.refusal.Refusal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** Folders to choose from, and the page of those that are watched. */
@Controller
class FoldersController {
  private final Folders folders;
  private final WatchedFolders watched;

  FoldersController(Folders folders, WatchedFolders watched) {
    this.folders = folders;
    this.watched = watched;
  }

  @GetMapping("/folders")
  String page(Model model) {
    model.addAttribute("watched", watched.all());
    model.addAttribute("root", folders.root());
    return "wear/folders/folders";
  }

  /** Folders that are there, with how many photos lie in each. */
  @GetMapping("/api/folders")
  @ResponseBody
  Map<String, Object> all() {
    return Json.object(
        "root", folders.root().toString(),
        "folders",
            folders.names().stream()
                .map(n -> Json.object("name", n, "photos", photos(n)))
                .toList());
  }

  /** How many lie in one; none in one that cannot be read, which keeps no other from being told. */
  private int photos(String name) {
    try {
      return folders.photos(name).size();
    } catch (Refusal e) {
      return 0;
    }
  }

  @PostMapping("/api/folders/watched/{id}/rest")
  @ResponseBody
  Map<String, Object> rest(@PathVariable("id") long id, @RequestParam("rests") boolean rests) {
    watched.rest(id, rests);
    return Map.of();
  }

  /** What failed is tried once more. */
  @PostMapping("/api/folders/watched/{id}/again")
  @ResponseBody
  Map<String, Object> again(@PathVariable("id") long id) {
    watched.again(id);
    return Map.of("said", "What failed is tried once more.");
  }

  @DeleteMapping("/api/folders/watched/{id}")
  @ResponseBody
  Map<String, Object> remove(@PathVariable("id") long id) {
    String name = watched.get(id).folder();
    watched.remove(id);
    return Map.of("said", "“%s” is watched no longer; what lies there stays.".formatted(name));
  }
}
