package rovingglyph.formats;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonValue;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import rovingglyph.schema.Fields;

/** One of several words. */
public record ChoiceOption(String name, String label, List<Word> choices, String initial)
    implements ExportOption {

  /** A word for REST and the command line, and as a person calls what it means. */
  public record Word(String value, String label) {}

  /** Of words and their labels in turn; the first word holds where nothing is chosen. */
  static ChoiceOption of(String name, String label, String... words) {
    List<Word> all = new ArrayList<>();
    for (int i = 0; i < words.length; i += 2) {
      all.add(new Word(words[i], words[i + 1]));
    }
    return new ChoiceOption(name, label, List.copyOf(all), words[0]);
  }

  @Override
  public JsonValue read(Fields f) {
    String chosen = f.text(name, 80, initial);
    if (choices.stream().noneMatch(c -> c.value().equals(chosen))) {
      f.problem(name, "is an unknown choice: " + Json.value(chosen), allowed());
      return Json.value(initial);
    }
    return Json.value(chosen);
  }

  @Override
  public String told(JsonValue value) {
    return choices.stream()
        .filter(c -> c.value().equals(value.asString()))
        .map(c -> c.label().toLowerCase(Locale.ROOT))
        .findFirst()
        .orElse("");
  }

  @Override
  public String allowed() {
    return choices.stream().map(Word::value).collect(Collectors.joining(", "));
  }
}
