package org.nineveils.app.leaving.collections;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.nineveils.app.making.kits.KitService;
import org.nineveils.app.making.kits.Rows;
import org.nineveils.app.making.kits.WornRules;
import org.nineveils.kit.Against;
import org.springframework.stereotype.Component;

/**
 * What goes into a collection as it is now: kits without the sections and effects that stay out.
 */
@Component
public class GoingIn {
  private final CollectionService collections;
  private final KitService kits;
  private final WornRules rules;

  GoingIn(CollectionService collections, KitService kits, WornRules rules) {
    this.collections = collections;
    this.kits = kits;
    this.rules = rules;
  }

  /** A section with the effects that go in. */
  public record Section(Rows.Section row, List<Against> against, List<Rows.Head> effects) {}

  /** A kit with the sections that go in. */
  public record Kit(Rows.Kit row, List<Section> sections) {
    List<Rows.Head> effects() {
      return sections.stream().flatMap(s -> s.effects().stream()).toList();
    }
  }

  /**
   * The kits in their order. A section of which every effect was ticked off stays out with them.
   */
  List<Kit> of(long collection) {
    CollectionDoc doc = collections.doc(collection);
    Set<Long> sections = new HashSet<>(doc.withoutSections());
    Set<Long> effects = new HashSet<>(doc.withoutEffects());
    List<Kit> out = new ArrayList<>();
    for (long kit : doc.kits()) {
      Map<Long, List<Against>> against = rules.against(kit);
      List<Section> in = new ArrayList<>();
      for (Rows.FilledSection filled : kits.filled(kit)) {
        List<Rows.Head> left =
            filled.effects().stream().filter(e -> !effects.contains(e.id())).toList();
        boolean tickedOff = !filled.effects().isEmpty() && left.isEmpty();
        if (!tickedOff && !sections.contains(filled.section().id())) {
          in.add(new Section(filled.section(), against.get(filled.section().id()), left));
        }
      }
      out.add(new Kit(kits.kit(kit), in));
    }
    return out;
  }
}
