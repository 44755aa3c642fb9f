package org.nineveils.cli;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.Callable;
import org.nineveils.document.Json;
import org.nineveils.document.PaintJson;
import org.nineveils.mask.Paint;
import org.nineveils.picture.Picture;
import org.nineveils.picture.PictureFormat;
import org.nineveils.picture.PictureReader;
import org.nineveils.picture.PictureWriter;
import org.nineveils.picture.data.PhotoData;
import org.nineveils.refusal.Refusal;
import org.nineveils.release.Release;
import org.nineveils.release.ReleaseException;
import org.nineveils.release.ReleaseReader;
import org.nineveils.stack.Bundle;
import org.nineveils.stack.Manner;
import org.nineveils.stack.Renderer;
import org.nineveils.stack.Stack;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/** Wears an effect of a release on a photo. */
@Command(
    name = "apply",
    description = "Applies an effect of a release to a photo, at full size.",
    mixinStandardHelpOptions = true)
final class ApplyCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Option(names = "--release", required = true, description = "the release file")
  private Path release;

  @Option(names = "--effect", required = true, description = "name of the effect")
  private String effect;

  @Option(
      names = "--photo",
      required = true,
      description = "JPEG, PNG, TIFF or WebP to apply it to")
  private Path photo;

  @Option(
      names = "--out",
      required = true,
      description = "file to write: .jpg, .png or .tif (16 bits a channel)")
  private Path out;

  @Option(names = "--deep", description = "write a .png with 16 bits a channel instead of 8")
  private boolean deep;

  @Option(
      names = "--quality",
      defaultValue = "" + PictureFormat.QUALITY,
      description = "quality of a .jpg, 50..100 (start: ${DEFAULT-VALUE})")
  private int quality;

  @Option(
      names = "--opacity",
      description = "opacity of the effect as a whole, 0..1 (start: as the effect goes on)")
  private Double opacity;

  @Option(
      names = "--dial",
      description = "a dial of the effect turned to a value, LABEL=VALUE; may stand several times")
  private Map<String, Double> dials = new LinkedHashMap<>();

  @Option(
      names = "--paint",
      description = "JSON file with strokes by veil, as saved at the desk; see docs/format.md")
  private Path paint;

  @Option(
      names = "--discreet",
      description = "leave out the place where the photo was taken and serial numbers")
  private boolean discreet;

  @Override
  public Integer call() {
    if (opacity != null && !(opacity >= 0 && opacity <= 1)) {
      throw new Refusal("--opacity must be between 0 and 1, but was %s.".formatted(opacity));
    }
    PictureFormat.checkQuality(quality);
    PictureFormat format = format();
    Release opened = ReleaseReader.read(release);
    Release.EffectPart part = opened.effect(effect);
    Map<String, Paint> strokes = strokes();
    Picture source = PictureReader.read(photo);
    PhotoData data = discreet ? data().discreet() : data();
    double share = opacity == null ? part.effect().start() : opacity;
    Stack stack = Stack.of(Bundle.of(part.effect().dialled(dials), strokes, share));
    Manner manner = Manner.exact().picturesFrom(opened.shelf());
    PictureWriter.write(Renderer.strips(source, stack, manner), format, quality, data, out);
    spec.commandLine()
        .getOut()
        .printf("“%s” on %s: %s written.%n", part.name(), photo.getFileName(), out);
    return 0;
  }

  private PictureFormat format() {
    PictureFormat named = PictureFormat.ofName(String.valueOf(out.getFileName()));
    if (!deep) {
      return named;
    }
    if (named == PictureFormat.JPEG) {
      throw new Refusal("A JPEG has 8 bits a channel; --deep goes with .png, and .tif has 16.");
    }
    return named == PictureFormat.PNG ? PictureFormat.PNG_16 : named;
  }

  private PhotoData data() {
    try {
      return PhotoData.of(Files.readAllBytes(photo));
    } catch (IOException e) {
      return PhotoData.NONE; // it was read a moment ago; the picture is written all the same
    }
  }

  private Map<String, Paint> strokes() {
    if (paint == null) {
      return Map.of();
    }
    try {
      String text = Files.readString(paint, StandardCharsets.UTF_8);
      return PaintJson.parse(Json.read(text, "“%s”".formatted(paint.getFileName())));
    } catch (IOException e) {
      throw new ReleaseException("“%s” could not be read.".formatted(paint), e);
    }
  }
}
