/**
 * The front door: which side of the table whoever works here stands on. Start in {@link
 * org.nineveils.app.house.door.FrontDoor}.
 */
package org.nineveils.app.house.door;
