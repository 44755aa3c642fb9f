package org.nineveils.app.base.undo;

/**
 * What happened to one row in an edit.
 *
 * @param op insert, update or delete
 * @param tbl table
 * @param rowKey primary key as a JSON list
 * @param cols id of the group of columns, where they were updated
 * @param old the row, or those columns of it, before; JSON, null for an insert
 * @param stays digest of what a step that was taken back left there; null for one that is done, and
 *     for rows that went
 */
record Change(
    long seq, String op, String tbl, String rowKey, String cols, String old, String stays) {}
