package rovingglyph.document;

import static rovingglyph.schema.Field.field;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import rovingglyph.scene.Blur;
import rovingglyph.scene.Cue;
import rovingglyph.scene.FrameRate;
import rovingglyph.scene.Guide;
import rovingglyph.scene.GuidePath;
import rovingglyph.scene.Item;
import rovingglyph.scene.Scene;
import rovingglyph.scene.TracingImage;
import rovingglyph.schema.Field;
import rovingglyph.schema.FieldType;
import rovingglyph.schema.Lists;
import rovingglyph.schema.Schema;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;

/** The tables of the scene and of what it holds beside paths and items. */
final class SceneSchema {
  private static final FieldType<Double> COORDINATE =
      Types.number(-PathCodec.FARTHEST, PathCodec.FARTHEST, "px");
  private static final FieldType<Double> EXTENT = Types.number(1, 1e5, "px");

  private static final Field<TracingImage, String> IMAGE_ID =
      field("id", Types.id(), TracingImage::id).about("unique in the scene");
  private static final Field<TracingImage, String> IMAGE_NAME =
      field("name", Types.text(200), TracingImage::name).fallback("Template");
  private static final Field<TracingImage, String> IMAGE =
      field("image", Types.id(), TracingImage::image).about("id of the kept picture");
  private static final Field<TracingImage, Double> X =
      field("x", COORDINATE, TracingImage::x).fallback(0.0).about("of the upper left corner");
  private static final Field<TracingImage, Double> Y =
      field("y", COORDINATE, TracingImage::y).fallback(0.0);
  private static final Field<TracingImage, Double> IMAGE_WIDTH =
      field("width", EXTENT, TracingImage::width).fallback(100.0);
  private static final Field<TracingImage, Double> IMAGE_HEIGHT =
      field("height", EXTENT, TracingImage::height).fallback(100.0);
  private static final Field<TracingImage, Double> OPACITY =
      field("opacity", Types.number(0, 100, "%"), TracingImage::opacity).fallback(40.0);
  private static final Field<TracingImage, Boolean> HIDDEN =
      field("hidden", Types.flag(), TracingImage::hidden).usual(false);

  static final Schema<TracingImage> TEMPLATE =
      Schema.<TracingImage>named("Template")
          .with(IMAGE_ID, IMAGE_NAME, IMAGE, X, Y, IMAGE_WIDTH, IMAGE_HEIGHT, OPACITY, HIDDEN)
          .keeping(TracingImage::extras)
          .made(
              v ->
                  new TracingImage(
                      v.get(IMAGE_ID),
                      v.get(IMAGE_NAME),
                      v.get(IMAGE),
                      v.get(X),
                      v.get(Y),
                      v.get(IMAGE_WIDTH),
                      v.get(IMAGE_HEIGHT),
                      v.get(OPACITY),
                      v.get(HIDDEN),
                      v.rest()));

  private static final Field<Guide, String> GUIDE_ID =
      field("id", Types.id(), Guide::id).about("unique in the scene");
  private static final Field<Guide, Boolean> UPRIGHT =
      field("upright", Types.flag(), Guide::upright).fallback(false).about("else level");
  private static final Field<Guide, Double> AT =
      field("at", COORDINATE, Guide::at)
          .fallback(0.0)
          .about("from the left edge of the frame; of a level one from the top");

  private static final Schema<Guide> GUIDE =
      Schema.<Guide>named("Guide")
          .with(GUIDE_ID, UPRIGHT, AT)
          .keeping(Guide::extras)
          .made(v -> new Guide(v.get(GUIDE_ID), v.get(UPRIGHT), v.get(AT), v.rest()));

  private static final Field<Cue, String> CUE_ID =
      field("id", Types.id(), Cue::id).about("unique in the scene");
  private static final Field<Cue, String> CUE_NAME =
      field("name", Types.text(200), Cue::name).fallback("Cue");
  private static final Field<Cue, Double> CUE_TIME =
      field("time", AnimatedValueCodec.TIME, Cue::time).fallback(0.0);

  private static final Schema<Cue> CUE =
      Schema.<Cue>named("Cue")
          .with(CUE_ID, CUE_NAME, CUE_TIME)
          .keeping(Cue::extras)
          .made(v -> new Cue(v.get(CUE_ID), v.get(CUE_NAME), v.get(CUE_TIME), v.rest()));

  private static final Field<Blur, Double> ANGLE =
      field("angle", Types.number(0, 720, "\u00b0"), Blur::angle)
          .fallback(Blur.NONE.angle())
          .about("of the shutter; 360 is the whole time of a frame, 0 none");
  private static final Field<Blur, Integer> SAMPLES =
      field("samples", Types.integer(2, 64), Blur::samples)
          .fallback(Blur.NONE.samples())
          .about(
              "at least so many, and more, up to 128, where something moves farther than 1.5 px"
                  + " between two");

