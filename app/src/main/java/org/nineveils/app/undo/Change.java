package org.nineveils.app.undo;

/**
 * What happened to one row in an edit.
 *
 * @param op insert, update or delete
 * @param tbl table
 * @param rowKey primary key as a JSON list
 * @param cols id of the group of columns, where they were updated
 * @param old the row, or those columns of it, before; JSON, null for an insert
 */
record Change(long seq, String op, String tbl, String rowKey, String cols, String old) {}
