package org.nineveils.app.order.rack;

import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import org.nineveils.app.base.undo.Save;
import org.nineveils.app.making.kits.EffectService;
import org.nineveils.app.making.kits.KitService;
import org.nineveils.app.making.kits.Rows;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.veil.Dial;
import org.nineveils.veil.Effect;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Mends what the health of a kit names, in one step each; answered as acts on a rack are. */
@RestController
@RequestMapping("/api/rack/{kit}")
class MendApi {
  private final RackState rack;
  private final EffectService effects;

  MendApi(RackState rack, EffectService effects) {
    this.rack = rack;
    this.effects = effects;
  }

  /** Takes effect and its note. */
  @PostMapping("/note")
  Map<String, Object> note(@PathVariable("kit") long kit, @RequestBody String body) {
    Fields f = request(body);
    String note = f.text("note");
    change(kit, f.whole("effect"), "note of", e -> e.noted(note));
    return rack.after(kit, "", List.of());
  }

  /** Takes effect and the region that its brushed veils are meant for which do not say so. */
  @PostMapping("/meant-for")
  Map<String, Object> meantFor(@PathVariable("kit") long kit, @RequestBody String body) {
    Fields f = request(body);
    String region = f.text("region");
    change(kit, f.whole("effect"), "meant for of", e -> meant(e, region));
    return rack.after(kit, "", List.of());
  }

  private static Effect meant(Effect effect, String region) {
    return effect.withVeils(
        effect.veils().stream()
            .map(v -> v.mask().startsHidden() && v.meantFor().isBlank() ? v.meant(region) : v)
            .toList());
  }

  /** Takes effect and the label of a dial that is no longer left to the photographer. */
  @PostMapping("/dial-off")
  Map<String, Object> dialOff(@PathVariable("kit") long kit, @RequestBody String body) {
    Fields f = request(body);
    String label = f.text("dial");
    change(kit, f.whole("effect"), "dial “%s” off".formatted(label), e -> without(e, label));
    return rack.after(kit, "", List.of());
  }

  private static Effect without(Effect e, String label) {
    List<Dial> left = e.dials().stream().filter(d -> !d.label().equals(label)).toList();
    return new Effect(e.veils(), e.note(), e.edition(), left, e.start(), e.madeFor());
  }

  private void change(long kit, long id, String what, UnaryOperator<Effect> change) {
    Rows.Effect row = effects.get(id);
    Save on = Save.on(row.rev(), "%s %s".formatted(what, row.name()));
    effects.change(id, on, KitService.scope(kit), change);
  }

  private static Fields request(String body) {
    return Json.read(body, "The request");
  }
}
