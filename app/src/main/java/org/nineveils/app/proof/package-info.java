/**
 * Proofs: every effect of a kit on every photo of the test wall, measured and held to limits. Start
 * in {@code cells}, what a sheet is of; {@code measuring} and {@code judging} say what becomes of a
 * photo and whether it may; {@code sheet} makes all of it as a job; {@code searches}, {@code
 * alike}, {@code approved} and {@code files} ask more of it; {@code pages} show it. It knows
 * nothing of collections and releases.
 */
package org.nineveils.app.proof;
