package rovingglyph.frame;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Arc;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Cubic;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Quadratic;
import rovingglyph.geometry.Rect;
import rovingglyph.geometry.Segment;
import rovingglyph.geometry.SubPath;
import rovingglyph.scene.BlendMode;
import rovingglyph.scene.Matte;
import rovingglyph.type.Outline;

/**
 * What is to be painted at one time, back to front, as one list of numbers: for each entry its
 * {@link Op}, how many numbers follow, and those. {@link FrameReader} reads it.
 *
 * <p>The outlines of an area are one after another: the index of one of the prepared scene's and
 * the six numbers of its map to scene pixels, as in SVG's {@code matrix()}; or, where it is of this
 * frame alone, {@link #INLINE}, how many numbers follow, and those, which are {@link PathStep}s.
 * They are one area, filled once, so that overlapping letters of one lettering do not show through
 * each other. A line may also have {@link #MAPPED}, the six numbers of a map, and steps.
 */
public final class Frame {
  /** Numbers before what an entry holds. */
  static final int HEAD = 2;

  /** Numbers per outline of the scene. */
  static final int STRIDE = 7;

  /** Instead of an index: steps in scene pixels follow. */
  static final int INLINE = -1;

  /** Instead of an index: a map and steps in units of their own follow. */
  static final int MAPPED = -2;

  /** Where the box of a layer stands in its entry. */
  private static final int BOX = HEAD + 2;

  private final List<Outline> outlines;
  private double[] numbers = new double[256];
  private int size;
  private int entry = -1;
  private int steps;
  private Affine map = Affine.IDENTITY;
  private int outlinesFrom;
  private int imagesFrom;

  /** Where the entries of the open layers begin, outermost first. */
  private final List<Integer> layers = new ArrayList<>();

  /** What they are from where a matte begins; null before. */
  private final List<Measured> boxes = new ArrayList<>();

  /** How far beyond its points the present entry paints, px. */
  private double around;

  /** Whether points are written as they are given, and only their box is mapped. */
  private boolean ownUnits;

  /**
   * @param outlines that are named by index
   */
  Frame(List<Outline> outlines) {
    this.outlines = outlines;
  }

  /** What follows is given in pixels that this map brings to those of the scene. */
  void mapped(Affine inner) {
    map = inner;
  }

  /** The map that was given last. */
  Affine map() {
    return map;
  }

  /** What follows names outlines and pictures of another scene, which begin at these indexes. */
  void beginInset(int firstOutline, int firstImage) {
    outlinesFrom += firstOutline;
    imagesFrom += firstImage;
  }

  /** Ends what {@link #beginInset} began with the same indexes. */
  void endInset(int firstOutline, int firstImage) {
    outlinesFrom -= firstOutline;
    imagesFrom -= firstImage;
  }

  private void begin(Op op, int room) {
    end();
    grow(HEAD + room);
    entry = size;
    around = 0;
    numbers[size++] = op.ordinal();
    numbers[size++] = 0;
  }

  private void end() {
    if (entry >= 0) {
      numbers[entry + 1] = size - entry - HEAD;
    }
  }

  /**
   * Begins a layer; {@link #pop} ends it.
   *
   * @param effects of it as a whole
   */
  void push(double alpha, BlendMode blend, LayerEffects effects) {
    begin(Op.PUSH, 8);
    layers.add(entry);
    boxes.add(null);
    add(alpha, blend.ordinal());
    add(Rect.EMPTY.left(), Rect.EMPTY.top(), Rect.EMPTY.right(), Rect.EMPTY.bottom());
    add(effects.reach(), effects.all().size());
    for (double[] e : effects.all()) {
      grow(e.length + 1);
      numbers[size++] = e[0];
      numbers[size++] = e.length - 1;
      for (int i = 1; i < e.length; i++) {
        numbers[size++] = e[i];
      }
    }
  }

  /** What covers something up to the end of the layer tells how much of it is kept. */
  void matte(boolean inverted) {
    matte(inverted, Matte.By.ALPHA);
  }

  /** What follows up to the end of the layer tells how much of it is kept; see {@link Op#MATTE}. */
  void matte(boolean inverted, Matte.By by) {
    begin(Op.MATTE, 2);
    add(inverted ? 1 : 0, by.ordinal());
    // What only measures adds nothing to be seen, and leaves no more than what it covers.
    int box = layers.get(layers.size() - 1) + BOX;
    boxes.set(boxes.size() - 1, new Measured(boxAt(box), inverted));
    put(box, Rect.EMPTY);
  }

  /** The box of a layer before it is measured. */
  private record Measured(Rect box, boolean inverted) {}

