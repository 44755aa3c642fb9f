/** Migrations that need more than SQL; Flyway finds them by the name of this package. */
package db.migration;
