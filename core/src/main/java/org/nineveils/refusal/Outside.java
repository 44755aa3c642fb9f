package org.nineveils.refusal;

import java.util.function.Function;
import java.util.function.Supplier;

/**
 * The gate through which everything from outside is read. Libraries answer a damaged file with
 * whatever exception or error they happen to run into; here each becomes the refusal that the
 * reader gives, which names the file. Our own refusals pass as they are.
 */
public final class Outside {
  private Outside() {}

  /**
   * Reads something.
   *
   * @param ours the reader's own refusal, which passes as it is
   * @param damaged makes a refusal of any other fault
   * @throws RuntimeException ours, or what damaged makes
   */
  public static <T> T read(
      Supplier<T> reading,
      Class<? extends RuntimeException> ours,
      Function<Throwable, ? extends RuntimeException> damaged) {
    try {
      return reading.get();
    } catch (RuntimeException fault) {
      throw ours.isInstance(fault) ? fault : damaged.apply(fault);
    } catch (OutOfMemoryError fault) {
      throw fault; // may be the fault of other work: whoever gives memory out answers it
    } catch (Error fault) {
      throw damaged.apply(fault);
    }
  }
}
