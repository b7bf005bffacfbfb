package rovingglyph.svgimport;

import java.io.ByteArrayInputStream;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.HashMap;
import java.util.Map;
import javax.xml.stream.XMLInputFactory;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import org.springframework.http.HttpStatus;
import rovingglyph.server.RefusedException;

/**
 * An SVG file as a tree of elements. No entity is expanded, no DTD read and nothing outside the
 * file fetched; scripts and styles are not even kept.
 */
final class SvgDocument {
  /** The largest file that is read, in bytes. */
  static final int LARGEST = 10_000_000;

  private static final int MOST_ELEMENTS = 200_000;
  private static final int DEEPEST = 200;
  private static final XMLInputFactory FACTORY = factory();

  final SvgElement root;
  final Map<String, SvgElement> byId = new HashMap<>();

  private SvgDocument(SvgElement root) {
    this.root = root;
  }

  private static XMLInputFactory factory() {
    XMLInputFactory f = XMLInputFactory.newDefaultFactory();
    f.setProperty(XMLInputFactory.SUPPORT_DTD, false);
    f.setProperty(XMLInputFactory.IS_SUPPORTING_EXTERNAL_ENTITIES, false);
    f.setProperty(XMLInputFactory.IS_REPLACING_ENTITY_REFERENCES, false);
    f.setXMLResolver(
        (publicId, systemId, base, namespace) -> new ByteArrayInputStream(new byte[0]));
    return f;
  }

  static RefusedException refused(String detail) {
    return new RefusedException(
        HttpStatus.UNPROCESSABLE_CONTENT, "The SVG cannot be used", detail, Map.of());
  }

  /**
   * Reads a file.
   *
   * @throws RefusedException if it is no SVG, too large or broken
   */
  static SvgDocument read(byte[] file) {
    if (file.length > LARGEST) {
      throw new RefusedException(
          HttpStatus.CONTENT_TOO_LARGE,
          "The SVG is too large",
          "The file has " + file.length / 1_000_000 + " MB; at most 10 MB are read",
          Map.of());
    }
    if (file.length == 0) {
      throw refused("The file is empty");
    }
    try {
      return new Reading(FACTORY.createXMLStreamReader(new ByteArrayInputStream(file))).all();
    } catch (XMLStreamException e) {
      String where =
          e.getLocation() == null ? "" : " (line " + e.getLocation().getLineNumber() + ")";
      throw refused("This is not an SVG file, or it is broken" + where);
    }
  }

  private static final class Reading {
    private final XMLStreamReader in;
    private final Deque<SvgElement> open = new ArrayDeque<>();
    private SvgDocument document;
    private int elements;

    Reading(XMLStreamReader in) {
      this.in = in;
    }

    SvgDocument all() throws XMLStreamException {
      StringBuilder title = new StringBuilder();
      while (in.hasNext()) {
        switch (in.next()) {
          case XMLStreamConstants.START_ELEMENT -> {
            begin();
            title.setLength(0);
          }
          case XMLStreamConstants.CHARACTERS -> {
            if (open.peek() != null && open.peek().name.equals("title") && title.length() < 200) {
              title.append(in.getText());
            }
          }
          case XMLStreamConstants.ENTITY_REFERENCE ->
              throw refused(
                  "The file uses the entity \""
                      + in.getLocalName()
                      + "\"; entities are not followed. Save it again as plain SVG");
          case XMLStreamConstants.END_ELEMENT -> {
            SvgElement ended = open.pop();
            if (ended.name.equals("title") && open.peek() != null) {
              open.peek().title = title.toString().strip();
            }
          }
          default -> {
            // Comments, processing instructions and the document type say nothing here.
          }
        }
      }
      if (document == null) {
        throw refused("The file is empty");
      }
      return document;
    }

    private void begin() {
      if (++elements > MOST_ELEMENTS || open.size() >= DEEPEST) {
        throw refused("The file has too many or too deeply nested elements");
      }
      Map<String, String> attributes = new HashMap<>();
      for (int i = 0; i < in.getAttributeCount(); i++) {
        attributes.putIfAbsent(in.getAttributeLocalName(i), in.getAttributeValue(i));
      }
      SvgElement e = new SvgElement(in.getLocalName(), attributes);
      if (document == null) {
        if (!e.name.equals("svg")) {
          throw refused("This is not an SVG file: it begins with <" + e.name + ">");
        }
        document = new SvgDocument(e);
      } else {
        open.peek().children.add(e);
      }
      if (!e.get("id").isEmpty()) {
        document.byId.putIfAbsent(e.get("id"), e);
      }
      open.push(e);
    }
  }
}
