package org.nineveils.app.proof.sheet;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.nineveils.app.photo.photos.Photo;
import org.nineveils.app.photo.render.LiveReadings;
import org.nineveils.app.proof.judging.Judging;
import org.nineveils.app.proof.measuring.Measuring;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.proof.Limits;
import org.nineveils.proof.LiveWords;
import org.nineveils.proof.PlainWords;
import org.nineveils.proof.Readings;
import org.nineveils.proof.Trial;
import org.nineveils.proof.Verdict;
import org.nineveils.proof.measure.Pair;
import org.nineveils.proof.measure.Plain;
import org.nineveils.stack.Manner;
import org.nineveils.stack.Stack;
import org.springframework.stereotype.Component;

/** Measures what is on a stage, with the measures and limits of proofs. */
@Component
class Live implements LiveReadings {
  private final Measuring measuring;
  private final Judging judging;

  Live(Measuring measuring, Judging judging) {
    this.measuring = measuring;
    this.judging = judging;
  }

  @Override
  public Map<String, Object> of(Photo photo, Stack stack, Manner manner, Fields wanted) {
    Plain plain = measuring.live(photo);
    Pair pair = new Pair(plain, Trial.on(plain, stack, manner));
    Readings taken = Readings.of(pair);
    List<Object> lines = new ArrayList<>();
    LiveWords.of(plain, pair, taken).forEach(l -> lines.add(List.of(l.name(), l.words())));
    List<Object> plainly = new ArrayList<>();
    PlainWords.of(pair, taken).forEach(l -> plainly.add(List.of(l.name(), l.words())));
    List<Object> over = new ArrayList<>();
    taken.verdicts(limits(wanted), id -> "").stream()
        .filter(v -> v.state() == Verdict.State.OVER || v.state() == Verdict.State.NEAR)
        .sorted((a, b) -> Double.compare(b.share(), a.share()))
        .forEach(
            v ->
                over.add(
                    List.of(
                        v.state().word(),
                        v.measure().word(),
                        v.reading().value(),
                        v.measure().unit(),
                        PlainWords.isChosen(pair, v) ? "" : PlainWords.of(v))));
    return Json.object("lines", lines, "plain", plainly, "over", over);
  }

  private Limits limits(Fields wanted) {
    if (!wanted.has("kit")) {
      return Limits.START;
    }
    Judging.Rules rules = judging.rules(wanted.whole("kit"));
    return wanted.has("section") ? rules.in(wanted.whole("section")) : rules.ofKit();
  }
}
