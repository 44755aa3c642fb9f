package org.nineveils.app.proof.files;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.nineveils.app.making.kits.Rows;
import org.nineveils.app.photo.photos.Photo;
import org.nineveils.app.proof.cells.Cell;
import org.nineveils.proof.Judgement;
import org.nineveils.proof.Readings;

/**
 * A sheet as it is kept in files.
 *
 * @param kit its name
 * @param sections of the kit, in order
 * @param lines cells that were rendered, photo by photo
 */
record Sheet(String kit, List<Rows.FilledSection> sections, List<Line> lines) {
  /** A cell with what was measured and what is said of it. */
  record Line(Cell cell, Readings readings, Judgement said) {}

  /** Photos, in order. */
  List<Photo> photos() {
    Map<Long, Photo> out = new LinkedHashMap<>();
    lines.forEach(l -> out.put(l.cell().photo().id(), l.cell().photo()));
    return new ArrayList<>(out.values());
  }

  /** Lines by photo and effect. */
  Map<List<Long>, Line> byPlace() {
    Map<List<Long>, Line> out = new LinkedHashMap<>();
    lines.forEach(l -> out.put(List.of(l.cell().photo().id(), l.cell().head().id()), l));
    return out;
  }

  /** Name of the section that an effect is filed in. */
  String section(Rows.Head head) {
    return sections.stream()
        .filter(s -> s.section().id() == head.sectionId())
        .map(s -> s.section().number() + " " + s.section().name())
        .findFirst()
        .orElse("");
  }
}
