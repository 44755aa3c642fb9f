package org.nineveils.app.collections;

/** Rows of collections and of what was packed from them. */
final class CollectionRows {
  private CollectionRows() {}

  record Collection(long id, String name, String version, String licence, String notes, int rev) {}

  record Packed(
      long id,
      long collectionId,
      String name,
      String version,
      String fileName,
      String sha,
      long bytes,
      String packedAt) {}
}
