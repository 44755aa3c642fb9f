/** What takes its time to be found: how much is too much, dials swept, what saves an effect. */
package org.nineveils.app.proof.searches;
