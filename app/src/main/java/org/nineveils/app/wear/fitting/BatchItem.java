package org.nineveils.app.wear.fitting;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;
import java.util.Map;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;

/**
 * A photo of a batch: one that is kept here, a file that was taken in, or one that lies in a
 * folder.
 *
 * @param place counted from 0
 * @param photo id of one that is kept here; 0 for none
 * @param file token of one that was taken in; empty for none
 * @param in name of the folder that it lies in; empty for none
 */
record BatchItem(int place, String name, long photo, String file, String in) {
  static BatchItem of(int place, Fields f) {
    return new BatchItem(
        place,
        f.text("name"),
        f.has("photo") ? f.whole("photo") : 0,
        f.text("file", ""),
        f.text("in", ""));
  }

  static Map<String, Object> ofPhoto(long photo, String name) {
    return Json.object("photo", photo, "name", name);
  }

  static Map<String, Object> ofFile(String token, String name) {
    return Json.object("file", token, "name", name);
  }

  static Map<String, Object> ofFolder(String folder, String name) {
    return Json.object("in", folder, "name", name);
  }

  /** Its result in the job's folder, until it is handed over. */
  Path result(Path job) {
    return job.resolve(String.format(Locale.ROOT, "%05d.result", place));
  }

  /** Holds what its result is called, as long as that waits to be packed. */
  Path named(Path job) {
    return job.resolve(String.format(Locale.ROOT, "%05d.name", place));
  }

  /** Whether its result is there, or lies where it was to go. */
  boolean isMade(Path job) {
    return Files.exists(there(job)) || (Files.exists(result(job)) && Files.exists(named(job)));
  }

  /** Says, once it is there, that its result lies where it was to go. */
  Path there(Path job) {
    return job.resolve(String.format(Locale.ROOT, "%05d.there", place));
  }
}
