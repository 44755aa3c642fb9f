package org.nineveils.file;

import org.nineveils.file.data.PhotoData;

/**
 * What a camera says of how its pixels are to be read. It is read within the bounds of {@link
 * org.nineveils.refusal.InputLimits}, whatever a stranger's file says.
 *
 * @param orientation 1…8 (Exif 2.32, 4.6.5.A); 1 for upright
 * @param bits of a sample where a TIFF says so, 0 otherwise: decoders give 12 of them unscaled
 * @param space that the colours are in where no profile says so; null for sRGB
 * @param premultiplied whether a TIFF's colours are multiplied by how much of a pixel is there
 * @param otherInks whether a TIFF's inks are others than cyan, magenta, yellow and black
 */
record CameraTags(
    int orientation, int bits, NamedSpace space, boolean premultiplied, boolean otherInks) {
  /** DCF 2.0, 4.3.2: of a file in the optional colour space. */
  private static final String OPTIONAL_SPACE = "R03";

  private static final int OPTIONAL_SPACE_CODE = 2;

  /** Damaged tags never lose a picture that decodes. */
  static CameraTags of(byte[] file) {
    PhotoData data = PhotoData.of(file);
    if (PngChunks.isPng(file) || isWebp(file)) {
      return new CameraTags(data.orientation(), 0, null, false, false);
    }
    NamedSpace space = data.hasProfile() ? null : space(data);
    if (isJpeg(file)) {
      return new CameraTags(data.orientation(), 0, space, false, false);
    }
    return new CameraTags(
        data.orientation(), data.bits(), space, data.isPremultiplied(), data.hasOtherInks());
  }

  static boolean isWebp(byte[] file) {
    return file.length > 12 && file[0] == 'R' && file[1] == 'I' && file[8] == 'W' && file[9] == 'E';
  }

  static boolean isJpeg(byte[] file) {
    return file.length > 4 && (file[0] & 0xff) == 0xff && (file[1] & 0xff) == 0xd8;
  }

  private static NamedSpace space(PhotoData data) {
    int code = data.colourSpace();
    boolean optional = data.interoperability().startsWith(OPTIONAL_SPACE);
    return (optional && code != 1) || code == OPTIONAL_SPACE_CODE ? NamedSpace.OP_RGB : null;
  }
}
