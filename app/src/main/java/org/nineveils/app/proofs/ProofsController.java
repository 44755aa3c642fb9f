package org.nineveils.app.proofs;

import java.time.Duration;
import java.util.Map;
import org.nineveils.app.kits.KitService;
import org.nineveils.app.photos.PhotoService;
import org.nineveils.app.photos.Side;
import org.nineveils.document.Json;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
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
    model.addAttribute("sections", kits.filled(kitId));
    model.addAttribute("photos", photos.all(Side.WALL));
    model.addAttribute("stopped", proofs.wasStopped(kitId));
    return "proofs/sheet";
  }

  /** Progress, and every cell that is there, by effect and photo. */
  @GetMapping("/api/proofs/{kit}")
  @ResponseBody
  Map<String, Object> progress(@PathVariable("kit") long kitId) {
    ProofService.State state = proofs.state(kitId);
    ProofRun.Progress p = state.progress();
    return Json.object(
        "done", p.done(),
        "total", p.total(),
        "running", p.running(),
        "secondsLeft", p.secondsLeft(),
        "cells", state.made());
  }

  @PostMapping("/api/proofs/{kit}/start")
  @ResponseBody
  Map<String, Object> start(@PathVariable("kit") long kitId) {
    kits.kit(kitId);
    proofs.start(kitId);
    return Map.of();
  }

  @PostMapping("/api/proofs/{kit}/stop")
  @ResponseBody
  Map<String, Object> stop(@PathVariable("kit") long kitId) {
    proofs.stop(kitId);
    return Map.of();
  }

  /** A cell's picture; its name changes with its content, so the browser may keep it. */
  @GetMapping("/proofs/cell/{key}")
  ResponseEntity<byte[]> cell(@PathVariable("key") String key) {
    return ResponseEntity.ok()
        .contentType(MediaType.IMAGE_JPEG)
        .cacheControl(CacheControl.maxAge(Duration.ofDays(30)).cachePrivate())
        .body(proofs.picture(key));
  }
}
