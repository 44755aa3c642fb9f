package org.nineveils.kernel;

import java.util.List;
import java.util.stream.IntStream;
import org.nineveils.picture.Area;
import org.nineveils.picture.Part;
import org.nineveils.picture.Picture;

/**
 * Adjustments one after the other inside one veil, each looking at what the one before has made.
 */
public final class Chain implements AreaKernel {
  private final List<AreaKernel> links;
  private final Area picture;

  private Chain(List<AreaKernel> links, Area picture) {
    this.links = links;
    this.picture = picture;
  }

  /**
   * The adjustments as one.
   *
   * @param links 1 or more
   * @param picture the whole picture
   */
  public static AreaKernel of(List<AreaKernel> links, Area picture) {
    return links.size() == 1 ? links.get(0) : new Chain(List.copyOf(links), picture);
  }

  @Override
  public int reach() {
    return links.stream().mapToInt(link -> link.reach() + link.grid()).sum();
  }

  @Override
  public int grid() {
    return links.stream().mapToInt(AreaKernel::grid).max().orElse(1);
  }

  @Override
  public boolean looksAtWhole() {
    return links.stream().anyMatch(AreaKernel::looksAtWhole);
  }

  @Override
  public Kernel over(Part in, Area wanted, Around around) {
    Area[] areas = new Area[links.size()]; // what each link has to make
    Area area = wanted;
    for (int i = links.size() - 1; i >= 0; i--) {
      areas[i] = area;
      area = links.get(i).needs(area, picture);
    }
    Part now = in;
    for (int i = 0; i < areas.length; i++) {
      around.carryOn();
      now = through(now, links.get(i).over(now, areas[i], around), areas[i], around);
    }
    Picture done = now.picture();
    Part made = now;
    return (from, out, n, x, y, spare) -> {
      int at = made.index(x, y);
      System.arraycopy(done.r(), at, out.r, 0, n);
      System.arraycopy(done.g(), at, out.g, 0, n);
      System.arraycopy(done.b(), at, out.b, 0, n);
    };
  }

  private static Part through(Part in, Kernel kernel, Area wanted, Around around) {
    Part out = Part.blank(wanted);
    IntStream.range(wanted.y(), wanted.bottom())
        .parallel()
        .forEach(
            y -> {
              around.carryOn();
              Band[] bands = Scratch.ofThread();
              for (int x = wanted.x(); x < wanted.right(); x += Band.CAPACITY) {
                int n = Math.min(Band.CAPACITY, wanted.right() - x);
                bands[0].load(in.picture(), in.index(x, y), n);
                kernel.run(bands[0], bands[1], n, x, y, bands[2]);
                bands[1].store(out.picture(), out.index(x, y), n);
              }
            });
    return out;
  }
}
