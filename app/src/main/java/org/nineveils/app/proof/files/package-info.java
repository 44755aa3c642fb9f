/** A sheet as files: CSV and PDF. */
package org.nineveils.app.proof.files;
