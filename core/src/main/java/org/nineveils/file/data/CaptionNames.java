package org.nineveils.file.data;

/**
 * Captions of IPTC-IIM 4.2 (record 2) and the XMP properties that say the same, by the IPTC Photo
 * Metadata Standard 2023.1.
 */
enum CaptionNames {
  TITLE(5, Space.DC, "title", "Alt"),
  KEYWORDS(25, Space.DC, "subject", "Bag"),
  INSTRUCTIONS(40, Space.MORE, "Instructions", ""),
  DATE(55, Space.MORE, "DateCreated", ""),
  CREATOR(80, Space.DC, "creator", "Seq"),
  CREATORS_TITLE(85, Space.MORE, "AuthorsPosition", ""),
  CITY(90, Space.MORE, "City", ""),
  SUBLOCATION(92, Space.CORE, "Location", ""),
  STATE(95, Space.MORE, "State", ""),
  COUNTRY_CODE(100, Space.CORE, "CountryCode", ""),
  COUNTRY(101, Space.MORE, "Country", ""),
  JOB(103, Space.MORE, "TransmissionReference", ""),
  HEADLINE(105, Space.MORE, "Headline", ""),
  CREDIT(110, Space.MORE, "Credit", ""),
  SOURCE(115, Space.MORE, "Source", ""),
  RIGHTS(116, Space.DC, "rights", "Alt"),
  DESCRIPTION(120, Space.DC, "description", "Alt"),
  WRITER(122, Space.MORE, "CaptionWriter", "");

  private enum Space {
    DC("dc", "http://purl.org/dc/elements/1.1/"),
    MORE("photoshop", "http://ns.adobe.com/photoshop/1.0/"),
    CORE("Iptc4xmpCore", "http://iptc.org/std/Iptc4xmpCore/1.0/xmlns/");

    private final String prefix;
    private final String name;

    Space(String prefix, String name) {
      this.prefix = prefix;
      this.name = name;
    }
  }

  private final int number;
  private final Space space;
  private final String name;
  private final String list;

  CaptionNames(int number, Space space, String name, String list) {
    this.number = number;
    this.space = space;
    this.name = name;
    this.list = list;
  }

  /** Number of the data set. */
  int number() {
    return number;
  }

  String namespace() {
    return space.name;
  }

  String qualified() {
    return space.prefix + ":" + name;
  }

  /** Sort of list that XMP keeps it in; empty for a text alone. */
  String list() {
    return list;
  }

  boolean is(String namespace, String local) {
    return space.name.equals(namespace) && name.equals(local);
  }

  /** A value as XMP writes it: dates by ISO 8601. */
  String said(String value) {
    return this == DATE ? value.replaceFirst("^(\\d{4})(\\d\\d)(\\d\\d)$", "$1-$2-$3") : value;
  }
}
