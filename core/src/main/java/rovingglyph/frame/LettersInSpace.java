package rovingglyph.frame;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.IntUnaryOperator;
import java.util.stream.Stream;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Space;
import rovingglyph.motion.Timeline;
import rovingglyph.scene.BlendMode;
import rovingglyph.scene.Channel;
import rovingglyph.scene.Filling;
import rovingglyph.scene.Lettering;
import rovingglyph.scene.Plane;
import rovingglyph.seat.Placement;
import rovingglyph.seat.RowLayout;
import rovingglyph.seat.SeatValues;
import rovingglyph.type.Outline;

/** The letters of a lettering at one time as they stand in space: painted, outlined and hit. */
final class LettersInSpace implements LetterCards.Shapes {
  /** Edges of letters that have thickness are not made for larger ones than these, px an em. */
  private static final double MOST_PX = 8000;

  /** Smaller than this a letter has no lines. */
  private static final double LEAST_SCALE = 1e-6;

  private final PreparedLettering prepared;
  private final Lettering lettering;
  private final Space space;
  private final LetterCards cards;

  /** The thickness of letters; null where they have none. */
  private final BodyLook look;

  /** The colour of what is seen from behind, where that has one. */
  private final int backs;

  private final double time;

  /** What there is beside letters, made on first use; null where there is nothing. */
  private RingSolids made;

  /**
   * @param prepared one that has a plane
   * @param space how things in its plane are seen
   */
  LettersInSpace(PreparedLettering prepared, double time, Space space) {
    this.prepared = prepared;
    this.lettering = prepared.lettering();
    this.space = space;
    this.backs =
        Timeline.colour(lettering.movable(Channel.BACK_COLOUR), time, lettering.setting().mix());
    this.look = BodyLook.of(lettering, time);
    this.cards =
        new LetterCards(
            lettering.properties().plane(),
            space,
            value(Channel.LEAN, time),
            look == null ? 0 : look.thickness(),
            new Point(value(Channel.PLANE_X, time), value(Channel.PLANE_Y, time)));
    this.time = time;
  }

  /** What there is beside letters; null where there is nothing. */
  private RingSolids ring() {
    if (made == null && lettering.properties().plane().hasSolids()) {
      made = solids();
    }
    return made;
  }

  private RingSolids solids() {
    SeatValues v = prepared.values(time);
    RingLook there = RingLook.of(lettering, prepared.centre(v), time);
    RingView view = there == null ? null : RingView.of(space);
    boolean facing = lettering.properties().plane().stance() == Plane.Stance.FACING;
    return view == null
        ? null
        : RingSolids.of(
            there, view, prepared.seating(v).contour(), prepared.turn(v), cards::up, facing);
  }

  private double value(Channel c, double time) {
    return c.clamp(Timeline.value(lettering.movable(c), time));
  }

  @Override
  public GlyphOutlines ink(LetterInk i) {
    return prepared.ink(i.row(), i.place());
  }

  @Override
  public Affine turn(LetterInk i) {
    return prepared.turn(i.row().values(), i.row().value(Channel.ROTATION, i.letter()));
  }

  /** All letters with outlines, those too of which nothing is seen. */
  List<Card> all(List<LetterInk> letters) {
    return letters.stream().map(i -> cards.card(i, this)).filter(c -> !c.box().isEmpty()).toList();
  }

  /** What is painted of the letters of a half, back to front. */
  List<Card> ordered(List<LetterInk> letters, Half half) {
    return cards.ordered(cards.half(cards.of(letters, this), half));
  }

  /** Whether a card is seen from before, or its back is seen. */
  boolean isSeen(Card c) {
    return cards.isSeen(c);
  }

  /** The plain colour of a card in the light. */
  int lit(Card c) {
    int own = colour(c);
    return look == null ? own : new BodyShade(c, space, look, own).cap(own, c.isBack());
  }

  private int colour(Card c) {
    return isColouredBack(c) ? backs : c.ink().place().fill();
  }

  private boolean isColouredBack(Card c) {
    return c.isBack() && lettering.properties().plane().backs() == Plane.Backs.COLOURED;
  }

  /** Where letters of a row are seen, and how large; where a back is not seen, it is not there. */
  List<Placement> places(RowLayout row, List<Placement> placements) {
    List<Placement> out = new ArrayList<>();
    for (Placement p : placements) {
      Card c = cards.card(new LetterInk(row, p, p.alpha(), 0), this);
      Affine map = c.map(space).near(Point.ORIGIN);
      double size = Math.sqrt(Math.abs(map.a() * map.d() - map.b() * map.c()));
      double em = Math.sqrt(Math.abs(p.width() * p.height()));
      double angle = Math.atan2(map.b(), map.a());
      Placement there =
          p.turned(new Point(map.e(), map.f()), angle - p.angle()).scaled(em > 0 ? size / em : 0);
      out.add(cards.isSeen(c) ? there : there.gone());
    }
    return out;
  }

