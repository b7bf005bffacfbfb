package rovingglyph.bridge;

import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.teavm.jso.JSExport;
import rovingglyph.document.DrawnPathCodec;
import rovingglyph.document.MotionCodec;
import rovingglyph.document.SceneCodec;
import rovingglyph.edit.Copies;
import rovingglyph.edit.PathCommands;
import rovingglyph.edit.RefusedEdit;
import rovingglyph.edit.SceneEdits;
import rovingglyph.frame.Appearance;
import rovingglyph.frame.Carriage;
import rovingglyph.frame.OutlineSteps;
import rovingglyph.frame.Preparation;
import rovingglyph.frame.PreparedItem;
import rovingglyph.frame.PreparedLettering;
import rovingglyph.frame.PreparedPicture;
import rovingglyph.frame.PreparedScene;
import rovingglyph.frame.Silhouette;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Cubic;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Rect;
import rovingglyph.geometry.SvgPath;
import rovingglyph.journey.GradientHandles;
import rovingglyph.journey.Handles;
import rovingglyph.journey.JourneyChart;
import rovingglyph.journey.PathMarks;
import rovingglyph.journey.PlaneMarks;
import rovingglyph.journey.RideHandle;
import rovingglyph.motion.Colours;
import rovingglyph.motion.Timeline;
import rovingglyph.paths.KnotsOf;
import rovingglyph.paths.LiveWire;
import rovingglyph.paths.PathPicture;
import rovingglyph.paths.ShapeOverTime;
import rovingglyph.proof.LoopCheck;
import rovingglyph.scene.Animatable;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.DrawnPath;
import rovingglyph.scene.Effect;
import rovingglyph.scene.ForegroundCut;
import rovingglyph.scene.FrameRate;
import rovingglyph.scene.GuidePath;
import rovingglyph.scene.Item;
import rovingglyph.scene.Keyframe;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Profile;
import rovingglyph.scene.Scene;
import rovingglyph.scene.SceneShelf;
import rovingglyph.scene.UnknownFields;
import rovingglyph.schema.DocumentException;
import rovingglyph.schema.Spelling;
import rovingglyph.seat.RowLayout;
import rovingglyph.seat.SeatValues;
import rovingglyph.type.Outline;
import rovingglyph.type.RunRequest;
import rovingglyph.type.ShapedRun;
import rovingglyph.type.ShapedRunCodec;
import rovingglyph.webexport.PathsSvg;

/**
 * One scene at a time: {@code open} prepares a document, the other functions ask about it. Answers
 * are JSON text or numbers; no function throws for what a user can do.
 */
public final class CoreBridge {
  private static final Map<String, ShapedRun> RUNS = new HashMap<>();

  /** What is shown: the opened document, or that with an edit under way. */
  private static PreparedScene prepared;

  private static PreparedScene standing;
  private static String opened = "";

  /** The other scenes of the project, as far as insets asked for them. */
  private static SceneShelf shelf = new SceneShelf();

  private static final Set<String> ABSENT = new HashSet<>();

  private static LiveWire wire = new LiveWire(1, 1, new int[1]);
  private static int shapes;

  private CoreBridge() {}

  public static void main(String[] args) {
    // The module is used through its exports.
  }

  @JSExport
  public static void putRun(String key, String run) {
    RUNS.put(key, ShapedRunCodec.read(run));
  }

  /** Forgets what was shaped in a face, which came or went. */
  @JSExport
  public static void forget(String face) {
    RUNS.keySet().removeIf(key -> key.startsWith(face + "|"));
  }

