/** How rules refuse what a user asks for: with a sentence. Knows nothing else. */
package org.nineveils.refusal;
