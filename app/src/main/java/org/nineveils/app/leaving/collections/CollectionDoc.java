package org.nineveils.app.leaving.collections;

import java.util.List;
import java.util.Map;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;

/**
 * All of a collection that its page edits, stored and taken back as one.
 *
 * @param mayHandOut whether photographers may hand out looks with its effects
 * @param kits what goes in, in that order
 * @param withoutSections sections of those kits that stay out
 * @param withoutEffects effects of those kits that stay out
 * @param coverPhoto id of a photo of the wall; 0 for no cover
 * @param coverEffect id of an effect; 0 for no cover
 */
public record CollectionDoc(
    String name,
    String version,
    String licence,
    String notes,
    boolean mayHandOut,
    List<Long> kits,
    List<Long> withoutSections,
    List<Long> withoutEffects,
    long coverPhoto,
    long coverEffect) {
  public CollectionDoc {
    kits = List.copyOf(kits);
    withoutSections = List.copyOf(withoutSections);
    withoutEffects = List.copyOf(withoutEffects);
  }

  public static CollectionDoc parse(Fields f) {
    f.only(
        "name",
        "version",
        "licence",
        "notes",
        "mayHandOut",
        "kits",
        "withoutSections",
        "withoutEffects",
        "coverPhoto",
        "coverEffect");
    return new CollectionDoc(
        f.text("name"),
        f.text("version"),
        f.text("licence"),
        f.text("notes"),
        f.flag("mayHandOut", false),
        f.wholes("kits"),
        f.has("withoutSections") ? f.wholes("withoutSections") : List.of(),
        f.has("withoutEffects") ? f.wholes("withoutEffects") : List.of(),
        f.has("coverPhoto") ? f.whole("coverPhoto") : 0,
        f.has("coverEffect") ? f.whole("coverEffect") : 0);
  }

  public Map<String, Object> format() {
    return Json.object(
        "name", name,
        "version", version,
        "licence", licence,
        "notes", notes,
        "mayHandOut", mayHandOut,
        "kits", kits,
        "withoutSections", withoutSections,
        "withoutEffects", withoutEffects,
        "coverPhoto", coverPhoto,
        "coverEffect", coverEffect);
  }
}
