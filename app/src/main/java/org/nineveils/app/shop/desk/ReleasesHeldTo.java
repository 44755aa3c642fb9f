package org.nineveils.app.shop.desk;

import java.util.Optional;
import org.nineveils.app.wear.fitting.HeldTo;
import org.nineveils.proof.Limits;
import org.nineveils.release.Release;
import org.springframework.stereotype.Component;

/** The limits that travelled in releases, for fittings at the desk. */
@Component
class ReleasesHeldTo implements HeldTo {
  private static final String PREFIX = "release:";

  private final DeskService desk;

  ReleasesHeldTo(DeskService desk) {
    this.desk = desk;
  }

  @Override
  public Optional<Limits> limits(String wardrobe, String key) {
    if (!wardrobe.startsWith(PREFIX)) {
      return Optional.empty();
    }
    DeskRow row = desk.get(Long.parseLong(wardrobe.substring(PREFIX.length())));
    return desk.release(row).kits().stream()
        .flatMap(kit -> kit.sections().stream())
        .filter(s -> s.effects().stream().map(Release.EffectPart::key).anyMatch(key::equals))
        .map(Release.SectionPart::limits)
        .findFirst();
  }
}
