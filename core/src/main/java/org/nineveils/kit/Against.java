package org.nineveils.kit;

/**
 * A section whose effects are not worn together with those of another: the maker's own opposites.
 *
 * @param section number of the other section
 * @param asks whether it is asked first; otherwise the one that goes on takes the other off
 */
public record Against(int section, boolean asks) {}
