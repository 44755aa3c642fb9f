/** The pages of collections, for the maker and as their buyer sees them. */
package org.nineveils.app.leaving.pages;
