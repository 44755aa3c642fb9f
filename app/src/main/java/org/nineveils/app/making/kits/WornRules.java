package org.nineveils.app.making.kits;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.kit.Against;
import org.nineveils.kit.Offer;
import org.nineveils.kit.StackingRule;
import org.nineveils.refusal.Refusal;
import org.springframework.stereotype.Service;

/** What of a kit is worn together: its sections' rules, and opposites that the maker chose. */
@Service
public class WornRules {
  private final KitService kits;
  private final KitStore rows;
  private final AgainstStore store;
  private final Journal journal;

  WornRules(KitService kits, KitStore rows, AgainstStore store, Journal journal) {
    this.kits = kits;
    this.rows = rows;
    this.store = store;
    this.journal = journal;
  }

  /**
   * The rule of a section as it is, or as it may become.
   *
   * @param against how it goes with other sections, by their id: true where it asks, false where
   *     one takes the other off; sections that are left out go with it
   */
  public record Rule(long section, StackingRule rule, Map<Long, Boolean> against) {}

  /** The rules of a kit's sections, in their order. */
  public List<Rule> of(long kitId) {
    Map<Long, Map<Long, Boolean>> against = new HashMap<>();
    for (AgainstStore.Two two : store.inKit(kitId)) {
      against.computeIfAbsent(two.oneId(), s -> new LinkedHashMap<>()).put(two.twoId(), two.asks());
      against.computeIfAbsent(two.twoId(), s -> new LinkedHashMap<>()).put(two.oneId(), two.asks());
    }
    return kits.sections(kitId).stream()
        .map(
            s ->
                new Rule(
                    s.id(), StackingRule.ofId(s.rule()), against.getOrDefault(s.id(), Map.of())))
        .toList();
  }

  /** What each section of a kit goes not with, by its id, as releases and fittings have it. */
  public Map<Long, List<Against>> against(long kitId) {
    Map<Long, Integer> numbers = numbers(kitId);
    Map<Long, List<Against>> out = new HashMap<>();
    of(kitId).forEach(rule -> out.put(rule.section(), against(rule, numbers)));
    return out;
  }

  private Map<Long, Integer> numbers(long kitId) {
    Map<Long, Integer> numbers = new HashMap<>();
    kits.sections(kitId).forEach(s -> numbers.put(s.id(), s.number()));
    return numbers;
  }

  private static List<Against> against(Rule rule, Map<Long, Integer> numbers) {
    return rule.against().entrySet().stream()
        .map(a -> new Against(numbers.get(a.getKey()), a.getValue()))
        .toList();
  }

  /** All effects of a kit as it offers them. */
  public List<Offer> offers(long kitId) {
    return offers(kitId, null);
  }

  /**
   * The same where a section had another rule.
   *
   * @param instead the other rule; null for how it is
   */
  public List<Offer> offers(long kitId, Rule instead) {
    Map<Long, Rule> rules = new HashMap<>();
    of(kitId).forEach(rule -> rules.put(rule.section(), rule));
    if (instead != null) {
      replace(rules, instead);
    }
    Map<Long, Integer> numbers = numbers(kitId);
    List<Offer> out = new ArrayList<>();
    for (Rows.FilledSection filled : kits.filled(kitId)) {
      Rows.Section section = filled.section();
      Rule rule = rules.get(section.id());
      List<Against> against = against(rule, numbers);
      for (Rows.Head head : filled.effects()) {
        out.add(
            new Offer(
                String.valueOf(head.id()),
                head.name(),
                section.number(),
                section.name(),
                rule.rule(),
                head.position(),
                against));
      }
    }
    return out;
  }

  /** A rule in the place of one; what others said of that section is gone. */
  private static void replace(Map<Long, Rule> rules, Rule instead) {
    rules.replaceAll(
        (id, rule) -> {
          Map<Long, Boolean> left = new LinkedHashMap<>(rule.against());
          left.remove(instead.section());
          return new Rule(id, rule.rule(), left);
        });
    rules.put(instead.section(), instead);
  }

  /**
   * Sets the name and the rule of a section, as one edit.
   *
   * @throws Refusal with a sentence if a section of another kit is named
   */
  public void set(String name, Rule next) {
    Rows.Section section = kits.section(next.section());
    for (long other : next.against().keySet()) {
      if (kits.section(other).kitId() != section.kitId() || other == section.id()) {
        throw new Refusal("Only another section of the same kit can be its opposite.");
      }
    }
    journal.edit(
        KitService.scope(section.kitId()),
        "change section " + section.name(),
        () -> {
          rows.changeSection(section.id(), kits.freeSectionName(section, name), next.rule().id());
          Map<Long, Boolean> before =
              of(section.kitId()).stream()
                  .filter(r -> r.section() == section.id())
                  .findFirst()
                  .map(Rule::against)
                  .orElse(Map.of());
          if (!before.equals(next.against())) {
            before.keySet().forEach(other -> store.remove(section.id(), other));
            next.against().forEach((other, asks) -> store.put(section.id(), other, asks));
          }
          return null;
        });
  }
}
