package org.nineveils.app.leaving.collections;

/** Rows of collections and of what was packed from them. */
public final class CollectionRows {
  private CollectionRows() {}

  /**
   * A collection.
   *
   * @param coverPhoto id of the photo on its front; 0 for none
   * @param coverEffect id of the effect that the photo wears there; 0 for none
   * @param mayHandOut whether photographers may hand out looks with its effects
   */
  public record Collection(
      long id,
      String name,
      String version,
      String licence,
      String notes,
      int rev,
      long coverPhoto,
      long coverEffect,
      boolean mayHandOut) {}

  /**
   * A release.
   *
   * @param effects how many it holds; 0 where nobody counted
   * @param signedBy public key; empty where it is not signed
   */
  public record Packed(
      long id,
      long collectionId,
      String name,
      String version,
      String fileName,
      String sha,
      long bytes,
      String packedAt,
      int effects,
      String signedBy) {}
}
