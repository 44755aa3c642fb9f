package org.nineveils.app.base.paint;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.nineveils.document.Json;
import org.nineveils.document.PaintJson;
import org.nineveils.mask.Paint;
import org.nineveils.mask.Stroke;
import org.nineveils.refusal.Refusal;
import org.springframework.jdbc.core.simple.JdbcClient;

/**
 * Strokes of one table, by what was painted on: an effect on a photo, an effect in a fitting, or a
 * region of a photo. Ids and places are read from an index, the strokes themselves only once.
 */
public final class StrokeRows {
  private final JdbcClient db;
  private final ParsedStrokes parsed;
  private final String table;
  private final String on;

  private StrokeRows(JdbcClient db, ParsedStrokes parsed, String table, String on) {
    this.db = db;
    this.parsed = parsed;
    this.table = table;
    this.on = on;
  }

  /** What was brushed at the bench: by effect and photo. */
  public static StrokeRows ofBench(JdbcClient db, ParsedStrokes parsed) {
    return new StrokeRows(db, parsed, "stroke", "effect_id = ? and photo_id = ?");
  }

  /** What was brushed in fittings: by fitting and key of the effect. */
  public static StrokeRows ofFittings(JdbcClient db, ParsedStrokes parsed) {
    return new StrokeRows(db, parsed, "fitting_stroke", "fitting_id = ? and effect = ?");
  }

  /** What was painted of regions: by row of the photo's regions and photo. */
  public static StrokeRows ofRegions(JdbcClient db, ParsedStrokes parsed) {
    return new StrokeRows(db, parsed, "region_stroke", "regions_id = ? and photo_id = ?");
  }

  private record Place(long id, String veil) {}

  /** The paint of each veil that has any, by its id. */
  public Map<String, Paint> find(Object owner, Object part) {
    Map<String, List<Stroke>> strokes = new LinkedHashMap<>();
    for (Place p :
        db.sql("select id, veil from %s where %s order by veil, place, id".formatted(table, on))
            .params(owner, part)
            .query(Place.class)
            .list()) {
      strokes
          .computeIfAbsent(p.veil(), v -> new ArrayList<>())
          .add(parsed.get(table, p.id(), () -> read(p.id())));
    }
    Map<String, Paint> out = new LinkedHashMap<>();
    strokes.forEach((veil, list) -> out.put(veil, new Paint(list)));
    return out;
  }

  private Stroke read(long id) {
    String doc =
        db.sql("select doc from %s where id = ?".formatted(table))
            .param(id)
            .query(String.class)
            .single();
    return PaintJson.parseStroke(Json.read(doc, "The stroke"));
  }

  /** How many strokes each veil has. */
  public Map<String, Integer> counts(Object owner, Object part) {
    Map<String, Integer> out = new LinkedHashMap<>();
    db.sql("select veil, count(*) as n from %s where %s group by veil".formatted(table, on))
        .params(owner, part)
        .query((row, i) -> out.put(row.getString("veil"), row.getInt("n")))
        .list();
    return out;
  }

  /**
   * Adds a stroke on top.
   *
   * @throws Refusal with a sentence if the veil has as many as it takes
   */
  public void add(Object owner, Object part, String veil, Stroke stroke) {
    record Top(int strokes, int place) {}
    Top top =
        db.sql(
                """
                select count(*) as strokes, coalesce(max(place), 0) as place
                from %s where %s and veil = ?"""
                    .formatted(table, on))
            .params(owner, part, veil)
            .query(Top.class)
            .single();
    if (top.strokes() >= Paint.MAX_STROKES) {
      throw new Refusal(
          String.format(
              Locale.ROOT,
              "A veil takes at most %d strokes; this one was not kept.",
              Paint.MAX_STROKES));
    }
    insert(owner, part, veil, top.place() + 1, stroke);
  }

  /** Gives a veil other paint in the place of what it had. */
  public void put(Object owner, Object part, String veil, Paint paint) {
    clear(owner, part, veil);
    int place = 1;
    for (Stroke stroke : paint.strokes()) {
      insert(owner, part, veil, place++, stroke);
    }
  }

  /** Takes all paint off a veil. */
  public void clear(Object owner, Object part, String veil) {
    db.sql("delete from %s where %s and veil = ?".formatted(table, on))
        .params(owner, part, veil)
        .update();
  }

  private void insert(Object owner, Object part, String veil, int place, Stroke stroke) {
    String columns = on.replaceAll(" = \\?", "").replace(" and ", ", ");
    db.sql("insert into %s (%s, veil, place, doc) values (?, ?, ?, ?, ?)".formatted(table, columns))
        .params(owner, part, veil, place, Json.write(PaintJson.formatStroke(stroke)))
        .update();
  }
}
