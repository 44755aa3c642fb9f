package org.nineveils.picture;

/** Strips that are made of others of the same size. */
public abstract class OverStrips implements Strips {
  /** What they are made of. */
  protected final Strips strips;

  protected OverStrips(Strips strips) {
    this.strips = strips;
  }

  @Override
  public final int width() {
    return strips.width();
  }

  @Override
  public final int height() {
    return strips.height();
  }

  @Override
  public final int rows() {
    return strips.rows();
  }
}
