package org.nineveils.proof;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.nineveils.colour.Ciede2000;
import org.nineveils.colour.Lab;
import org.nineveils.filter.Evenly;
import org.nineveils.filter.Gaussian;
import org.nineveils.picture.Picture;

/**
 * A photo as it would be without its plain faults, by simple rules in L*a*b*: the mean of its
 * neutrals taken out, its median lightness and its spread moved to where they commonly lie, greens
 * calmed. It is never shown; an effect mends the photo in so far as it comes nearer to this. Common
 * practice, no published source.
 */
final class Mended {
  /** Pixels that are compared. */
  private static final int COMPARED = 6_000;

  /** Mean ΔE00 below which a photo needs nothing. */
  private static final double WELL = 2.5;

  private static final double LIFTED_TO = 46;
  private static final double CALMED_TO = 58;
  private static final double SPREAD_TO = 62;
  private static final double MOST_STRETCH = 2.2;
  private static final double GREENS_TO = 40;
  static final double YELLOWEST = 95;
  static final double BLUEST = 170;

  /** Pixels of the long side over which noise is averaged, a standard deviation. */
  private static final double CALMED = 1.2;

  private final Set<Fault> faults;
  private final int[] places;
  private final Lab[] wanted;
  private final double wrong;

  /**
   * All that can be mended of a photo: each of its faults by itself, and all of them.
   *
   * @param plain at the size of proofs
   * @param looks what it is like
   */
  static List<Mended> of(Picture plain, Looks looks) {
    Set<Fault> all = EnumSet.noneOf(Fault.class);
    for (Fault fault : Fault.values()) {
      if (fault.of(looks) > 0) {
        all.add(fault);
      }
    }
    List<Mended> out = new ArrayList<>();
    for (Fault fault : all) {
      out.add(new Mended(plain, looks, EnumSet.of(fault)));
    }
    if (all.size() > 1) {
      out.add(new Mended(plain, looks, all));
    }
    return out.stream().filter(m -> m.wrong >= WELL).toList();
  }

  private Mended(Picture plain, Looks looks, Set<Fault> faults) {
    this.faults = faults;
    Picture base = faults.contains(Fault.NOISY) ? calmed(plain) : plain;
    places = Evenly.some(plain.area().pixels(), Math.max(1, plain.area().pixels() / COMPARED));
    wanted = new Lab[places.length];
    for (int i = 0; i < places.length; i++) {
      wanted[i] = mended(at(base, places[i]), looks);
    }
    wrong = apart(plain);
  }

  /** What is mended in it. */
  Set<Fault> faults() {
    return faults;
  }

  /** How much nearer a picture comes: 0 as the photo is, 1 all of the way, below 0 farther. */
  double gain(Picture finished) {
    return 1 - apart(finished) / wrong;
  }

  private double apart(Picture picture) {
    double sum = 0;
    for (int i = 0; i < places.length; i++) {
      sum += Ciede2000.between(wanted[i], at(picture, places[i]));
    }
    return sum / places.length;
  }

  private static Lab at(Picture picture, int i) {
    return Lab.ofSrgb(picture.r()[i], picture.g()[i], picture.b()[i]);
  }

  private static Picture calmed(Picture plain) {
    return new Picture(
        plain.width(),
        plain.height(),
        Gaussian.whole(plain.r(), plain.area(), CALMED),
        Gaussian.whole(plain.g(), plain.area(), CALMED),
        Gaussian.whole(plain.b(), plain.area(), CALMED));
  }

  private Lab mended(Lab of, Looks looks) {
    double a = of.a();
    double b = of.b();
    if (faults.contains(Fault.YELLOW) || faults.contains(Fault.BLUE)) {
      b -= looks.number("warmth").orElse(0);
    }
    if (faults.contains(Fault.PINK) || faults.contains(Fault.GREEN)) {
      a -= looks.number("tint").orElse(0);
    }
    if (faults.contains(Fault.NEON)) {
      double hue = Math.toDegrees(Math.atan2(b, a));
      if (hue > YELLOWEST && hue < BLUEST) {
        double less = GREENS_TO / looks.number("greens-chroma").orElse(GREENS_TO);
        a *= less;
        b *= less;
      }
    }
    return new Lab(lightness(of.l(), looks), a, b);
  }

  private double lightness(double l, Looks looks) {
    double median = looks.number("lightness").orElse(50);
    double middle = median;
    double out = l;
    if (faults.contains(Fault.DARK) || faults.contains(Fault.LIGHT)) {
      middle = faults.contains(Fault.DARK) ? LIFTED_TO : CALMED_TO;
      double bend = Math.log(middle / 100) / Math.log(Math.min(99, Math.max(1, median)) / 100);
      out = 100 * Math.pow(Math.max(0, l) / 100, bend);
    }
    if (faults.contains(Fault.FLAT)) {
      double spread = Math.max(1, looks.number("contrast").orElse(SPREAD_TO));
      out = middle + (out - middle) * Math.min(MOST_STRETCH, SPREAD_TO / spread);
    }
    return Math.max(0, Math.min(100, out));
  }
}
