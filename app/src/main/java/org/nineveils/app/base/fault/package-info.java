/** What services refuse with: sentences for the user, whatever carries them out. */
package org.nineveils.app.base.fault;
