/** What all features share on the way in and out: errors as sentences, security, common model. */
package org.nineveils.app.base.web;
