/**
 * Making effects: kits with their sections, the bench, swatches, effects carried from kit to kit,
 * and the maker's mark and key. Start in {@link org.nineveils.app.making.kits.EffectService}. It
 * knows nothing of proofs, of the order of a kit's page and of releases.
 */
package org.nineveils.app.making;
