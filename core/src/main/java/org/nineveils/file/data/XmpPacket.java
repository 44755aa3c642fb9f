package org.nineveils.file.data;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javax.xml.XMLConstants;
import javax.xml.transform.OutputKeys;
import javax.xml.transform.Transformer;
import javax.xml.transform.TransformerException;
import javax.xml.transform.TransformerFactory;
import javax.xml.transform.dom.DOMSource;
import javax.xml.transform.stream.StreamResult;
import org.nineveils.refusal.Xml;
import org.w3c.dom.Attr;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.NamedNodeMap;
import org.w3c.dom.Node;
import org.xml.sax.SAXException;

/**
 * An XMP packet (ISO 16684-1) as a tree. Properties are told by namespace and local name, whatever
 * their prefix, as elements or as attributes and at any depth.
 */
final class XmpPacket {
  static final String RDF = "http://www.w3.org/1999/02/22-rdf-syntax-ns#";
  static final String TIFF = "http://ns.adobe.com/tiff/1.0/";

  private final Document tree;

  private XmpPacket(Document tree) {
    this.tree = tree;
  }

  /** Which properties. */
  interface Names {
    /** Whether one is meant. */
    boolean has(String namespace, String name);
  }

  /** Reads a packet; empty where it is no XML, or XML with a document type, which XMP has not. */
  static Optional<XmpPacket> read(byte[] packet) {
    try {
      return Optional.of(new XmpPacket(Xml.read(trimmed(packet))));
    } catch (SAXException | IOException e) {
      return Optional.empty();
    }
  }

  /** Without the zeros that some pad a packet with. */
  private static byte[] trimmed(byte[] packet) {
    int end = packet.length;
    while (end > 0 && packet[end - 1] == 0) {
      end--;
    }
    return java.util.Arrays.copyOf(packet, end);
  }

  /** The packet as UTF-8. */
  byte[] bytes() {
    try {
      TransformerFactory factory = TransformerFactory.newInstance();
      factory.setFeature(XMLConstants.FEATURE_SECURE_PROCESSING, true);
      Transformer plain = factory.newTransformer();
      plain.setOutputProperty(OutputKeys.OMIT_XML_DECLARATION, "yes");
      ByteArrayOutputStream out = new ByteArrayOutputStream();
      plain.transform(new DOMSource(tree), new StreamResult(out));
      return out.toByteArray();
    } catch (TransformerException e) {
      throw new IllegalStateException("a tree that was read can be written", e);
    }
  }

  /** Takes properties away, with all that is in them. */
  void without(Names names) {
    List<Node> gone = new ArrayList<>();
    found(names, gone);
    for (Node node : gone) {
      if (node instanceof Attr a) {
        a.getOwnerElement().removeAttributeNode(a);
      } else if (node.getParentNode() != null) {
        node.getParentNode().removeChild(node);
      }
    }
  }

  /** Gives properties another value where they are there. */
  void put(Names names, String value) {
    List<Node> there = new ArrayList<>();
    found(names, there);
    there.forEach(node -> node.setTextContent(value));
  }

  /** Whether a property is there. */
  boolean has(Names names) {
    List<Node> there = new ArrayList<>();
    found(names, there);
    return !there.isEmpty();
  }

  private void found(Names names, List<Node> out) {
    var all = tree.getElementsByTagNameNS("*", "*");
    for (int i = 0; i < all.getLength(); i++) {
      Element e = (Element) all.item(i);
      if (isMeant(e, names)) {
        out.add(e);
      }
      NamedNodeMap attributes = e.getAttributes();
      for (int k = 0; k < attributes.getLength(); k++) {
        if (isMeant(attributes.item(k), names)) {
          out.add(attributes.item(k));
        }
      }
    }
  }

  private static boolean isMeant(Node node, Names names) {
    String namespace = node.getNamespaceURI();
    return namespace != null
        && !namespace.equals(RDF)
        && !namespace.equals(XMLConstants.XMLNS_ATTRIBUTE_NS_URI)
        && names.has(namespace, node.getLocalName());
  }

  /**
   * Adds a property that is not there.
   *
   * @param name with its prefix
   * @param list sort of list, “Alt”, “Bag” or “Seq”; empty for a text alone
   * @param values one for a text, 1 or more for a list
   */
  void add(String namespace, String name, String list, List<String> values) {
    Element property = tree.createElementNS(namespace, name);
    if (list.isEmpty()) {
      property.setTextContent(values.get(0));
    } else {
      Element of = tree.createElementNS(RDF, "rdf:" + list);
      for (String value : values) {
        Element item = tree.createElementNS(RDF, "rdf:li");
        if (list.equals("Alt")) {
          item.setAttributeNS(XMLConstants.XML_NS_URI, "xml:lang", "x-default");
        }
        item.setTextContent(value);
        of.appendChild(item);
      }
      property.appendChild(of);
    }
    description().appendChild(property);
  }

  /** The last description of the resource; one is made where there is none. */
  private Element description() {
    var roots = tree.getElementsByTagNameNS(RDF, "RDF");
    Node root = roots.getLength() == 0 ? tree.getDocumentElement() : roots.item(0);
    for (Node child = root.getLastChild(); child != null; child = child.getPreviousSibling()) {
      if (child instanceof Element e
          && RDF.equals(e.getNamespaceURI())
          && e.getLocalName().equals("Description")) {
        return e;
      }
    }
    Element made = tree.createElementNS(RDF, "rdf:Description");
    made.setAttributeNS(RDF, "rdf:about", "");
    root.appendChild(made);
    return made;
  }

  /** A packet that says nothing yet. */
  static XmpPacket blank() {
    String text =
        """
        <?xpacket begin="\uFEFF" id="W5M0MpCehiHzreSzNTczkc9d"?>\
        <x:xmpmeta xmlns:x="adobe:ns:meta/"><rdf:RDF xmlns:rdf="%s"></rdf:RDF></x:xmpmeta>\
        <?xpacket end="w"?>"""
            .formatted(RDF);
    return read(text.getBytes(java.nio.charset.StandardCharsets.UTF_8)).orElseThrow();
  }
}