  /**
   * Prepares a document and tells what there is to know of it: an object with {@code problems}, if
   * it cannot be used; with {@code missing}, what has to be shaped first; else the summary. Only
   * the last takes the place of the scene opened before. With {@code asFarAsPossible}, letterings
   * not shaped yet are left out.
   */
  @JSExport
  public static String open(String document, boolean asFarAsPossible) {
    Scene scene;
    try {
      scene = SceneCodec.read(document);
    } catch (DocumentException e) {
      return new JsonObject().add("problems", Summary.problems(e.problems())).toString();
    }
    Set<String> unknown = shelf.missing(scene);
    unknown.removeAll(ABSENT);
    if (!unknown.isEmpty() && !asFarAsPossible) {
      return new JsonObject().add("scenes", texts(unknown)).toString();
    }
    JsonArray missing = missing(shelf.filled(scene));
    if (missing.size() > 0 && !asFarAsPossible) {
      return new JsonObject().add("missing", missing).toString();
    }
    show(scene);
    standing = prepared;
    opened = document;
    return Summary.of(prepared).toString();
  }

  private static void show(Scene scene) {
    PreparedScene before = prepared;
    prepared = Preparation.prepare(shelf.filled(scene), r -> RUNS.get(r.key()), before);
    if (before == null || !sameShapes(before.outlines(), prepared.outlines())) {
      shapes++;
    }
  }

  private static boolean sameShapes(List<Outline> a, List<Outline> b) {
    boolean same = a.size() == b.size();
    for (int i = 0; same && i < a.size(); i++) {
      same = a.get(i) == b.get(i);
    }
    return same;
  }

  /**
   * Shows the opened document with an edit, until another is shown or a document opened: for drags,
   * whose last edit is made for good when they end. Says what is wrong with the edit; empty if it
   * is shown.
   */
  @JSExport
  public static String preview(String edit) {
    try {
      show(SceneEdits.apply(standing.scene(), standing, edit));
      return "";
    } catch (IllegalArgumentException e) {
      return e.getMessage();
    }
  }

  /**
   * A document with everything written out that it leaves to defaults, in the words of this
   * version; given back as it is if it cannot be used.
   */
  @JSExport
  public static String complete(String document) {
    try {
      return SceneCodec.write(SceneCodec.read(document));
    } catch (DocumentException e) {
      return document;
    }
  }

  private static JsonArray missing(Scene scene) {
    JsonArray out = new JsonArray();
    Set<String> asked = new HashSet<>();
    for (RunRequest r : Preparation.requests(scene)) {
      if (!RUNS.containsKey(r.key()) && asked.add(r.key())) {
        out.add(request(r));
      }
    }
    return out;
  }

  private static JsonArray texts(Iterable<String> ids) {
    JsonArray out = new JsonArray();
    ids.forEach(out::add);
    return out;
  }

  /**
   * Puts another scene of the project at hand for insets; an empty document for one that is gone.
   */
  @JSExport
  public static void putScene(String id, String document) {
    ABSENT.remove(id);
    try {
      shelf.put(id, document.isEmpty() ? null : SceneCodec.read(document));
    } catch (DocumentException e) {
      shelf.put(id, null);
    }
    if (!shelf.has(id)) {
      ABSENT.add(id);
    }
  }

  /** Forgets all scenes that were put at hand. */
  @JSExport
  public static void clearScenes() {
    shelf = new SceneShelf();
    ABSENT.clear();
  }

  /**
   * What is in the way of the open scene showing another one that is at hand, as ids: the circle
   * from the scene to itself, or one id alone where there would be too many insets; none if it can.
   */
  @JSExport
  public static String showingRefused(String open, String other) {
    Scene scene = standing.scene();
    JsonObject edit = new JsonObject().add("op", "addInset").add("id", "shown").add("scene", other);
    edit.add("width", 1).add("height", 1);
    Scene then = SceneEdits.apply(scene, standing, edit.toString());
    List<String> circle = shelf.circle(open, then);
    boolean many = shelf.count(then) > SceneShelf.MOST_INSETS;
    return texts(circle.isEmpty() && many ? List.of(other) : circle).toString();
  }

  /** Width and height of a scene at hand; none if it is not. */
  @JSExport
  public static double[] sceneSize(String id) {
    Scene scene = shelf.get(id);
    return scene == null ? new double[0] : new double[] {scene.width(), scene.height()};
  }

