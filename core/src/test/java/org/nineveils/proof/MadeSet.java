package org.nineveils.proof;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Stream;
import org.nineveils.document.EffectJson;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.file.PictureReader;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Scaling;
import org.nineveils.proof.measure.Finished;
import org.nineveils.proof.measure.Pair;
import org.nineveils.proof.measure.Plain;
import org.nineveils.region.Grey;
import org.nineveils.stack.Bundle;
import org.nineveils.stack.Manner;
import org.nineveils.stack.Stack;
import org.nineveils.veil.Effect;

/**
 * Effects made to harm, and effects that do none, over the demo's photos ({@code demo/harms.json}):
 * what the measures and the limits that they begin with say of each.
 */
public final class MadeSet {
  private MadeSet() {}

  /**
   * One effect on one photo.
   *
   * @param worst the verdict that matters most
   */
  public record Cell(
      String name, boolean harm, String photo, Optional<Verdict> worst, Readings readings) {
    /** Whether it was found over a limit. */
    public boolean isOver() {
      return worst.filter(v -> v.state() == Verdict.State.OVER).isPresent();
    }

    /** Whether it was found near one. */
    public boolean isNear() {
      return worst.filter(v -> v.state() == Verdict.State.NEAR).isPresent();
    }
  }

  /** A photo of the demo with its regions. */
  private record Photo(String name, Plain plain, Path file) {}

  /**
   * Judges them.
   *
   * @param demo folder
   * @param every only every so-manieth cell, so that a test takes no minutes
   */
  public static List<Cell> judge(Path demo, int every) {
    List<Photo> photos = photos(demo);
    List<Cell> out = new ArrayList<>();
    int k = 0;
    for (Fields one : set(demo)) {
      for (Photo photo : photos) {
        if (isFor(one, photo) && k++ % every == 0) {
          Finished made = made(one, photo);
          Readings readings = Readings.of(new Pair(photo.plain(), made));
          out.add(
              new Cell(
                  one.text("name"),
                  one.flag("harm", false),
                  photo.name(),
                  readings.worst(Limits.START),
                  readings));
        }
      }
    }
    return out;
  }

