package org.nineveils.cli;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Callable;
import org.nineveils.document.Json;
import org.nineveils.document.PaintJson;
import org.nineveils.file.NewFile;
import org.nineveils.file.OutSpace;
import org.nineveils.file.PictureException;
import org.nineveils.file.PictureFormat;
import org.nineveils.file.PictureReader;
import org.nineveils.file.PictureWriter;
import org.nineveils.file.SpaceChoice;
import org.nineveils.file.data.PhotoData;
import org.nineveils.mask.Paint;
import org.nineveils.name.NamePattern;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Scaling;
import org.nineveils.refusal.Refusal;
import org.nineveils.release.Release;
import org.nineveils.release.ReleaseException;
import org.nineveils.stack.Bundle;
import org.nineveils.stack.Manner;
import org.nineveils.stack.Renderer;
import org.nineveils.stack.Stack;
import org.nineveils.veil.crisp.OutputSharpening;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/** Wears an effect of a release on a photo, or on all photos of a folder. */
@Command(
    name = "apply",
    description = {
      "Applies an effect of a release to a photo, or to all photos of a folder.",
      "A file that is there already is written over only with --over, and the photo itself never.",
      "Where --photo is a folder, --out is one too: results go into it under names of their own,",
      "nothing is written over, and what fails is named; then the exit status is 1.",
    },
    mixinStandardHelpOptions = true)
