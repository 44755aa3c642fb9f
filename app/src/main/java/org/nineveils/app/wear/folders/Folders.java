package org.nineveils.app.wear.folders;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.LinkOption;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.nineveils.app.base.data.DataFolder;
import org.nineveils.file.PictureReader;
import org.nineveils.refusal.Refusal;
import org.springframework.core.env.Environment;
import org.springframework.stereotype.Component;

/** The one folder below which photos are looked for and results are laid, and what is in it. */
@Component
public class Folders {
  static final String PROPERTY = "nineveils.folders";
  private static final String STANDARD = "folders";

  /** Most folders that are offered, and how deep they lie. */
  private static final int MOST = 200;

  private static final int DEPTH = 3;
  private static final int LONGEST = 200;

  /** Letters of a name of a folder: none of which leads elsewhere. */
  private static final String PART = "[^./\\\\\\p{Cntrl}][^/\\\\\\p{Cntrl}]*";

  private static final String NAME = PART + "(/" + PART + ")*";

  private final Path root;

  Folders(Environment environment) {
    String named = environment.getProperty(PROPERTY, "");
    this.root =
        named.isEmpty()
            ? DataFolder.path(environment).resolve(STANDARD)
            : Path.of(named).toAbsolutePath().normalize();
  }

  /** Where they all are. */
  Path root() {
    return root;
  }

  /**
   * A folder by its name, such as “spring/anna”; it need not be there.
   *
   * @throws Refusal with a sentence if it is no such name
   */
  public Path of(String name) {
    String clean = name.strip().replaceFirst("/+$", "");
    if (clean.length() > LONGEST || !clean.matches(NAME)) {
      throw new Refusal(
          "“%s” is no name of a folder: it is words, with / between a folder and one inside it."
              .formatted(name.strip()));
    }
    Path folder = root.resolve(clean).normalize();
    for (Path at = folder; !at.equals(root); at = at.getParent()) {
      if (Files.isSymbolicLink(at)) {
        throw new Refusal(
            "“%s” is a link to another place. Links are not followed; use the folder itself."
                .formatted(root.relativize(at)));
      }
    }
    return folder;
  }

  /** Whether two names are of one folder, as on a disk that takes “In” and “in” for the same. */
  boolean isSame(Path one, Path two) {
    try {
      return one.equals(two)
          || (Files.exists(one) && Files.exists(two) && Files.isSameFile(one, two));
    } catch (IOException e) {
      return false;
    }
  }

  /** The same, made where it was not there. */
  public Path made(String name) {
    Path folder = of(name);
    try {
      Files.createDirectories(folder);
    } catch (IOException e) {
      throw new Refusal("The folder “%s” cannot be made here.".formatted(name.strip()));
    }
    return folder;
  }

  /** Names of folders that are there. */
  public List<String> names() {
    if (!Files.isDirectory(root)) {
      return List.of();
    }
    try (Stream<Path> all = Files.walk(root, DEPTH)) {
      return all.filter(p -> !p.equals(root) && Files.isDirectory(p, LinkOption.NOFOLLOW_LINKS))
          .map(p -> root.relativize(p).toString().replace('\\', '/'))
          .filter(n -> n.matches(NAME))
          .sorted()
          .limit(MOST)
          .toList();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /**
   * Photos that lie in a folder, by name; none where it is not there.
   *
   * @throws Refusal with a sentence if it is no name of a folder, or cannot be read
   */
  public List<Path> photos(String name) {
    Path folder = of(name);
    if (!Files.isDirectory(folder)) {
      return List.of();
    }
    try (Stream<Path> all = Files.list(folder)) {
      return all.filter(p -> Files.isRegularFile(p, LinkOption.NOFOLLOW_LINKS))
          .filter(Folders::isPhoto)
          .sorted()
          .toList();
    } catch (IOException | UncheckedIOException e) {
      throw new Refusal("The folder “%s” cannot be read.".formatted(name));
    }
  }

  private static boolean isPhoto(Path file) {
    String name = file.getFileName().toString();
    return !name.startsWith(".") && PictureReader.isNamed(name);
  }
}
