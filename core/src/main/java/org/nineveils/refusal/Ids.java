package org.nineveils.refusal;

import java.util.Arrays;
import java.util.Collection;
import java.util.Optional;
import java.util.function.Function;

/** Finds what a name in a file or a request stands for. */
public final class Ids {
  private Ids() {}

  /** The one of that name. */
  public static <E> Optional<E> find(Collection<E> all, Function<E, String> id, String wanted) {
    return all.stream().filter(one -> id.apply(one).equals(wanted)).findFirst();
  }

  /** The same of the values of an enum. */
  public static <E> Optional<E> find(E[] all, Function<E, String> id, String wanted) {
    return find(Arrays.asList(all), id, wanted);
  }
}
