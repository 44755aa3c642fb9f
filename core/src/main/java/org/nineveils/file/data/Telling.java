package org.nineveils.file.data;

import java.util.Locale;
import java.util.Set;

/**
 * Properties of XMP that tell where a photo was taken, or the number or owner of a thing. A name
 * counts in whatever namespace it stands: programs have their own for the same. How to reach the
 * photographer (creator's contact) is meant to be read and is not among them.
 *
 * <p>Sources: Exif 2.32 metadata for XMP (CIPA DC-010); IPTC Photo Metadata Standard 2023.1 (City,
 * Sublocation, Province or State, Country, Location Created, Location Shown and what they hold);
 * Dublin Core (coverage: the place that it is about).
 */
final class Telling {
  private static final Set<String> PLACES =
      Set.of(
          "city",
          "state",
          "province",
          "provincestate",
          "country",
          "countrycode",
          "countryname",
          "worldregion",
          "location",
          "locationcreated",
          "locationshown",
          "locationname",
          "locationid",
          "sublocation",
          "coverage",
          "latitude",
          "longitude",
          "altitude");

  private static final Set<String> NUMBERS =
      Set.of(
          "serialnumber",
          "bodyserialnumber",
          "cameraserialnumber",
          "internalserialnumber",
          "lensserialnumber",
          "ownername",
          "cameraownername",
          "imageuniqueid",
          "makernote");

  private Telling() {}

  /** Whether a property tells a place, a number or an owner. */
  static boolean has(String namespace, String name) {
    String key = name.toLowerCase(Locale.ROOT);
    return key.startsWith("gps") || PLACES.contains(key) || NUMBERS.contains(key);
  }
}
