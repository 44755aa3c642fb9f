/** Guides and contact sheets of releases, made as jobs, for the maker and at the desk. */
package org.nineveils.app.leaving.guides;