  /** What of letters is outlined, as it is seen: of thick ones their fronts. */
  List<ItemShape> shapes(List<LetterInk> letters) {
    List<Card> seen = cards.of(letters, this);
    return (look == null ? seen : seen.stream().flatMap(c -> cap(c).stream()).toList())
        .stream().map(this::shape).toList();
  }

  private Optional<Card> cap(Card c) {
    LetterBody body = body(c);
    return body.hasCap() ? Optional.of(body.cap()) : Optional.empty();
  }

  private ItemShape shape(Card c) {
    double unit = c.isFlat() ? c.ink().row().size() : 1 / Math.max(c.scale(space), LEAST_SCALE);
    return new ItemShape(
        c.seen(space), unit, c.ink().alpha(), k -> c.ink().row().value(k, c.ink().letter()));
  }

  /** The outlines of letters as they are seen. */
  List<Piece> pieces(List<LetterInk> letters) {
    return cards.of(letters, this).stream().flatMap(c -> seen(c).stream()).toList();
  }

  private List<Piece> seen(Card c) {
    if (look == null) {
      return c.seen(space);
    }
    LetterBody body = body(c);
    List<Piece> out = new ArrayList<>();
    body.sides(1).forEach(f -> out.add(piece(f)));
    cap(c).ifPresent(cap -> out.addAll(cap.seen(space)));
    return out;
  }

  private LetterBody body(Card c) {
    Placement p = c.ink().place();
    double em = Math.max(Math.abs(p.width()), Math.abs(p.height()));
    double px = Math.min(Math.max(em * c.scale(space), 1), MOST_PX);
    GlyphOutlines ink = ink(c.ink());
    boolean bent = !c.isFlat();
    return new LetterBody(
        c, space, look, ink.rims(px, bent), bent ? cards.mould(ink) : null, sides(c.ink()));
  }

  /** The colour of the sides of a letter before light falls on them. */
  private int sides(LetterInk i) {
    if (look.sides() >= 0) {
      return look.sides();
    }
    Filling filling = lettering.filling();
    return filling.isGraded() && prepared.isOwn(i) ? filling.mean() : i.place().fill();
  }

  /** Whether the ink of letters reaches into a part of the frame. */
  boolean touches(List<LetterInk> letters, Window window) {
    return cards.half(cards.of(letters, this), window.half()).stream()
        .filter(c -> !c.isFlat() || c.seenBox(space).meets(window.area()))
        .flatMap(c -> seen(c).stream())
        .anyMatch(p -> AreaTouch.touches(Outline.of(p.subPaths()), p.map(), window.area()));
  }

  /**
   * How large a radius a core may have for no letter to go into it; NaN where none does now.
   *
   * @param touch into which a letter may go so far, px
   */
  double room(List<LetterInk> letters, double touch) {
    double out = Double.POSITIVE_INFINITY;
    for (Card c : ring() == null ? List.<Card>of() : all(letters)) {
      out = Math.min(out, ring().room(LetterCrossings.outlines(c)));
    }
    return ring() != null && out < ring().radius() - touch ? out : Double.NaN;
  }

  /** Whether anything that is no letter reaches into a part of the frame. */
  boolean solidTouches(Window window) {
    if (ring() == null) {
      return false;
    }
    return Stream.of(RingPart.values())
        .filter(p -> p.isIn(window.half()))
        .flatMap(p -> ring().faces(p).stream())
        .map(LettersInSpace::piece)
        .anyMatch(p -> AreaTouch.touches(Outline.of(p.subPaths()), p.map(), window.area()));
  }

  private static Piece piece(LetterBody.Face f) {
    return Piece.own(f.polygons().stream().map(GlyphOutlines::lines).toList(), Affine.IDENTITY);
  }

  /**
   * Paints letters: what is farther away than the middle with its outlines first, then the rest.
   * Where there is more than letters, they come in as many parts as that has places for them.
   *
   * @param alpha of all that is no letter
   */
  void paint(Frame frame, List<LetterInk> letters, Outlines outlines, double alpha) {
    frame.mapped(Space.FLAT);
    if (ring() == null) {
      List<Card> ordered = ordered(letters, frame.half());
      int near = 0;
      while (near < ordered.size() && cards.isFar(ordered.get(near))) {
        near++;
      }
      cards(frame, ordered.subList(0, near), outlines);
      cards(frame, ordered.subList(near, ordered.size()), outlines);
    } else {
      List<Card> together = new ArrayList<>();
      for (Stacked s : stack(letters, frame.half())) {
        if (s.card != null) {
          together.add(s.card);
        } else {
          cards(frame, together, outlines);
          together.clear();
          solid(frame, s.solid, alpha);
        }
      }
      cards(frame, together, outlines);
    }
    frame.mapped(space);
  }

  /** What is painted: a card, or where that is null something beside the letters. */
  record Stacked(Card card, RingPart solid) {}

