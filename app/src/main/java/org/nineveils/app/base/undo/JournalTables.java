package org.nineveils.app.base.undo;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** The tables whose rows can be taken back: the one place that names them. */
final class JournalTables {
  /**
   * Columns that are restored together, so that taking back an edit of an effect's veils does not
   * also take back its name, which belongs to another scope.
   *
   * @param id kept in the journal; never changed once used
   * @param columns none: all that are in no other group
   * @param counted whether a change counts the row's {@code rev} on
   */
  record Group(String id, List<String> columns, boolean counted) {}

  /**
   * A table.
   *
   * @param key columns of the primary key
   * @param called how one row is called in sentences: “the photo”
   * @param groups columns that are restored together
   * @param idle condition in SQL on rows that hold no work, made by looking alone: where one keeps
   *     out what comes back, it goes; empty for none
   */
  record Table(String name, List<String> key, String called, List<Group> groups, String idle) {
    Table idleWhere(String condition) {
      return new Table(name, key, called, groups, condition);
    }

    Group group(String id) {
      return groups.stream()
          .filter(g -> g.id().equals(id))
          .findFirst()
          .orElseThrow(
              () -> new IllegalStateException("no columns “%s” in %s".formatted(id, name)));
    }

    /** The columns of a group among those that the table has now. */
    List<String> columns(Group group, List<String> all) {
      if (!group.columns().isEmpty()) {
        return group.columns();
      }
      List<String> rest = new ArrayList<>(all);
      rest.removeAll(key);
      rest.removeAll(NEVER_RESTORED);
      groups.forEach(g -> rest.removeAll(g.columns()));
      return rest;
    }
  }

  /** Counts and marks of saving: they go on, whatever is taken back. */
  static final List<String> NEVER_RESTORED = List.of("rev", "token");

  private static final List<String> ID = List.of("id");

  private static final String PLAIN_FITTING =
      """
      json_array_length(doc, '$.worn') = 0
      and not exists (select 1 from pin where pin.fitting_id = fitting.id)
      and not exists (select 1 from fitting_stroke s where s.fitting_id = fitting.id)
      and not exists (select 1 from laid_by l where l.fitting_id = fitting.id)""";

  static final List<Table> ALL =
      List.of(
          table("kit", ID, "the kit", counted("row")),
          table("section", ID, "the section", plain("row")),
          table(
              "effect",
              ID,
              "the effect",
              new Group("doc", List.of("doc"), true),
              new Group("favourite", List.of("favourite"), false),
              plain("filing")),
          table("kit_photo", ID, "a photo of the kit", plain("row")),
          table("effect_tag", ID, "a tag", plain("row")),
          table("effect_follows", ID, "what an effect follows", plain("row")),
          table("section_folded", ID, "how a section is folded", plain("row")),
          table("effect_mark", ID, "a mark", plain("row")),
          table("section_mark", ID, "a mark", plain("row")),
          table("section_against", ID, "what goes not together", plain("row")),
          table("saved_search", ID, "the search", plain("row")),
          table("photo", ID, "the photo", plain("row")),
          table("photo_tag", ID, "a tag", plain("row")),
          table("sitting", ID, "the sitting", plain("row")),
          table("in_sitting", ID, "a photo of a sitting", plain("row")),
          table("saved_result", ID, "what was saved", plain("row")),
          table("limits", ID, "the limits", plain("row")),
          table("accepted", ID, "what is accepted", plain("row")),
          table("both_wanted", ID, "what is wanted", plain("row")),
          table("approved", ID, "the approved sheet", plain("row")),
          table("stroke", ID, "a stroke", plain("row")),
          table("regions", ID, "what a photo holds", counted("row")),
          table("region_stroke", ID, "a stroke", plain("row")),
          table("fitting", ID, "the fitting", counted("row")).idleWhere(PLAIN_FITTING),
          table("together", ID, "what is worn together", plain("row")),
          table("fitting_stroke", ID, "a stroke", plain("row")),
          table("laid_by", ID, "what an effect had", plain("row")),
          table("pin", ID, "a pin", plain("row")),
          table(
              "own_look", ID, "the look", new Group("code", List.of("code"), false), plain("row")),
          table("swatch", ID, "the swatch", plain("row")),
          table("collection", ID, "the collection", counted("row")),
          table("collection_without", ID, "what stays out", plain("row")),
          table("collection_kit", List.of("collection_id", "kit_id"), "the kit", plain("row")),
          table("desk_release", ID, "the release", plain("row")),
          table("desk_favourite", ID, "a favourite", plain("row")));

  private JournalTables() {}

  private static Table table(String name, List<String> key, String called, Group... groups) {
    return new Table(name, key, called, List.of(groups), "");
  }

  private static Group counted(String id) {
    return new Group(id, List.of(), true);
  }

  private static Group plain(String id) {
    return new Group(id, List.of(), false);
  }

  static Optional<Table> find(String name) {
    return ALL.stream().filter(t -> t.name().equals(name)).findFirst();
  }
}
