/** Pictures on request: previews for the stage, small pictures for lists, files for results. */
package org.nineveils.app.photo.render;
