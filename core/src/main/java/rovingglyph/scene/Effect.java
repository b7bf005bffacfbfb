package rovingglyph.scene;

import java.util.List;

/**
 * Something done to the picture of an item before it is put over what is beneath. Its numbers are
 * values of the item, see {@link Channel#effect}.
 *
 * @param id within its item
 * @param kind null for one that is not known here, which is kept and not painted
 * @param word of the kind in the document
 * @param off whether it is left out for now
 */
public record Effect(String id, Kind kind, String word, boolean off, UnknownFields extras) {

  /** A number of an effect: its name in the document, label, unit, range and start. */
  public record Parameter(
      String name, String label, String unit, double min, double max, double start) {}

  /** The kinds of effects; a new one is added at the end. */
  public enum Kind {
    /** The Gaussian blur of CSS Filter Effects. */
    BLUR(new Parameter("stdDeviation", "Blur", "px", 0, 250, 8));

    private final List<Parameter> parameters;

    Kind(Parameter... parameters) {
      this.parameters = List.of(parameters);
    }

    /** The numbers that it has. */
    public List<Parameter> parameters() {
      return parameters;
    }
  }

  /** The parameter of any kind with this name; null if there is none. */
  static Parameter parameter(String name) {
    for (Kind kind : Kind.values()) {
      for (Parameter p : kind.parameters) {
        if (p.name.equals(name)) {
          return p;
        }
      }
    }
    return null;
  }

  /** The effect left out for now, or not. */
  public Effect switchedOff(boolean newOff) {
    return new Effect(id, kind, word, newOff, extras);
  }
}
