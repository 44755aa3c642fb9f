package org.nineveils.veil;

/** The maths of a veil with its settings fixed: pixel by pixel, or with a look around. */
public sealed interface Adjustment permits Kernel, AreaKernel {}
