package rovingglyph.formats;

import com.eclipsesource.json.JsonValue;
import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import rovingglyph.schema.Fields;

/** Something that can be chosen for a file. */
@JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
@JsonSubTypes({
  @JsonSubTypes.Type(value = NumberOption.class, name = "number"),
  @JsonSubTypes.Type(value = ChoiceOption.class, name = "choice"),
  @JsonSubTypes.Type(value = ColourOption.class, name = "colour")
})
public sealed interface ExportOption permits NumberOption, ChoiceOption, ColourOption {
  /** A word for REST and the command line. */
  String name();

  /** As a person calls it. */
  String label();

  /**
   * What was chosen, or what holds where nothing was; JSON's null where that depends on the scene.
   * What is wrong becomes a problem of the fields.
   */
  JsonValue read(Fields f);

  /** A value as a person reads it. */
  String told(JsonValue value);

  /** What it takes, as in "5 to 400 %". */
  String allowed();
}
