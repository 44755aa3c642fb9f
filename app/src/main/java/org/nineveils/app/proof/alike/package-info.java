/** Which effects of a kit can hardly be told apart. */
package org.nineveils.app.proof.alike;