  private static final Schema<Blur> MOTION_BLUR =
      Schema.<Blur>named("Blur")
          .with(ANGLE, SAMPLES)
          .keeping(Blur::extras)
          .made(v -> new Blur(v.get(ANGLE), v.get(SAMPLES), v.rest()));

  private static final Field<Scene, String> FORMAT =
      field("format", Types.text(80), (Scene s) -> SceneCodec.FORMAT)
          .required("")
          .about("`\"" + SceneCodec.FORMAT + "\"`");
  private static final Field<Scene, Integer> VERSION =
      field(
              SceneCodec.VERSION_FIELD,
              Types.integer(1, SceneCodec.VERSION),
              (Scene s) -> SceneCodec.VERSION)
          .required(0);
  private static final Field<Scene, String> NAME =
      field("name", Types.text(200), Scene::name).fallback("Untitled");
  private static final Field<Scene, Integer> WIDTH =
      field("width", Types.integer(16, 8192, "px"), Scene::width)
          .fallback(1920)
          .about("H.264 video needs an even one");
  private static final Field<Scene, Integer> HEIGHT =
      field("height", Types.integer(16, 8192, "px"), Scene::height)
          .fallback(1080)
          .about("H.264 video needs an even one");
  private static final Field<Scene, FrameRate> RATE =
      field("rate", new RateType(), Scene::rate)
          .fallback(new FrameRate(25, 1))
          .about("frames per second");
  private static final Field<Scene, Double> LENGTH =
      field("length", Types.number(1.0 / 120, 3600, "s"), Scene::length).fallback(6.0);
  private static final Field<Scene, Integer> BACKGROUND =
      field("background", Types.colour(), Scene::background)
          .fallback(null)
          .about("`null` for none");
  private static final Field<Scene, List<GuidePath>> PATHS =
      field("paths", Lists.list(PathCodec.KINDS, 1000), Scene::paths).fallback(List.of());
  static final Field<Scene, List<ItemList.Entry>> ITEMS =
      field("items", ItemList.TYPE, SceneSchema::entries)
          .fallback(List.of())
          .about("of every kind");
  private static final Field<Scene, List<TracingImage>> TEMPLATES =
      field("templates", Lists.list(TEMPLATE, 20), Scene::templates)
          .fallback(List.of())
          .about("pictures to trace over; on the stage only, never part of the output");
  private static final Field<Scene, List<Guide>> GUIDES =
      field("guides", Lists.list(GUIDE, 200), Scene::guides)
          .usual(List.of())
          .about("lines that things catch on when they are dragged; never part of the output");
  private static final Field<Scene, List<Cue>> CUES =
      field("cues", Lists.list(CUE, 1000), Scene::cues).fallback(List.of()).about("named moments");
  private static final Field<Scene, Blur> BLUR =
      field("blur", Lists.object(MOTION_BLUR), Scene::blur)
          .fallback(Blur.NONE)
          .about("motion blur");
  private static final Field<Scene, List<String>> STACK =
      field("stack", Types.ids(2000), Scene::stack)
          .fallback(List.of())
          .about(
              "of the items that are in no group, back to front; what it leaves out stands on top,"
                  + " the drawings, pictures, footage, insets, filled paths and colour fields first");

  /** The whole document. */
  static final Schema<Scene> SCENE =
      Schema.<Scene>named("SceneDoc")
          .with(FORMAT, VERSION, NAME, WIDTH, HEIGHT, RATE, LENGTH, BACKGROUND)
          .with(PATHS, ITEMS, TEMPLATES, GUIDES, CUES, BLUR, STACK)
          .keeping(Scene::extras)
          .made(SceneSchema::scene);

  private SceneSchema() {}

  private static List<ItemList.Entry> entries(Scene s) {
    return s.items().values().stream().map(i -> new ItemList.Entry("", i)).toList();
  }

  private static Scene scene(Values v) {
    List<ItemList.Entry> entries = v.get(ITEMS);
    Map<String, Item> items = ItemList.byId(entries);
    List<Cue> cues = new ArrayList<>(v.get(CUES));
    cues.sort(Comparator.comparingDouble(Cue::time));
    Scene scene =
        new Scene(
            v.get(NAME),
            v.get(WIDTH),
            v.get(HEIGHT),
            v.get(RATE),
            v.get(LENGTH),
            v.get(BACKGROUND),
            v.get(PATHS),
            items,
            v.get(TEMPLATES),
            v.get(GUIDES),
            List.copyOf(cues),
            v.get(BLUR),
            GroupCheck.stack(v.fields(), v.get(STACK), items, ItemList.places(entries)),
            Map.of(),
            v.rest());
    SceneChecks.references(scene, entries, v.fields());
    KeyframeCheck.check(scene, ItemList.places(entries), v.fields().problems());
    FollowCheck.check(scene, ItemList.places(entries), v.fields().problems());
    return scene;
  }
}
