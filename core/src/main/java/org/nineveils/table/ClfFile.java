package org.nineveils.table;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.nineveils.picture.Picture;
import org.nineveils.refusal.Outside;
import org.nineveils.refusal.Refusal;
import org.nineveils.refusal.Xml;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.Node;
import org.xml.sax.SAXException;

/**
 * Reads colour tables in Common LUT Format (ASC/AMPAS S-2014-006, version 3, from memory): a
 * ProcessList of which LUT1D, LUT3D, Matrix, Range and ASC_CDL are understood. A single LUT3D that
 * is tetrahedral is taken as it is; one that is trilinear, as it is where a file says nothing, gets
 * more entries between its own; anything else is worked out at {@link ColourTable#MOST} entries an
 * axis. Values are cut to 0…1 at the end, as every veil's are.
 */
public final class ClfFile {
  private ClfFile() {}

  /**
   * The table as a picture of side² × side pixels; see {@link ColourTable}.
   *
   * @param name of the file, for messages
   * @throws Refusal with a sentence naming the node and the fault
   */
  public static Picture read(byte[] file, String name) {
    return Outside.read(
        () -> table(document(file, name), name),
        Refusal.class,
        fault -> new Refusal("“%s” is damaged: it cannot be read as a table.".formatted(name)));
  }

  private static Document document(byte[] file, String name) {
    try {
      return Xml.read(file);
    } catch (SAXException | IOException e) {
      throw new Refusal(
          "“%s” is no Common LUT Format file: its XML cannot be read.".formatted(name));
    }
  }

  private static Picture table(Document document, String name) {
    Element list = document.getDocumentElement();
    if (!"ProcessList".equals(list.getLocalName())) {
      throw new Refusal(
          "“%s” is no Common LUT Format file: it does not begin with a ProcessList."
              .formatted(name));
    }
    List<ClfNode> nodes = new ArrayList<>();
    for (Node child = list.getFirstChild(); child != null; child = child.getNextSibling()) {
      if (child instanceof Element element) {
        ClfNode.of(element, name).ifPresent(nodes::add);
      }
    }
    if (nodes.isEmpty()) {
      throw new Refusal("“%s” holds nothing that changes a colour.".formatted(name));
    }
    int side =
        nodes.size() == 1 && nodes.get(0) instanceof ClfTables.Cube cube
            ? cube.own()
            : ColourTable.MOST;
    return baked(nodes, side);
  }

  private static Picture baked(List<ClfNode> nodes, int side) {
    Picture out = Picture.blank(side * side, side);
    double[] rgb = new double[3];
    int pixel = 0;
    for (int b = 0; b < side; b++) {
      for (int g = 0; g < side; g++) {
        for (int r = 0; r < side; r++, pixel++) {
          rgb[0] = r / (side - 1.0);
          rgb[1] = g / (side - 1.0);
          rgb[2] = b / (side - 1.0);
          nodes.forEach(node -> node.apply(rgb));
          out.r()[pixel] = within(rgb[0]);
          out.g()[pixel] = within(rgb[1]);
          out.b()[pixel] = within(rgb[2]);
        }
      }
    }
    return out;
  }

  private static float within(double v) {
    return (float) Math.min(1, Math.max(0, v));
  }
}
