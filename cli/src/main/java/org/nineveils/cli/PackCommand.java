package org.nineveils.cli;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.concurrent.Callable;
import org.nineveils.file.PictureReader;
import org.nineveils.file.PictureWriter;
import org.nineveils.name.Names;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Scaling;
import org.nineveils.refusal.Refusal;
import org.nineveils.release.KitFile;
import org.nineveils.release.KitFiles;
import org.nineveils.release.Release;
import org.nineveils.release.ReleaseReader;
import org.nineveils.release.ReleaseWriter;
import org.nineveils.release.Words;
import org.nineveils.release.signing.SealedKey;
import org.nineveils.release.since.Change;
import org.nineveils.release.since.NextVersion;
import org.nineveils.release.since.Since;
import org.nineveils.stack.Bundle;
import org.nineveils.stack.Manner;
import org.nineveils.stack.Renderer;
import org.nineveils.stack.Stack;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/** Packs the kits of a kit file as a release. */
@Command(
    name = "pack",
    description = {
      "Packs the kits of a kit file as a release, checked as the desk would check it.",
      "With --photo each effect has pictures before and after; with --since news go in, and the"
          + " version must be high enough for what changed. A key is what the application keeps"
          + " elsewhere for you; its pass phrase is read from the variable NINEVEILS_PHRASE.",
    },
    mixinStandardHelpOptions = true)
final class PackCommand implements Callable<Integer> {
  private static final float QUALITY = Release.EffectPart.PICTURE_QUALITY;
  private static final byte[] NONE = {};
  private static final String PHRASE = "NINEVEILS_PHRASE";

  @Spec private CommandSpec spec;

  @Mixin private Trust trust;

  @Option(names = "--kits", required = true, description = "the kit file")
  private Path kits;

  @Option(names = "--name", required = true, description = "name of the collection")
  private String name;

  @Option(names = "--release-version", required = true, description = "its version, such as 1.2")
  private String version;

  @Option(names = "--out", required = true, description = "release file to write; a new one")
  private Path out;

  @Option(names = "--mark", description = "the maker's mark")
  private String mark = "";

  @Option(names = "--licence", description = "one line")
  private String licence = "";

  @Option(
      names = "--may-hand-out",
      description = "photographers may hand out looks of their own with these effects")
  private boolean mayHandOut;

  @Option(names = "--words", description = "text file with words for the photographer")
  private Path words;

  @Option(names = "--photo", description = "photo that effects are shown on")
  private Path photo;

  @Option(names = "--since", description = "the release before")
  private Path since;

  @Option(
      names = "--version-as-is",
      description =
          "take the version even where so much has changed that a higher one is asked for")
  private boolean asIs;

  @Option(names = "--key", description = "file of the maker's key, to sign with")
  private Path key;

  @Override
  public Integer call() throws IOException {
    if (Files.exists(out)) {
      throw new Refusal("“%s” is there already; nothing was written.".formatted(out));
    }
    Path folder = out.toAbsolutePath().getParent();
    if (folder == null || !Files.isDirectory(folder)) {
      throw new Refusal("There is no folder “%s” to write into.".formatted(folder));
    }
    String called = String.valueOf(kits.getFileName());
    KitFile file = KitFiles.open(bytes(kits), called, "");
    Picture source =
        photo == null
            ? null
            : Scaling.toLongSide(PictureReader.read(photo), Release.EffectPart.PICTURE_SIDE);
    Release plain =
        new Release(
                Names.check("A collection", name),
                Names.checkVersion(version),
                Words.MAKERS_MARK.check(mark),
                Words.LICENCE.check(licence),
                words == null
                    ? ""
                    : Words.NOTES.check(new String(bytes(words), StandardCharsets.UTF_8)),
                file.kits().stream().map(kit -> kit(kit, source, file)).toList(),
                file.pictures())
            .withMayHandOut(mayHandOut);
    Release release = plain.withNews(news(plain));
    byte[] packed =
        key == null
            ? ReleaseWriter.write(release)
            : ReleaseWriter.write(release, SealedKey.open(bytes(key), phrase()));
    ReleaseReader.check(packed, String.valueOf(out.getFileName()));
    Files.write(out, packed);
    spec.commandLine()
        .getOut()
        .printf(
            Locale.ROOT,
            "“%s” %s with %d effects: %s written.%n",
            release.name(),
            release.version(),
            release.effects().size(),
            out);
    return 0;
  }

  private static byte[] bytes(Path file) {
    try {
      return Files.readAllBytes(file);
    } catch (IOException e) {
      throw new Refusal("“%s” could not be read.".formatted(file));
    }
  }

  private static String phrase() {
    String phrase = System.getenv(PHRASE);
    if (phrase == null || phrase.isEmpty()) {
      throw new Refusal(
          "The pass phrase of the key is read from %s, which is not set.".formatted(PHRASE));
    }
    return phrase;
  }

  private Release.News news(Release now) {
    if (since == null) {
      return Release.News.NONE;
    }
    Release before = trust.read(since);
    List<Change> changes = Since.between(before, now);
    String least = NextVersion.after(before.version(), changes);
    if (!asIs && NextVersion.compare(now.version(), least) < 0) {
      throw new Refusal(
          "Since %s so much has changed that the version is at least %s, but is %s. --version-as-is takes it all the same."
              .formatted(before.version(), least, now.version()));
    }
    return new Release.News(before.version(), changes.stream().map(Change::sentence).toList());
  }

  private static Release.KitPart kit(KitFile.KitPart kit, Picture source, KitFile file) {
    List<Release.SectionPart> sections = new ArrayList<>();
    for (KitFile.SectionPart section : kit.sections()) {
      sections.add(
          new Release.SectionPart(
              section.number(),
              section.name(),
              section.rule(),
              section.against(),
              section.effects().stream().map(e -> effect(e, source, file)).toList()));
    }
    return new Release.KitPart(kit.name(), kit.purpose(), sections);
  }

  private static Release.EffectPart effect(KitFile.EffectPart part, Picture source, KitFile file) {
    if (source == null) {
      return new Release.EffectPart(part.name(), part.name(), part.effect(), NONE, NONE);
    }
    Release shelf = new Release("", "", "", "", "", List.of(), file.pictures());
    Picture after =
        Renderer.render(
            source,
            source.area(),
            Stack.of(Bundle.of(part.effect(), Map.of())),
            Manner.exact().picturesFrom(shelf.shelf()));
    return new Release.EffectPart(
        part.name(),
        part.name(),
        part.effect(),
        PictureWriter.jpeg(source, QUALITY),
        PictureWriter.jpeg(after, QUALITY));
  }
}
