package rovingglyph.cli;

import com.eclipsesource.json.JsonObject;
import java.io.IOException;
import java.io.PrintStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.AccessDeniedException;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import rovingglyph.formats.ExportFormats;
import rovingglyph.frame.Preparation;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.frame.PreparedScene;
import rovingglyph.proof.Proof;
import rovingglyph.render.Bitmaps;
import rovingglyph.render.Progress;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Scene;
import rovingglyph.schema.DocumentException;
import rovingglyph.seat.Placement;
import rovingglyph.seat.RowLayout;
import rovingglyph.server.PrivateFolder;
import rovingglyph.shaping.Shaper;
import rovingglyph.type.Cluster;
import rovingglyph.values.BadValueException;
import rovingglyph.values.SceneValues;

/**
 * {@code render}, {@code series} and {@code layout}. Results go to one stream, messages to the
 * other.
 */
public final class CommandLine {
  static final String USAGE =
      """
      Usage:
        ./roving render SCENE.json|PROJECT.zip [--scene NAME] OUT.(%s)... [options]
            [--set ITEM.FIELD=VALUE]... [--progress json]
            [--fonts DIR] [--pictures DIR] [--footage DIR] [--scenes DIR]
        ./roving render SCENE.json|PROJECT.zip FOLDER/ [options of png-sequence]
        ./roving series SCENE.json|PROJECT.zip [--scene NAME] TABLE.csv OUT.zip|FOLDER/ --formats mp4,svg...
            [--match HEADING=ITEM.FIELD]... [options]
        ./roving layout SCENE.json|PROJECT.zip [--scene NAME] --at SECONDS [--fonts DIR]
      Each row of the table becomes a file of each format; headings name what the cells are for.
      --frames FIRST-LAST is short for --from and --to. Of several files each takes the options
      that it has. ITEM is an item's id or name, or "scene"; FIELD is as documents have it.
      Formats and options of render; the first of an end needs no --format:
      %s"""
          .formatted(String.join("|", WrittenFile.ends()), WrittenFile.usage());

  private final PrintStream out;
  private final PrintStream err;
  private final List<String> words = new ArrayList<>();
  private final Map<String, String> options = new LinkedHashMap<>();
  private final List<SceneValues.Value> values = new ArrayList<>();
  private final List<String> matches = new ArrayList<>();
  private boolean tells;
  private final Inputs inputs = new Inputs();

  private CommandLine(PrintStream out, PrintStream err) {
    this.out = out;
    this.err = err;
  }

  public static void main(String[] args) {
    PrivateFolder.use();
    PrintStream out = new PrintStream(System.out, true, StandardCharsets.UTF_8);
    PrintStream err = new PrintStream(System.err, true, StandardCharsets.UTF_8);
    System.exit(run(out, err, args));
  }

  /** The exit code: 0, 1 if the work failed, 2 for bad use or a bad document. */
  public static int run(PrintStream out, PrintStream err, String... args) {
    try {
      new CommandLine(out, err).run(args);
      return 0;
    } catch (Refused e) {
      err.println(e.getMessage());
      return 2;
    } catch (BadValueException e) {
      err.println("--set " + e.getMessage());
      return 2;
    } catch (DocumentException e) {
      err.println("The scene cannot be used:");
      e.problems().forEach(p -> err.println("  " + p.sentence()));
      return 2;
    } catch (NoSuchFileException e) {
      err.println("There is no file or folder " + e.getFile());
      return 2;
    } catch (AccessDeniedException e) {
      err.println("Not allowed to use " + e.getFile());
      return 1;
    } catch (IOException e) {
      err.println(e.getMessage());
      return 1;
    }
  }

  private void run(String[] args) throws IOException {
    parse(args);
    String command = words.isEmpty() ? "" : words.get(0);
    if (command.equals("render") && words.size() >= 3) {
      List<WrittenFile> files = WrittenFile.all(words.subList(2, words.size()), options);
      Scene scene = inputs.scene(Path.of(words.get(1)), values, false);
      for (WrittenFile f : files) {
        render(scene, f);
      }
    } else if (command.equals("series") && words.size() == 4) {
      SeriesCommand series = new SeriesCommand(inputs, values, matches, err);
      series.run(words.subList(1, 4), options, tells ? this::tell : null);
    } else if (command.equals("layout") && words.size() == 2) {
      layout(Path.of(words.get(1)));
    } else {
      throw new Refused(USAGE);
    }
  }

