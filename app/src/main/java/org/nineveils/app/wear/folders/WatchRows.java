package org.nineveils.app.wear.folders;

/** Rows of watched folders and of what was found in them. */
final class WatchRows {
  private WatchRows() {}

  /**
   * A watched folder.
   *
   * @param title of what its photos get
   * @param request JSON: state (the stack), look, to, names, and how results are written
   * @param rests nothing is taken from it for now
   */
  record Watched(
      long id, String folder, String title, String request, String since, boolean rests) {}

  /**
   * A photo that was found.
   *
   * @param stamp changes with the file
   * @param result name of what was made of it; empty where it failed
   * @param said why it failed; empty where it did not
   */
  record Found(
      long id,
      long watchedId,
      String name,
      String stamp,
      String result,
      String said,
      String madeAt) {}

  /** How many were made and how many failed. */
  record Count(int made, int failed) {}
}
