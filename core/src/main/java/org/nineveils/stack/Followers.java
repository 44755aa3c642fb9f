package org.nineveils.stack;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.nineveils.mask.Mask;
import org.nineveils.mask.Paint;
import org.nineveils.veil.Veil;

/** Veils that cover where another one does, each given that one's mask and paint. */
record Followers(List<Veil> veils, Map<String, Paint> paint) {
  static Followers resolved(List<Veil> veils, Map<String, Paint> paint) {
    if (veils.stream().noneMatch(v -> v.mask().follows())) {
      return new Followers(List.copyOf(veils), Map.copyOf(paint));
    }
    Map<String, Mask> masks = new LinkedHashMap<>();
    veils.forEach(v -> masks.put(v.id(), v.mask()));
    List<Veil> own = new ArrayList<>();
    Map<String, Paint> all = new LinkedHashMap<>(paint);
    for (Veil v : veils) {
      String as = v.mask().as();
      own.add(v.mask().follows() ? v.withMask(masks.getOrDefault(as, Mask.BRUSH_ON)) : v);
      if (v.mask().follows()) {
        all.put(v.id(), paint.getOrDefault(as, Paint.NONE));
      }
    }
    return new Followers(List.copyOf(own), Map.copyOf(all));
  }
}
