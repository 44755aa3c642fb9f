package org.nineveils.app.desk;

/** A release that was opened at the desk. */
public record DeskRow(long id, String sha, String name, String version, String makersMark) {}