  /** Ends a layer. */
  void pop() {
    begin(Op.POP, 0);
    int box = layers.remove(layers.size() - 1) + BOX;
    double reach = numbers[box + 4];
    Measured before = boxes.remove(boxes.size() - 1);
    if (before != null) {
      put(box, before.inverted ? before.box : before.box.intersection(boxAt(box)));
    }
    if (numbers[box] > numbers[box + 2]) {
      // Nothing is in it: numbers that documents and bridges can take.
      Arrays.fill(numbers, box, box + 2, 0);
      Arrays.fill(numbers, box + 2, box + 4, -1);
    } else if (!layers.isEmpty()) {
      around = reach;
      include(numbers[box], numbers[box + 1]);
      include(numbers[box + 2], numbers[box + 3]);
    }
  }

  /** Begins an area of one colour, 0xRRGGBB. */
  void fill(int rgb, double alpha) {
    begin(Op.FILL, 3);
    add(FramePaint.Kind.PLAIN.ordinal(), alpha, rgb);
  }

  /** Begins an area of any paint; the map of one is to the pixels that are mapped. */
  void fill(FramePaint p) {
    if (p.kind() == FramePaint.Kind.PLAIN) {
      fill(p.rgb(), p.alpha());
      return;
    }
    Affine m = map.times(p.map());
    if (p.kind() == FramePaint.Kind.IMAGE) {
      begin(Op.FILL, 10);
      add(
          p.kind().ordinal(),
          p.alpha(),
          imagesFrom + p.image(),
          p.moment(),
          m.a(),
          m.b(),
          m.c(),
          m.d(),
          m.e(),
          m.f());
      return;
    }
    begin(Op.FILL, 9 + 3 * p.offsets().length);
    add(p.kind().ordinal(), p.alpha(), m.a(), m.b(), m.c(), m.d(), m.e(), m.f());
    add(p.offsets().length);
    for (int i = 0; i < p.offsets().length; i++) {
      add(p.offsets()[i], p.colours()[i], p.opacities()[i]);
    }
  }

  void outline(int index, double a, double b, double c, double d, double e, double f) {
    grow(STRIDE);
    int at = size;
    numbers[size++] = outlinesFrom + index;
    numbers[size++] = map.a() * a + map.c() * b;
    numbers[size++] = map.b() * a + map.d() * b;
    numbers[size++] = map.a() * c + map.c() * d;
    numbers[size++] = map.b() * c + map.d() * d;
    numbers[size++] = map.a() * e + map.c() * f + map.e();
    numbers[size++] = map.b() * e + map.d() * f + map.f();
    if (!layers.isEmpty()) {
      Rect box = placed(at).apply(outlines.get(outlinesFrom + index).bounds());
      if (!box.isEmpty()) {
        include(box.left(), box.top());
        include(box.right(), box.bottom());
      }
    }
  }

  private void outline(int index, Affine m) {
    outline(index, m.a(), m.b(), m.c(), m.d(), m.e(), m.f());
  }

  private Affine placed(int at) {
    return new Affine(
        numbers[at + 1],
        numbers[at + 2],
        numbers[at + 3],
        numbers[at + 4],
        numbers[at + 5],
        numbers[at + 6]);
  }

  /** Begins an outline of this frame alone; its steps follow, and {@link #endInline}. */
  void beginInline() {
    grow(2);
    numbers[size++] = INLINE;
    steps = size;
    numbers[size++] = 0;
  }

  void endInline() {
    numbers[steps] = size - steps - 1;
  }

  /** Begins a line in the pixels that are mapped; outlines in steps follow. */
  void stroke(int rgb, double alpha, LineStyle line) {
    beginStroke(rgb, alpha, line.scaled(Math.hypot(map.a(), map.b())));
  }

  private void beginStroke(int rgb, double alpha, LineStyle line) {
    begin(Op.STROKE, 3 + LineStyle.HEAD + line.dash().length);
    add(FramePaint.Kind.PLAIN.ordinal(), alpha, rgb);
    add(line.width(), line.cap(), line.join(), line.dash().length);
    add(line.dash());
    around = line.reach();
  }

  /** Begins an area to which what follows is clipped, up to {@link #unclip}. */
  void clip() {
    begin(Op.CLIP, 0);
  }

  void unclip() {
    begin(Op.UNCLIP, 0);
  }

  /** Ends a clip to a rectangle, in the pixels that are mapped, that holds all of the layer. */
  void unclip(Rect all) {
    unclip();
    int box = layers.get(layers.size() - 1) + BOX;
    put(box, boxAt(box).intersection(map.apply(all)));
  }

  /** Adds a piece to an area. */
  void area(Piece p) {
    if (p.index() >= 0) {
      outline(p.index(), p.map());
      return;
    }
    Affine outer = map;
    map = outer.times(p.map());
    beginInline();
    p.subPaths().forEach(this::subPath);
    endInline();
    map = outer;
  }

