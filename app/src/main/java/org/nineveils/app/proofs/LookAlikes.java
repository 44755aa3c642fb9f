package org.nineveils.app.proofs;

import java.util.List;
import org.springframework.stereotype.Service;

/** Which effects of a kit can hardly be told apart, for other rooms. */
@Service
public class LookAlikes {
  private final AlikeService alike;

  LookAlikes(AlikeService alike) {
    this.alike = alike;
  }

  /** Pairs by id, the nearest first, but for those that the maker wants both of. */
  public List<List<Long>> of(long kit) {
    return ((List<?>) alike.map(kit, 0).get("pairs"))
        .stream()
            .map(p -> (List<?>) p)
            .filter(p -> number(p, 2) < AlikeService.BOUND && number(p, 3) < 2 * AlikeService.BOUND)
            .filter(p -> !Boolean.TRUE.equals(p.get(5)))
            .map(p -> List.of((Long) p.get(0), (Long) p.get(1)))
            .toList();
  }

  private static double number(List<?> of, int place) {
    return ((Number) of.get(place)).doubleValue();
  }
}
