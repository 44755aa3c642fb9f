package org.nineveils.table;

import java.util.Arrays;
import java.util.Optional;
import java.util.Set;
import org.nineveils.refusal.Refusal;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;

/** One step of a Common LUT Format file: changes a colour in place, values normalised to 0…1. */
@FunctionalInterface
interface ClfNode {
  /** Changes red, green and blue. */
  void apply(double[] rgb);

  /** What says something of the file and changes no colour. */
  Set<String> SILENT = Set.of("Description", "InputDescriptor", "OutputDescriptor", "Info", "Id");

  /**
   * The step of an element; empty where it changes no colour.
   *
   * @throws Refusal with a sentence if it is not understood
   */
  static Optional<ClfNode> of(Element e, String file) {
    if (SILENT.contains(e.getLocalName())) {
      return Optional.empty();
    }
    Source source = new Source(e, file);
    return Optional.of(
        switch (e.getLocalName()) {
          case "LUT1D" -> ClfTables.curve(source);
          case "LUT3D" -> ClfTables.cube(source);
          case "Matrix" -> ClfSteps.matrix(source);
          case "Range" -> ClfSteps.range(source);
          case "ASC_CDL" -> ClfSteps.cdl(source);
          default ->
              throw source.fault("is not understood; LUT1D, LUT3D, Matrix, Range and ASC_CDL are");
        });
  }

  /** An element with what steps are read from. */
  record Source(Element e, String file) {
    Refusal fault(String what) {
      return new Refusal("“%s”: %s %s.".formatted(file, e.getLocalName(), what));
    }

    String attribute(String name, String otherwise) {
      return e.hasAttribute(name) ? e.getAttribute(name) : otherwise;
    }

    /** The code that stands for 1 at a bit depth, such as 1023 for “10i”. */
    double most(String attribute) {
      return switch (attribute(attribute, "32f")) {
        case "8i" -> 255;
        case "10i" -> 1023;
        case "12i" -> 4095;
        case "16i" -> 65535;
        case "16f", "32f" -> 1;
        default -> throw fault("has a bit depth that there is not, in " + attribute);
      };
    }

    Optional<Element> child(String name) {
      NodeList all = e.getElementsByTagNameNS("*", name);
      return all.getLength() == 0 ? Optional.empty() : Optional.of((Element) all.item(0));
    }

    /** Numbers of a child element. */
    Optional<double[]> numbers(String name) {
      return child(name).map(c -> parsed(c.getTextContent()));
    }

    private double[] parsed(String text) {
      try {
        double[] all =
            Arrays.stream(text.strip().split("\\s+", -1))
                .mapToDouble(Double::parseDouble)
                .toArray();
        if (!Arrays.stream(all).allMatch(Double::isFinite)) {
          throw fault("holds what is no number");
        }
        return all;
      } catch (NumberFormatException x) {
        throw fault("holds what is no number");
      }
    }

    /** The numbers of its array. */
    double[] array() {
      return numbers("Array").orElseThrow(() -> fault("has no array"));
    }

    /** Sizes of its array. */
    int[] dim() {
      String dim = child("Array").map(a -> a.getAttribute("dim")).orElse("");
      if (!dim.strip().matches("[0-9]{1,6}(\\s+[0-9]{1,6})*")) {
        throw fault("has an array without sizes");
      }
      return Arrays.stream(dim.strip().split("\\s+", -1)).mapToInt(Integer::parseInt).toArray();
    }
  }
}
