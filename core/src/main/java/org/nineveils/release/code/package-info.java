/** Codes under which releases are handed out: short, checked, without letters that look alike. */
package org.nineveils.release.code;
