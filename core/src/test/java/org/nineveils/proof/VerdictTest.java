package org.nineveils.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.nineveils.document.Json;
import org.nineveils.document.ReadingsJson;
import org.nineveils.proof.Verdict.State;
import org.nineveils.proof.measure.Measure;
import org.nineveils.proof.measure.Measures;
import org.nineveils.proof.measure.Reading;

class VerdictTest {
  private static Measure measure(String id) {
    return Measures.ofId(id).orElseThrow();
  }

  private static Verdict verdict(String id, double value, double limit) {
    return new Verdict(measure(id), Reading.of(value), limit, "");
  }

  @ParameterizedTest
  @CsvSource({
    "blown, 0.79, 1, WITHIN",
    "blown, 0.8, 1, NEAR",
    "blown, 1.0, 1, NEAR",
    "blown, 1.01, 1, OVER",
    // What must not fall below 80 is near it from 84 on: 80 % of the way from 100.
    "detail-fur, 84.1, 80, WITHIN",
    "detail-fur, 83.9, 80, NEAR",
    "detail-fur, 79.9, 80, OVER",
    "detail-fur, 130, 80, WITHIN",
  })
  void nearIsFromFourFifthsOfTheWayToTheLimit(String id, double value, double limit, State state) {
    assertThat(verdict(id, value, limit).state()).isEqualTo(state);
  }

  @Test
  void whatIsNotJudgedIsNeitherGoodNorBadAndWhatIsAcceptedIsNotOver() {
    Verdict not = new Verdict(measure("blown"), Reading.not("no skin"), 1, "");
    assertThat(not.state()).isEqualTo(State.NOT_JUDGED);
    Verdict accepted = new Verdict(measure("blown"), Reading.of(5), 1, "a silhouette");
    assertThat(accepted.state()).isEqualTo(State.ACCEPTED);
    Verdict over = verdict("skin-turned", 13, 12);
    Verdict far = verdict("blocked", 9, 1);
    assertThat(Verdict.worst(List.of(not, accepted, over, far, verdict("halo", 1, 3))))
        .contains(far);
    assertThat(Verdict.worst(List.of(not, accepted, verdict("halo", 2.9, 3)))).contains(accepted);
  }

  @Test
  void aSectionsBoundsTakeThePlaceOfTheKitsAndSwitchOnAgain() {
    Limits kit = new Limits(Map.of("blown", 2.0, "skin-turned", 15.0), Set.of("halo", "noise"));
    Limits section = new Limits(Map.of("blown", 4.0, "halo", 5.0), Set.of("skin-turned"));
    Limits both = kit.with(section);
    assertThat(both.of(measure("blown"))).isEqualTo(4);
    assertThat(both.isOn(measure("halo"))).isTrue();
    assertThat(both.isOn(measure("noise"))).isFalse();
    assertThat(both.isOn(measure("skin-turned"))).isFalse();
    assertThat(both.of(measure("strength"))).isEqualTo(measure("strength").limit());
  }

  @Test
  void boundsThatMeanNothingAreRefusedInWords() {
    assertThatThrownBy(() -> new Limits(Map.of("blown", 0.0), Set.of()))
        .hasMessageContaining("“Newly blown” must be above 0");
    assertThatThrownBy(() -> new Limits(Map.of("detail-fur", 120.0), Set.of()))
        .hasMessageContaining("from 0 to 100 %");
    assertThatThrownBy(() -> new Limits(Map.of("blown", Double.NaN), Set.of()))
        .hasMessageContaining("NaN");
    assertThatThrownBy(() -> new Limits(Map.of(), Set.of("shine")))
        .hasMessageContaining("no measure called “shine”");
  }

  @Test
  void readingsComeBackAsTheyWereAndAreHeldToTheLimitsThatAreOn() {
    Readings readings =
        new Readings(
            Map.of(
                "blown", Reading.of(2.5),
                "skin-turned", Reading.not("no skin is marked on this photo"),
                "halo", Reading.of(15)));
    String json = Json.write(ReadingsJson.format(readings));
    assertThat(ReadingsJson.parse(Json.read(json, "The readings"))).isEqualTo(readings);
    Limits limits = new Limits(Map.of("blown", 2.0), Set.of("halo"));
    List<Verdict> verdicts =
        readings.verdicts(limits, id -> id.equals("blown") ? "a white bed" : "");
    assertThat(verdicts)
        .extracting(v -> v.measure().id() + " " + v.state())
        .containsExactly("blown ACCEPTED", "skin-turned NOT_JUDGED");
    assertThat(readings.worst(Limits.START).orElseThrow().measure().id()).isEqualTo("halo");
  }
}
