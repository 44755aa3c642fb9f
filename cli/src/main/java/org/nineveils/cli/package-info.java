/** The command line: checks releases and applies their effects, on core alone. */
package org.nineveils.cli;
