package org.nineveils.app.proofs;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.nineveils.app.kits.KitService;
import org.nineveils.app.kits.Rows;
import org.nineveils.app.photos.Photo;
import org.nineveils.app.photos.PhotoService;
import org.nineveils.app.photos.Side;
import org.nineveils.document.Json;
import org.nineveils.proof.measure.Measures;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** The page of a proof sheet, its progress and its pictures. */
@Controller
class ProofsController {
  private final ProofService proofs;
  private final KitService kits;
  private final PhotoService photos;

  ProofsController(ProofService proofs, KitService kits, PhotoService photos) {
    this.proofs = proofs;
    this.kits = kits;
    this.photos = photos;
  }

  @GetMapping("/proofs")
  String first() {
    return kits.kits().stream()
        .findFirst()
        .map(kit -> "redirect:/proofs/" + kit.id())
        .orElse("redirect:/kits");
  }

  @GetMapping("/proofs/{kit}")
  String sheet(@PathVariable("kit") long kitId, Model model) {
    model.addAttribute("kit", kits.kit(kitId));
    model.addAttribute("kits", kits.kits());
    List<Object> columns = new ArrayList<>();
    for (Rows.FilledSection filled : kits.filled(kitId)) {
      String section = filled.section().number() + " " + filled.section().name();
      filled.effects().forEach(e -> columns.add(List.of(e.id(), e.name(), section)));
    }
    List<Photo> wall = photos.all(Side.WALL);
    model.addAttribute("empty", wall.isEmpty());
    model.addAttribute(
        "data",
        Json.write(
            Json.object(
                "kit",
                kitId,
                "effects",
                columns,
                "measures",
                Measures.all().stream().map(m -> List.of(m.id(), m.label(), m.unit())).toList(),
                "photos",
                wall.stream().map(p -> List.of(p.id(), p.name())).toList())));
    return "proofs/sheet";
  }

  /** How far it is: at first every cell that is there, then those that are new since a place. */
  @GetMapping("/api/proofs/{kit}")
  @ResponseBody
  Map<String, Object> progress(
      @PathVariable("kit") long kitId,
      @RequestParam(name = "since", defaultValue = "-1") int since) {
    kits.kit(kitId);
    return proofs.state(kitId, since);
  }

  @PostMapping("/api/proofs/{kit}/start")
  @ResponseBody
  Map<String, Object> start(@PathVariable("kit") long kitId) {
    proofs.start(kitId);
    return Map.of();
  }

  @PostMapping("/api/proofs/{kit}/stop")
  @ResponseBody
  Map<String, Object> stop(@PathVariable("kit") long kitId) {
    proofs.stop(kitId);
    return Map.of();
  }
}
