package org.nineveils.app.order.rack;

import java.util.List;
import java.util.Map;
import org.nineveils.app.making.kits.EffectService;
import org.nineveils.app.making.kits.Filing;
import org.nineveils.app.proof.sheet.ProofLooks;
import org.nineveils.document.Json;
import org.nineveils.veil.Editions;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/**
 * Effects that were made with an older edition of the engine: what updating changes, and doing it.
 */
@RestController
class OlderApi {
  private final EffectService effects;
  private final Filing filing;
  private final ProofLooks looks;
  private final RackState rack;

  OlderApi(EffectService effects, Filing filing, ProofLooks looks, RackState rack) {
    this.effects = effects;
    this.filing = filing;
    this.looks = looks;
    this.rack = rack;
  }

  /** How far updating moves an effect on a photo, mean ΔE00, and from which edition to which. */
  @GetMapping("/api/older/{effect}/{photo}")
  Map<String, Object> moved(@PathVariable("effect") long id, @PathVariable("photo") long photo) {
    return Json.object(
        "edition", effects.effect(effects.get(id)).edition(),
        "newest", Editions.current(),
        "by", looks.moved(id, photo));
  }

  /** An effect on a photo as it would be with the newest edition. */
  @GetMapping("/effects/{effect}/newest/{photo}")
  ResponseEntity<byte[]> newest(
      @PathVariable("effect") long id, @PathVariable("photo") long photo) {
    return ResponseEntity.ok()
        .contentType(MediaType.IMAGE_JPEG)
        .cacheControl(CacheControl.noStore())
        .body(looks.newest(id, photo));
  }

  /** Updates effects, as one edit. */
  @PostMapping("/api/rack/{kit}/update")
  Map<String, Object> update(@PathVariable("kit") long kit, @RequestBody String body) {
    List<Long> ids = Json.read(body, "The request").wholes("effects");
    String said = filing.update(ids);
    return rack.after(kit, said, List.of());
  }
}
