package org.nineveils.app.testing;

import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.Statement;
import org.nineveils.app.base.data.TestBlobs;
import org.nineveils.document.EffectJson;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.file.PictureReader;
import org.nineveils.file.PictureWriter;
import org.nineveils.picture.Scaling;
import org.nineveils.veil.Effect;

/** A data folder with as many effects and photos as a maker of many years has. */
public final class LargeHouse {
  private static final int A_KIT = 65;

  private LargeHouse() {}

  /** Fills a folder: effects of about nine veils, as the demo's, and photos of 0.27 megapixels. */
  public static void build(Path folder, int effects, int photos) throws Exception {
    RunningApp.on(folder, 0).close(); // makes the tables
    String demo = Files.readString(Path.of("../demo/demo.json"));
    Fields any =
        Json.read(demo, "The demo")
            .objects("kits", k -> k)
            .get(0)
            .objects("sections", s -> s)
            .get(0)
            .objects("effects", e -> e.object("effect"))
            .get(0);
    Effect effect = EffectJson.parse(any);
    try (Connection db =
        DriverManager.getConnection("jdbc:sqlite:" + folder.resolve("nine-veils.db"))) {
      db.setAutoCommit(false);
      int kits = (effects + A_KIT - 1) / A_KIT;
      for (int k = 1; k <= kits; k++) {
        run(
            db,
            "insert into kit (id, name, name_key, purpose) values (%d, 'Kit %d', 'kit %d', 'for trials')"
                .formatted(k, k, k));
        for (int s = 0; s < 5; s++) {
          int id = k * 10 + s;
          run(
              db,
              "insert into section (id, kit_id, number, name, name_key, rule) values (%d, %d, %d, 'Section %d', 'section %d', 'stack-freely')"
                  .formatted(id, k, s + 1, s, s));
        }
      }
      try (PreparedStatement add =
          db.prepareStatement(
              "insert into effect (id, kit_id, section_id, position, name, name_key, doc) values (?, ?, ?, ?, ?, ?, ?)")) {
        for (int e = 0; e < effects; e++) {
          int kit = e / A_KIT + 1;
          add.setInt(1, e + 1);
          add.setInt(2, kit);
          add.setInt(3, kit * 10 + e % 5);
          add.setInt(4, e);
          add.setString(5, "Effect of some length %d".formatted(e));
          add.setString(6, "effect of some length %d".formatted(e));
          add.setString(7, doc(effect, e));
          add.executeUpdate();
        }
      }
      photos(db, folder, photos);
      run(db, "insert into collection (id, name, name_key, version) values (1, 'C', 'c', '1.0')");
      db.commit();
    }
  }

  /** No two are the same: each goes on at an opacity of its own. */
  private static String doc(Effect effect, int e) {
    return Json.write(EffectJson.format(effect.startingAt(0.5 + e * 0.0004)));
  }

  private static void photos(Connection db, Path folder, int photos) throws Exception {
    var blobs = TestBlobs.in(folder.resolve("files"));
    var picture = PictureReader.read(Path.of("../demo/photos/pet-black-dog.jpg"));
    byte[] jpeg = PictureWriter.jpeg(Scaling.toLongSide(picture, 640), 0.8f);
    var sized = PictureReader.read(jpeg, "photo");
    try (PreparedStatement add =
        db.prepareStatement(
            "insert into photo (side, name, name_key, sha, width, height) values ('wall', ?, ?, ?, ?, ?)")) {
      for (int p = 0; p < photos; p++) {
        byte[] own =
            java.util.Arrays.copyOf(jpeg, jpeg.length + 4); // another file, the same picture
        own[jpeg.length] = (byte) p;
        own[jpeg.length + 1] = (byte) (p >> 8);
        add.setString(1, "Photo of some length %d".formatted(p));
        add.setString(2, "photo of some length %d".formatted(p));
        add.setString(3, blobs.put(own));
        add.setInt(4, sized.width());
        add.setInt(5, sized.height());
        add.executeUpdate();
      }
    }
  }

  private static void run(Connection db, String sql) throws Exception {
    try (Statement statement = db.createStatement()) {
      statement.executeUpdate(sql);
    }
  }
}
