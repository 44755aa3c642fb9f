package org.nineveils.app.order.rack;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.nineveils.app.base.memory.Budget;
import org.nineveils.app.base.memory.Shelf;
import org.nineveils.app.making.kits.Rows;
import org.nineveils.app.photo.render.Thumbnails;
import org.nineveils.app.proof.sheet.Summaries;
import org.nineveils.document.EffectJson;
import org.nineveils.document.Json;
import org.nineveils.kit.EffectFacts;
import org.nineveils.kit.Readiness;
import org.nineveils.name.Names;
import org.nineveils.veil.Effect;
import org.springframework.stereotype.Component;

/** An effect as it hangs on a rack: what is in it, how far it has come, what its proofs say. */
@Component
public class Pieces {
  /** Bytes of what is known of an effect, at a guess. */
  private static final long KNOWN = 2000;

  /** Characters of a note that pages show beside the rack. */
  private static final int NOTE = 400;

  /**
   * What of an effect stays as long as it is not edited.
   *
   * @param shown ready for JSON
   */
  private record Known(EffectFacts facts, Map<String, Object> shown) {}

  private final Shelf<String, Known> kept;

  Pieces(Budget budget) {
    this.kept = budget.shelf("what effects are like", k -> KNOWN);
  }

  /** What an effect is like; worked out once for each of its states. */
  public EffectFacts facts(Rows.Head head, String doc) {
    return known(head, doc).facts();
  }

  private Known known(Rows.Head head, String doc) {
    return kept.get(
        Thumbnails.effectKey(doc),
        () -> {
          Effect effect = EffectJson.parse(Json.read(doc, "“%s”".formatted(head.name())));
          return new Known(EffectFacts.of(effect), shown(effect));
        });
  }

  private static Map<String, Object> shown(Effect effect) {
    return Json.object(
        "note", Names.cut(effect.note(), NOTE),
        "kinds", effect.veils().stream().map(v -> v.kind().id()).toList(),
        "brushed", effect.veils().stream().filter(v -> v.mask().startsHidden()).count(),
        "dials", effect.dials().stream().map(d -> d.label()).toList(),
        "start", effect.start(),
        "madeFor", effect.madeFor(),
        "edition", effect.edition());
  }

  /** The piece; more can be put to it. */
  public Map<String, Object> of(Rows.Head head, String doc, Summaries.Summary proof) {
    Known known = known(head, doc);
    Readiness ready = Readiness.of(known.facts(), proof.proofed());
    boolean isOlder = known.facts().isOlder();
    Map<String, Object> piece =
        Json.object(
            "id", head.id(),
            "name", head.name(),
            "rev", head.rev(),
            "favourite", head.favourite(),
            "state", ready.state().word(),
            "lacks", ready.lacks().stream().map(Readiness.Lack::words).toList(),
            "line", line(ready, proof, isOlder),
            "over", proof.proofed().over(),
            "near", proof.proofed().near(),
            "proofed", proofed(proof),
            "worstPhoto", proof.worstPhoto(),
            "older", isOlder);
    piece.putAll(known.shown());
    return piece;
  }

  /** What stands below its name. */
  private static String line(Readiness ready, Summaries.Summary proof, boolean isOlder) {
    List<Readiness.Lack> lacks = ready.lacks();
    if (ready.state() == Readiness.State.PLANNED) {
      return "planned";
    }
    if (lacks.contains(Readiness.Lack.LIMITS)) {
      return String.format(Locale.ROOT, "%d over: %s", proof.proofed().over(), proof.worst());
    }
    if (!lacks.isEmpty()) {
      return lacks.get(0).words();
    }
    return isOlder ? "older edition" : "ready";
  }

  private static String proofed(Summaries.Summary proof) {
    Readiness.Proofed p = proof.proofed();
    if (!p.sheet()) {
      return "This kit was never proofed.";
    }
    String made = String.format(Locale.ROOT, "Proofed on %d of %d photos", p.made(), p.of());
    if (p.over() > 0) {
      return String.format(
          Locale.ROOT, "%s, over a limit on %d: %s.", made, p.over(), proof.worst());
    }
    return p.near() > 0
        ? String.format(Locale.ROOT, "%s, near a limit on %d: %s.", made, p.near(), proof.worst())
        : p.made() > 0 ? made + ", within its limits." : made + ".";
  }
}