  private static JsonObject request(RunRequest r) {
    JsonObject axes = new JsonObject();
    r.axes().forEach(axes::add);
    JsonObject features = new JsonObject();
    r.features().forEach(features::add);
    return new JsonObject()
        .add("key", r.key())
        .add("face", r.face())
        .add("axes", axes)
        .add("text", r.text())
        .add("ligatures", r.ligatures())
        .add("casing", Spelling.of(r.casing()))
        .add("features", features);
  }

  /** Pairs x, value of a profile's curve at equal steps of x, from pairs x, value of its points. */
  @JSExport
  public static double[] profileLine(double[] points, int count) {
    List<Point> row = new ArrayList<>();
    for (int i = 0; i + 1 < points.length; i += 2) {
      row.add(new Point(points[i], points[i + 1]));
    }
    Profile p = new Profile(Profile.Of.SIZE, "", Profile.Along.RUN, row, UnknownFields.NONE);
    double[] out = new double[2 * (count + 1)];
    for (int i = 0; i <= count; i++) {
      out[2 * i] = (double) i / count;
      out[2 * i + 1] = p.at((double) i / count);
    }
    return out;
  }

  /** The display list of a time; see {@link rovingglyph.frame.Frame}. */
  @JSExport
  public static double[] frame(double time) {
    return prepared.at(time).numbers();
  }

  /** Goes up whenever the outlines are others than before. */
  @JSExport
  public static int outlinesVersion() {
    return shapes;
  }

  /** Number of outlines of the open scene. */
  @JSExport
  public static int outlineCount() {
    return prepared.outlines().size();
  }

  /** The steps of an outline; see {@link OutlineSteps}. */
  @JSExport
  public static double[] outline(int index) {
    return OutlineSteps.of(prepared.outlines().get(index));
  }

  /** The id of the kept picture that frames name by an index. */
  @JSExport
  public static String image(int index) {
    return prepared.images().get(index);
  }

  /** Says when the frames of kept footage are, seconds. */
  @JSExport
  public static void framesOf(String id, double[] times) {
    FootageBridge.times(id, times);
  }

  /** See {@link FootageBridge#frame}. */
  @JSExport
  public static int frameOf(String id, double moment) {
    return FootageBridge.frame(id, moment);
  }

  /** See {@link FootageBridge#time}. */
  @JSExport
  public static double frameTime(String id, int frame) {
    return FootageBridge.time(id, frame);
  }

  /** See {@link FootageBridge#moment}. */
  @JSExport
  public static double momentOf(String item, double time) {
    return FootageBridge.moment(prepared, item, time);
  }

  /** See {@link FootageBridge#shown}. */
  @JSExport
  public static double[] footageAt(double time) {
    return FootageBridge.shown(prepared, time);
  }

  /** See {@link FootageBridge#sounds}. */
  @JSExport
  public static String sounds() {
    return FootageBridge.sounds(prepared).toString();
  }

  /** See {@link FootageBridge#gain}. */
  @JSExport
  public static double soundGain(int piece, double time) {
    return FootageBridge.gain(prepared, piece, time);
  }

  /**
   * The corners of what is left of a picture, x and y by turns, in the pixels round it; none where
   * it is no picture or nothing is left of it.
   */
  @JSExport
  public static double[] corners(String item, double time) {
    PreparedItem picture = prepared.items().get(item);
    if (!(picture instanceof PreparedPicture p) || p.seen(time).isEmpty()) {
      return new double[0];
    }
    return p.placed(time).coordinates();
  }

  /** The value of a channel of an item at a time; NaN where it has no such value. */
  @JSExport
  public static double value(String item, String channel, double time) {
    Channel c = Channel.of(channel);
    Animatable m = prepared.scene().mover(item);
    if (m.movable(c) == null) {
      return Double.NaN;
    }
    return m instanceof Lettering l
        ? SeatValues.value(l, c, time)
        : c.clamp(Timeline.value(m.movable(c), time));
  }

  /**
   * A part of what Proof finds in the opened scene, which {@code open} does not wait for; null
   * after the last one.
   */
  @JSExport
  public static String findings(int part) {
    return standing == null ? "null" : Summary.findings(standing, part).toString();
  }

