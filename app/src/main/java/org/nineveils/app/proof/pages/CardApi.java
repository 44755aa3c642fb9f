package org.nineveils.app.proof.pages;

import java.util.List;
import java.util.Map;
import org.nineveils.app.base.jobs.Job;
import org.nineveils.app.proof.judging.Judging;
import org.nineveils.app.proof.searches.Searches;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The card of a cell, its remedies, and searches. */
@RestController
@RequestMapping("/api/proofs")
class CardApi {
  private final CardService cards;
  private final Judging judging;
  private final Searches searches;

  CardApi(CardService cards, Judging judging, Searches searches) {
    this.cards = cards;
    this.judging = judging;
    this.searches = searches;
  }

  @GetMapping("/cells/{effect}/{photo}")
  Map<String, Object> card(@PathVariable("effect") long effect, @PathVariable("photo") long photo) {
    return cards.card(effect, photo);
  }

  /**
   * What a column is asked about: how the effect goes on, its dials, the photos it is judged on.
   */
  @GetMapping("/effects/{effect}")
  Map<String, Object> effect(@PathVariable("effect") long effect) {
    return cards.effect(effect);
  }

  /** Who did it. */
  @GetMapping("/cells/{effect}/{photo}/who")
  Map<String, Object> who(
      @PathVariable("effect") long effect,
      @PathVariable("photo") long photo,
      @RequestParam("measure") String measure) {
    return cards.who(effect, photo, measure);
  }

  /** Lets a measure be over with a reason, on a photo or on all, or no longer. */
  @PutMapping("/accepted")
  Map<String, Object> accept(@RequestBody String body) {
    Fields f = Json.read(body, "The request");
    Long photo = f.has("photo") ? Long.valueOf(f.whole("photo")) : null;
    judging.accept(f.whole("effect"), photo, f.text("measure"), f.text("reason"));
    return Map.of();
  }

  @PostMapping("/searches")
  Map<String, Object> search(@RequestBody String body) {
    Job job = searches.start(Json.read(body, "The search"));
    return Map.of("job", job.shown());
  }

  @PostMapping("/remedies/start")
  Map<String, Object> start(@RequestBody String body) {
    Fields f = Json.read(body, "The request");
    cards.startAt(f.whole("effect"), f.number("start"));
    return Map.of();
  }

  @PostMapping("/remedies/guard")
  Map<String, Object> guard(@RequestBody String body) {
    Fields f = Json.read(body, "The request");
    List<String> veils = f.texts("veils");
    cards.keepOff(f.whole("effect"), veils, f.number("amount"));
    return Map.of();
  }

  @PostMapping("/remedies/dial")
  Map<String, Object> dial(@RequestBody String body) {
    Fields f = Json.read(body, "The request");
    cards.range(f.whole("effect"), f.text("dial"), f.number("min"), f.number("max"));
    return Map.of();
  }
}
