/** The data folder as a whole: daily copies, and what nobody needs any more. */
package org.nineveils.app.house.workspace;
