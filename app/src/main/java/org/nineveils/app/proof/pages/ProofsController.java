package org.nineveils.app.proof.pages;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.app.base.undo.Steps;
import org.nineveils.app.base.undo.Undo;
import org.nineveils.app.making.kits.EffectService;
import org.nineveils.app.making.kits.KitService;
import org.nineveils.app.making.kits.Rows;
import org.nineveils.app.photo.photos.Photo;
import org.nineveils.app.photo.photos.PhotoService;
import org.nineveils.app.photo.photos.Side;
import org.nineveils.app.photo.photos.Tags;
import org.nineveils.app.photo.regions.WallFacts;
import org.nineveils.app.proof.judging.Judging;
import org.nineveils.app.proof.sheet.ProofService;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.document.LimitsJson;
import org.nineveils.proof.measure.Measure;
import org.nineveils.proof.measure.Measures;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;

/** The page of a proof sheet, its progress and its pictures. */
@Controller
class ProofsController {
  private final ProofService proofs;
  private final KitService kits;
  private final EffectService made;
  private final PhotoService photos;
  private final Tags tags;
  private final WallFacts regions;
  private final Judging judging;
  private final Journal journal;

  ProofsController(
      ProofService proofs,
      KitService kits,
      EffectService made,
      PhotoService photos,
      Tags tags,
      WallFacts regions,
      Judging judging,
      Journal journal) {
    this.proofs = proofs;
    this.kits = kits;
    this.made = made;
    this.photos = photos;
    this.tags = tags;
    this.regions = regions;
    this.judging = judging;
    this.journal = journal;
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
    List<Photo> wall = photos.all(Side.WALL);
    model.addAttribute("kit", kits.kit(kitId));
    model.addAttribute("kits", kits.kits());
    model.addAttribute("empty", wall.isEmpty());
    model.addAttribute("undo", Undo.of(journal, Judging.scope(kitId)));
    model.addAttribute("data", Json.write(data(kitId, wall)));
    return "proof/proofs/sheet";
  }

  /** Kit and wall as the page lays them out. */
  private Map<String, Object> data(long kitId, List<Photo> wall) {
    List<Object> sections = new ArrayList<>();
    List<Object> effects = new ArrayList<>();
    Set<Long> older = made.older(kitId);
    for (Rows.FilledSection filled : kits.filled(kitId)) {
      Rows.Section section = filled.section();
      sections.add(List.of(section.id(), section.number() + " " + section.name()));
      filled
          .effects()
          .forEach(
              e -> effects.add(List.of(e.id(), e.name(), section.id(), older.contains(e.id()))));
    }
    Map<Long, List<String>> tagged = tags.all();
    Map<Long, WallFacts.Held> held = regions.held(wall);
    return Json.object(
        "kit",
        kitId,
        "sections",
        sections,
        "effects",
        effects,
        "measures",
        Measures.all().stream().map(ProofsController::measure).toList(),
        "limits",
        limits(kitId, sections),
        "maxReason",
        Judging.MAX_REASON,
        "photos",
        wall.stream()
            .map(
                p ->
                    List.of(
                        p.id(),
                        p.name(),
                        p.width(),
                        p.height(),
                        tagged.getOrDefault(p.id(), List.of()),
                        held.get(p.id()).names()))
            .toList());
  }

  private static Map<String, Object> measure(Measure m) {
    return Json.object(
        "id", m.id(),
        "label", m.label(),
        "word", m.word(),
        "unit", m.unit(),
        "region", m.region(),
        "less", m.bad() == Measure.Bad.LESS,
        "start", m.limit());
  }

  /** Limits of the kit under “kit”, of each section that has its own under its id. */
  private Map<String, Object> limits(long kitId, List<Object> sections) {
    Judging.Rules rules = judging.rules(kitId);
    Map<String, Object> out = Json.object("kit", LimitsJson.format(rules.ofKit()));
    for (Object section : sections) {
      long id = (Long) ((List<?>) section).get(0);
      out.put(String.valueOf(id), LimitsJson.format(rules.own(id)));
    }
    return out;
  }

  /** Limits, what may be over them, and what is wanted: all that undo on the sheet changes. */
  @PutMapping("/api/proofs/{kit}/limits")
  @ResponseBody
  Map<String, Object> setLimits(@PathVariable("kit") long kitId, @RequestBody String body) {
    Fields f = Json.read(body, "The limits");
    kits.kit(kitId);
    Long section = f.has("section") ? Long.valueOf(f.whole("section")) : null;
    judging.setLimits(kitId, section, LimitsJson.parse(f.object("limits")), f.text("label"));
    return proofs.state(kitId, -1);
  }

  @PostMapping("/api/proofs/{kit}/undo")
  @ResponseBody
  Map<String, Object> undo(@PathVariable("kit") long kitId, Steps steps) {
    return Undo.run(journal, Judging.scope(kitId), steps);
  }

  /** What one measure says of every cell. */
  @GetMapping("/api/proofs/{kit}/measures/{measure}")
  @ResponseBody
  Map<String, Object> values(
      @PathVariable("kit") long kitId, @PathVariable("measure") String measure) {
    kits.kit(kitId);
    return Map.of("values", proofs.values(kitId, measure));
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
