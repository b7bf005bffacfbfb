package rovingglyph.proof;

import com.eclipsesource.json.Json;
import com.eclipsesource.json.JsonObject;
import java.util.ArrayList;
import java.util.List;
import java.util.function.BooleanSupplier;
import rovingglyph.document.FieldChanges;
import rovingglyph.frame.PreparedScene;
import rovingglyph.geometry.Decimal;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Effect;
import rovingglyph.scene.Filling;
import rovingglyph.scene.Group;
import rovingglyph.scene.Item;
import rovingglyph.scene.ItemProperties;
import rovingglyph.scene.LetterEffects;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Scene;
import rovingglyph.seat.SeatValues;

/** What only painted frames tell: how letters stand out from what is behind them, and flashes. */
public final class PaintedProof {
  /** WCAG 2.1, success criterion 1.4.3, for large letters. */
  private static final double WANTED = 3;

  /** The same for small ones. */
  private static final double WANTED_SMALL = 4.5;

  /** 18 pt of CSS, px. */
  private static final double LARGE = 24;

  /** Of the letters: so little of them may be hard to see. */
  private static final double SPARED = 0.1;

  /** Frames are painted at most so large to look for contrast, px. */
  private static final double MOST = 1920;

  /** The longer side of the frame is told in so many parts. */
  private static final int PARTS = 24;

  /** Pixels of a part of the frame whose luminance is told, across. */
  private static final int ACROSS = 6;

  /** So many frames before the first one of a part are looked at again: flashes take a second. */
  private static final int AGAIN = 30;

  private final Scene scene;
  private final PaintedFrames.Painter painter;
  private final BooleanSupplier goesOn;
  private final List<Finding> out = new ArrayList<>();

  /**
   * A part of what is found.
   *
   * @param next step from which to go on; -1 where all has been looked at
   */
  public record Part(List<Finding> findings, int next) {}

  private PaintedProof(Scene scene, PaintedFrames.Painter painter, BooleanSupplier goesOn) {
    this.scene = scene;
    this.painter = painter;
    this.goesOn = goesOn;
  }

  /**
   * What is found, in the order of the items: of as many steps as there is time for, at least one.
   * First come the letterings, one by one, then the frames.
   *
   * @param from the step to begin with, 0 at first; beyond the last one nothing is found
   * @param goesOn asked between two steps
   */
  public static Part of(
      PreparedScene prepared, PaintedFrames.Painter painter, int from, BooleanSupplier goesOn) {
    PaintedProof proof = new PaintedProof(prepared.scene(), painter, goesOn);
    int letterings = prepared.scene().letterings().size();
    int step = Math.max(0, from);
    if (step < letterings) {
      step = proof.contrast(step);
    }
    if (step >= letterings && (step == from || goesOn.getAsBoolean())) {
      step = proof.flashes(step - letterings);
      step = step < 0 ? -1 : step + letterings;
    }
    return new Part(proof.out, step);
  }

  /** Looks at letterings from one on; gives the next one. */
  private int contrast(int from) {
    double scale = Math.min(1, MOST / Math.max(scene.width(), scene.height()));
    List<Lettering> letterings = scene.letterings();
    int step = from;
    try (PaintedFrames all = painter.open(scene, scale)) {
      do {
        Lettering l = letterings.get(step++);
        double time = scene.onFrame(Rest.time(l, scene.length()));
        if (!l.text().isBlank() && scene.shows(l, time)) {
          int[] picture = all.at(time).clone();
          try (PaintedFrames alone = painter.open(alone(l), scale)) {
            contrast(l, time, scale, all, picture, alone.at(time));
          }
        }
      } while (step < letterings.size() && goesOn.getAsBoolean());
    }
    return step;
  }