  private void parse(String[] args) {
    for (int i = 0; i < args.length; i++) {
      if (!args[i].startsWith("--")) {
        words.add(args[i]);
        continue;
      }
      if (i + 1 == args.length) {
        throw new Refused(args[i] + " needs a value\n" + USAGE);
      }
      String value = args[++i];
      if (inputs.take(args[i - 1], value)) {
        continue;
      }
      if (args[i - 1].equals("--set")) {
        values.add(SceneValues.Value.parse(value));
      } else if (args[i - 1].equals("--match")) {
        matches.add(value);
      } else if (args[i - 1].equals("--progress")) {
        if (!value.equals("json")) {
          throw new Refused("--progress is \"" + value + "\"; it takes json");
        }
        tells = true;
      } else {
        options.put(args[i - 1].substring(2), value);
      }
    }
  }

  private double seconds() {
    String value = options.getOrDefault("at", "");
    try {
      double d = Double.parseDouble(value);
      if (d >= 0 && d <= 3600 && options.size() == 1) {
        return d;
      }
    } catch (NumberFormatException e) {
      // Told below, in the same words as a number out of range.
    }
    throw new Refused(
        "layout takes --at SECONDS, from 0 to 3600, and not " + options + "\n" + USAGE);
  }

  private PreparedScene prepare(Scene scene) throws IOException {
    return Preparation.prepare(scene, new Shaper(inputs.faces()));
  }

  private void render(Scene whole, WrittenFile file) throws IOException {
    Scene asked = ExportFormats.applied(whole, file.options());
    String reason = ExportFormats.unsupportedReason(file.format(), asked, file.options());
    if (reason != null) {
      throw new Refused(reason);
    }
    PreparedScene scene = prepare(asked);
    Bitmaps bitmaps = inputs.bitmaps();
    require(bitmaps, scene);
    int frames = file.format().frames(asked, file.options());
    Progress progress = new Progress(n -> tell(file.target().toString(), "frame", n, frames));
    file.write(scene, bitmaps, tells ? progress : new Progress());
    if (tells) {
      tell(file.target().toString(), "done", frames, frames);
    }
    String note = file.format().note(asked, file.options());
    if (note != null) {
      err.println("Note: " + note);
    }
    Proof.of(scene).forEach(f -> err.println("Proof: " + f.message()));
  }

  /** Tells how far a file is, in a line of JSON. */
  private boolean tell(String file, String what, int frames, int of) {
    out.println(
        new JsonObject().add("file", file).add("state", what).add("frames", frames).add("of", of));
    return true;
  }

  private static void require(Bitmaps bitmaps, PreparedScene scene) throws IOException {
    try {
      Bitmaps.requireAll(bitmaps, scene.scene());
    } catch (UncheckedIOException e) {
      throw e.getCause();
    } catch (IOException e) {
      throw new Refused(
          e.getMessage()
              + "\n--pictures and --footage name the folders with the files of those, --scenes that with the"
              + " scenes");
    }
  }

  private void layout(Path file) throws IOException {
    double at = seconds();
    PreparedScene scene = prepare(inputs.scene(file, values, false));
    for (PreparedLettering l : scene.letterings().values()) {
      for (RowLayout row : l.rows(l.values(at))) {
        for (Placement p : l.inFrame(row)) {
          Cluster c = row.letters().get(p.letter()).cluster();
          if (!c.glyphs().isEmpty()) {
            out.println(cluster(l.lettering(), c, p, p.height() / row.values().size()));
          }
        }
      }
    }
  }

  private static JsonObject cluster(Lettering l, Cluster c, Placement p, double scale) {
    double degrees = Math.toDegrees(p.angle());
    return new JsonObject()
        .add("lettering", l.id())
        .add("cluster", c.text())
        .add("x", p.at().x())
        .add("y", p.at().y())
        .add("angle", Math.IEEEremainder(degrees, 360))
        .add("scale", scale)
        .add("distance", p.distance())
        .add("visible", p.visible());
  }
}