  /** What an edit is called once it is done, such as "Moved a keyframe". */
  @JSExport
  public static String editDone(String edit) {
    return SceneEdits.done(edit);
  }

  /** An edited document, or an object with the field "problems" or "error". */
  @JSExport
  public static String edit(String document, String edit) {
    try {
      // Of the open scene the landings are solved: an edit starts from what is seen, not from the
      // values that stood in the document.
      Scene scene = document.equals(opened) ? standing.scene() : SceneCodec.read(document);
      PreparedScene stands = document.equals(opened) ? standing : null;
      return SceneCodec.write(SceneEdits.apply(scene, stands, edit));
    } catch (RefusedEdit e) {
      return new JsonObject().add("problems", Summary.problems(e.problems())).toString();
    } catch (IllegalArgumentException e) {
      return new JsonObject().add("error", e.getMessage()).toString();
    }
  }

  /** The keyframes of a value as they are shown; null for those that are as in the summary. */
  @JSExport
  public static String keyframes(String item, String channel) {
    Channel c = Channel.of(channel);
    List<Keyframe> before = standing.scene().mover(item).movable(c).keyframes();
    List<Keyframe> now = prepared.scene().mover(item).movable(c).keyframes();
    return Summary.keyframes(now, before).toString();
  }

  /** See {@link MotionCodec#motion}; a value that the item does not have is still. */
  @JSExport
  public static String motion(String item, String channel) {
    Channel c = Channel.of(channel);
    // What was just added is not here yet while its words are on their way.
    Animatable mover = prepared.scene().mover(item);
    AnimatedValue m = mover == null ? null : mover.movable(c);
    return m == null ? "0" : MotionCodec.motion(m, c);
  }

  /** Chosen keyframes of a value as JSON, for the edit "pasteKeys". */
  @JSExport
  public static String copyKeys(String item, String channel, double[] indexes) {
    Channel c = Channel.of(channel);
    List<Keyframe> keys = new ArrayList<>();
    for (double i : indexes) {
      keys.add(prepared.scene().mover(item).movable(c).keyframes().get((int) i));
    }
    return MotionCodec.keys(keys, c);
  }

  /**
   * What differs between frame 0 and the frame after the last: sentences, and whether it can be
   * fixed.
   */
  @JSExport
  public static String loopCheck() {
    JsonArray out = new JsonArray();
    for (LoopCheck.Difference d : LoopCheck.of(prepared)) {
      out.add(
          new JsonObject()
              .add("sentence", d.sentence())
              .add("item", d.item().id())
              .add("channel", d.channel().field())
              .add("fixable", LoopCheck.canFix(d)));
    }
    return out.toString();
  }

  /** One sample of a frame blurred by motion; see {@link PreparedScene#at(double, double)}. */
  @JSExport
  public static double[] blurred(double time, double shutter) {
    return prepared.at(time, shutter).numbers();
  }

  /** See {@link Colours#light}. */
  @JSExport
  public static double[] light() {
    return Colours.light();
  }

  /** See {@link Colours#values}. */
  @JSExport
  public static double[] lightValues(int steps) {
    return Colours.values(steps);
  }

  /** How many samples the frame at a time is blurred by; 0 where nothing is. */
  @JSExport
  public static int blurSamples(double time) {
    return prepared.blurs() ? prepared.samples(time) : 0;
  }

  /** Samples for the Journey chart; see {@link JourneyChart#samples}. */
  @JSExport
  public static double[] journey(String item, String channel, int count) {
    Animatable i = prepared.scene().mover(item);
    return JourneyChart.samples(prepared, i, Channel.of(channel), count);
  }

  /** Where a channel stands on the chart at a time. */
  @JSExport
  public static double charted(String item, String channel, double time) {
    return JourneyChart.line(prepared, prepared.scene().mover(item), Channel.of(channel), time);
  }

