package rovingglyph.webexport;

import rovingglyph.geometry.Decimal;
import rovingglyph.scene.Item;
import rovingglyph.scene.ItemProperties;

/** When items are there, as classes of groups. */
final class ShownSvg {
  private final SvgClock clock;
  private final StringBuilder style;

  /**
   * @param style the style sheet
   */
  ShownSvg(SvgClock clock, StringBuilder style) {
    this.clock = clock;
    this.style = style;
  }

  /**
   * The class attribute of what comes and goes with an item; empty for one that is always there.
   */
  String attribute(String name, Item item) {
    if (item.properties().alwaysShown()) {
      return "";
    }
    rule(name, item.properties());
    return "class=\"" + name + "-shown\"";
  }

  /**
   * Has a class be there only while an item is. It goes by its opacity, which every player can
   * step; what it holds may set its own visibility.
   */
  private void rule(String name, ItemProperties p) {
    StringBuilder stops = new StringBuilder();
    double end = clock.length();
    for (double t : clock.changes(p.shownFrom(), p.shownTo())) {
      stops.append(Decimal.text(t / end * 100, 6)).append("%{opacity:");
      stops.append(p.shownAt(clock.local(t)) ? 1 : 0).append('}');
    }
    style.append("@keyframes " + name + "-shown{" + stops + "}\n");
    style.append("." + name + "-shown{animation:" + name + "-shown ");
    style.append(Decimal.text(end, 6) + "s step-end infinite}\n");
  }
}
