/** How a sheet was when the maker approved it, and what has moved since. */
package org.nineveils.app.proof.approved;
