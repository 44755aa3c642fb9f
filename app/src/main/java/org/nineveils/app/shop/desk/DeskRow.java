package org.nineveils.app.shop.desk;

/**
 * A release that was opened at the desk.
 *
 * @param code under which it was fetched from the stall; empty where it came as a file
 * @param signedBy public key; empty where it is not signed
 * @param replacedBy id of the release that took its place; 0 where it is itself at the desk
 */
public record DeskRow(
    long id,
    String sha,
    String name,
    String version,
    String makersMark,
    String code,
    String signedBy,
    long replacedBy) {
  /** Name and version. */
  String called() {
    return name + " " + version;
  }

  /** As fittings name it. */
  String wardrobe() {
    return "release:" + id;
  }
}
