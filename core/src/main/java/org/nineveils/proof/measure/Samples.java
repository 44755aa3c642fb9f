package org.nineveils.proof.measure;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Collection;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import org.nineveils.colour.Ciede2000;
import org.nineveils.colour.Lab;
import org.nineveils.picture.Picture;

/**
 * Colours of a finished picture at places that are the same for all effects on one photo: by them
 * two effects are told apart without looking at both pictures again. The places lie evenly over the
 * picture, and evenly over each of its regions, so that a small region counts where it is asked
 * for.
 *
 * @param groups colours by name of the region; the empty name is the whole picture
 */
public record Samples(SortedMap<String, float[]> groups) {
  /** Places over the whole picture. */
  static final int WHOLE = 400;

  /** Places in a region. */
  static final int OF_REGION = 64;

  /** Places that are always looked at. */
  private static final int FEWEST = 16;

  /** Steps of a stored value: a hundredth of a unit of L*, a*, b*. */
  private static final float STEP = 0.01f;

  /** Takes them. */
  public static Samples of(Plain plain, Picture finished) {
    SortedMap<String, float[]> groups = new TreeMap<>();
    plain.places().forEach((name, places) -> groups.put(name, colours(finished, places)));
    return new Samples(groups);
  }

  private static float[] colours(Picture p, int[] places) {
    float[] out = new float[3 * places.length];
    for (int i = 0; i < places.length; i++) {
      int at = places[i];
      Lab lab = Lab.ofSrgb(p.r()[at], p.g()[at], p.b()[at]);
      out[3 * i] = stored(lab.l()) * STEP;
      out[3 * i + 1] = stored(lab.a()) * STEP;
      out[3 * i + 2] = stored(lab.b()) * STEP;
    }
    return out;
  }

  private static short stored(double v) {
    return (short) Math.rint(Math.max(-320, Math.min(320, v)) / STEP);
  }

  /**
   * Mean colour difference, ΔE00 (CIE 142; G. Sharma, W. Wu, E. Dalal, 2005).
   *
   * @param other of another effect on the same photo with the same regions
   * @param where names of regions, all together; none for the whole picture
   * @return NaN where the two have no place in common
   */
  public double difference(Samples other, Set<String> where) {
    return difference(other, where, 1);
  }

  /**
   * The same by a part of the places.
   *
   * @param every only every so-manieth place is looked at, but {@link #FEWEST} of each region
   */
  public double difference(Samples other, Set<String> where, int every) {
    Collection<String> names = where.isEmpty() ? Set.of("") : where;
    double sum = 0;
    int n = 0;
    for (String name : names) {
      float[] a = groups.getOrDefault(name, new float[0]);
      float[] b = other.groups.getOrDefault(name, new float[0]);
      int step = 3 * Math.max(1, Math.min(every, a.length / 3 / FEWEST));
      for (int i = 0; i + 2 < Math.min(a.length, b.length); i += step) {
        sum +=
            Ciede2000.between(new Lab(a[i], a[i + 1], a[i + 2]), new Lab(b[i], b[i + 1], b[i + 2]));
        n++;
      }
    }
    return sum / n;
  }

  /** The largest of the differences over the whole picture and over each of the regions. */
  public double most(Samples other) {
    return groups.keySet().stream()
        .mapToDouble(name -> difference(other, name.isEmpty() ? Set.of() : Set.of(name)))
        .filter(d -> !Double.isNaN(d))
        .max()
        .orElse(0);
  }

  /** As bytes, 16 bits a value. */
  public byte[] bytes() {
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    try (DataOutputStream data = new DataOutputStream(out)) {
      data.writeByte(groups.size());
      for (var group : groups.entrySet()) {
        data.writeUTF(group.getKey());
        data.writeShort(group.getValue().length);
        for (float v : group.getValue()) {
          data.writeShort(Math.round(v / STEP));
        }
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out.toByteArray();
  }

  /** Reads what {@link #bytes} wrote. */
  public static Samples read(byte[] bytes) {
    SortedMap<String, float[]> groups = new TreeMap<>();
    try (DataInputStream data = new DataInputStream(new ByteArrayInputStream(bytes))) {
      int n = data.readUnsignedByte();
      for (int i = 0; i < n; i++) {
        String name = data.readUTF();
        float[] values = new float[data.readUnsignedShort()];
        for (int k = 0; k < values.length; k++) {
          values[k] = data.readShort() * STEP;
        }
        groups.put(name, values);
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return new Samples(groups);
  }
}
