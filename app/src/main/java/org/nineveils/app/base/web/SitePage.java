package org.nineveils.app.base.web;

import java.util.List;
import java.util.regex.Pattern;

/**
 * Every page of the application: what links from elsewhere may lead to, what the heads of pages
 * list, and what tests walk through.
 *
 * @param address with parts in braces; a name in braces is a number, but for {@code {code}}
 * @param head that it stands in; {@link Head#NONE} for what is reached from other pages
 * @param word in that head; empty with {@link Head#NONE}
 * @param linked whether a link from elsewhere may lead to it: it only shows, and starts nothing
 */
public record SitePage(String address, Head head, String word, boolean linked) {
  /** Heads of pages, with their rooms from left to right. */
  public enum Head {
    MAKER,
    DESK,
    STALL,
    NONE
  }

  /** All of them, as they stand in the heads. */
  public static final List<SitePage> ALL =
      List.of(
          in(Head.MAKER, "/kits", "Kits"),
          in(Head.MAKER, "/bench", "Bench"),
          in(Head.MAKER, "/fitting", "Fitting"),
          in(Head.MAKER, "/proofs", "Proofs"),
          in(Head.MAKER, "/photos", "Photos"),
          in(Head.MAKER, "/collections", "Collections"),
          in(Head.DESK, "/desk", "Collections"),
          in(Head.DESK, "/desk/looks", "Looks"),
          in(Head.DESK, "/desk/find", "Find"),
          in(Head.DESK, "/desk/photos", "Photos"),
          in(Head.DESK, "/folders", "Folders"),
          in(Head.DESK, "/desk/stall", "Stall"),
          in(Head.STALL, "/stall", "Out now"),
          shown("/"),
          shown("/start"),
          shown("/kits/{id}"),
          shown("/find"),
          shown("/bench/{id}"),
          shown("/fitting/{id}"),
          shown("/desk/fitting/{id}"),
          shown("/proofs/{kit}"),
          shown("/photos/{id}"),
          shown("/collections/{id}"),
          shown("/collections/{id}/buyer"),
          shown("/desk/{id}"),
          shown("/desk/{old}/update/{now}"),
          shown("/stall/{code}"),
          shown("/jobs"),
          shown("/safe"),
          shown("/log-in"),
          acting("/fitting/of"), // makes a fitting where there is none
          acting("/desk/fitting/of"),
          acting("/desk/looks/{id}"),
          acting("/desk/fitting/begin"));

  private static SitePage in(Head head, String address, String word) {
    return new SitePage(address, head, word, true);
  }

  private static SitePage shown(String address) {
    return new SitePage(address, Head.NONE, "", true);
  }

  private static SitePage acting(String address) {
    return new SitePage(address, Head.NONE, "", false);
  }

  /** Those of a head, from left to right. */
  public static List<SitePage> of(Head head) {
    return ALL.stream().filter(p -> p.head() == head).toList();
  }

  /** Whether a link from elsewhere may lead to an address. */
  static boolean isLinked(String path) {
    return ALL.stream().anyMatch(p -> p.linked() && p.pattern().matcher(path).matches());
  }

  /** First part of its path, by which a head marks the room that one is in. */
  public String room() {
    return address.substring(1).replaceAll("/.*", "");
  }

  private Pattern pattern() {
    return Pattern.compile(
        address.replace("{code}", "[A-Za-z0-9-]{1,40}").replaceAll("\\{[a-z]+}", "[0-9]{1,18}"));
  }
}
