package org.nineveils.proof;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.nineveils.colour.Lab;
import org.nineveils.picture.Area;
import org.nineveils.picture.Picture;
import org.nineveils.stack.Bundle;
import org.nineveils.stack.Manner;
import org.nineveils.stack.Renderer;
import org.nineveils.stack.Stack;
import org.nineveils.veil.Veil;

/**
 * What each veil of a stack did at one spot. Computed by rendering the spot through the stack again
 * and again, each time with one veil more: masks, blend modes, opacities and what a veil sees of
 * its surroundings are those of the finished picture, and the steps add up to the result.
 *
 * @param plain value of the plain photo
 * @param steps one for each veil that is down, in the order of the light
 */
public record Trace(Lab plain, List<Step> steps) {
  public Trace {
    steps = List.copyOf(steps);
  }

  /**
   * One veil.
   *
   * @param bundle index of its effect in the stack, from 0
   * @param veil its id
   * @param name its name
   * @param before value below it
   * @param after value above it
   */
  public record Step(int bundle, String veil, String name, Lab before, Lab after) {
    /** What it added in one respect. */
    public double added(Respect respect) {
      return respect.of(after) - respect.of(before);
    }
  }

  /** A respect in which colours differ, in units of CIE 1976 L*a*b* under D50. */
  public enum Respect {
    LIGHTNESS("lightness", "Lightness", "L*", "darkened it most", "lightened it most"),
    RED_GREEN("red-green", "Red–green", "a*", "turned it greener most", "reddened it most"),
    YELLOW_BLUE("yellow-blue", "Yellow–blue", "b*", "turned it bluer most", "yellowed it most"),
    CHROMA("chroma", "Saturation", "C*", "took most colour out", "brought most colour in");

    private final String id;
    private final String label;
    private final String unit;
    private final String less;
    private final String more;

    Respect(String id, String label, String unit, String less, String more) {
      this.id = id;
      this.label = label;
      this.unit = unit;
      this.less = less;
      this.more = more;
    }

    /** Name in requests. */
    public String id() {
      return id;
    }

    /** Name on screens. */
    public String label() {
      return label;
    }

    /** Symbol of its axis; C* is the distance from grey, √(a*² + b*²). */
    public String unit() {
      return unit;
    }

    /** What the veil did that moved a spot farthest up, or down. */
    String most(boolean up) {
      return up ? more : less;
    }

    /** The value of a colour in this respect. */
    public double of(Lab lab) {
      return switch (this) {
        case LIGHTNESS -> lab.l();
        case RED_GREEN -> lab.a();
        case YELLOW_BLUE -> lab.b();
        case CHROMA -> Math.hypot(lab.a(), lab.b());
      };
    }
  }

  /** The value above the last veil. */
  public Lab result() {
    return steps.isEmpty() ? plain : steps.get(steps.size() - 1).after();
  }

  /**
   * Traces an area.
   *
   * @param source the whole plain picture
   * @param area the spot, within the picture: values are the medians of its pixels
   * @param manner how the stack is rendered
   */
  public static Trace of(Picture source, Area area, Stack stack, Manner manner) {
    Lab plain = median(Renderer.render(source, area, Stack.plain(), manner));
    Lab before = plain;
    List<Step> steps = new ArrayList<>();
    List<Bundle> below = new ArrayList<>();
    for (int b = 0; b < stack.bundles().size(); b++) {
      Bundle bundle = stack.bundles().get(b);
      for (int v = 0; v < bundle.veils().size(); v++) {
        Veil veil = bundle.veils().get(v);
        if (veil.lifted() || bundle.opacity() == 0) {
          continue;
        }
        List<Bundle> upTo = new ArrayList<>(below);
        List<Veil> some = bundle.veils().subList(0, v + 1);
        upTo.add(bundle.withVeils(some));
        Lab after = median(Renderer.render(source, area, new Stack(upTo), manner));
        steps.add(new Step(b, veil.id(), veil.name(), before, after));
        before = after;
      }
      below.add(bundle);
    }
    return new Trace(plain, steps);
  }

  /** Median of each of L*, a* and b*. */
  private static Lab median(Picture p) {
    int n = p.r().length;
    double[][] values = new double[3][n];
    for (int i = 0; i < n; i++) {
      Lab lab = Lab.ofSrgb(p.r()[i], p.g()[i], p.b()[i]);
      values[0][i] = lab.l();
      values[1][i] = lab.a();
      values[2][i] = lab.b();
    }
    return new Lab(middle(values[0]), middle(values[1]), middle(values[2]));
  }

  private static double middle(double[] values) {
    Arrays.sort(values);
    int n = values.length;
    return (values[(n - 1) / 2] + values[n / 2]) / 2;
  }
}
