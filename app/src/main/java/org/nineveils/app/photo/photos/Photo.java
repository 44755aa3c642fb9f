package org.nineveils.app.photo.photos;

import java.util.List;
import org.nineveils.document.Json;

/**
 * A photo taken in.
 *
 * @param side “wall” for the maker's test wall, “desk” for the photographer's own
 * @param sha name of the file as it came
 * @param width pixels, upright
 * @param height pixels, upright
 */
public record Photo(long id, String side, String name, String sha, int width, int height) {
  /** Whether it hangs on the maker's test wall. */
  public boolean isOnWall() {
    return side.equals(Side.WALL.id());
  }

  /**
   * Photos as pages take them: [id, name, width, height] each, so that a wall of hundreds is light.
   */
  public static String list(List<Photo> photos) {
    return Json.write(photos.stream().map(p -> List.of(p.id, p.name, p.width, p.height)).toList());
  }
}
