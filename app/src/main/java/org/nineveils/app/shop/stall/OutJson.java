package org.nineveils.app.shop.stall;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.name.Names;
import org.nineveils.refusal.Refusal;
import org.nineveils.release.Words;
import org.nineveils.release.code.StallCode;

/** What is out, as one house tells it another. */
public final class OutJson {
  /** Most that is read of a list. */
  static final int MOST = 500;

  private OutJson() {}

  static Map<String, Object> format(List<StallService.Out> all) {
    return Json.object("out", all.stream().limit(MOST).map(OutJson::one).toList());
  }

  /** One of them as JSON takes it. */
  public static Map<String, Object> one(StallService.Out out) {
    return Json.object(
        "code", out.code(),
        "name", out.name(),
        "version", out.version(),
        "mark", out.mark(),
        "effects", out.effects(),
        "price", out.price());
  }

  /**
   * Reads a list; an entry that makes no sense is left out.
   *
   * @throws Refusal with a sentence if it is no list at all
   */
  static List<StallService.Out> parse(String text) {
    List<StallService.Out> out = new ArrayList<>();
    for (Object one : Json.read(text, "The answer of the stall").list("out")) {
      if (out.size() < MOST && one instanceof Map<?, ?> entry) {
        read(Json.read(Json.write(entry), "What is out"), out);
      }
    }
    return out;
  }

  private static void read(Fields f, List<StallService.Out> out) {
    try {
      String mark = f.text("mark", "");
      out.add(
          new StallService.Out(
              StallCode.parse(f.text("code")).shown(),
              Names.check("A release", f.text("name")),
              Names.checkVersion(f.text("version")),
              mark.isEmpty() ? "" : Names.check("A mark", mark),
              Math.max(0, f.whole("effects")),
              Words.PRICE.check(f.text("price", ""))));
    } catch (Refusal | org.nineveils.document.DocumentException nonsense) {
      return; // the others are still worth something
    }
  }
}
