package org.nineveils.app.order.find;

import java.util.List;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Looks words up. */
@Repository
class FindStore {
  private final JdbcClient db;

  FindStore(JdbcClient db) {
    this.db = db;
  }

  /**
   * Ids of effects of which name, note, veils or tags hold all words, the best first: what a name
   * holds counts most.
   *
   * @param words beginnings of words, as {@link org.nineveils.name.Names#key} compares them; at
   *     least one. What notes and veils hold is not kept in that form, so that a word counts as it
   *     would be written with ß too
   */
  List<Long> effects(List<String> words) {
    return db.sql(
            """
            select rowid from effect_text where effect_text match ?
            order by bm25(effect_text, 10, 2, 3, 6), rowid""")
        .param(matching(words))
        .query(Long.class)
        .list();
  }

  /** All words as beginnings, each in quotation marks, so that nothing typed is an operator. */
  private static String matching(List<String> words) {
    return words.stream()
        .map(w -> w.replace("\"", ""))
        .map(
            w ->
                w.contains("ss")
                    ? "(%s OR %s)".formatted(one(w), one(w.replace("ss", "ß")))
                    : one(w))
        .collect(Collectors.joining(" AND "));
  }

  private static String one(String word) {
    return "\"" + word + "\"*";
  }
}