  /** All that is painted of a half, back to front. */
  List<Stacked> stack(List<LetterInk> letters, Half half) {
    List<Stacked> out = new ArrayList<>();
    List<Card> ordered = ordered(letters, half);
    if (ring() == null) {
      ordered.forEach(c -> out.add(new Stacked(c, null)));
      return out;
    }
    List<Integer> slots = ordered.stream().map(c -> ring().slot(c, cards.left(c, this))).toList();
    RingPart[] parts = RingPart.values();
    for (int slot = 0; slot <= parts.length; slot++) {
      for (int i = 0; i < slots.size(); i++) {
        if (slots.get(i) == slot) {
          out.add(new Stacked(ordered.get(i), null));
        }
      }
      if (slot < parts.length && parts[slot].isIn(half) && ring().has(parts[slot])) {
        out.add(new Stacked(null, parts[slot]));
      }
    }
    return out;
  }

  private void cards(Frame frame, List<Card> part, Outlines outlines) {
    if (look != null) {
      part.forEach(c -> thick(frame, c, outlines));
    } else if (outlines.isEmpty()) {
      part.forEach(c -> fill(frame, c));
    } else {
      outlined(frame, part, outlines);
    }
  }

  /** Paints one thing beside the letters. */
  void paintSolid(Frame frame, RingPart part, double alpha) {
    if (ring() != null && ring().has(part)) {
      frame.mapped(Space.FLAT);
      solid(frame, part, alpha);
      frame.mapped(space);
    }
  }

  /** What is seen through is painted as a whole, because its faces lie over each other a little. */
  private void solid(Frame frame, RingPart part, double alpha) {
    if (alpha <= 0) {
      return;
    }
    boolean whole = PreparedLettering.isWhole(alpha);
    if (!whole) {
      frame.push(alpha, BlendMode.NORMAL, LayerEffects.NONE);
    }
    ring().faces(part).forEach(f -> face(frame, f));
    if (!whole) {
      frame.pop();
    }
  }

  private static void face(Frame frame, LetterBody.Face f) {
    frame.fill(f.paint());
    frame.beginInline();
    f.polygons().forEach(frame::polygon);
    frame.endInline();
  }

  /** A letter that fades is one with its outlines. All others lie over the outlines of all. */
  private void outlined(Frame frame, List<Card> part, Outlines outlines) {
    List<Card> whole = new ArrayList<>();
    for (Card c : part) {
      if (PreparedLettering.isFading(c.ink())) {
        frame.push(c.ink().alpha(), BlendMode.NORMAL, LayerEffects.NONE);
        together(frame, List.of(c.opaque()), outlines);
        frame.pop();
      } else {
        whole.add(c);
      }
    }
    together(frame, whole, outlines);
  }

  private void together(Frame frame, List<Card> part, Outlines outlines) {
    List<ItemShape> shapes = part.stream().map(this::shape).toList();
    outlines.beneath(frame, () -> shapes, prepared.solid());
    part.forEach(c -> fill(frame, c));
    outlines.over(frame, () -> shapes);
  }

  /** The sides of a letter, then its front or back. One that fades does as a whole. */
  private void thick(Frame frame, Card c, Outlines outlines) {
    if (PreparedLettering.isFading(c.ink())) {
      frame.push(c.ink().alpha(), BlendMode.NORMAL, LayerEffects.NONE);
      thick(frame, c.opaque(), outlines);
      frame.pop();
      return;
    }
    LetterBody body = body(c);
    if (!isHollow(c.ink())) {
      body.sides(c.ink().alpha()).forEach(f -> face(frame, f));
    }
    if (body.hasCap()) {
      Card cap = body.cap();
      List<ItemShape> shapes = outlines.isEmpty() ? List.of() : List.of(shape(cap));
      outlines.beneath(frame, () -> shapes, prepared.solid());
      fill(frame, cap, body::lit);
      outlines.over(frame, () -> shapes);
    }
  }

  private boolean isHollow(LetterInk i) {
    return lettering.filling().kind() == Filling.Kind.NONE && prepared.isOwn(i);
  }

  private void fill(Frame frame, Card c) {
    fill(frame, c, rgb -> rgb);
  }

  /**
   * Fills what is flat.
   *
   * @param light what becomes of colours in the light
   */
  private void fill(Frame frame, Card c, IntUnaryOperator light) {
    LetterInk i = c.ink();
    Filling filling = lettering.filling();
    boolean own = filling.kind() != Filling.Kind.PLAIN && prepared.isOwn(i);
    if (isHollow(i)) {
      return;
    }
    if (own && !isColouredBack(c)) {
      List<Point> ends =
          LetterGradient.ends(filling.across(), i.row(), i.place(), prepared.frame());
      frame.fill(prepared.graded(ends, c.map(space), i.alpha()).lit(light));
    } else {
      frame.fill(light.applyAsInt(colour(c)), i.alpha());
    }
    c.seen(space).forEach(frame::area);
  }
}
