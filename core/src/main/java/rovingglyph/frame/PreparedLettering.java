package rovingglyph.frame;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Projection;
import rovingglyph.geometry.Rect;
import rovingglyph.geometry.Space;
import rovingglyph.geometry.SubPath;
import rovingglyph.geometry.SvgPath;
import rovingglyph.scene.BlendMode;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Filling;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Plane;
import rovingglyph.scene.Seat;
import rovingglyph.scene.Trail;
import rovingglyph.seat.Letters;
import rovingglyph.seat.Placement;
import rovingglyph.seat.RowLayout;
import rovingglyph.seat.SeatValues;
import rovingglyph.setting.SetText;

/**
 * A lettering ready to be evaluated.
 *
 * @param lettering with its landings solved
 * @param groupTransform the groups that it stands in, and what carries them and it
 * @param frame of the scene
 * @param unsolved indexes of path offset keyframes whose landing has no solution
 * @param known the landings found, for the next state of the lettering; null where it has none
 */
public record PreparedLettering(
    Lettering lettering,
    SetText text,
    Seats seats,
    GroupTransform groupTransform,
    Rect frame,
    List<Integer> unsolved,
    KnownLandings known)
    implements PreparedItem {
  /** An opacity from which on a letter is not seen through, as it comes out of a division. */
  private static final double ALL_OF_IT = 1 - 1e-9;

  PreparedLettering solved(Lettering l, List<Integer> missing) {
    return new PreparedLettering(l, text, seats, groupTransform, frame, missing, known);
  }

  PreparedLettering with(KnownLandings landings) {
    return new PreparedLettering(lettering, text, seats, groupTransform, frame, unsolved, landings);
  }

  PreparedLettering standing(Lettering l, GroupTransform there) {
    return new PreparedLettering(l, text, seats, there, frame, unsolved, known);
  }

  /** The values at a time in seconds, each within its range. */
  public SeatValues values(double time) {
    return SeatValues.at(lettering, time);
  }

  /** The first row on its path as that is at the values' time. */
  public RowLayout seating(SeatValues v) {
    return seats.first(lettering, v);
  }

  /** The first row as it would be with other fields of the lettering. */
  public RowLayout as(Lettering other, double time) {
    return new Seats(other, seats.path(), text).first(other, SeatValues.at(other, time));
  }

  /** All rows. */
  public List<RowLayout> rows(SeatValues v) {
    return seats.at(lettering, v);
  }

  /** What its rotation turns about. */
  public Point centre(SeatValues v) {
    return seats.path().centre(v.time());
  }

  /** The placements of a row with the rotation about the centre applied. */
  public List<Placement> placements(RowLayout row) {
    List<Placement> out = new ArrayList<>();
    for (Placement p : row.place()) {
      out.add(turned(row, p));
    }
    return out;
  }

  /** The placement of one letter of a row with the rotation about the centre applied. */
  public Placement placement(RowLayout row, int letter) {
    return turned(row, row.place(letter));
  }

  /** The placements of the first row. */
  public List<Placement> placements(SeatValues v) {
    return placements(seating(v));
  }

  /** The placements of a row with what the groups round it do, in pixels of the frame. */
  public List<Placement> inFrame(RowLayout row) {
    if (isDeep()) {
      double time = row.values().time();
      return inSpace(time, groupTransform.space(time)).places(row, placements(row));
    }
    Projection groups = groupTransform.map(row.values().time());
    List<Placement> out = new ArrayList<>();
    for (Placement p : placements(row)) {
      Affine map = groups.near(p.at());
      double turn = Math.atan2(map.b(), map.a());
      double scale = Math.hypot(map.a(), map.b());
      out.add(p.turned(map.apply(p.at()), turn).scaled(scale));
    }
    return out;
  }

  /** What its own rotation does to it. */
  public Affine turned(double time) {
    return turn(values(time));
  }

  /** The lettering's own rotation. */
  public Affine turn(SeatValues v) {
    return turn(v, v.rotation());
  }

  /** A rotation about the centre of its path. */
  Affine turn(SeatValues v, double degrees) {
    return degrees == 0 ? Affine.IDENTITY : Affine.rotate(Math.toRadians(degrees), centre(v));
  }

  private Placement turned(RowLayout row, Placement p) {
    double degrees = row.value(Channel.ROTATION, p.letter());
    return degrees == 0
        ? p
        : p.turned(turn(row.values(), degrees).apply(p.at()), Math.toRadians(degrees));
  }

  /** The ink of one letter of a row. */
  GlyphOutlines ink(RowLayout row, Placement turned) {
    double degrees = row.value(Channel.ROTATION, turned.letter());
    return new GlyphOutlines(row, turned, turn(row.values(), degrees), lettering.seat().method());
  }

  private boolean bent() {
    return lettering.seat().method() == Seat.GlyphMethod.BENT;
  }

  /** Whether outlines are not the same at all times: bent letters, and axes that move. */
  public boolean reshapes(RowLayout row) {
    return bent() || row.letters().stream().anyMatch(l -> !l.axes().isEmpty());
  }

  /** The outlines of a rigid letter as its axes have them now, in em from its cluster's origin. */
  public List<SubPath> outlines(RowLayout row, int letter) {
    return ink(row, row.place(letter)).inEm();
  }

  /**
   * The closed polygons of a bent letter in scene pixels, x and y by turns.
   *
   * @param turned whether the rotation is applied to the placement, and to be in the polygons
   */
  public List<double[]> polygons(RowLayout row, Placement p, boolean turned) {
    return turned
        ? ink(row, p).polygons()
        : new GlyphOutlines(row, p, Affine.IDENTITY, lettering.seat().method()).polygons();
  }

  /**
   * Whether its letters are faded one by one: there is no one opacity for all then, and what lies
   * under a letter shows through it.
   */
  public boolean fadesByLetter() {
    return lettering.movable(Channel.OPACITY).stagger() != null
        || lettering.letterEffects().reveal() != null
        || lettering.letterEffects().sweep() != null;
  }

  @Override
  public double opacity(double time) {
    return fadesByLetter() ? 1 : values(time).opacity() / 100;
  }

  @Override
  public boolean overlaps(double time) {
    return bent()
        || lettering.letterEffects().trail() != null
        || lettering.filling().isGraded()
        || hasSolids()
        || lettering.setting().rules().stream().anyMatch(r -> r.fill() != null);
  }

  @Override
  public List<ItemShape> shapes(double time) {
    return ink(time, opacity(time)).stream().map(this::shape).toList();
  }

  @Override
  public boolean isDeep() {
    Plane plane = lettering.properties().plane();
    return plane != null && plane.isDeep();
  }

  /** Whether there is more than letters, see {@link RingSolids}. */
  private boolean hasSolids() {
    Plane plane = lettering.properties().plane();
    return plane != null && plane.hasSolids();
  }

  @Override
  public List<ItemShape> shapes(double time, Space space) {
    return isDeep() ? inSpace(time, space).shapes(ink(time, opacity(time))) : shapes(time);
  }

  /** Its letters as they stand in space. */
  private LettersInSpace inSpace(double time, Space space) {
    return new LettersInSpace(this, time, space);
  }

  private ItemShape shape(LetterInk i) {
    double unit = bent() ? 1 : i.row().size();
    int letter = i.place().letter();
    return new ItemShape(
        ink(i.row(), i.place()).pieces(), unit, i.alpha(), c -> i.row().value(c, letter));
  }

  @Override
  public boolean solid() {
    return lettering.filling().isSolid();
  }

  /**
   * Where the gradient that a letter is filled with begins and ends: in em from the middle of its
   * advance, or where letters are bent in the pixels of the path.
   *
   * @param turned whether the rotation is in these pixels
   */
  public List<Point> gradient(RowLayout row, int letter, boolean turned) {
    Placement p = turned(row, row.place(letter));
    return gradient(row, p, turned ? p : row.place(letter));
  }

  private List<Point> gradient(RowLayout row, Placement turned, Placement standing) {
    List<Point> ends = LetterGradient.ends(lettering.filling().across(), row, turned, frame);
    Affine map = bent() ? Letters.map(standing) : Affine.IDENTITY;
    return ends.stream().map(map::apply).toList();
  }

  private FramePaint graded(LetterInk i) {
    List<Point> ends = gradient(i.row(), i.place(), i.place());
    Affine map = bent() ? Affine.IDENTITY : Letters.map(i.place());
    return graded(ends, Projection.of(map), i.alpha());
  }

  /** The gradient that letters are filled with, between its ends under a map. */
  FramePaint graded(List<Point> ends, Projection map, double alpha) {
    Filling f = lettering.filling();
    boolean linear = f.kind() == Filling.Kind.LINEAR;
    return FramePaint.graded(linear, f.stops(), ends.get(0), ends.get(1), map, alpha);
  }

  /** Whether a letter is filled as the lettering is, not as a rule says. */
  boolean isOwn(LetterInk i) {
    return i.row().letters().get(i.place().letter()).fill() == null;
  }

  /**
   * All that is seen at a time.
   *
   * @param whole what they are faded by as a whole, which is not in their own alpha
   */
  List<LetterInk> ink(double time, double whole) {
    return letters(time).stream()
        .filter(i -> i.alpha() > 0)
        .map(i -> new LetterInk(i.row(), i.place(), i.alpha() / whole, i.number()))
        .toList();
  }

  /** All letters that stand somewhere, those that are not revealed too. */
  private List<LetterInk> letters(double time) {
    return letters(rows(values(time)));
  }

  private List<LetterInk> letters(List<RowLayout> rows) {
    return printed(rows).stream().filter(i -> i.place().visible()).toList();
  }

  /** All letters that are no spaces, those too that stand nowhere. */
  List<LetterInk> printed(List<RowLayout> rows) {
    List<LetterInk> out = new ArrayList<>();
    for (RowLayout row : rows) {
      for (Placement p : placements(row)) {
        if (!row.letters().get(p.letter()).isSpace()) {
          out.add(new LetterInk(row, p, p.alpha(), out.size()));
        }
      }
    }
    return out;
  }

  /**
   * The outlines of all letters as they are seen, those too that are not revealed or have faded
   * away.
   */
  List<Piece> pieces(double time, Space space) {
    if (isDeep()) {
      return inSpace(time, space).pieces(letters(time));
    }
    Projection map = space.plane();
    return letters(time).stream()
        .flatMap(i -> ink(i.row(), i.place()).pieces().stream())
        .map(p -> p.mapped(map))
        .toList();
  }

  @Override
  public void paint(Frame frame, double time, double opacity, Outlines outlines) {
    paint(frame, time, opacity, outlines, true);
  }

  /** Paints one thing beside its letters. */
  void paintSolid(Frame frame, double time, double opacity, RingPart part) {
    double whole = opacity == opacity(time) ? 1 : opacity(time);
    double alpha = values(time).opacity() / 100 / whole;
    inSpace(time, frame.space()).paintSolid(frame, part, alpha);
  }

  /**
   * The same.
   *
   * @param solids whether what is beside the letters is there too
   */
  void paint(Frame frame, double time, double opacity, Outlines outlines, boolean solids) {
    SeatValues v = values(time);
    // What is faded as a whole is not faded in its letters, too.
    double whole = opacity == opacity(time) ? 1 : opacity(time);
    Trail trail = lettering.letterEffects().trail();
    if (trail != null && v.opacity() > 0 && frame.half() != Half.NEAR) {
      for (RowLayout row : rows(v)) {
        TrailLine.paint(frame, trail, row, turn(v), v.opacity() / 100 / whole);
      }
    }
    List<LetterInk> all = ink(time, whole);
    if (isDeep()) {
      inSpace(time, frame.space())
          .paint(frame, all, outlines, solids ? v.opacity() / 100 / whole : 0);
      return;
    }
    if (outlines.isEmpty()) {
      fill(frame, all);
      return;
    }
    // A letter that fades is one with its outlines. All others lie over the outlines of all.
    for (LetterInk i : all) {
      if (isFading(i)) {
        frame.push(i.alpha(), BlendMode.NORMAL, LayerEffects.NONE);
        outlined(frame, List.of(i.opaque()), outlines);
        frame.pop();
      }
    }
    outlined(frame, all.stream().filter(i -> !isFading(i)).toList(), outlines);
  }

  /** Whether something is seen through a letter. */
  static boolean isFading(LetterInk i) {
    return !isWhole(i.alpha());
  }

  /** Whether nothing is seen through a letter of an opacity. */
  public static boolean isWhole(double alpha) {
    return alpha >= ALL_OF_IT;
  }

  private void outlined(Frame frame, List<LetterInk> all, Outlines outlines) {
    List<ItemShape> shapes = all.stream().map(this::shape).toList();
    outlines.beneath(frame, () -> shapes, solid());
    fill(frame, all);
    outlines.over(frame, () -> shapes);
  }

  private void fill(Frame frame, List<LetterInk> all) {
    Filling filling = lettering.filling();
    LetterInk last = null;
    for (LetterInk i : all) {
      boolean own = filling.kind() != Filling.Kind.PLAIN && isOwn(i);
      if (own && filling.kind() == Filling.Kind.NONE) {
        continue;
      }
      if (own) {
        frame.fill(graded(i));
        last = null;
      } else {
        // Letters bent over themselves run the other way round: in one area they would cancel.
        if (last == null || bent() || !alike(last, i)) {
          frame.fill(i.place().fill(), i.alpha());
        }
        last = i;
      }
      ink(i.row(), i.place()).paint(frame);
    }
  }

  private static boolean alike(LetterInk a, LetterInk b) {
    return a.row() == b.row() && a.place().fill() == b.place().fill() && a.alpha() == b.alpha();
  }

  /** The line under a row as path data, empty where there is none; with its rotation if asked. */
  public String trail(RowLayout row, boolean turned) {
    Affine turn = turned ? turn(row.values()) : Affine.IDENTITY;
    return SvgPath.write(TrailLine.pieces(lettering.letterEffects().trail(), row, turn), 2);
  }

  /**
   * From where to where along its track the line under a row goes, px: before it is cut to the
   * track or brought round. From is not less than to where there is none.
   */
  public double[] trailSpan(RowLayout row) {
    return TrailLine.span(lettering.letterEffects().trail(), row);
  }

  /**
   * The path offsets at which no outline touches the rectangle, as pairs from and to, looked for in
   * equal steps; all other values are those of a time.
   */
  public double[] outOfFrame(Rect area, double time, double from, double to, int steps) {
    FrameProbe probe = new FrameProbe(this, values(time), area);
    double[] out = new double[steps + 2];
    int n = 0;
    boolean was = false;
    for (int i = 0; i < steps; i++) {
      double offset = from + (to - from) * i / (steps - 1);
      boolean is = !probe.read(offset).in();
      if (is != was) {
        out[n++] = offset;
        was = is;
      }
    }
    if (was) {
      out[n++] = to;
    }
    return Arrays.copyOf(out, n);
  }

  @Override
  public boolean touches(double time, Window spot) {
    return touches(values(time), spot)
        || hasSolids() && inSpace(time, spot.space()).solidTouches(spot);
  }

  /** Whether any outline touches the rectangle, by the outlines themselves and not their boxes. */
  public boolean touches(SeatValues v, Rect area) {
    return touches(v, window(v, area));
  }

  private boolean touches(SeatValues v, Window window) {
    if (isDeep()) {
      return inSpace(v.time(), window.space()).touches(letters(rows(v)), window);
    }
    for (RowLayout row : rows(v)) {
      for (Placement p : placements(row)) {
        if (p.visible() && ink(row, p).touches(window)) {
          return true;
        }
      }
    }
    return false;
  }

  /** Whether the line under the text touches the rectangle. */
  public boolean trailTouches(SeatValues v, Rect area) {
    Trail trail = lettering.letterEffects().trail();
    if (trail == null || v.opacity() <= 0) {
      return false;
    }
    Window window = window(v, area);
    Affine turn = turn(v);
    for (RowLayout row : rows(v)) {
      for (Contour piece : TrailLine.pieces(trail, row, turn)) {
        int n = (int) Math.max(2, Math.min(2000, piece.length() / 2));
        for (int i = 0; i <= n; i++) {
          Point p = piece.at(piece.length() * i / n).point();
          if (window.depth(p) >= -trail.width() / 2) {
            return true;
          }
        }
      }
    }
    return false;
  }

  /** Whether one letter's outlines reach into a window. */
  boolean touches(RowLayout row, int letter, Window window) {
    Placement p = turned(row, row.place(letter));
    return p.visible() && ink(row, p).touches(window);
  }

  /** A part of the frame as the lettering sees it at the time of the values. */
  Window window(SeatValues v, Rect area) {
    return new Window(area, groupTransform.space(v.time()));
  }
}
