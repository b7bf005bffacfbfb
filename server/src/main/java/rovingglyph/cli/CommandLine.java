package rovingglyph.cli;

import com.eclipsesource.json.JsonObject;
import java.io.IOException;
import java.io.PrintStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.AccessDeniedException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import rovingglyph.archive.PartKind;
import rovingglyph.document.SceneBundle;
import rovingglyph.document.SceneCodec;
import rovingglyph.footage.FootageFolder;
import rovingglyph.formats.ExportFormats;
import rovingglyph.frame.Preparation;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.frame.PreparedScene;
import rovingglyph.pictures.PictureFolder;
import rovingglyph.proof.Proof;
import rovingglyph.render.Bitmaps;
import rovingglyph.render.Progress;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Scene;
import rovingglyph.scene.SceneShelf;
import rovingglyph.schema.DocumentException;
import rovingglyph.seat.Placement;
import rovingglyph.seat.RowLayout;
import rovingglyph.series.Series;
import rovingglyph.series.SeriesCheck;
import rovingglyph.series.SeriesFiles;
import rovingglyph.series.Table;
import rovingglyph.server.PrivateFolder;
import rovingglyph.shaping.FaceCatalogue;
import rovingglyph.shaping.Shaper;
import rovingglyph.type.Cluster;
import rovingglyph.values.BadValueException;
import rovingglyph.values.SceneField;
import rovingglyph.values.SceneValues;

