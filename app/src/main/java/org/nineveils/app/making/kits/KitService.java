package org.nineveils.app.making.kits;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.nineveils.app.base.fault.Conflict;
import org.nineveils.app.base.fault.NotFound;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.kit.StackingRule;
import org.nineveils.name.Names;
import org.nineveils.release.Words;
import org.springframework.stereotype.Service;

/** Kits and their sections. Every change can be taken back within its kit. */
@Service
public class KitService {
  private final KitStore kits;
  private final EffectStore effects;
  private final Journal journal;

  KitService(KitStore kits, EffectStore effects, Journal journal) {
    this.kits = kits;
    this.effects = effects;
    this.journal = journal;
  }

  /** What undo in a kit looks at. */
  public static String scope(long kitId) {
    return "kit:" + kitId;
  }

  public List<Rows.Kit> kits() {
    return kits.kits();
  }

  /** Whether there is such a kit; it may have been removed in another window. */
  public boolean holdsKit(long id) {
    return kits.kit(id).isPresent();
  }

  /**
   * The kit of that id.
   *
   * @throws NotFound with a sentence if there is none
   */
  public Rows.Kit kit(long id) {
    return kits.kit(id).orElseThrow(() -> new NotFound("This kit is no longer here."));
  }

  /** Whether there is a section of that id. */
  public boolean holdsSection(long id) {
    return kits.section(id).isPresent();
  }

  /** The section of that id. */
  public Rows.Section section(long id) {
    return kits.section(id).orElseThrow(() -> new NotFound("This section is no longer here."));
  }

  public List<Rows.Section> sections(long kitId) {
    return kits.sections(kitId);
  }

  /** The sections of a kit with their effects. */
  public List<Rows.FilledSection> filled(long kitId) {
    Map<Long, List<Rows.Head>> bySection =
        effects.inKit(kitId).stream().collect(Collectors.groupingBy(Rows.Head::sectionId));
    return kits.sections(kitId).stream()
        .map(
            section ->
                new Rows.FilledSection(section, bySection.getOrDefault(section.id(), List.of())))
        .toList();
  }

  /** How much is in each kit. */
  public List<Rows.Counts> counts() {
    return kits.counts();
  }

  /** Of every kit one effect of each section in turn, then the second ones, up to so many. */
  public List<Rows.Head> firstOfKits(int most) {
    return effects.firstOfKits(most);
  }

  /** Starts a kit, with a first section to file effects in. */
  public long addKit(String name, String purpose) {
    String clean = Names.check("A kit", name);
    String line = line(purpose);
    return journal.edit(
        "kits",
        "start " + clean,
        () -> {
          checkKitName(clean, 0);
          long id = kits.addKit(clean, line);
          kits.addSection(id, "Looks", StackingRule.ONE_AT_A_TIME.id());
          return id;
        });
  }

  public void changeKit(long id, String name, String purpose) {
    Rows.Kit kit = kit(id);
    String clean = Names.check("A kit", name);
    String line = line(purpose);
    journal.edit(
        scope(id),
        "rename " + kit.name(),
        () -> {
          checkKitName(clean, id);
          kits.changeKit(id, clean, line);
          return null;
        });
  }

  public void removeKit(long id) {
    Rows.Kit kit = kit(id);
    journal.edit(
        "kits",
        "remove " + kit.name(),
        () -> {
          kits.removeKit(id);
          return null;
        });
  }

  public long addSection(long kitId, String name, StackingRule rule) {
    kit(kitId);
    String clean = Names.check("A section", name);
    return journal.edit(
        scope(kitId),
        "add section " + clean,
        () -> {
          checkSectionName(kitId, clean, 0);
          return kits.addSection(kitId, clean, rule.id());
        });
  }

  /**
   * The name as it is kept, if a section may have it.
   *
   * @throws Conflict with a sentence if another one has it
   */
  String freeSectionName(Rows.Section section, String name) {
    String clean = Names.check("A section", name);
    checkSectionName(section.kitId(), clean, section.id());
    return clean;
  }

  /**
   * Moves a section before another of its kit, or to the end.
   *
   * @param before id of the other; null for the end
   */
  public void placeSection(long id, Long before) {
    Rows.Section section = section(id);
    journal.edit(
        scope(section.kitId()),
        "move section " + section.name(),
        () -> {
          List<Rows.Section> order = new ArrayList<>(kits.sections(section.kitId()));
          order.removeIf(s -> s.id() == id);
          int at = order.size();
          for (int i = 0; i < order.size(); i++) {
            at = before != null && order.get(i).id() == before ? i : at;
          }
          order.add(at, section);
          Order.number(order, kits::renumber);
          return null;
        });
  }

  /** Folds a section up on the page of its kit, or lets it down: how a page was left, no edit. */
  public void fold(long id, boolean folded) {
    section(id);
    journal.quietly(
        () -> {
          kits.fold(id, folded);
          return null;
        });
  }

  /** Sections of a kit that are folded up. */
  public Set<Long> folded(long kitId) {
    return kits.folded(kitId);
  }

  /** Removes a section; the effects in it go with it, until undo. */
  public void removeSection(long id) {
    Rows.Section section = section(id);
    journal.edit(
        scope(section.kitId()),
        "remove section " + section.name(),
        () -> {
          kits.removeSection(id);
          Order.number(kits.sections(section.kitId()), kits::renumber);
          return null;
        });
  }

  private void checkKitName(String name, long besides) {
    if (kits.kitNameTaken(name, besides)) {
      throw Conflict.taken("a kit", name);
    }
  }

  private void checkSectionName(long kitId, String name, long besides) {
    if (kits.sectionNameTaken(kitId, name, besides)) {
      throw Conflict.taken("a section in this kit", name);
    }
  }

  private static String line(String text) {
    return Words.PURPOSE.check(text == null ? "" : Names.clean(text));
  }
}
