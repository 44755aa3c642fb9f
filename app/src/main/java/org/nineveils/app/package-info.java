/**
 * The web application, one package a feature: controller, service where there is a rule, store. A
 * feature never reaches into another one's store; it asks its service. All computation is core's.
 */
package org.nineveils.app;