  private static List<Fields> set(Path demo) {
    try {
      return Json.read(Files.readString(demo.resolve("harms.json")), "harms.json")
          .objects("set", f -> f);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static boolean isFor(Fields one, Photo photo) {
    boolean has =
        !one.has("needs")
            || one.texts("needs").stream().allMatch(photo.plain().regions()::containsKey);
    boolean wanted =
        !one.has("photos") || one.texts("photos").stream().anyMatch(photo.name()::contains);
    boolean left = one.has("but") && one.texts("but").stream().anyMatch(photo.name()::contains);
    return has && wanted && !left;
  }

  private static Finished made(Fields one, Photo photo) {
    Plain plain = photo.plain();
    if (one.has("pixels")) {
      boolean colour = one.text("pixels").startsWith("colour");
      double codes = one.number("amount");
      Random random = new Random(3);
      Picture whole = PictureReader.read(photo.file());
      Picture noisy = noisy(whole, codes / 255, colour, random);
      List<Picture> close =
          plain.closeUps().stream()
              .map(
                  c ->
                      org.nineveils.picture.CloseUp.of(
                              noisy,
                              new org.nineveils.picture.Area(
                                  c.x(), c.y(), c.pixels().width(), c.pixels().height()))
                          .pixels())
              .toList();
      return new Finished(Scaling.toLongSide(noisy, Pair.LONG_SIDE), close, 0);
    }
    Effect effect = effect(one);
    Effect dressed = OnRegions.dressed(effect, Map.of(), plain.regions(), plain.picture());
    return Trial.on(plain, Stack.of(Bundle.of(dressed, Map.of())), Manner.exact().quick(true));
  }

  private static Picture noisy(Picture p, double sigma, boolean colour, Random random) {
    float[][] in = {p.r(), p.g(), p.b()};
    float[][] out = new float[3][p.r().length];
    for (int i = 0; i < out[0].length; i++) {
      double one = random.nextGaussian() * sigma;
      for (int c = 0; c < 3; c++) {
        double by = colour ? random.nextGaussian() * sigma : one;
        out[c][i] = (float) Math.max(0, Math.min(1, in[c][i] + by));
      }
    }
    return new Picture(p.width(), p.height(), out[0], out[1], out[2]);
  }

  private static Effect effect(Fields one) {
    List<Object> veils = new ArrayList<>();
    for (Fields f : one.objects("veils", v -> v)) {
      String on = f.text("on", "");
      Object mask =
          f.has("mask")
              ? f.raw().get("mask")
              : Json.object("cover", on.isEmpty() ? "everywhere" : "brush-on");
      veils.add(
          Json.object(
              "id",
              "v" + veils.size(),
              "name",
              "Veil",
              "kind",
              f.text("kind"),
              "blend",
              f.text("blend", "normal"),
              "opacity",
              f.number("opacity", 1),
              "lifted",
              false,
              "mask",
              mask,
              "meantFor",
              on,
              "settings",
              f.has("settings") ? f.raw().get("settings") : Map.of()));
    }
    String doc = Json.write(Json.object("edition", 1, "note", "", "veils", veils));
    return EffectJson.parse(Json.read(doc, one.text("name")));
  }

  private static List<Photo> photos(Path demo) {
    try (Stream<Path> files = Files.list(demo.resolve("photos"))) {
      return files
          .filter(f -> f.toString().endsWith(".jpg"))
          .sorted()
          .map(f -> photo(f, demo))
          .toList();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static Photo photo(Path file, Path demo) {
    String name = file.getFileName().toString().replace(".jpg", "");
    Picture whole = PictureReader.read(file);
    Picture small = Scaling.toLongSide(whole, Pair.LONG_SIDE);
    Map<String, float[]> regions = new HashMap<>();
    try (Stream<Path> own = Files.list(demo.resolve("regions").resolve(name))) {
      own.forEach(
          f ->
              regions.put(
                  f.getFileName().toString().replace(".png", "").replace('-', ' '),
                  Grey.sized(PictureReader.read(f), small.area())));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return new Photo(name, Plain.of(whole, small, regions), file);
  }

  /** A table of what was found, by effect; the last line says how many in all. */
  public static List<String> table(List<Cell> cells) {
    Map<String, List<Cell>> byName = new LinkedHashMap<>();
    cells.forEach(c -> byName.computeIfAbsent(c.name(), n -> new ArrayList<>()).add(c));
    List<String> out = new ArrayList<>();
    byName.forEach(
        (name, own) -> {
          Map<String, Integer> by = new LinkedHashMap<>();
          own.stream()
              .filter(Cell::isOver)
              .forEach(c -> by.merge(c.worst().orElseThrow().measure().word(), 1, Integer::sum));
          out.add(
              String.format(
                  Locale.ROOT,
                  "%-7s %-34s %3d of %3d over, %d near  %s",
                  own.get(0).harm() ? "harm" : "none",
                  name,
                  own.stream().filter(Cell::isOver).count(),
                  own.size(),
                  own.stream().filter(Cell::isNear).count(),
                  by));
        });
    for (boolean harm : new boolean[] {true, false}) {
      long all = cells.stream().filter(c -> c.harm() == harm).count();
      long over = cells.stream().filter(c -> c.harm() == harm && c.isOver()).count();
      out.add(
          String.format(
              Locale.ROOT,
              "%s: %d of %d cells over, %.1f %%",
              harm ? "made to harm" : "made to do none",
              over,
              all,
              100.0 * over / Math.max(1, all)));
    }
    return out;
  }

  /** Prints the table. */
  public static void main(String[] args) {
    List<Cell> cells = judge(Path.of(args[0]), args.length > 1 ? Integer.parseInt(args[1]) : 1);
    table(cells).forEach(System.out::println);
    if (args.length > 2) {
      cells.stream()
          .filter(c -> c.harm() != c.isOver())
          .forEach(
              c ->
                  System.out.println(
                      (c.harm() ? "missed " : "false  ")
                          + c.name()
                          + " on "
                          + c.photo()
                          + nearest(c)));
    }
  }

  /** What came nearest to its limit. */
  private static String nearest(Cell cell) {
    StringBuilder line = new StringBuilder();
    cell.readings().verdicts(Limits.START, id -> "").stream()
        .filter(v -> v.reading().isJudged() && v.share() > 0.3)
        .sorted((a, b) -> Double.compare(b.share(), a.share()))
        .limit(4)
        .forEach(
            v ->
                line.append(
                    String.format(
                        Locale.ROOT,
                        "  %s %.1f of %.0f",
                        v.measure().id(),
                        v.reading().value(),
                        v.limit())));
    return line.toString();
  }
}