/** {@code render} and {@code layout}. Results go to one stream, messages to the other. */
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
  private Path fonts;
  private Path pictures;
  private Path footage;
  private Path scenes;
  private String named;
  private Map<String, String> pictureNames = Map.of();

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
      Scene scene = scene(Path.of(words.get(1)));
      scene = SceneValues.applied(scene, values, assets());
      for (WrittenFile f : files) {
        render(scene, f);
      }
    } else if (command.equals("series") && words.size() == 4) {
      series();
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
      if (args[i - 1].equals("--fonts")) {
        fonts = Path.of(value);
      } else if (args[i - 1].equals("--pictures")) {
        pictures = Path.of(value);
      } else if (args[i - 1].equals("--footage")) {
        footage = Path.of(value);
      } else if (args[i - 1].equals("--scenes")) {
        scenes = folder(value);
      } else if (args[i - 1].equals("--scene")) {
        named = value;
      } else if (args[i - 1].equals("--set")) {
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

  private static Path folder(String value) {
    Path out = Path.of(value);
    if (!Files.isDirectory(out)) {
      throw new Refused(out + " is no folder: give one with the scenes that are shown");
    }
    return out.toAbsolutePath();
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
    return Preparation.prepare(scene, new Shaper(faces()));
  }

  /**
   * With the scenes that its insets show, those named by ids and those in them. What a project file
   * has beside them is used where nothing else is given.
   */
  private Scene scene(Path document) throws IOException {
    if (UnpackedProject.isOne(document)) {
      UnpackedProject project = UnpackedProject.of(document, named, words.get(0).equals("series"));
      pictureNames = project.pictures();
      fonts = fonts == null ? project.folder(PartKind.TYPEFACE) : fonts;
      pictures = pictures == null ? project.folder(PartKind.PICTURE) : pictures;
      footage = footage == null ? project.folder(PartKind.FOOTAGE) : footage;
      return project.scene();
    }
    if (named != null) {
      throw new Refused("--scene chooses one of a project file; " + document + " is none");
    }
    Scene scene = SceneBundle.read(text(document));
    if (scenes == null) {
      return scene;
    }
    SceneShelf shelf = new SceneShelf();
    Set<String> tried = new HashSet<>();
    Set<String> next = shelf.missing(scene);
    while (tried.addAll(next)) {
      for (String id : next) {
        Path file = scenes.resolve(id + ".json").normalize();
        if (file.getParent().equals(scenes.normalize()) && Files.isRegularFile(file)) {
          shelf.put(id, SceneCodec.read(text(file)));
        }
      }
      next = shelf.missing(scene);
    }
    return shelf.filled(scene);
  }

  private static String text(Path file) throws IOException {
    if (Files.isRegularFile(file) && Files.size(file) > 4L * SceneCodec.LONGEST) {
      throw new Refused(file + " is larger than a scene document can be");
    }
    return new String(Files.readAllBytes(file), StandardCharsets.UTF_8);
  }

  private void render(Scene whole, WrittenFile file) throws IOException {
    Scene asked = ExportFormats.applied(whole, file.options());
    String reason = ExportFormats.unsupportedReason(file.format(), asked, file.options());
    if (reason != null) {
      throw new Refused(reason);
    }
    PreparedScene scene = prepare(asked);
    Bitmaps bitmaps = bitmaps();
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

  private Bitmaps bitmaps() throws IOException {
    Bitmaps still = pictures == null ? Bitmaps.NONE : new PictureFolder(pictures);
    return footage == null ? still : new FootageFolder(footage, still);
  }

  private FolderAssets assets() throws IOException {
    return new FolderAssets(
        faces(), pictures == null ? null : new PictureFolder(pictures), pictureNames);
  }

  private FaceCatalogue faces() throws IOException {
    FaceCatalogue faces = FaceCatalogue.shipped();
    return fonts == null ? faces : faces.with(fonts);
  }

  private void series() throws IOException {
    String formats = options.remove("formats");
    if (formats == null) {
      throw new Refused("series needs --formats, such as --formats mp4,svg\n" + USAGE);
    }
    List<SeriesFiles.Asked> files =
        WrittenFile.ofFormats(List.of(formats.split(",")), options).stream()
            .map(f -> new SeriesFiles.Asked(f.format(), f.options()))
            .toList();
    Scene scene = SceneValues.applied(scene(Path.of(words.get(1))), values, assets());
    FolderAssets assets = assets();
    Series series = matched(Path.of(words.get(2)), scene);
    SeriesCheck check = new SeriesCheck(series, scene, assets);
    String bad = check.badColumns() == null ? check.firstBad() : check.badColumns();
    if (bad != null) {
      throw new Refused(words.get(2) + ": " + bad);
    }
    for (Series.Column c : series.columns()) {
      err.println("“" + c.heading() + "”: " + (c.field().isEmpty() ? "not used" : c.field()));
    }
    SeriesFiles writer =
        new SeriesFiles(scene, series, files, assets, new Shaper(faces()), bitmaps());
    String out = words.get(3);
    int all = SeriesFiles.frames(scene, series, files);
    Progress progress = tells ? new Progress(n -> tell(out, "frame", n, all)) : new Progress();
    if (out.endsWith("/")) {
      writer.writeFolder(Path.of(out), progress);
    } else if (out.endsWith(".zip")) {
      writer.writeZip(Path.of(out), progress);
    } else {
      throw new Refused("A series goes into a .zip file or a folder, which ends in /, not " + out);
    }
    if (tells) {
      tell(out, "done", progress.frames(), progress.frames());
    }
  }

  /** The table, its columns matched by their headings and as it was asked for. */
  private Series matched(Path file, Scene scene) throws IOException {
    List<SceneField> fields = SceneField.of(scene);
    try {
      Series series = Series.of(Table.read(Files.readAllBytes(file)), fields);
      List<String> columns =
          new ArrayList<>(series.columns().stream().map(Series.Column::field).toList());
      for (String m : matches) {
        int equals = m.lastIndexOf('=');
        List<String> headings = series.columns().stream().map(Series.Column::heading).toList();
        int at = headings.indexOf(m.substring(0, Math.max(0, equals)));
        if (at < 0) {
          throw new Refused("--match " + m + ": the table has " + String.join(", ", headings));
        }
        columns.set(at, m.substring(equals + 1));
      }
      return series.matched(columns);
    } catch (Table.Unusable e) {
      throw new Refused(file + ": " + e.getMessage());
    }
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
    PreparedScene scene = prepare(scene(file));
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
