/** The stand-in for the photographer's side: opens releases, wears their effects. */
package org.nineveils.app.shop.desk;