  /**
   * Draws along the edges of a piece, in its own units: on one that is stretched the line is too.
   *
   * @param share how much of the edges is there, see {@link Piece#begun}
   */
  void stroke(int rgb, LineStyle line, Piece p, double share) {
    Affine m = map.times(p.map());
    if (!m.isSimilarity()) {
      stretched(rgb, line, p.begun(share), m);
      return;
    }
    beginStroke(rgb, 1, line.scaled(Math.hypot(m.a(), m.b())));
    if (share >= 1 && p.index() >= 0) {
      outline(p.index(), p.map());
      return;
    }
    Affine outer = map;
    map = m;
    beginInline();
    p.begun(share).forEach(this::line);
    endInline();
    map = outer;
  }

  private void stretched(int rgb, LineStyle line, List<Contour> contours, Affine m) {
    beginStroke(rgb, 1, line);
    around *= Math.hypot(Math.hypot(m.a(), m.b()), Math.hypot(m.c(), m.d()));
    add(MAPPED, m.a(), m.b(), m.c(), m.d(), m.e(), m.f());
    Affine outer = map;
    map = m;
    ownUnits = true;
    steps = size;
    add(0);
    contours.forEach(this::line);
    endInline();
    ownUnits = false;
    map = outer;
  }

  /** The steps round a part of an area. */
  void subPath(SubPath p) {
    Point start = p.segments().get(0).start();
    step(PathStep.MOVE, start.x(), start.y());
    p.segments().forEach(this::segment);
    step(PathStep.CLOSE);
  }

  /** The steps along a contour. */
  void line(Contour c) {
    step(PathStep.MOVE, c.first().x(), c.first().y());
    c.segments().forEach(this::segment);
    if (c.closed()) {
      step(PathStep.CLOSE);
    }
  }

  /** The step along a segment from where the last one ended. */
  void segment(Segment s) {
    Point e = s.end();
    if (s instanceof Quadratic q) {
      step(PathStep.QUADRATIC, q.p1().x(), q.p1().y(), e.x(), e.y());
    } else if (s instanceof Cubic c) {
      step(PathStep.CUBIC, c.p1().x(), c.p1().y(), c.p2().x(), c.p2().y(), e.x(), e.y());
    } else if (s instanceof Arc a) {
      a.cubics().forEach(this::segment);
    } else {
      step(PathStep.LINE, e.x(), e.y());
    }
  }

  void step(PathStep step, double... points) {
    grow(1 + points.length);
    numbers[size++] = step.ordinal();
    for (int i = 0; i < points.length; i += 2) {
      point(points[i], points[i + 1]);
    }
  }

  /** A closed polygon, x and y by turns, of at least one point. */
  void polygon(double[] points) {
    grow(points.length / 2 * 3 + 1);
    for (int i = 0; i < points.length; i += 2) {
      numbers[size++] = (i == 0 ? PathStep.MOVE : PathStep.LINE).ordinal();
      point(points[i], points[i + 1]);
    }
    numbers[size++] = PathStep.CLOSE.ordinal();
  }

  private void point(double x, double y) {
    double px = map.a() * x + map.c() * y + map.e();
    double py = map.b() * x + map.d() * y + map.f();
    numbers[size++] = ownUnits ? x : px;
    numbers[size++] = ownUnits ? y : py;
    if (!layers.isEmpty()) {
      include(px, py);
    }
  }

  /** Lets the box of the innermost layer reach to a point; those round it follow when it ends. */
  private void include(double x, double y) {
    int box = layers.get(layers.size() - 1) + BOX;
    numbers[box] = Math.min(numbers[box], x - around);
    numbers[box + 1] = Math.min(numbers[box + 1], y - around);
    numbers[box + 2] = Math.max(numbers[box + 2], x + around);
    numbers[box + 3] = Math.max(numbers[box + 3], y + around);
  }

  private void add(double... more) {
    grow(more.length);
    for (double n : more) {
      numbers[size++] = n;
    }
  }

  private void grow(int more) {
    if (size + more > numbers.length) {
      numbers = Arrays.copyOf(numbers, Math.max(size + more, numbers.length * 2));
    }
  }

  /** The box of the first layer; empty where it holds nothing. */
  Rect box() {
    return boxAt(BOX);
  }

  private Rect boxAt(int at) {
    return numbers[at] > numbers[at + 2]
        ? Rect.EMPTY
        : new Rect(numbers[at], numbers[at + 1], numbers[at + 2], numbers[at + 3]);
  }

  private void put(int at, Rect box) {
    numbers[at] = box.left();
    numbers[at + 1] = box.top();
    numbers[at + 2] = box.right();
    numbers[at + 3] = box.bottom();
  }

  /** The list, as long as it is filled. */
  public double[] numbers() {
    end();
    return Arrays.copyOf(numbers, size);
  }
}