  /** Where the text of a lettering begins and ends along its path at a time; empty if unknown. */
  @JSExport
  public static double[] band(String lettering, double time) {
    PreparedLettering l = prepared.letterings().get(lettering);
    if (l == null) {
      return new double[0];
    }
    RowLayout s = l.seating(l.values(time));
    return new double[] {s.tail(), s.head()};
  }

  /** The id of the topmost item that is painted at a point; empty if there is none. */
  @JSExport
  public static String itemAt(double x, double y, double time, double reach) {
    return prepared.itemAt(new Point(x, y), time, reach);
  }

  /**
   * What the groups round an item and the paths that carry it and them do to it, of a lettering
   * with its own rotation if asked; of a cut, what is done to its path. As the six numbers of SVG's
   * {@code matrix()}: in perspective as it is in the middle of the item.
   */
  @JSExport
  public static double[] groupTransform(String item, double time, boolean turned) {
    if (prepared.scene().item(item) instanceof ForegroundCut c) {
      return numbers(prepared.near(item, prepared.standing(c, time), time));
    }
    Affine map = prepared.near(item, prepared.groupTransform(item).map(time), time);
    PreparedLettering l = prepared.letterings().get(item);
    return numbers(turned && l != null ? map.times(l.turned(time)) : map);
  }

  private static double[] numbers(Affine m) {
    return new double[] {m.a(), m.b(), m.c(), m.d(), m.e(), m.f()};
  }

  /** The same without the path that carries the item itself. */
  @JSExport
  public static double[] roundTransform(String item, double time) {
    return numbers(prepared.near(item, prepared.round(item, time), time));
  }

  /** See {@link PinBridge#points}; nothing where none is seen. */
  @JSExport
  public static double[] pinPoints(String pin, double time) {
    return PinBridge.points(prepared, pin, time);
  }

  /** See {@link PinBridge#area}. */
  @JSExport
  public static double[] pinArea(String pin, double time) {
    return PinBridge.area(prepared, pin, time);
  }

  /** See {@link PinBridge#known}. */
  @JSExport
  public static int pinFrame(String pin, double time) {
    return PinBridge.known(prepared.scene(), pin, time);
  }

  /** See {@link PinBridge#until}. */
  @JSExport
  public static double followedUntil(String pin, double moment, boolean on) {
    return PinBridge.until(prepared.scene(), pin, moment, on);
  }

  /** See {@link FootageBridge#firstSeen}. */
  @JSExport
  public static double firstSeen(String item, double moment) {
    return FootageBridge.firstSeen(prepared.scene(), item, moment);
  }

  /** See {@link PinBridge#pixel}. */
  @JSExport
  public static double[] footagePixel(String footage, double time, double x, double y) {
    return PinBridge.pixel(prepared, footage, time, x, y);
  }

  /** See {@link PlaneMarks#map}; empty where neither the item nor what it is in is turned. */
  @JSExport
  public static double[] planeMap(String item, double time) {
    return SpaceBridge.map(prepared, item, time);
  }

  /**
   * See {@link PlaneMarks#path}, of words; empty where neither they nor what they are in are
   * turned.
   */
  @JSExport
  public static double[] planePath(String item, int count, double time) {
    return SpaceBridge.path(prepared, item, count, time);
  }

  /** See {@link PlaneMarks#ball}. */
  @JSExport
  public static double[] planeBall(String item, double time) {
    return PlaneMarks.ball(prepared, item, time);
  }

  /** See {@link RideHandle#mark}; empty where no path carries the item. */
  @JSExport
  public static double[] rideMark(String item, double time) {
    Carriage carriage = prepared.carriage(prepared.scene().item(item));
    return carriage == null ? new double[0] : new RideHandle(carriage, time).mark();
  }

  /** See {@link RideHandle#to}. */
  @JSExport
  public static double[] dragRide(String item, double time, double x, double y) {
    Carriage carriage = prepared.carriage(prepared.scene().item(item));
    return new RideHandle(carriage, time).to(new Point(x, y));
  }

  /** See {@link GradientHandles#ends}. */
  @JSExport
  public static double[] gradientEnds(String item, double time) {
    return new GradientHandles(prepared, item, time).ends();
  }

