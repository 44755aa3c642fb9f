package org.nineveils.cli;

import java.util.Arrays;
import java.util.Iterator;
import org.nineveils.file.PictureFormat;

/** What results can be written as, for the words of an option. */
final class ResultFormats implements Iterable<String> {
  @Override
  public Iterator<String> iterator() {
    return Arrays.stream(PictureFormat.values()).map(PictureFormat::id).iterator();
  }
}
