package org.nineveils.cli;

import java.io.IOException;
import java.io.PrintWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Callable;
import org.nineveils.document.Json;
import org.nineveils.document.LimitsJson;
import org.nineveils.proof.ApprovedSheet;
import org.nineveils.proof.Limits;
import org.nineveils.proof.Verdict;
import org.nineveils.refusal.Refusal;
import org.nineveils.release.Release;
import org.nineveils.release.since.Since;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/**
 * Tries every effect of a release on the photos of a folder, and says what is over or has moved.
 */
@Command(
    name = "proof",
    description = {
      "Tries every effect of a release on the photos of a folder.",
      "Exit status 1 where a limit is passed, or a proof has moved against another release.",
      "Grey pictures in DIR/regions/PHOTO/REGION.png say where regions lie; skin that none marks is"
          + " found by its colours.",
    },
    mixinStandardHelpOptions = true)
final class ProofCommand implements Callable<Integer> {
  @Spec private CommandSpec spec;

  @Mixin private Trust trust;

  @Option(names = "--release", required = true, description = "the release file")
  private Path release;

  @Option(names = "--against", description = "a release that it is compared with, effect by effect")
  private Path against;

  @Option(
      names = "--photos",
      required = true,
      paramLabel = "DIR",
      description = "folder of JPEG, PNG, TIFF or WebP photos")
  private Path photos;

  @Option(
      names = "--limits",
      description =
          "JSON file: by id of a measure a bound or \"off\", for all; see docs/proofs.md (start: those that"
              + " travelled in the release)")
  private Path limits;

  @Option(names = "--all", description = "print what is within too")
  private boolean all;

  /** Paths in the release before, by those in this one. */
  private final Map<String, String> paths = new HashMap<>();

  private int proofs;
  private int over;
  private int near;
  private int moved;

  @Override
  public Integer call() {
    Optional<Limits> given = limits();
    Release now = trust.read(release);
    Optional<Release> before = Optional.ofNullable(against).map(trust::read);
    before.ifPresent(b -> Since.paths(b, now).forEach((old, path) -> paths.putIfAbsent(path, old)));
    PrintWriter out = spec.commandLine().getOut();
    int guessed = 0;
    for (TestPhoto photo : TestPhoto.in(photos)) {
      guessed += photo.guessed() ? 1 : 0;
      for (Release.KitPart kit : now.kits()) {
        for (Release.SectionPart section : kit.sections()) {
          Limits bounds = given.orElse(section.limits());
          section.effects().forEach(part -> line(out, photo, part, now, before, bounds));
        }
      }
    }
    if (guessed > 0) {
      out.printf(
          Locale.ROOT,
          "On %d %s nobody marked skin: where it is, is a guess by colour, light and form.%n",
          guessed,
          guessed == 1 ? "photo" : "photos");
    }
    out.printf(Locale.ROOT, "%d proofs: %d over, %d near, %d moved%n", proofs, over, near, moved);
    return over > 0 || moved > 0 ? 1 : 0;
  }

  private void line(
      PrintWriter out,
      TestPhoto photo,
      Release.EffectPart part,
      Release now,
      Optional<Release> before,
      Limits bounds) {
    TestPhoto.Proof proof = photo.proof(part.effect(), now.shelf());
    proofs++;
    if (!proof.notJudged().isEmpty()) {
      if (all) {
        print(out, part.name(), photo.name(), proof.notJudged(), "");
      }
      return;
    }
    Verdict worst = proof.readings().worst(bounds).orElse(null); // none where all are off
    Verdict.State state = worst == null ? Verdict.State.WITHIN : worst.state();
    over += state == Verdict.State.OVER ? 1 : 0;
    near += state == Verdict.State.NEAR ? 1 : 0;
    Optional<ApprovedSheet.Move> move =
        before
            .flatMap(b -> same(b, part).map(p -> photo.proof(p.effect(), b.shelf())))
            .map(old -> ApprovedSheet.move(old.colours(), proof.colours()));
    boolean isMoved = move.filter(ApprovedSheet.Move::isMoved).isPresent();
    moved += isMoved ? 1 : 0;
    if (all || isMoved || state != Verdict.State.WITHIN) {
      String judged = worst == null ? "no limit is on" : said(worst);
      print(out, part.name(), photo.name(), judged, isMoved ? said(move.get()) : "");
    }
  }

  /**
   * The effect that became this one: found by kit and section as updates find it, not by name
   * alone.
   */
  private Optional<Release.EffectPart> same(Release before, Release.EffectPart part) {
    return Optional.ofNullable(paths.get(part.key())).map(before::effect);
  }

  private static void print(PrintWriter out, String effect, String photo, String a, String b) {
    out.printf(Locale.ROOT, "%-28s %-34s %-34s %s%n", effect, photo, a, b);
  }

  private static String said(Verdict v) {
    return String.format(
        Locale.ROOT,
        "%s · %s %.1f %s",
        v.state().word(),
        v.measure().word(),
        v.reading().value(),
        v.measure().unit());
  }

  private static String said(ApprovedSheet.Move move) {
    String where = move.where().isEmpty() ? "" : " on " + move.where();
    return String.format(Locale.ROOT, "moved · ΔE00 %.1f%s", move.by(), where);
  }

  /** Those of the file; empty where none is named, and each section's own count. */
  private Optional<Limits> limits() {
    if (limits == null) {
      return Optional.empty();
    }
    try {
      String name = "“%s”".formatted(limits.getFileName());
      return Optional.of(
          LimitsJson.parse(Json.read(Files.readString(limits, StandardCharsets.UTF_8), name)));
    } catch (IOException e) {
      throw new Refusal("“%s” could not be read.".formatted(limits));
    }
  }

  /** Files of a folder, in the order of their names. */
  static List<Path> listed(Path folder) {
    try (var files = Files.list(folder)) {
      return files.sorted().toList();
    } catch (java.nio.file.NotDirectoryException | java.nio.file.NoSuchFileException e) {
      throw new Refusal("“%s” is no folder of photos.".formatted(folder));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }
}