  /** See {@link GradientHandles#to}. */
  @JSExport
  public static double[] dragGradient(String item, double time, double x, double y) {
    return new GradientHandles(prepared, item, time).to(new Point(x, y));
  }

  /** The map of a square of one pixel to all of a picture, in the pixels round it; else empty. */
  @JSExport
  public static double[] pictureSquare(String item, double time) {
    boolean picture = prepared.items().get(item) instanceof PreparedPicture;
    if (!picture) {
      return new double[0];
    }
    Carriage carriage = prepared.carriage(prepared.scene().item(item));
    Affine ride = carriage == null ? Affine.IDENTITY : carriage.first(time);
    return numbers(ride.times(((PreparedPicture) prepared.items().get(item)).square(time)));
  }

  /** The picture that lines cling to from now on, 0xRRGGBB row by row; see {@link LiveWire}. */
  @JSExport
  public static void traceIn(int width, int height, double[] rgb) {
    wire = new LiveWire(width, height, Arrays.stream(rgb).mapToInt(v -> (int) v).toArray());
  }

  /** See {@link LiveWire#from}. */
  @JSExport
  public static void traceFrom(double x, double y) {
    wire.from(x, y);
  }

  /** See {@link LiveWire#to}. */
  @JSExport
  public static double[] traceTo(double x, double y) {
    return wire.to(x, y);
  }

  /** Units of the channel per second. */
  @JSExport
  public static double speed(String item, String channel, double time) {
    Animatable i = prepared.scene().mover(item);
    return JourneyChart.speed(prepared, i, Channel.of(channel), time);
  }

  /** See {@link Summary#endSpeeds}. */
  @JSExport
  public static double[] endSpeeds(String item, String channel, int index) {
    return Summary.endSpeeds(prepared.scene().mover(item).movable(Channel.of(channel)), index);
  }

  /** See {@link JourneyChart#outside}; empty while not yet shaped. */
  @JSExport
  public static double[] outside(String lettering, double from, double to) {
    return prepared.letterings().containsKey(lettering)
        ? JourneyChart.outside(prepared, lettering, from, to)
        : new double[0];
  }

  /** A path at a time as SVG path data. */
  @JSExport
  public static String pathData(String path, double time) {
    return SvgPath.write(contour(path, time), 3);
  }

  private static Contour contour(String path, double time) {
    return prepared.paths().get(path).at(time);
  }

  /** A path at a time; see {@link PathBridge#lines}. */
  @JSExport
  public static double[] line(String path, double time) {
    return PathBridge.lines(List.of(contour(path, time)));
  }

  /** See {@link PathBridge#points}. */
  @JSExport
  public static double[] points(String path, double time) {
    return PathBridge.points(prepared.scene().path(path), time);
  }

  /** Left, top, right and bottom of a path. */
  @JSExport
  public static double[] bounds(String path, double time) {
    Rect b = contour(path, time).bounds();
    return new double[] {b.left(), b.top(), b.right(), b.bottom()};
  }

  /** Left, top, right and bottom of what is seen of an item; none where nothing is. */
  @JSExport
  public static double[] itemBox(String item, double time) {
    return isHere(item) ? numbers(prepared.box(item, time)) : new double[0];
  }

  /** The same in the pixels of the frame. */
  @JSExport
  public static double[] frameBox(String item, double time) {
    return isHere(item) ? numbers(prepared.frameBox(item, time)) : new double[0];
  }

  /** See {@link Silhouette#of}. */
  @JSExport
  public static String silhouette(String item, double time) {
    return isHere(item) ? Silhouette.of(prepared, item, time) : "";
  }

  /** See {@link Silhouette#keyTimes}. */
  @JSExport
  public static double[] keyTimes(String item) {
    return isHere(item) ? Silhouette.keyTimes(prepared, item) : new double[0];
  }

  private static boolean isHere(String item) {
    return prepared != null && prepared.scene().item(item) != null;
  }

