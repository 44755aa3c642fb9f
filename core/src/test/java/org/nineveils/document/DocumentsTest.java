package org.nineveils.document;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.nineveils.catalogue.Kinds;
import org.nineveils.kit.Fitting;
import org.nineveils.kit.Worn;
import org.nineveils.mask.Paint;
import org.nineveils.mask.Stroke;
import org.nineveils.testing.Pictures;
import org.nineveils.veil.Effect;

class DocumentsTest {
  private static final String VEIL =
      """
      {"edition": 1, "note": "", "veils": [
        {"id": "a", "name": "Even light", "kind": "light", "blend": "normal", "opacity": 1,
         "mask": {"cover": "everywhere"}, "settings": {"exposure": 0.5}}]}""";

  private static Effect parse(String json) {
    return EffectJson.parse(Json.read(json, "The effect"));
  }

  @Test
  void effectsComeBackAsTheyWere() {
    Effect effect =
        new Effect(
            List.of(
                Pictures.veil("light", Map.of("exposure", 1 / 3.0)).withOpacity(0.42),
                Pictures.veil("curve", Map.of("all", List.of(List.of(0, 0.1), List.of(1, 0.9)))),
                Pictures.veil("tint", Map.of("hue", 33)).withLifted(true)),
            "Brush “here”.\nThen lower.",
            1);
    assertThat(parse(Json.write(EffectJson.format(effect)))).isEqualTo(effect);
    assertThat(parse(Json.writePretty(EffectJson.format(effect)))).isEqualTo(effect);
  }

  @Test
  void masksByRuleComeBackAsTheyWereAndNameTheirFaults() {
    String ruled =
        VEIL.replace(
            "\"cover\": \"everywhere\"",
            """
            "cover": "by-rule", "rules": [
              {"kind": "brightness", "settings": {"from": 60}},
              {"kind": "colour", "join": "minus", "inverted": true, "settings": {"hue": 30}}]""");
    Effect effect = parse(ruled);
    assertThat(effect.veils().get(0).mask().rules()).hasSize(2);
    assertThat(parse(Json.write(EffectJson.format(effect)))).isEqualTo(effect);
    assertThatThrownBy(() -> parse(ruled.replace("\"from\": 60", "\"from\": 160")))
        .hasMessageContaining("veils 1, mask, rules 1")
        .hasMessageContaining("From must be between 0 and 100 %");
    assertThatThrownBy(() -> parse(ruled.replace("minus", "xor"))).hasMessageContaining("“xor”");
    assertThatThrownBy(() -> parse(VEIL.replace("everywhere", "by-rule")))
        .hasMessageContaining("1 to 6 rules");
  }

  @Test
  void dialsComeBackAsTheyWereAndBadOnesAreRefusedByName() {
    String dial =
        "{\"veil\": \"a\", \"key\": \"exposure\", \"label\": \"Light\", \"min\": 0, \"max\": 1}";
    String with = VEIL.replace("\"veils\"", "\"dials\": [" + dial + "], \"veils\"");
    Effect effect = parse(with);
    assertThat(effect.dials()).hasSize(1);
    assertThat(parse(Json.write(EffectJson.format(effect)))).isEqualTo(effect);
    assertThatThrownBy(() -> parse(with.replace("\"min\": 0", "\"min\": 0.7")))
        .hasMessageContaining("Dial “Light”")
        .hasMessageContaining("own value 0.5");
    assertThatThrownBy(() -> parse(with.replace("\"max\": 1}", "\"max\": 50}")))
        .hasMessageContaining("within -5.0 to 5.0");
    assertThatThrownBy(() -> parse(with.replace("\"key\": \"exposure\"", "\"key\": \"shine\"")))
        .hasMessageContaining("turns “shine”, which is no number of the veil “Even light”");
    assertThatThrownBy(() -> parse(with.replace("\"veil\": \"a\"", "\"veil\": \"z\"")))
        .hasMessageContaining("a veil that is not there");
    assertThatThrownBy(() -> parse(with.replace(dial, dial + ", " + dial)))
        .hasMessageContaining("another dial turns already");
    Effect headed = parse(with.replace("\"max\": 1}", "\"max\": 1, \"heading\": \"The sun\"}"));
    assertThat(headed.dials().get(0).heading()).isEqualTo("The sun");
    assertThat(parse(Json.write(EffectJson.format(headed)))).isEqualTo(headed);
  }