  private void contrast(
      Lettering l, double time, double scale, PaintedFrames size, int[] picture, int[] letters) {
    double em = SeatValues.value(l, Channel.SIZE, time);
    double wanted = em < LARGE ? WANTED_SMALL : WANTED;
    Contrast.Weak weak =
        Contrast.of(
            size.width(),
            size.height(),
            picture,
            letters,
            em * scale,
            line(l, time) * scale,
            wanted);
    if (weak.share() > SPARED) {
      String part =
          weak.share() > 0.9
              ? ""
              : " in " + Decimal.text(100 * weak.share(), 0) + " % of its letters";
      out.add(
          Finding.of(
              Names.of(l)
                  + " hardly stands out from what is behind it"
                  + part
                  + ": a contrast of "
                  + Decimal.text(weak.contrast(), 1)
                  + " to 1, where "
                  + Decimal.text(wanted, 1)
                  + " to 1 reads well. Another colour, an outline or a shadow helps",
              l.id(),
              time));
    }
  }

  /** How far its outlines reach beyond its letters, px. */
  private static double line(Lettering l, double time) {
    double most = 0;
    for (Effect e : l.properties().effects()) {
      if (e.kind() == Effect.Kind.OUTLINE && !e.off()) {
        Channel c = Channel.effect(e.id(), Effect.LINE_WIDTH);
        double width = SeatValues.value(l, c, time);
        double share =
            switch (e.choice(Effect.LINE_SIDE)) {
              case OUTSIDE -> 1;
              case CENTRED -> 0.5;
              case INSIDE -> 0;
            };
        most = Math.max(most, width * share);
      }
    }
    return most;
  }

  /** The scene with nothing but the letters of one lettering, on nothing. */
  private Scene alone(Lettering l) {
    List<Group> round = scene.groupsRound(l.id());
    Scene out = FieldChanges.of(scene, new JsonObject().add("background", Json.NULL));
    for (Item i : scene.items().values()) {
      ItemProperties p = i.properties();
      if (i.id().equals(l.id())) {
        LetterEffects e = l.letterEffects();
        LetterEffects bare = new LetterEffects(e.reveal(), e.sweep(), null, e.recipes(), e.blur());
        Lettering plain = l.with(bare).with(Filling.PLAIN);
        out = out.withItem(plain.with(p.with(List.of()), plain.values()));
      } else if (round.contains(i)) {
        out = out.withItem(i.with(p.with(List.of()), i.values()));
      } else {
        out = out.withItem(i.with(p.flagged(true, p.locked()), i.values()));
      }
    }
    return out;
  }

  /** Looks at frames from one on; gives the next one, or -1 after the last. */
  private int flashes(int from) {
    int longer = Math.max(scene.width(), scene.height());
    int columns = Math.max(1, Math.round((float) PARTS * scene.width() / longer));
    int rows = Math.max(1, Math.round((float) PARTS * scene.height() / longer));
    Flashes flashes = new Flashes(columns, rows);
    double scale = (double) PARTS * ACROSS / longer;
    int step = Math.max(0, from - AGAIN);
    try (PaintedFrames frames = painter.open(scene, scale)) {
      while (step < scene.frameCount() && flashes.first() < 0) {
        double time = scene.rate().timeOf(step++);
        flashes.add(time, light(frames.at(time), frames.width(), frames.height(), columns, rows));
        if (step > from && !goesOn.getAsBoolean()) {
          break;
        }
      }
    }
    if (flashes.first() < 0) {
      return step < scene.frameCount() ? step : -1;
    }
    double begin = Math.max(0, flashes.first() - 1);
    out.add(
        Finding.of(
            "It flashes more than three times in a second, from "
                + Decimal.text(begin, 1)
                + " s on, in a large part of the frame: that can cause seizures. Let it change more"
                + " slowly, or by less",
            "",
            scene.onFrame(begin)));
    return -1;
  }

  /** The mean luminance of the parts of a frame, over black where nothing is painted. */
  private static double[] light(int[] pixels, int width, int height, int columns, int rows) {
    double[] sum = new double[columns * rows];
    int[] n = new int[columns * rows];
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        int part = Math.min(y * rows / height, rows - 1) * columns + x * columns / width;
        int pixel = pixels[y * width + x];
        sum[part] += Light.of(pixel) * (pixel >>> 24) / 255;
        n[part]++;
      }
    }
    for (int i = 0; i < sum.length; i++) {
      sum[i] = n[i] > 0 ? sum[i] / n[i] : 0;
    }
    return sum;
  }
}