  private static double[] numbers(Rect b) {
    return b.isEmpty() ? new double[0] : new double[] {b.left(), b.top(), b.right(), b.bottom()};
  }

  /** See {@link Copies#copy}; the ids are separated by spaces. */
  @JSExport
  public static String copied(String items) {
    return Copies.copy(prepared.scene(), List.of(items.split(" ")));
  }

  /**
   * See {@link PreparedScene#itemsWithin}; the box by two corners across from each other. As JSON.
   */
  @JSExport
  public static String itemsWithin(double x0, double y0, double x1, double y1, double time) {
    Rect box = Rect.EMPTY.include(new Point(x0, y0)).include(new Point(x1, y1));
    JsonArray found = new JsonArray();
    prepared.itemsWithin(box, time).forEach(found::add);
    return found.toString();
  }

  /** See {@link CastShadow#marks}. */
  @JSExport
  public static double[] shadowMarks(String item, String effect, double time) {
    Item i = prepared.scene().item(item);
    Effect e = i.properties().effect(effect);
    return e == null || e.kind() != Effect.Kind.CAST_SHADOW
        ? new double[0]
        : Appearance.cast(i, e, time).marks();
  }

  /** The ends of the gradient of an outline, as {@link #gradientEnds}. */
  @JSExport
  public static double[] lineGradientEnds(String item, String effect, double time) {
    Item i = prepared.scene().item(item);
    Effect e = i.properties().effect(effect);
    return e == null || !e.isGradedLine()
        ? new double[0]
        : GradientHandles.ofLine(i, e, time, prepared.area());
  }

  /** A point in percent of the width and the height of the frame. */
  @JSExport
  public static double[] shareOfFrame(double x, double y) {
    return GradientHandles.shares(prepared.area(), new Point(x, y));
  }

  /** A small picture of a path of the scene. */
  @JSExport
  public static String thumb(String path) {
    return PathPicture.of(contour(path, 0));
  }

  /** See {@link PathMarks#middles}. */
  @JSExport
  public static double[] marks(String path, int count, double time) {
    return PathMarks.middles(contour(path, time), count);
  }

  /** See {@link PathMarks#tenths}. */
  @JSExport
  public static double[] tenths(String path, double time) {
    return PathMarks.tenths(contour(path, time));
  }

  /** See {@link PathMarks#comb}. */
  @JSExport
  public static double[] comb(String path, int count, double height, double time) {
    return PathMarks.comb(contour(path, time), count, height);
  }

  /** See {@link PathMarks#room} and {@link PathBridge#lines}. */
  @JSExport
  public static double[] room(String lettering, double time) {
    PreparedLettering l = prepared.letterings().get(lettering);
    return PathBridge.lines(l == null ? List.of() : PathMarks.room(l, l.values(time)));
  }

  /** See {@link PathMarks#tight} and {@link PathBridge#lines}. */
  @JSExport
  public static double[] tight(String lettering, double time) {
    PreparedLettering l = prepared.letterings().get(lettering);
    return PathBridge.lines(l == null ? List.of() : PathMarks.tight(l, l.values(time)));
  }

  /** The points of a drawn path at a time, as its document has them. */
  @JSExport
  public static String knots(String path, double time) {
    DrawnPath d = (DrawnPath) prepared.scene().path(path);
    return DrawnPathCodec.knots(ShapeOverTime.at(d, time));
  }

  /** How many points a path would have within a tolerance in px. */
  @JSExport
  public static int simplified(String path, double tolerance, double time) {
    GuidePath p = prepared.scene().path(path);
    List<Cubic> cubics = PathCommands.simplify(p, tolerance, time).cubics();
    return KnotsOf.cubics(cubics, contour(path, time).closed()).size();
  }

  /** Frames per second of a rate as documents write it; NaN for what is none. */
  @JSExport
  public static double framesPerSecond(String rate) {
    FrameRate parsed = FrameRate.parse(rate);
    return parsed == null ? Double.NaN : parsed.perSecond();
  }

