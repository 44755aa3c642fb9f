package org.nineveils.app.making.carry;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.nineveils.app.base.undo.Obstacle;
import org.nineveils.app.making.kits.Carried;
import org.nineveils.app.making.maker.MakersMark;
import org.nineveils.app.making.swatches.Swatches;
import org.nineveils.app.photo.render.PlacedPictures;
import org.nineveils.refusal.Refusal;
import org.nineveils.release.KitFile;
import org.nineveils.release.KitFiles;
import org.springframework.stereotype.Service;

/** Writes kit files and opens them. */
@Service
class KitCarrying {
  private final Carried kits;
  private final Swatches swatches;
  private final PlacedPictures pictures;
  private final MakersMark mark;

  KitCarrying(Carried kits, Swatches swatches, PlacedPictures pictures, MakersMark mark) {
    this.kits = kits;
    this.swatches = swatches;
    this.pictures = pictures;
    this.mark = mark;
  }

  /** Kits as one file, with all swatches and the pictures that their effects lay over photos. */
  byte[] file(List<Long> ids) {
    if (ids.isEmpty()) {
      throw new Refusal("Choose the kits first that the file is to hold.");
    }
    List<KitFile.KitPart> parts = ids.stream().map(kits::part).toList();
    Map<String, byte[]> placed = new HashMap<>();
    KitFile bare = new KitFile(parts, List.of(), Map.of());
    bare.effects()
        .forEach(
            e -> e.effect().pictures().forEach(sha -> placed.computeIfAbsent(sha, pictures::file)));
    return KitFiles.write(new KitFile(parts, swatches.parts(), placed));
  }

  /**
   * Opens a kit file, or a release of the maker's own mark.
   *
   * @param rename kits whose name is taken come in under another; otherwise that is asked first
   * @return ids of the kits
   * @throws Obstacle if names are taken and nobody said what then; nothing was changed
   */
  List<Long> open(byte[] bytes, String name, boolean rename) {
    KitFile file = KitFiles.open(bytes, name, mark.get());
    List<String> taken = kits.taken(file.kits());
    if (!taken.isEmpty() && !rename) {
      String names = taken.stream().map("“%s”"::formatted).collect(Collectors.joining(", "));
      throw new Obstacle(
          "There %s called %s already. Nothing of yours is replaced."
              .formatted(taken.size() == 1 ? "is a kit" : "are kits", names),
          List.of(
              new Obstacle.Offer(
                  taken.size() == 1 ? "Open it under another name" : "Open them under other names",
                  "rename=true")));
    }
    file.pictures().forEach((sha, picture) -> pictures.take(sha, picture));
    return kits.take(file.kits(), () -> swatches.takeParts(file.swatches()));
  }
}
