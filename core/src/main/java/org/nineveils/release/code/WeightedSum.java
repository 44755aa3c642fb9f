package org.nineveils.release.code;

/**
 * A check digit by a weighted sum over a prime modulus, as ISO 2108 has it for ISBN-10 (weights 10
 * down to 2, modulus 11): where the modulus is prime and above the length, every single wrong digit
 * and every two digits that changed places are noticed.
 */
final class WeightedSum {
  private WeightedSum() {}

  /**
   * The check digit.
   *
   * @param digits each 0…modulus − 1, fewer than modulus − 1 of them
   * @param modulus a prime
   * @return 0…modulus − 1, such that the weighted sum of all digits is 0 by the modulus
   */
  static int check(int[] digits, int modulus) {
    int sum = 0;
    for (int i = 0; i < digits.length; i++) {
      sum += (digits.length + 1 - i) * digits[i];
    }
    return Math.floorMod(-sum, modulus);
  }
}