  /** The map back of one given as the six numbers of SVG's {@code matrix()}. */
  @JSExport
  public static double[] inverse(double[] m) {
    Affine back = new Affine(m[0], m[1], m[2], m[3], m[4], m[5]).inverse();
    return new double[] {back.a(), back.b(), back.c(), back.d(), back.e(), back.f()};
  }

  /** Label, unit and range of a value by its field name, as JSON. */
  @JSExport
  public static String channel(String field) {
    Channel c = Channel.of(field);
    return new JsonObject()
        .add("label", c.label())
        .add("unit", c.unit())
        .add("min", c.min())
        .add("max", c.max())
        .add("colour", c.kind() == Channel.Kind.COLOUR)
        .add("lags", c.mayLag())
        .add("follows", !c.isOfAppearance())
        .add("alongPath", c.isAlongPath())
        .toString();
  }

  /** The time of the frame of the open scene that is nearest to a time. */
  @JSExport
  public static double onFrame(double time) {
    return prepared.scene().onFrame(time);
  }

  /** A path given as JSON, of no scene, as SVG path data; empty where it cannot be read. */
  @JSExport
  public static String sketch(String path) {
    return PathBridge.sketch(path);
  }

  /** See {@link PathBridge#kinds}. */
  @JSExport
  public static String shapeKinds() {
    return PathBridge.kinds().toString();
  }

  /** See {@link PathBridge#picture}. */
  @JSExport
  public static String pathPicture(String path) {
    return PathBridge.picture(path);
  }

  /** See {@link PathBridge#parts}. */
  @JSExport
  public static String pathParts(String data) {
    return PathBridge.parts(data).toString();
  }

  /** See {@link PathsSvg#write}. */
  @JSExport
  public static String pathsSvg(double time) {
    return PathsSvg.write(prepared.scene(), time);
  }

  /**
   * x, y, angle of the puck, the start stop, the end stop, the shift's handle and the seam's; empty
   * while not yet shaped.
   */
  @JSExport
  public static double[] handles(String lettering, double time) {
    PreparedLettering l = prepared.letterings().get(lettering);
    if (l == null) {
      return new double[0];
    }
    Handles h = new Handles(l, l.values(time));
    double[] out = new double[15];
    int n = 0;
    for (Handles.Spot s :
        new Handles.Spot[] {h.puck(), h.startStop(), h.endStop(), h.shift(), h.seam()}) {
      out[n++] = s.point().x();
      out[n++] = s.point().y();
      out[n++] = Math.toDegrees(s.angle());
    }
    return out;
  }

  /** What the puck dragged to a point asks for: pathOffset, baselineShift, side. */
  @JSExport
  public static String dragPuck(String lettering, double time, double x, double y, boolean across) {
    PreparedLettering l = prepared.letterings().get(lettering);
    Handles.PuckValues v = new Handles(l, l.values(time)).drag(new Point(x, y), across);
    return new JsonObject()
        .add("pathOffset", v.pathOffset())
        .add("baselineShift", v.baselineShift())
        .add("side", Spelling.of(v.side()))
        .toString();
  }

  /** The gap at the join that the seam's handle dragged to a point asks for, px. */
  @JSExport
  public static double dragSeam(String lettering, double time, double x, double y) {
    PreparedLettering l = prepared.letterings().get(lettering);
    return new Handles(l, l.values(time)).seamGap(new Point(x, y));
  }

  /** The baseline shift that its handle dragged to a point asks for, px. */
  @JSExport
  public static double dragShift(String lettering, double time, double x, double y) {
    PreparedLettering l = prepared.letterings().get(lettering);
    return l.seating(l.values(time)).contour().nearest(new Point(x, y)).across();
  }

  /** The margin that a stop dragged to a point asks for, in px. */
  @JSExport
  public static double dragStop(String lettering, boolean start, double time, double x, double y) {
    PreparedLettering l = prepared.letterings().get(lettering);
    Handles h = new Handles(l, l.values(time));
    return start ? h.startMargin(new Point(x, y)) : h.endMargin(new Point(x, y));
  }
}
