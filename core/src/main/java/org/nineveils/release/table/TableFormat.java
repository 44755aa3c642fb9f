package org.nineveils.release.table;

import java.nio.charset.StandardCharsets;
import java.util.Optional;
import org.nineveils.file.PictureWriter;
import org.nineveils.picture.Picture;
import org.nineveils.picture.PictureShelf;
import org.nineveils.refusal.Ids;
import org.nineveils.refusal.Refusal;
import org.nineveils.table.ClfText;
import org.nineveils.table.CubeText;
import org.nineveils.veil.Effect;

/** The open formats that a table can be written in. */
public enum TableFormat {
  CUBE_17("cube17", ".cube, 17 entries an axis", "cube", 17, 1),
  CUBE_33("cube33", ".cube, 33 entries an axis", "cube", 33, 1),
  CUBE_65("cube65", ".cube, 65 entries an axis", "cube", 65, 1),
  SQUARE("square", "square picture, level 8", "png", 64, 1),
  CLF("clf", "CLF, 33 entries an axis behind a curve", "clf", 33, ClfText.BEND);

  private static final int LEVEL = 8;

  private final String id;
  private final String label;
  private final String ending;
  private final int side;
  private final double bend;

  TableFormat(String id, String label, String ending, int side, double bend) {
    this.id = id;
    this.label = label;
    this.ending = ending;
    this.side = side;
    this.bend = bend;
  }

  /** Name in requests and on the command line. */
  public String id() {
    return id;
  }

  /** Name on screens. */
  public String label() {
    return label;
  }

  /** Ending of its files, without the dot. */
  public String ending() {
    return ending;
  }

  /** Entries along an axis. */
  public int side() {
    return side;
  }

  /** The power of even steps at which its nodes lie. */
  public double bend() {
    return bend;
  }

  /**
   * The format of that id.
   *
   * @throws Refusal with a sentence if there is none
   */
  public static TableFormat ofId(String id) {
    return Ids.find(values(), TableFormat::id, id)
        .orElseThrow(() -> new Refusal("There is no table format “%s”.".formatted(id)));
  }

  /**
   * The file of what travels of an effect; empty where nothing does.
   *
   * @param name of the effect, written into the file where it has room for it
   */
  public Optional<byte[]> write(Effect effect, String name, PictureShelf shelf) {
    if (Travel.of(effect).how() == Travel.How.NOT_AT_ALL) {
      return Optional.empty();
    }
    Picture table = Lattices.of(effect, side, bend, shelf);
    return Optional.of(
        switch (this) {
          case SQUARE -> PictureWriter.png16(Lattices.square(table, LEVEL));
          case CLF -> text(ClfText.write(table, side, name));
          case CUBE_17, CUBE_33, CUBE_65 -> text(CubeText.write(table, side, name));
        });
  }

  private static byte[] text(String text) {
    return text.getBytes(StandardCharsets.UTF_8);
  }
}
