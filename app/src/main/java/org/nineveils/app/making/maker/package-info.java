/** Who the maker is: the mark on what she makes, and the key that signs it. */
package org.nineveils.app.making.maker;
