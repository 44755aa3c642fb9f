package org.nineveils.refusal;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import javax.xml.XMLConstants;
import javax.xml.parsers.DocumentBuilderFactory;
import javax.xml.parsers.ParserConfigurationException;
import org.w3c.dom.Document;
import org.xml.sax.SAXException;

/**
 * XML from outside as a tree: without a document type, within {@link InputLimits}, from no network.
 */
public final class Xml {
  private Xml() {}

  /**
   * Reads it; namespaces are told apart.
   *
   * @throws SAXException if it is none, has a document type, or is nested too deeply
   */
  public static Document read(byte[] bytes) throws SAXException, IOException {
    try {
      DocumentBuilderFactory factory = DocumentBuilderFactory.newDefaultInstance();
      factory.setNamespaceAware(true);
      factory.setFeature(XMLConstants.FEATURE_SECURE_PROCESSING, true);
      factory.setFeature("http://apache.org/xml/features/disallow-doctype-decl", true);
      factory.setAttribute("jdk.xml.maxElementDepth", String.valueOf(InputLimits.XML_NESTING));
      var builder = factory.newDocumentBuilder();
      builder.setErrorHandler(null); // what is wrong is thrown, not printed
      return builder.parse(new ByteArrayInputStream(bytes));
    } catch (ParserConfigurationException e) {
      throw new IllegalStateException("every Java platform has a parser", e);
    }
  }
}
