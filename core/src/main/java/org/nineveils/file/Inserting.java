package org.nineveils.file;

import java.io.FilterOutputStream;
import java.io.IOException;
import java.io.OutputStream;

/** A stream into which a piece is put once so many bytes have gone by. */
final class Inserting extends FilterOutputStream {
  private final int at;
  private final byte[] piece;
  private long written;

  Inserting(OutputStream out, int at, byte[] piece) {
    super(out);
    this.at = at;
    this.piece = piece;
  }

  @Override
  public void write(int b) throws IOException {
    write(new byte[] {(byte) b}, 0, 1);
  }

  @Override
  public void write(byte[] bytes, int from, int n) throws IOException {
    int before = written >= at ? 0 : (int) Math.min(n, at - written);
    out.write(bytes, from, before);
    boolean reached = written < at && written + before == at;
    if (reached) {
      out.write(piece);
    }
    out.write(bytes, from + before, n - before);
    written += n;
  }
}
