package org.nineveils.kit;

import java.util.Optional;
import org.nineveils.refusal.Ids;
import org.nineveils.refusal.Refusal;

/**
 * A sign that a maker puts on an effect or a section for herself: a shape and a word, no colour.
 */
public enum Mark {
  AGAIN("again", "look again", "◇"),
  UNSURE("unsure", "unsure", "?"),
  SETTLED("settled", "settled", "✓"),
  LATER("later", "for later", "▽");

  private final String id;
  private final String word;
  private final String sign;

  Mark(String id, String word, String sign) {
    this.id = id;
    this.word = word;
    this.sign = sign;
  }

  /** Name in files. */
  public String id() {
    return id;
  }

  /** On screens. */
  public String word() {
    return word;
  }

  /** The shape that stands for it; always with its word. */
  public String sign() {
    return sign;
  }

  /**
   * The mark of that name; none for the empty name.
   *
   * @throws Refusal with a sentence if there is none of that name
   */
  public static Optional<Mark> ofId(String id) {
    if (id.isEmpty()) {
      return Optional.empty();
    }
    return Optional.of(
        Ids.find(values(), Mark::id, id)
            .orElseThrow(() -> new Refusal("There is no mark “%s”.".formatted(id))));
  }
}
