package rovingglyph.edit;

import static rovingglyph.edit.Arguments.ID;
import static rovingglyph.edit.Command.argument;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonArray;
import com.eclipsesource.json.JsonObject;
import java.util.List;
import rovingglyph.document.PathCodec;
import rovingglyph.scene.AnimatedValue;
import rovingglyph.scene.Channel;
import rovingglyph.scene.GuidePath;
import rovingglyph.scene.PathLabel;
import rovingglyph.scene.Scene;
import rovingglyph.scene.ShapeKind;
import rovingglyph.scene.ShapePath;
import rovingglyph.schema.Field;
import rovingglyph.schema.Types;
import rovingglyph.schema.Values;

/**
 * Small whole pieces to start from: words {@code id} on a path {@code path} of their own, made to
 * the frame, that move. They are written by the edits that anybody can make.
 */
final class ReadyPieces {
  private enum Piece {
    BADGE,
    TITLE,
    BORDER
  }

  /**
   * A curve up from the left, nearly level in its middle and on to the right, the same turned about
   * the middle of the frame: x, of the frame's width from its left, and y, of its lesser side from
   * its middle, by turns.
   */
  private static final double[] SWOOP = {
    -0.2, 0.4, 0.02, 0.2, 0.2, 0.07, 0.36, 0.01, 0.5, 0, 0.64, -0.01, 0.8, -0.07, 0.98, -0.2, 1.2,
    -0.4
  };

  private static final List<Channel> CORNERS =
      List.of(Channel.TOP_LEFT, Channel.TOP_RIGHT, Channel.BOTTOM_RIGHT, Channel.BOTTOM_LEFT);

  private static final Field<Values, Piece> PIECE = argument("piece", Types.choice(Piece.values()));
  private static final Field<Values, String> PATH = argument("path", Types.id());

  static final List<Command> ALL =
      List.of(
          Command.of(
              "readyPiece",
              "Began with a ready piece",
              List.of(ID, PATH, PIECE),
              (scene, v) -> new ReadyPieces(scene, v).made(v.get(PIECE))));

  private final Scene scene;
  private final String id;
  private final String path;

  /** The lesser side of the frame, px. */
  private final double side;

  private ReadyPieces(Scene scene, Values v) {
    this.scene = scene;
    this.id = v.get(ID);
    this.path = v.get(PATH);
    this.side = Math.min(scene.width(), scene.height());
  }

  private Scene made(Piece piece) {
    return switch (piece) {
      case BADGE -> going(circle(), "your words\ngo round and round", 0.085);
      case TITLE -> title();
      case BORDER -> going(border(), "your words run\nround the frame", 0.055);
    };
  }

  /** A length that is so much of the lesser side, in whole px. */
  private double px(double share) {
    return Math.max(1, Math.round(share * side));
  }

  private ShapePath shape(ShapeKind kind) {
    String name = NewPaths.free(scene, kind.word());
    return NewPaths.shape(kind, new PathLabel(path, name), scene.width(), scene.height());
  }

  private GuidePath circle() {
    return shape(ShapeKind.CIRCLE).with(Channel.RADIUS, new AnimatedValue(px(0.33)));
  }

  private GuidePath border() {
    double margins = 2 * px(0.11);
    GuidePath out =
        shape(ShapeKind.RECTANGLE)
            .with(Channel.WIDTH, new AnimatedValue(Math.max(1, scene.width() - margins)))
            .with(Channel.HEIGHT, new AnimatedValue(Math.max(1, scene.height() - margins)));
    for (Channel corner : CORNERS) {
      out = out.with(corner, new AnimatedValue(px(0.12)));
    }
    return out;
  }

  /** Words all along a path that comes round, once round in the scene's time. */
  private Scene going(GuidePath on, String text, double size) {
    JsonObject fields =
        look(size)
            .add("casing", "upper")
            .add("phrases", new JsonObject().add("separator", "\u2022").add("space", 0.35));
    Scene s = words(on, text, fields);
    s = edit(s, seat(new JsonObject().add("fit", "repeat").add("align", "start")));
    return edit(s, recipe("endless-lap"));
  }

  /** Words that come up a slope from the left and stay in the middle. */
  private Scene title() {
    JsonArray points = new JsonArray();
    for (int i = 0; i < SWOOP.length; i += 2) {
      double x = Math.round(SWOOP[i] * scene.width());
      double y = Math.round(scene.height() / 2.0 + SWOOP[i + 1] * side);
      points.add(new JsonArray().add(x).add(y));
    }
    JsonObject curve =
        new JsonObject()
            .add("id", path)
            .add("name", NewPaths.free(scene, "Curve"))
            .add("kind", "smooth")
            .add("points", points);
    Scene s = words(PathCodec.read(curve), "Your title", look(0.12));
    return edit(s, recipe("enter-hold-leave").add("leaves", "stays").add("enter", enter()));
  }

  /** In scenes that are short it comes the more quickly. */
  private double enter() {
    return Math.min(1.4, scene.length() / 3);
  }

  private JsonObject look(double size) {
    return new JsonObject().add("face", "league-spartan").add("size", px(size));
  }

  private Scene words(GuidePath on, String text, JsonObject fields) {
    JsonObject added =
        new JsonObject().add(Command.OP, "addLettering").add("id", id).add("on", path);
    return edit(edit(scene.adding(on), added.add("text", text)), changed(fields));
  }

  private JsonObject changed(JsonObject fields) {
    return new JsonObject()
        .add(Command.OP, "change")
        .add("items", new JsonArray().add(id))
        .add(Command.FIELDS, fields);
  }

  private JsonObject seat(JsonObject fields) {
    return changed(fields).add("part", "seat");
  }

  private JsonObject recipe(String kind) {
    return new JsonObject().add(Command.OP, "recipe").add("item", id).add("kind", kind);
  }

  private static Scene edit(Scene s, JsonObject edit) {
    JsonObject plain = Json.parse(edit.toString()).asObject();
    return Commands.of(edit.getString(Command.OP, "")).apply(new Command.Target(s, null), plain);
  }
}