  @Test
  void fittingsAndPaintComeBackAsTheyWere() {
    Stroke stroke = new Stroke(List.of(0.1, 0.2, 0.3, 0.4), 0.08, 0.7, 1, 0.25, false);
    Fitting fitting =
        new Fitting(
            List.of(
                new Worn(
                    "effects/a.json",
                    0.6,
                    true,
                    Map.of("v1", new Worn.VeilChange(0.3, true, Map.of("exposure", 0.25))),
                    Map.of("v1", new Paint(List.of(stroke, stroke))),
                    true)));
    String json = Json.write(FittingJson.format(fitting));
    assertThat(FittingJson.parse(Json.read(json, "The fitting"))).isEqualTo(fitting);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '~',
      value = {
        "\"opacity\": 1|\"opacity\": 3|veils 1: Veil “Even light”: opacity must be between 0 and 100 %, but was 300.0 %.",
        "\"kind\": \"light\"|\"kind\": \"glimmer\"|veils 1: There is no kind of veil “glimmer”",
        "\"blend\": \"normal\"|\"blend\": \"shine\"|There is no blend mode “shine”.",
        "\"exposure\": 0.5|\"exposure\": 9|Exposure must be between -5 and 5 stops, but was 9.",
        "\"exposure\": 0.5|\"sparkle\": 9|There is no setting “sparkle”",
        "\"id\": \"a\"|\"id\": \"a\", \"colour\": 1|veils 1 has an unknown field “colour”.",
        "\"name\": \"Even light\",||veils 1 has no “name”.",
        "\"opacity\": 1|\"opacity\": \"all\"|veils 1: “opacity” must be a number.",
        "\"edition\": 1|\"edition\": 7|engine edition 7",
        "\"cover\": \"everywhere\"|\"cover\": \"moon\"|There is no mask “moon”.",
        "\"veils\": [|\"veils\": 5, \"x\": [|unknown field “x”"
      })
  void faultsAreNamedWithTheirPlace(String from, String to, String says) {
    String broken = VEIL.replace(from, to == null ? "" : to);
    assertThat(broken).isNotEqualTo(VEIL);
    assertThatThrownBy(() -> parse(broken))
        .isInstanceOf(DocumentException.class)
        .hasMessageStartingWith("The effect")
        .hasMessageContaining(says);
  }

  @Test
  void brokenJsonIsNamedWithLineAndColumn() {
    assertThatThrownBy(() -> Json.read("{\n  \"a\": ]", "manifest.json"))
        .isInstanceOf(DocumentException.class)
        .hasMessageContaining("manifest.json is not valid JSON (line 2");
  }

  @Test
  void deepNestingAndDoubledFieldsAreRefused() {
    assertThatThrownBy(() -> Json.read("{\"a\":" + "[".repeat(5000), "The request"))
        .isInstanceOf(DocumentException.class);
    assertThatThrownBy(() -> Json.read("{\"a\":1,\"a\":2}", "The request"))
        .isInstanceOf(DocumentException.class);
    assertThatThrownBy(() -> Json.read("[1]", "The request"))
        .hasMessage("The request must be a JSON object.");
    assertThatThrownBy(() -> Json.read("{} {}", "The request"))
        .isInstanceOf(DocumentException.class);
  }

  @Test
  void anEffectHoldsAtMost35VeilsWithIdsOfTheirOwn() {
    var veil = Pictures.veil("light", Map.of());
    assertThatThrownBy(() -> new Effect(java.util.Collections.nCopies(36, veil), "", 1))
        .hasMessageContaining("at most 35");
    assertThatThrownBy(() -> new Effect(List.of(veil, veil), "", 1))
        .hasMessageContaining("same id");
  }

  /** One description of a setting drives the screens too. */
  @Test
  void everySettingReachesTheScreensWithItsRange() {
    var kinds = KindsJson.format();
    assertThat(kinds).hasSize(Kinds.all().size());
    for (int i = 0; i < kinds.size(); i++) {
      List<?> settings = (List<?>) kinds.get(i).get("settings");
      assertThat(settings).hasSize(Kinds.all().get(i).settings().size());
      for (Object s : settings) {
        Map<?, ?> fields = (Map<?, ?>) s;
        String needed =
            switch (String.valueOf(fields.get("type"))) {
              case "number" -> "min";
              case "curve" -> "maxPoints";
              case "colours" -> "most";
              case "choice" -> "choices";
              default -> "start";
            };
        assertThat(fields.containsKey(needed)).as("%s", fields).isTrue();
      }
    }
  }
}
