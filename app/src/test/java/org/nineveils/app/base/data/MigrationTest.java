package org.nineveils.app.base.data;

import static org.assertj.core.api.Assertions.assertThat;

import com.zaxxer.hikari.HikariDataSource;
import java.nio.file.Path;
import java.util.List;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationVersion;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.nineveils.document.FittingJson;
import org.nineveils.document.Json;
import org.springframework.jdbc.core.simple.JdbcClient;

/** A folder of an earlier version is taken over with all that is in it. */
class MigrationTest {
  private static final String STROKES =
      "[{\"points\":[0.1,0.25],\"size\":0.08},{\"points\":[0.5,0.5,0.6,0.6],\"size\":0.1}]";

  /** Names of settings as they were. */
  private static final String NAMED =
      """
      {"edition":1,"veils":[\
      {"id":"a","kind":"light","settings":{"tint":3,"shadows":12,"highlights":-8,"whites":4}},\
      {"id":"b","kind":"ink","settings":{"redsMagenta":-26,"blacksYellow":-7}},\
      {"id":"c","kind":"curve","settings":{"red":[[0,0],[1,1]]}},\
      {"id":"d","kind":"tint","settings":{"monochrome":100,"aqua":-18,"magenta":10}},\
      {"id":"e","kind":"colour","settings":{"saturation":4,"orangeSaturation":22,"yellowSaturation":22}},\
      {"id":"f","kind":"colour","settings":{"redSaturation":-28}}],\
      "dials":[{"veil":"b","key":"redsMagenta","label":"Red","min":-60,"max":0},\
      {"veil":"f","key":"redSaturation","label":"Calm","min":-40,"max":-27}]}""";

  @TempDir Path folder;
  private final HikariDataSource source = new HikariDataSource();
  private JdbcClient db;

  @BeforeEach
  void anEarlierVersion() {
    source.setJdbcUrl("jdbc:sqlite:" + folder.resolve("old.db"));
    source.addDataSourceProperty("foreign_keys", "true");
    Flyway.configure()
        .dataSource(source)
        .target(MigrationVersion.fromVersion("2"))
        .load()
        .migrate();
    db = JdbcClient.create(source);
    for (String sql :
        List.of(
            "insert into kit (id, name) values (1, 'Ängstlich'), (2, 'ängstlich'), (3, 'Milk' || char(8203)), (4, 'Milk')",
            "insert into section (id, kit_id, number, name, rule) values (1, 1, 1, 'Looks', 'stack-freely')",
            "insert into effect (id, kit_id, section_id, position, name, doc) values (1, 1, 1, 1, 'E', '%s')"
                .formatted(NAMED),
            "insert into swatch (id, mark, name, doc) values (1, 'Q', 'S', '{\"kind\":\"ink\",\"settings\":{\"absolute\":40,\"neutralsCyan\":5}}')",
            "insert into photo (id, side, name, sha, width, height) values (1, 'wall', 'P', 'x', 1, 1)",
            "insert into paint (effect_id, photo_id, doc) values (1, 1, '{\"lips\":%s,\"eyes\":[]}')"
                .formatted(STROKES),
            "insert into fitting (id, wardrobe, photo_id, doc) values (1, 'kit:1', 1, '{\"worn\":[{\"effect\":\"1\",\"opacity\":0.5,\"lifted\":false,\"veils\":{},\"byBrush\":true,\"paint\":{\"*\":%s}},{\"effect\":\"2\",\"opacity\":1,\"lifted\":true,\"veils\":{},\"byBrush\":false,\"paint\":{}}]}')"
                .formatted(STROKES),
            "insert into fitting (id, wardrobe, photo_id, doc) values (2, 'kit:2', 1, '{\"worn\":[]}')",
            "insert into collection (id, name, version) values (1, 'C', '1.0')",
            "insert into packed (collection_id, name, version, file_name, sha, bytes, packed_at) values (1, 'C', '1.0', 'c.zip', 'abc', 7, 'then')",
            "create trigger journal_kit_insert after insert on kit begin insert into edit_change (edit_id, statement) values (1, 'x'); end")) {
      db.sql(sql).update();
    }
    Flyway.configure().dataSource(source).load().migrate();
  }

  @AfterEach
  void close() {
    source.close();
  }

  private List<String> texts(String sql) {
    return db.sql(sql).query(String.class).list();
  }

  /** The eight hues stand elsewhere now: theirs comes nearest to what was set, within a dial. */
  @Test
  void settingsHaveTheirPresentNames() {
    assertThat(texts("select doc from effect where id = 1").get(0))
        .isEqualTo(
            """
            {"edition":1,"veils":[\
            {"id":"a","kind":"light","settings":{"greenToPink":3,"deep":12,"light":-8,"lightest":4}},\
            {"id":"b","kind":"ink","settings":{"poppyMagenta":-26,"darksYellow":-7}},\
            {"id":"c","kind":"curve","settings":{"red":[[0,0],[1,1]]}},\
            {"id":"d","kind":"tint","settings":{"monochrome":100,"rose":2,"amber":-1,"straw":1,"leaf":-2,"jade":-19,"sky":-5,"mauve":10}},\
            {"id":"e","kind":"colour","settings":{"saturation":4,"roseSaturation":-2,"amberSaturation":22,"strawSaturation":22,"leafSaturation":-1,"mauveSaturation":1}},\
            {"id":"f","kind":"colour","settings":{"roseSaturation":-27.0,"amberSaturation":-1,"mauveSaturation":1}}],\
            "dials":[{"veil":"b","key":"poppyMagenta","label":"Red","min":-60,"max":0},\
            {"veil":"f","key":"roseSaturation","label":"Calm","min":-40,"max":-27}]}""");
    assertThat(texts("select doc from swatch"))
        .containsExactly(
            "{\"kind\":\"ink\",\"settings\":{\"alsoWhereNone\":40,\"middlesCyan\":5}}");
  }

  @Test
  void paintBecomesStrokesInTheOrderOfPainting() {
    assertThat(texts("select veil || ' ' || place || ' ' || doc from stroke order by id"))
        .containsExactly(
            "lips 1 {\"points\":[0.1,0.25],\"size\":0.08}",
            "lips 2 {\"points\":[0.5,0.5,0.6,0.6],\"size\":0.1}");
    assertThat(texts("select fitting_id || effect || veil from fitting_stroke"))
        .containsExactly("11*", "11*");
  }

  @Test
  void fittingsKeepAllButTheirPaint() {
    var fitting =
        FittingJson.parse(Json.read(texts("select doc from fitting where id = 1").get(0), ""));
    assertThat(fitting.worn()).hasSize(2).allMatch(w -> w.paint().isEmpty());
    assertThat(fitting.worn().get(0).byBrush()).isTrue();
    assertThat(fitting.worn().get(1).lifted()).isTrue();
    assertThat(texts("select doc from fitting where id = 2")).containsExactly("{\"worn\":[]}");
  }

  @Test
  void whatWasPackedIsKeptAndNothingCascadesIntoIt() {
    db.sql("delete from collection").update();
    assertThat(texts("select name || version || sha from packed_release"))
        .containsExactly("C1.0abc");
  }

  /** Names that were different before and are the same now: the later one gets a number. */
  @Test
  void namesThatAreTheSameNowAreToldApart() {
    assertThat(texts("select name from kit order by id"))
        .containsExactly("Ängstlich", "ängstlich 2", "Milk", "Milk 2");
    assertThat(texts("select name_key from kit order by id"))
        .containsExactly("ängstlich", "ängstlich 2", "milk", "milk 2");
  }
}
