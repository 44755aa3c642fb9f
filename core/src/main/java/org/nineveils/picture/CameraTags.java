package org.nineveils.picture;

import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.Directory;
import com.drew.metadata.Metadata;
import com.drew.metadata.exif.ExifIFD0Directory;
import com.drew.metadata.exif.ExifInteropDirectory;
import com.drew.metadata.exif.ExifSubIFDDirectory;
import com.drew.metadata.icc.IccDirectory;
import java.io.ByteArrayInputStream;
import java.io.IOException;
import org.nineveils.picture.data.PhotoData;

/**
 * What a camera says of how its pixels are to be read.
 *
 * @param orientation 1…8 (Exif 2.32, 4.6.5.A); 1 for upright
 * @param bits of a sample where a TIFF says so, 0 otherwise: decoders give 12 of them unscaled
 * @param space that the colours are in where no profile says so; null for sRGB
 */
record CameraTags(int orientation, int bits, NamedSpace space) {
  private static final CameraTags NONE = new CameraTags(1, 0, null);

  /** DCF 2.0, 4.3.2: of a file in the optional colour space. */
  private static final String OPTIONAL_SPACE = "R03";

  private static final int OPTIONAL_SPACE_CODE = 2;

  /** Damaged tags never lose a picture that decodes. */
  static CameraTags of(byte[] file) {
    if (PngChunks.isPng(file) || isWebp(file)) {
      return new CameraTags(PhotoData.of(file).orientation(), 0, null);
    }
    try {
      Metadata all = ImageMetadataReader.readMetadata(new ByteArrayInputStream(file));
      boolean profiled = all.getFirstDirectoryOfType(IccDirectory.class) != null;
      return new CameraTags(orientation(all), bits(all), profiled ? null : space(all));
    } catch (ImageProcessingException | IOException | RuntimeException e) {
      return NONE;
    }
  }

  static boolean isWebp(byte[] file) {
    return file.length > 12 && file[0] == 'R' && file[1] == 'I' && file[8] == 'W' && file[9] == 'E';
  }

  private static int orientation(Metadata all) {
    Integer said = number(all.getFirstDirectoryOfType(ExifIFD0Directory.class), 0x0112);
    return said == null ? 1 : said;
  }

  private static int bits(Metadata all) {
    ExifIFD0Directory first = all.getFirstDirectoryOfType(ExifIFD0Directory.class);
    int[] bits = first == null ? null : first.getIntArray(ExifIFD0Directory.TAG_BITS_PER_SAMPLE);
    return bits == null || bits.length == 0 ? 0 : bits[0];
  }

  private static NamedSpace space(Metadata all) {
    Integer code = number(all.getFirstDirectoryOfType(ExifSubIFDDirectory.class), 0xA001);
    Directory interop = all.getFirstDirectoryOfType(ExifInteropDirectory.class);
    String index = interop == null ? null : interop.getString(1);
    boolean optional = index != null && index.startsWith(OPTIONAL_SPACE);
    boolean named = code != null && code == OPTIONAL_SPACE_CODE;
    return (optional && (code == null || code != 1)) || named ? NamedSpace.OP_RGB : null;
  }

  private static Integer number(Directory directory, int tag) {
    return directory == null ? null : directory.getInteger(tag);
  }
}
