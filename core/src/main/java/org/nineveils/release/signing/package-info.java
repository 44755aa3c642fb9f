/**
 * Who made a release: Ed25519 (RFC 8032) over its list of checksums, by a key of the maker's own.
 *
 * <p>{@link org.nineveils.release.signing.MakersKey} signs, {@link
 * org.nineveils.release.signing.Signed} says what a signature is worth, {@link
 * org.nineveils.release.signing.SealedKey} carries a key under a pass phrase. A signature says that
 * nothing was changed since, and by which key; who holds a key it cannot say.
 */
package org.nineveils.release.signing;
