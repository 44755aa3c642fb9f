package org.nineveils.picture;

/**
 * A picture that comes in strips over its whole width, from the top: whoever writes it never needs
 * all of it at once.
 */
public interface Strips {
  int width();

  int height();

  /** Rows of a strip; the last one may have fewer. */
  int rows();

  /**
   * The strip that begins at a row.
   *
   * @param top a multiple of {@link #rows}
   */
  Picture strip(int top);

  /** A whole picture as one strip. */
  static Strips of(Picture picture) {
    return new Strips() {
      @Override
      public int width() {
        return picture.width();
      }

      @Override
      public int height() {
        return picture.height();
      }

      @Override
      public int rows() {
        return picture.height();
      }

      @Override
      public Picture strip(int top) {
        return picture;
      }
    };
  }
}
