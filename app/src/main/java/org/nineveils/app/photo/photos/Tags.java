package org.nineveils.app.photo.photos;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.document.Json;
import org.nineveils.name.Names;
import org.nineveils.refusal.Refusal;
import org.nineveils.region.PhotoTags;
import org.springframework.stereotype.Service;

/** What sorts of photo hang on the test wall: tags, one photo's or several's at once. */
@Service
public class Tags {
  private final TagStore store;
  private final PhotoService photos;
  private final Journal journal;

  Tags(TagStore store, PhotoService photos, Journal journal) {
    this.store = store;
    this.photos = photos;
    this.journal = journal;
  }

  /** Tags by photo; photos without any are left out. */
  public Map<Long, List<String>> all() {
    return store.all();
  }

  /** Tags of a photo. */
  public List<String> of(long photoId) {
    return store.of(photoId);
  }

  /**
   * Gives photos a tag, or takes it off them, as one edit.
   *
   * @throws Refusal with a sentence if it is no tag, or a photo has too many
   */
  public void tag(List<Long> ids, String tag, boolean on) {
    String clean = PhotoTags.check(tag);
    List<Photo> all = ids.stream().distinct().map(photos::get).toList();
    String what = all.size() == 1 ? all.get(0).name() : all.size() + " photos";
    journal.edit(
        PhotoService.scope(Side.WALL),
        (on ? "tag %s “%s”" : "%s no longer “%s”").formatted(what, clean),
        () -> {
          for (Photo photo : all) {
            if (on) {
              add(photo, clean);
            } else {
              store.remove(photo.id(), clean);
            }
          }
          return null;
        });
  }

  private void add(Photo photo, String tag) {
    List<String> has = store.of(photo.id());
    boolean there = has.stream().anyMatch(t -> Names.key(t).equals(Names.key(tag)));
    if (!there && has.size() >= PhotoTags.MOST) {
      throw new Refusal(
          String.format(
              Locale.ROOT,
              "“%s” has %d tags, and a photo has no more; nothing was changed.",
              photo.name(),
              PhotoTags.MOST));
    }
    store.add(photo.id(), tag);
  }

  /** Tags to choose from: ready-made ones by group, then those of the maker's own that are used. */
  public Map<String, List<String>> choices() {
    Map<String, List<String>> out = new LinkedHashMap<>();
    Map<String, String> own = new TreeMap<>();
    store.all().values().forEach(tags -> tags.forEach(t -> own.put(Names.key(t), t)));
    for (PhotoTags.Group group : PhotoTags.Group.values()) {
      out.put(group.label(), group.tags());
      group.tags().forEach(own::remove);
    }
    out.put("Your own", List.copyOf(own.values()));
    return out;
  }

  /** The same as pages take it. */
  public List<Object> groups() {
    return choices().entrySet().stream()
        .<Object>map(g -> Json.object("label", g.getKey(), "tags", g.getValue()))
        .toList();
  }
}
