package org.nineveils.refusal;

import java.io.StringWriter;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;

/** XML as it is written, through the JDK's writer, which marks what is no markup. */
public final class XmlText {
  private XmlText() {}

  /** Writes elements. */
  @FunctionalInterface
  public interface Writing {
    void to(XMLStreamWriter out) throws XMLStreamException;
  }

  /** A document in UTF-8. */
  public static String of(Writing writing) {
    StringWriter text = new StringWriter();
    try {
      // A factory of one's own: none is said to serve several threads, and tables are written by
      // two.
      XMLStreamWriter out = XMLOutputFactory.newDefaultFactory().createXMLStreamWriter(text);
      out.writeStartDocument("UTF-8", "1.0");
      out.writeCharacters("\n");
      writing.to(out);
      out.writeEndDocument();
      out.writeCharacters("\n");
      out.close();
    } catch (XMLStreamException e) {
      throw new IllegalStateException(e); // it is written into memory
    }
    return text.toString();
  }

  /** Begins an element. */
  public static void open(XMLStreamWriter out, String name, String... attributes)
      throws XMLStreamException {
    out.writeStartElement(name);
    attributes(out, attributes);
  }

  /** An element with nothing in it. */
  public static void empty(XMLStreamWriter out, String name, String... attributes)
      throws XMLStreamException {
    out.writeEmptyElement(name);
    attributes(out, attributes);
  }

  /** Ends an element, and the line. */
  public static void close(XMLStreamWriter out) throws XMLStreamException {
    out.writeEndElement();
    out.writeCharacters("\n");
  }

  /** Names and values in turn; control characters, which XML does not hold, become spaces. */
  private static void attributes(XMLStreamWriter out, String... attributes)
      throws XMLStreamException {
    for (int i = 0; i < attributes.length; i += 2) {
      out.writeAttribute(attributes[i], attributes[i + 1].replaceAll("\\p{Cntrl}", " "));
    }
  }
}
