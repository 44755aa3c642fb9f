package org.nineveils.kit;

/**
 * An effect as a kit offers it to a fitting.
 *
 * @param key stays with the effect
 * @param name on screens
 * @param section number of its section: the order of wearing
 * @param sectionName on screens
 * @param rule what may be worn with it from its section
 * @param position place within the section
 */
public record Offer(
    String key, String name, int section, String sectionName, StackingRule rule, int position) {}
