package org.nineveils.app.shop.desk;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.nineveils.app.photo.photos.Photo;
import org.nineveils.app.shop.stall.Combinations;
import org.nineveils.app.wear.fitting.Anywhere;
import org.nineveils.app.wear.looks.OwnLook;
import org.nineveils.app.wear.looks.OwnLookPictures;
import org.nineveils.app.wear.looks.OwnLooks;
import org.nineveils.kit.Combination;
import org.nineveils.kit.Offer;
import org.nineveils.kit.Worn;
import org.nineveils.name.Names;
import org.nineveils.refusal.Refusal;
import org.nineveils.release.Release;
import org.nineveils.release.Words;
import org.nineveils.release.code.StallCode;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Veil;
import org.springframework.stereotype.Service;

/**
 * Hands out looks of her own: whose effects are in one, under which licence, and whether each of
 * their makers allows it.
 */
@Service
class LookHandOut {
  private static final String LONG_LICENCE =
      "The licences of its collections; see the words for the photographer.";

  private final DeskService desk;
  private final OwnLooks looks;
  private final OwnLookPictures pictures;
  private final Anywhere anywhere;
  private final Combinations combinations;

  LookHandOut(
      DeskService desk,
      OwnLooks looks,
      OwnLookPictures pictures,
      Anywhere anywhere,
      Combinations combinations) {
    this.desk = desk;
    this.looks = looks;
    this.pictures = pictures;
    this.anywhere = anywhere;
    this.combinations = combinations;
  }

  /**
   * A collection whose effects are in a look.
   *
   * @param may whether its maker allows that they are handed out in looks
   */
  record Source(
      String collection, String makersMark, String licence, List<String> effects, boolean may) {
    /** Collection, maker, effects and licence in one line. */
    String words() {
      return "“%s”%s: %s. %s"
          .formatted(
              collection,
              makersMark.isBlank() ? " of an unnamed maker" : " by " + makersMark,
              String.join(", ", effects),
              licence.isBlank() ? "It came without a licence." : "Licence: " + licence);
    }
  }

  /**
   * What is told before a look is handed out.
   *
   * @param sources whose effects are in it, in the order in which they are worn
   * @param missing what of it is not at the desk; empty for nothing
   * @param refused why it may not be handed out; empty where it may
   * @param details what becomes different when it leaves as one effect, one sentence each
   */
  record Told(List<Source> sources, String missing, String refused, List<String> details) {}

  /** What is told of a look. */
  Told of(OwnLook look) {
    List<Source> sources = sources(look);
    String missing = looks.missing(look);
    return missing.isEmpty()
        ? new Told(sources, "", refused(sources), combination(look, "").said())
        : new Told(sources, missing, missing, List.of());
  }

  private List<Source> sources(OwnLook look) {
    Function<String, Offer> offers = anywhere.offers();
    Map<String, List<String>> byWardrobe = new LinkedHashMap<>();
    for (Worn worn : look.look().worn()) {
      Offer offer = offers.apply(worn.effect());
      byWardrobe
          .computeIfAbsent(Anywhere.wardrobeOf(worn.effect()), w -> new ArrayList<>())
          .add(offer == null ? "an effect that is gone" : offer.name());
    }
    List<Source> out = new ArrayList<>();
    byWardrobe.forEach(
        (wardrobe, effects) ->
            out.add(
                desk.byWardrobe(wardrobe)
                    .map(row -> source(row, effects))
                    .orElseGet(() -> gone(look.gone().get(wardrobe), effects))));
    return out;
  }

  private static Source gone(String title, List<String> effects) {
    String called = title == null ? "a collection that is gone" : title;
    return new Source(called, "", "", effects, false);
  }

  private Source source(DeskRow row, List<String> effects) {
    Release release = desk.release(row);
    return new Source(
        row.called(), row.makersMark(), release.licence(), effects, release.mayHandOut());
  }

  /** Why that may not be handed out, in one sentence; empty where it may. */
  private static String refused(List<Source> sources) {
    String kept =
        sources.stream()
            .filter(s -> !s.may())
            .map(s -> "“" + s.collection() + "”")
            .collect(Collectors.joining(", "));
    return kept.isEmpty()
        ? ""
        : "The maker of %s does not allow that looks with its effects are handed out. The look stays yours, for your own photos."
            .formatted(kept);
  }

  /** All of a look as one effect. */
  private Combination combination(OwnLook look, String note) {
    Function<String, Effect> effects = anywhere.effects();
    List<Combination.Pick> all =
        look.look().worn().stream()
            .map(
                worn ->
                    new Combination.Pick(worn.effect(), veils(effects.apply(worn.effect())), true))
            .toList();
    return Combination.of(look.look(), all, effects, note);
  }

  private static Set<String> veils(Effect effect) {
    return effect.veils().stream().map(Veil::id).collect(Collectors.toSet());
  }

  /**
   * Puts a look out under a code.
   *
   * @param withPhoto the photo that shows it goes along, small, before and after
   * @throws Refusal with a sentence where a maker does not allow it
   */
  StallCode handOut(long id, String name, String note, boolean withPhoto) {
    OwnLook look = looks.get(id);
    String clean = Names.check("A look", name);
    Told told = of(look);
    if (!told.refused().isEmpty()) {
      throw new Refusal(told.refused());
    }
    Optional<Photo> photo = withPhoto ? Optional.of(pictures.photo(look)) : Optional.empty();
    StallCode code =
        combinations.putOut(
            new Combinations.Out(
                clean,
                combination(look, note).effect(),
                photo,
                "",
                licence(told.sources()),
                notes(told.sources()),
                true),
            Optional.empty());
    looks.handedOut(id, code.shown());
    return code;
  }

  /** The licences of all that is in it, as one line. */
  private static String licence(List<Source> sources) {
    String line =
        sources.stream()
            .map(Source::licence)
            .filter(l -> !l.isBlank())
            .distinct()
            .collect(Collectors.joining(" · "));
    return line.length() <= Words.LICENCE.most() ? line : LONG_LICENCE;
  }

  private static String notes(List<Source> sources) {
    String words =
        "A photographer's look, made with effects of\n"
            + sources.stream().map(Source::words).collect(Collectors.joining("\n"));
    return words.length() <= Words.NOTES.most()
        ? words
        : words.substring(0, words.lastIndexOf('\n', Words.NOTES.most()));
  }
}
