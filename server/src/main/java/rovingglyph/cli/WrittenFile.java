package rovingglyph.cli;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonObject;
import com.eclipsesource.json.JsonValue;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import rovingglyph.formats.ExportFormat;
import rovingglyph.formats.ExportFormats;
import rovingglyph.formats.ExportOption;
import rovingglyph.formats.ExportOptions;
import rovingglyph.formats.NumberOption;
import rovingglyph.formats.PngSequenceFormat;
import rovingglyph.frame.PreparedScene;
import rovingglyph.render.Bitmaps;
import rovingglyph.render.Progress;
import rovingglyph.schema.DocumentException;
import rovingglyph.schema.Fields;

/**
 * The file that {@code render} is to write: its format by the end of its name or by name, and what
 * was chosen for it.
 *
 * @param inFolder whether the frames are files of their own in the folder {@code target}
 */
record WrittenFile(Path target, ExportFormat format, ExportOptions options, boolean inFolder) {
  private static final Pattern FRAMES = Pattern.compile("(\\d{1,9})(?:-(\\d{1,9}))?");

  /** The formats with their ends and options, one in a line. */
  static String usage() {
    return ExportFormats.ALL.stream().map(WrittenFile::usage).collect(Collectors.joining("\n"));
  }

  private static String usage(ExportFormat f) {
    String options =
        f.options().stream()
            .map(o -> " [--" + o.name() + " " + o.allowed() + "]")
            .collect(Collectors.joining());
    return "  ." + f.words().extension() + " --format " + f.id() + options;
  }

  /** The ends of names, each once. */
  static List<String> ends() {
    return ExportFormats.ALL.stream().map(f -> f.words().extension()).distinct().toList();
  }

  /**
   * As it was asked for.
   *
   * @param given words behind {@code --}, each with its value
   * @throws Refused if there is no such format, or an option is wrong
   */
  static WrittenFile of(String target, Map<String, String> given) {
    Map<String, String> options = new LinkedHashMap<>(given);
    String asked = options.remove("format");
    boolean inFolder = target.endsWith("/");
    ExportFormat format =
        asked != null || inFolder
            ? ExportFormats.of(asked == null ? "png-sequence" : asked)
            : ExportFormats.ofFile(Path.of(target).getFileName().toString());
    if (format == null && asked != null) {
      throw new Refused(
          "There is no format "
              + asked
              + "; there are "
              + ExportFormats.ALL.stream().map(ExportFormat::id).collect(Collectors.joining(", ")));
    }
    if (format == null) {
      String all = ends().stream().map(e -> "." + e).collect(Collectors.joining(", "));
      throw new Refused(
          "The file to write must end in one of "
              + all
              + ", or in / for single frames, not "
              + target);
    }
    if (inFolder && !(format instanceof PngSequenceFormat)) {
      throw new Refused("Only a png-sequence goes into a folder; name a file for " + format.id());
    }
    return new WrittenFile(Path.of(target), format, options(format, options), inFolder);
  }

  /**
   * Several as they were asked for: each takes the options that it has.
   *
   * @throws Refused if there is no such format, or an option is wrong or of none of them
   */
  static List<WrittenFile> all(List<String> targets, Map<String, String> given) {
    if (targets.size() == 1) {
      return List.of(of(targets.get(0), given));
    }
    return all(targets, t -> Map.of(), given);
  }

  /**
   * Files of these formats, which have no names yet.
   *
   * @throws Refused if there is no such format, or an option is wrong or of none of them
   */
  static List<WrittenFile> ofFormats(List<String> ids, Map<String, String> given) {
    return all(ids, id -> Map.of("format", id), given);
  }

  private static List<WrittenFile> all(
      List<String> targets,
      Function<String, Map<String, String>> format,
      Map<String, String> given) {
    Set<String> known = new HashSet<>(Set.of("frames"));
    List<WrittenFile> out = new ArrayList<>();
    for (String target : targets) {
      // Its format first, by the end of its name alone where it is not named.
      List<String> own =
          of(target, format.apply(target)).format().options().stream()
              .map(ExportOption::name)
              .toList();
      known.addAll(own);
      Map<String, String> taken = new LinkedHashMap<>(given);
      taken
          .keySet()
          .removeIf(o -> !own.contains(o) && !(o.equals("frames") && own.contains("from")));
      taken.putAll(format.apply(target));
      out.add(of(target, taken));
    }
    for (String option : given.keySet()) {
      if (!known.contains(option)) {
        throw new Refused("None of the files has an option --" + option + "\n" + CommandLine.USAGE);
      }
    }
    return out;
  }

  private static ExportOptions options(ExportFormat format, Map<String, String> options) {
    JsonObject given = new JsonObject();
    String frames = options.remove("frames");
    if (frames != null) {
      Matcher m = FRAMES.matcher(frames);
      if (!m.matches()) {
        throw new Refused("--frames is \"" + frames + "\"; it takes the first and the last: 0-49");
      }
      options.put("from", m.group(1));
      options.put("to", m.group(2) == null ? m.group(1) : m.group(2));
    }
    for (Map.Entry<String, String> o : options.entrySet()) {
      Optional<ExportOption> option =
          format.options().stream().filter(known -> known.name().equals(o.getKey())).findFirst();
      if (option.isEmpty()) {
        throw new Refused(
            "There is no option --"
                + o.getKey()
                + " of ."
                + format.words().extension()
                + "\n"
                + CommandLine.USAGE);
      }
      given.add(o.getKey(), value(option.get(), o.getValue()));
    }
    Fields f = Fields.of(given);
    ExportOptions out = ExportOptions.read(format, f);
    try {
      f.check();
    } catch (DocumentException e) {
      throw new Refused(
          e.problems().stream()
              .map(
                  p ->
                      p.path().replace("$.", "--") + " " + p.reason() + "; it takes " + p.allowed())
              .collect(Collectors.joining("\n")));
    }
    return out;
  }

  /** A number where one is wanted; a text that is none is told by the option. */
  private static JsonValue value(ExportOption option, String text) {
    try {
      return !(option instanceof NumberOption)
          ? Json.value(text)
          : Json.value(Double.parseDouble(text));
    } catch (IllegalArgumentException e) {
      return Json.value(text);
    }
  }

  void write(PreparedScene scene, Bitmaps bitmaps, Progress progress) throws IOException {
    if (inFolder) {
      PngSequenceFormat.writeInto(scene, bitmaps, options, target, progress);
    } else {
      format.write(scene, bitmaps, options, target, progress);
    }
  }
}
