package org.nineveils.app.proof.alike;

import java.nio.charset.StandardCharsets;
import java.util.List;
import org.nineveils.app.base.memory.Budget;
import org.nineveils.app.base.memory.Shelf;
import org.nineveils.app.proof.cells.Cell;
import org.nineveils.app.proof.cells.Cells;
import org.nineveils.app.proof.measuring.Measuring;
import org.nineveils.release.Checksums;
import org.springframework.stereotype.Service;

/**
 * Which effects of a kit can hardly be told apart, for other rooms. Kept for as long as its proofs
 * are what they are: comparing 65 effects takes a second.
 */
@Service
public class LookAlikes {
  /** Bytes of a pair, at a guess. */
  private static final long EACH = 100;

  private final AlikeService alike;
  private final Cells cells;
  private final Measuring measuring;
  private final WantedStore wanted;
  private final Shelf<String, List<List<Long>>> kept;

  LookAlikes(
      AlikeService alike, Cells cells, Measuring measuring, WantedStore wanted, Budget budget) {
    this.alike = alike;
    this.cells = cells;
    this.measuring = measuring;
    this.wanted = wanted;
    this.kept = budget.shelf("look-alikes", pairs -> EACH * pairs.size());
  }

  /** Pairs by id, the nearest first, but for those that the maker wants both of. */
  public List<List<Long>> of(long kit) {
    StringBuilder state = new StringBuilder();
    state.append(kit).append(' ').append(measuring.written()).append(wanted.all());
    for (Cell c : cells.all(kit)) {
      state.append(c.head().id()).append(' ').append(c.measured()).append(c.standing().tags());
    }
    byte[] bytes = state.toString().getBytes(StandardCharsets.UTF_8);
    return kept.get(Checksums.sha256(bytes), () -> found(kit));
  }

  private List<List<Long>> found(long kit) {
    return alike.near(kit).stream()
        .filter(t -> t.mean() < AlikeService.BOUND && t.most() < 2 * AlikeService.BOUND)
        .filter(t -> !t.isWanted())
        .map(t -> List.of(t.one(), t.two()))
        .toList();
  }
}
