package org.nineveils.app.house.demo;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.nineveils.document.EffectJson;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.kit.EffectFacts;

/**
 * What the demo holds, before it is loaded; {@code ProofsIT} holds its pictures to their limits.
 */
class DemoTest {
  private static List<Fields> kits() throws Exception {
    String text = Files.readString(Path.of("../demo/demo.json"));
    return Json.read(text, "The demo").objects("kits", k -> k);
  }

  private static List<Fields> effects(Fields kit) {
    return kit.objects("sections", s -> s.objects("effects", e -> e)).stream()
        .flatMap(List::stream)
        .toList();
  }

  @Test
  void threeKitsHold24To65EffectsTheLargestInSixSections() throws Exception {
    assertThat(kits().stream().map(k -> effects(k).size())).containsExactly(24, 65, 24);
    assertThat(kits().get(1).list("sections")).hasSize(6);
    assertThat(kits()).allMatch(k -> !k.texts("shownOn").isEmpty());
  }

  @Test
  void everyEffectHasANoteThatPromisesNothingThatIsNotThereAndANameOfItsOwn() throws Exception {
    for (Fields kit : kits()) {
      for (Fields effect : effects(kit)) {
        EffectFacts facts = EffectFacts.of(EffectJson.parse(effect.object("effect")));
        assertThat(facts.noted()).as(effect.text("name")).isTrue();
        assertThat(facts.broken()).as(effect.text("name")).isFalse();
        assertThat(facts.unplaced()).as(effect.text("name")).isFalse();
      }
    }
    List<String> names =
        kits().stream().flatMap(k -> effects(k).stream()).map(e -> e.text("name")).toList();
    assertThat(names).doesNotHaveDuplicates();
  }
}
