package org.nineveils.app.making.swatches;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.nineveils.app.base.fault.Conflict;
import org.nineveils.app.base.fault.NotFound;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.app.making.kits.EffectService;
import org.nineveils.app.making.maker.MakersMark;
import org.nineveils.app.making.swatches.SwatchStore.Swatch;
import org.nineveils.catalogue.Kinds;
import org.nineveils.document.EffectJson;
import org.nineveils.document.Json;
import org.nineveils.mask.Cover;
import org.nineveils.mask.Mask;
import org.nineveils.name.Names;
import org.nineveils.release.KitFile;
import org.nineveils.veil.Veil;
import org.nineveils.veil.VeilKind;
import org.springframework.stereotype.Service;

/** Keeps settings of single veils under the maker's mark. */
@Service
public class Swatches {
  /** What undo of swatches looks at. */
  static final String SCOPE = "swatches";

  private final SwatchStore store;
  private final EffectService effects;
  private final MakersMark mark;
  private final Journal journal;

  Swatches(SwatchStore store, EffectService effects, MakersMark mark, Journal journal) {
    this.store = store;
    this.effects = effects;
    this.mark = mark;
    this.journal = journal;
  }

  /**
   * A swatch by its names.
   *
   * @param kind of its veil, as screens name it
   */
  public record Called(long id, String mark, String name, String kind) {}

  /** All swatches by their names. */
  public List<Called> named() {
    return store.all().stream().map(Swatches::called).toList();
  }

  /** Swatches whose settings no veil of any effect has. */
  public List<Called> unused() {
    Set<String> hung = effects.hung();
    Map<Long, String> looks = store.looks();
    return store.all().stream()
        .filter(s -> !hung.contains(looks.get(s.id())))
        .sorted(Comparator.comparing(SwatchStore.Swatch::id))
        .map(Swatches::called)
        .toList();
  }

  private static Called called(Swatch swatch) {
    return new Called(swatch.id(), swatch.mark(), swatch.name(), kind(swatch).label());
  }

  private static VeilKind kind(Swatch swatch) {
    return Kinds.ofId(Json.read(swatch.doc(), "The swatch").text("kind"));
  }

  /** All swatches as a kit file holds them. */
  public List<KitFile.SwatchPart> parts() {
    return store.all().stream()
        .map(s -> new KitFile.SwatchPart(s.mark(), s.name(), veil(s.doc())))
        .toList();
  }

  private static Veil veil(String doc) {
    return EffectJson.parseVeil(Json.read(doc, "The swatch"));
  }

  /**
   * Takes swatches in, within an edit that is under way: what is there already stays, and one of
   * the same name that holds something else gets a number.
   */
  public void takeParts(List<KitFile.SwatchPart> parts) {
    for (KitFile.SwatchPart part : parts) {
      String doc = Json.write(EffectJson.formatVeil(part.veil()));
      boolean there =
          store.all().stream().anyMatch(s -> s.mark().equals(part.mark()) && s.doc().equals(doc));
      String name = part.name();
      for (int n = 2; !there && store.nameTaken(part.mark(), name); n++) {
        name = Names.numbered(part.name(), n);
      }
      if (!there) {
        store.add(part.mark(), name, doc);
      }
    }
  }

  List<Swatch> all() {
    return store.all();
  }

  /**
   * Keeps a veil.
   *
   * @param withRules with the rules of its mask, where it has any; otherwise it covers everywhere
   */
  public void add(String wanted, Veil veil, boolean withRules) {
    String own = mark.get();
    String name = Names.check("A swatch", wanted);
    boolean ruled = veil.mask().cover() == Cover.BY_RULE && withRules;
    Veil kept = ruled ? veil : veil.withMask(Mask.EVERYWHERE);
    edit(
        "keep the swatch " + name,
        () -> {
          checkName(own, name);
          store.add(own, name, Json.write(EffectJson.formatVeil(kept)));
        });
  }

  void rename(long id, String wanted) {
    String name = Names.check("A swatch", wanted);
    Swatch old = find(id);
    edit(
        "rename the swatch " + old.name(),
        () -> {
          if (!Names.key(name).equals(Names.key(old.name()))) {
            checkName(old.mark(), name);
          }
          store.rename(id, name);
        });
  }

  void remove(long id) {
    edit("delete the swatch " + find(id).name(), () -> store.remove(id));
  }

  private void checkName(String mark, String name) {
    if (store.nameTaken(mark, name)) {
      throw Conflict.taken("a swatch of this mark", name);
    }
  }

  private Swatch find(long id) {
    return store.find(id).orElseThrow(() -> new NotFound("This swatch is no longer here."));
  }

  private void edit(String label, Runnable work) {
    journal.edit(
        SCOPE,
        label,
        () -> {
          work.run();
          return null;
        });
  }
}
