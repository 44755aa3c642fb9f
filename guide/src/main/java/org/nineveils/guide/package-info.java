/**
 * Guides and contact sheets of releases for buyers: one page of XHTML each, which is the web page
 * as it stands and the PDF once it is laid out.
 *
 * <p>Start with {@link org.nineveils.guide.Guides}. Knows core alone. The fonts are Instrument Sans
 * and Newsreader (SIL Open Font Licence), unpacked from the WOFF files of their npm packages.
 */
package org.nineveils.guide;
