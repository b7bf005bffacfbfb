package rovingglyph.svgimport;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** An element of an SVG file with its attributes by local name; {@code title} is its own title. */
final class SvgElement {
  final String name;
  final Map<String, String> attributes;
  final List<SvgElement> children = new ArrayList<>();
  String title = "";

  SvgElement(String name, Map<String, String> attributes) {
    this.name = name;
    this.attributes = attributes;
  }

  String get(String attribute) {
    return attributes.getOrDefault(attribute, "");
  }
}
