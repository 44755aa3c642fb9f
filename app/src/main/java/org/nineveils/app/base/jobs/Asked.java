package org.nineveils.app.base.jobs;

import org.nineveils.refusal.Refusal;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/**
 * What a kind of job is asked: a record of its own, whose components are the fields of the JSON
 * that is stored. One that has left its application cannot be given other names.
 */
final class Asked {
  private static final JsonMapper JSON = JsonMapper.builder().build();

  private Asked() {}

  static String write(Record asked) {
    return JSON.writeValueAsString(asked);
  }

  /**
   * What was asked.
   *
   * @throws Refusal with a sentence where it is of another shape, as of an older application
   */
  static <T extends Record> T read(String request, Class<T> as) {
    try {
      return JSON.readValue(request, as);
    } catch (JacksonException e) {
      throw new Refusal("This was begun by an older program; begin it again.");
    }
  }
}