final class ApplyCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Mixin private Trust trust;

  @Option(names = "--release", required = true, description = "the release file")
  private Path release;

  @Option(names = "--effect", required = true, description = "name of the effect")
  private String effect;

  @Option(
      names = "--photo",
      required = true,
      description = "JPEG, PNG, TIFF or WebP to apply it to, or a folder of them")
  private Path photo;

  @Option(
      names = "--out",
      required = true,
      description = "file to write: .jpg, .png or .tif (16 bits a channel); or a folder")
  private Path out;

  @Option(
      names = "--names",
      description =
          "names of results in a folder, of {photo}, {look}, {number} and {date} (start: ${DEFAULT-VALUE})")
  private String names = NamePattern.START.text();

  @Option(
      names = "--format",
      completionCandidates = ResultFormats.class,
      description =
          "format of results: ${COMPLETION-CANDIDATES} (start: as --out is called; jpg in a folder)")
  private String format;

  @Option(names = "--over", description = "write over a file that is there already")
  private boolean over;

  @Option(names = "--size", description = "long side of results, pixels (start: as the photo)")
  private Integer size;

  @Option(
      names = "--sharpen",
      defaultValue = "none",
      description = "sharpen results for screen or print, or none (start: ${DEFAULT-VALUE})")
  private String sharpen;

  @Option(
      names = "--space",
      defaultValue = "srgb",
      description =
          "colour space of results: srgb, display-p3, or own, as the photo came (start:"
              + " ${DEFAULT-VALUE})")
  private String space;

  @Option(names = "--deep", description = "write PNG with 16 bits a channel instead of 8")
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
  public Integer call() throws IOException {
    if (opacity != null && !(opacity >= 0 && opacity <= 1)) {
      throw new Refusal("--opacity must be between 0 and 1, but was %s.".formatted(opacity));
    }
    PictureFormat.checkQuality(quality);
    OutputSharpening.ofId(sharpen);
    SpaceChoice.ofId(space);
    if (size != null && size < 1) {
      throw new Refusal(String.format(Locale.ROOT, "--size must be at least 1, but was %d.", size));
    }
    boolean many = Files.isDirectory(photo);
    PictureFormat written = deep(many ? ofFolder() : ofFile());
    if (!many) {
      checkOut();
    }
    Release opened = trust.read(release);
    Release.EffectPart part = opened.effect(effect);
    double share = opacity == null ? part.effect().start() : opacity;
    Stack stack = Stack.of(Bundle.of(part.effect().dialled(dials), strokes(), share));
    Manner manner = Manner.exact().picturesFrom(opened.shelf());
    if (many) {
      return all(part.name(), stack, manner, written);
    }
    single(stack, manner, written);
    say("“%s” on %s: %s written.%n".formatted(part.name(), photo.getFileName(), out));
    return 0;
  }

  /** Beside the wanted file first, so that a write that fails leaves what was there. */
  private void single(Stack stack, Manner manner, PictureFormat written) throws IOException {
    Path part = out.toAbsolutePath().resolveSibling(".%s.part".formatted(UUID.randomUUID()));
    try {
      one(photo, stack, manner, written, part);
      if (over) {
        Files.move(part, out, StandardCopyOption.REPLACE_EXISTING);
      } else {
        Files.move(part, out);
      }
    } catch (FileAlreadyExistsException e) {
      throw there();
    } finally {
      Files.deleteIfExists(part);
    }
  }

  private void checkOut() throws IOException {
    Path folder = out.toAbsolutePath().getParent();
    if (folder == null || !Files.isDirectory(folder)) {
      throw new Refusal("There is no folder “%s” to write into.".formatted(folder));
    }
    if (!Files.exists(out)) {
      return;
    }
    for (Path read : new Path[] {photo, release, paint}) {
      if (read != null && Files.exists(read) && Files.isSameFile(read, out)) {
        throw new Refusal(
            "“%s” is what is read; nothing was written over it. Name another file.".formatted(out));
      }
    }
    if (!over || !Files.isRegularFile(out)) {
      throw there();
    }
  }

  private Refusal there() {
    return new Refusal(
        "“%s” is there already; nothing was written. --over writes over it.".formatted(out));
  }

  private void say(String line) {
    spec.commandLine().getOut().printf("%s", line);
  }

  private void one(Path from, Stack stack, Manner manner, PictureFormat format, Path to) {
    Picture full = PictureReader.read(from);
    Picture source = size == null ? full : Scaling.toLongSide(full, size);
    Stack sharpened =
        OutputSharpening.ofId(sharpen).veil(source.longSide()).map(stack::under).orElse(stack);
    byte[] file = file(from);
    PhotoData own = PhotoData.of(file);
    PictureWriter.write(
        Renderer.strips(source, sharpened, manner),
        format,
        quality,
        OutSpace.of(SpaceChoice.ofId(space), file),
        discreet ? own.discreet() : own,
        to);
  }

  /** All photos of the folder, in the order of their names. */
  private int all(String look, Stack stack, Manner manner, PictureFormat format)
      throws IOException {
    if (Files.exists(out) && Files.isSameFile(out, photo)) {
      throw new Refusal("Results cannot go into the folder that photos are taken from.");
    }
    NamePattern pattern = new NamePattern(names);
    Files.createDirectories(out);
    int number = 0;
    int failed = 0;
    for (Path from : TestPhoto.pictures(photo)) {
      number++;
      try {
        String name =
            pattern.of(
                String.valueOf(from.getFileName()),
                look,
                number,
                () -> PhotoData.of(file(from)).taken());
        Path to =
            NewFile.write(
                out, name, format.suffix(), part -> one(from, stack, manner, format, part));
        say("%s written.%n".formatted(to));
      } catch (PictureException | Refusal | IOException e) {
        failed++;
        spec.commandLine().getErr().println(Main.sentence(e));
      } catch (OutOfMemoryError e) {
        failed++;
        spec.commandLine()
            .getErr()
            .println("“%s” needs more memory than there is.".formatted(from.getFileName()));
      }
    }
    say(String.format(Locale.ROOT, "%d of %d done.%n", number - failed, number));
    return failed == 0 ? 0 : 1;
  }

  private PictureFormat ofFolder() {
    return PictureFormat.ofId(format == null ? "jpg" : format);
  }

  /** As the file is called; where a format is named too, the two must not contradict each other. */
  private PictureFormat ofFile() {
    PictureFormat called = PictureFormat.ofName(String.valueOf(out.getFileName()));
    PictureFormat wanted = format == null ? called : PictureFormat.ofId(format);
    if (!wanted.suffix().equals(called.suffix())) {
      throw new Refusal(
          "--format %s writes a %s file, but “%s” is called otherwise."
              .formatted(format, wanted.suffix(), out.getFileName()));
    }
    return wanted;
  }

  private PictureFormat deep(PictureFormat named) {
    if (!deep) {
      return named;
    }
    if (named == PictureFormat.JPEG) {
      throw new Refusal("A JPEG has 8 bits a channel; --deep goes with PNG, and TIFF has 16.");
    }
    return named == PictureFormat.PNG ? PictureFormat.PNG_16 : named;
  }

  private static byte[] file(Path from) {
    try {
      return Files.readAllBytes(from);
    } catch (IOException e) {
      return new byte[0]; // it was read a moment ago; the picture is written all the same
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
