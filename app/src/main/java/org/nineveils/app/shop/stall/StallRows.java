package org.nineveils.app.shop.stall;

/** Rows of what is out and of its versions. */
public final class StallRows {
  private StallRows() {}

  /**
   * What is out under a code.
   *
   * @param code its letters, see {@link org.nineveils.release.code.StallCode}
   * @param collectionId of the maker's collection; 0 for a combination
   */
  public record Item(long id, String code, long collectionId, String name) {}

  /**
   * A version of it.
   *
   * @param price a line of text; may be empty
   * @param putOutAt such as 2026-11-27T20:10:00Z
   * @param withdrawnAt the same; empty where it is out
   * @param fetched how often it was fetched here
   */
  public record Version(
      long id,
      long itemId,
      String version,
      String sha,
      String price,
      String putOutAt,
      String withdrawnAt,
      int fetched) {
    public boolean isOut() {
      return withdrawnAt.isEmpty();
    }
  }
}
