package org.nineveils.cli;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.nineveils.file.PictureReader;
import org.nineveils.mask.Guard;
import org.nineveils.picture.Picture;
import org.nineveils.picture.PictureShelf;
import org.nineveils.picture.Scaling;
import org.nineveils.proof.OnRegions;
import org.nineveils.proof.Readings;
import org.nineveils.proof.Trial;
import org.nineveils.proof.measure.Finished;
import org.nineveils.proof.measure.Pair;
import org.nineveils.proof.measure.Plain;
import org.nineveils.proof.measure.Samples;
import org.nineveils.refusal.Refusal;
import org.nineveils.region.Grey;
import org.nineveils.region.Regions;
import org.nineveils.stack.Bundle;
import org.nineveils.stack.Manner;
import org.nineveils.stack.Stack;
import org.nineveils.veil.Effect;

/**
 * A photo of a folder with its regions.
 *
 * @param name of its file
 * @param guessed whether its skin was found by rule, since nobody has marked it
 */
record TestPhoto(String name, Plain plain, boolean guessed) {
  /**
   * An effect on it.
   *
   * @param notJudged why nothing of it can be seen; empty where something can
   */
  record Proof(String notJudged, Readings readings, Samples colours) {}

  /**
   * The photos of a folder, by name.
   *
   * @throws Refusal with a sentence if there is no such folder, or no photo in it
   */
  static List<TestPhoto> in(Path folder) {
    return pictures(folder).stream().map(TestPhoto::of).toList();
  }

  /**
   * Files of photos in a folder, by name.
   *
   * @throws Refusal with a sentence if there is no such folder, or no photo in it
   */
  static List<Path> pictures(Path folder) {
    List<Path> out =
        ProofCommand.listed(folder).stream()
            .filter(file -> PictureReader.isNamed(file.getFileName().toString()))
            .toList();
    if (out.isEmpty()) {
      throw new Refusal("There is no photo in “%s”.".formatted(folder));
    }
    return out;
  }

  private static TestPhoto of(Path file) {
    String name = file.getFileName().toString();
    Picture photo = PictureReader.read(file);
    Picture picture = Scaling.toLongSide(photo, Pair.LONG_SIDE);
    Map<String, float[]> regions = new LinkedHashMap<>();
    Path own = file.resolveSibling("regions").resolve(name.substring(0, name.lastIndexOf('.')));
    if (Files.isDirectory(own)) {
      for (Path grey : ProofCommand.listed(own)) {
        String region = grey.getFileName().toString().replaceAll("\\..*", "").replace('-', ' ');
        regions.put(region, Grey.sized(PictureReader.read(grey), picture.area()));
      }
    }
    boolean guessed = !regions.containsKey(Regions.SKIN);
    regions.computeIfAbsent(Regions.SKIN, skin -> Guard.skinOf(picture));
    return new TestPhoto(name, Plain.of(photo, picture, regions), guessed);
  }

  /** Tries an effect. */
  Proof proof(Effect effect, PictureShelf pictures) {
    Map<String, float[]> regions = plain.regions();
    String why = OnRegions.of(effect, Set.of(), regions.keySet()).why();
    Effect dressed = OnRegions.dressed(effect, Map.of(), regions, plain.picture());
    Stack stack = Stack.of(Bundle.of(dressed, Map.of()));
    Finished made = Trial.on(plain, stack, Manner.exact().picturesFrom(pictures));
    return new Proof(why, Readings.of(new Pair(plain, made)), Samples.of(plain, made.picture()));
  }
}
