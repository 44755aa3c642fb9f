/** Demo data, loaded only on request. */
package org.nineveils.app.house.demo;
