package org.nineveils.kit;

import java.util.ArrayList;
import java.util.List;

/**
 * How far an effect has come. Nobody says so: it follows from what is there.
 *
 * @param state how far
 * @param lacks what keeps it from being ready, in the order of work; none where it is
 */
public record Readiness(State state, List<Lack> lacks) {
  public Readiness {
    lacks = List.copyOf(lacks);
  }

  /** How far an effect has come. */
  public enum State {
    /** It has a name and no veil yet. */
    PLANNED("planned"),
    /** It has veils, and something is missing. */
    IN_WORK("in work"),
    /** Nothing is missing. */
    READY("ready");

    private final String word;

    State(String word) {
      this.word = word;
    }

    /** As screens say it. */
    public String word() {
      return word;
    }
  }

  /** What an effect may lack. */
  public enum Lack {
    VEILS("to be built"),
    NOTE("no note"),
    MEANT_FOR("brush-on without “meant for”"),
    PROMISE("its note promises a dial that is not there"),
    PROOF("not proofed"),
    LIMITS("over a limit");

    private final String words;

    Lack(String words) {
      this.words = words;
    }

    /** As screens say it. */
    public String words() {
      return words;
    }
  }

  /**
   * What is known of an effect's proofs.
   *
   * @param made proofs that are there and are of the effect as it is now
   * @param of proofs that there would be
   * @param over proofs over a limit that nobody accepted
   * @param near proofs near a limit
   * @param sheet whether the kit has proofs at all: where there are none, none is missing
   */
  public record Proofed(int made, int of, int over, int near, boolean sheet) {
    /** Of a kit that was never proofed. */
    public static final Proofed NEVER = new Proofed(0, 0, 0, 0, false);
  }

  /** How far an effect has come. */
  public static Readiness of(EffectFacts facts, Proofed proofed) {
    if (facts.veils() == 0) {
      return new Readiness(State.PLANNED, List.of(Lack.VEILS));
    }
    List<Lack> lacks = new ArrayList<>();
    if (!facts.noted()) {
      lacks.add(Lack.NOTE);
    }
    if (facts.unplaced()) {
      lacks.add(Lack.MEANT_FOR);
    }
    if (facts.broken()) {
      lacks.add(Lack.PROMISE);
    }
    if (proofed.sheet() && proofed.made() < proofed.of()) {
      lacks.add(Lack.PROOF);
    }
    if (proofed.over() > 0) {
      lacks.add(Lack.LIMITS);
    }
    return new Readiness(lacks.isEmpty() ? State.READY : State.IN_WORK, lacks);
  }
}
