/** All cells of a kit, made as a job, and what they come to. */
package org.nineveils.app.proof.sheet;
