package rovingglyph.frame;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Arc;
import rovingglyph.geometry.Contour;
import rovingglyph.geometry.Cubic;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.ProjectedPath;
import rovingglyph.geometry.Projection;
import rovingglyph.geometry.Quadratic;
import rovingglyph.geometry.Rect;
import rovingglyph.geometry.Segment;
import rovingglyph.geometry.Space;
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

  /** By this share the width of a line may be off. */
  private static final double SAME_WIDTH = 0.08;

  /** What is flattened to less than this is seen from its edge, and has no lines. */
  private static final double EDGE_ON = 1e-6;

  /** Where the box of a layer stands in its entry. */
  private static final int BOX = HEAD + 2;

  private final List<Outline> outlines;
  private double[] numbers = new double[256];
  private int size;
  private int entry = -1;
  private int steps;
  private Space space = Space.FLAT;
  private Half half = Half.ALL;
  private Projection map = Projection.IDENTITY;

  /** The same where it has no perspective, else what is done to points that are projected. */
  private Affine flat = Affine.IDENTITY;

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

  /** Whether points are written as they are given, to be projected when their outline ends. */
  private boolean gathering;

  /**
   * @param outlines that are named by index
   */
  Frame(List<Outline> outlines) {
    this.outlines = outlines;
  }

  /** What follows is given in a space that is seen like this. */
  void mapped(Space inner) {
    space = inner;
    mapped(inner.plane());
  }

  /** What of the letters of planes is painted from now on. */
  void halved(Half which) {
    half = which;
  }

  Half half() {
    return half;
  }

  /** How the space is seen that was given last. */
  Space space() {
    return space;
  }

  /** What follows is given in pixels that this map brings to those of the scene. */
  private void mapped(Projection inner) {
    map = inner;
    flat = inner.isFlat() ? inner.flat() : Affine.IDENTITY;
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
    Projection m = map.times(p.map());
    if (p.kind() == FramePaint.Kind.IMAGE) {
      begin(Op.FILL, FramePaint.IMAGE_SIZE);
      add(p.kind().ordinal(), p.alpha(), imagesFrom + p.image(), p.moment());
      add(m);
      return;
    }
    begin(Op.FILL, FramePaint.GRADED_HEAD + 3 * p.offsets().length);
    add(p.kind().ordinal(), p.alpha());
    add(m);
    add(p.offsets().length);
    for (int i = 0; i < p.offsets().length; i++) {
      add(p.offsets()[i], p.colours()[i], p.opacities()[i]);
    }
  }

  void outline(int index, double a, double b, double c, double d, double e, double f) {
    if (!map.isFlat()) {
      Projection there = map.times(new Affine(a, b, c, d, e, f));
      beginInline();
      gathering = false;
      outlines.get(outlinesFrom + index).subPaths().forEach(p -> projected(p, there));
      endInline();
      return;
    }
    grow(STRIDE);
    int at = size;
    numbers[size++] = outlinesFrom + index;
    numbers[size++] = flat.a() * a + flat.c() * b;
    numbers[size++] = flat.b() * a + flat.d() * b;
    numbers[size++] = flat.a() * c + flat.c() * d;
    numbers[size++] = flat.b() * c + flat.d() * d;
    numbers[size++] = flat.a() * e + flat.c() * f + flat.e();
    numbers[size++] = flat.b() * e + flat.d() * f + flat.f();
    if (!layers.isEmpty()) {
      Rect box = placed(at).apply(outlines.get(outlinesFrom + index).bounds());
      if (!box.isEmpty()) {
        include(box.left(), box.top());
        include(box.right(), box.bottom());
      }
    }
  }

  private void outline(int index) {
    outline(index, 1, 0, 0, 1, 0, 0);
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
    gathering = !map.isFlat();
  }

  void endInline() {
    if (gathering) {
      gathering = false;
      List<SubPath> given = StepPaths.of(Arrays.copyOfRange(numbers, steps + 1, size));
      size = steps + 1;
      given.forEach(p -> projected(p, map));
    }
    numbers[steps] = size - steps - 1;
  }

  /** What is seen of a part of an area in perspective. */
  private void projected(SubPath p, Projection there) {
    SubPath seen = ProjectedPath.area(p, there, ProjectedPath.EXACT);
    if (!seen.segments().isEmpty()) {
      subPath(seen);
    }
  }

  /** Draws along contours in the pixels that are mapped. */
  void stroke(int rgb, double alpha, LineStyle line, List<Contour> contours) {
    if (!map.isFlat()) {
      foreshortened(rgb, alpha, line, contours, map);
      return;
    }
    beginStroke(rgb, alpha, line.scaled(Math.hypot(flat.a(), flat.b())));
    beginInline();
    contours.forEach(this::line);
    endInline();
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
    Projection outer = map;
    mapped(outer.times(p.map()));
    if (p.index() >= 0) {
      outline(p.index());
    } else {
      beginInline();
      p.subPaths().forEach(this::subPath);
      endInline();
    }
    mapped(outer);
  }

  /**
   * Draws along the edges of a piece, in its own units: on one that is stretched the line is too.
   *
   * @param share how much of the edges is there, see {@link Piece#begun}
   */
  void stroke(int rgb, LineStyle line, Piece p, double share) {
    Projection there = map.times(p.map());
    if (!there.isFlat()) {
      foreshortened(rgb, 1, line, p.begun(share), there);
      return;
    }
    Affine m = there.flat();
    if (!m.isSimilarity()) {
      stretched(rgb, 1, line, m, () -> p.begun(share).forEach(this::line));
      return;
    }
    beginStroke(rgb, 1, line.scaled(Math.hypot(m.a(), m.b())));
    flat = m;
    if (share >= 1 && p.index() >= 0) {
      outline(p.index());
    } else {
      beginInline();
      p.begun(share).forEach(this::line);
      endInline();
    }
    flat = map.flat();
  }

  /**
   * Lines in perspective: where they belong, and as wide and as stretched throughout as they are in
   * the middle of them all; where that would show, the area that they cover.
   */
  private void foreshortened(
      int rgb, double alpha, LineStyle line, List<Contour> contours, Projection there) {
    Rect box = Rect.EMPTY;
    for (Contour c : contours) {
      box = box.union(c.bounds());
    }
    Affine m = box.isEmpty() ? Affine.IDENTITY : there.near(box.centre());
    double size = Math.hypot(Math.hypot(m.a(), m.b()), Math.hypot(m.c(), m.d()));
    if (box.isEmpty() || Math.abs(m.a() * m.d() - m.b() * m.c()) < EDGE_ON * size * size) {
      return;
    }
    if (varies(box.grown(line.reach()), there)) {
      fill(rgb, alpha);
      beginInline();
      gathering = false;
      flat = Affine.IDENTITY;
      StrokeArea.of(contours, line, size).forEach(p -> projected(p, there));
      endInline();
      flat = map.isFlat() ? map.flat() : Affine.IDENTITY;
      return;
    }
    Projection own = Projection.of(m.inverse()).times(there);
    double tolerance = ProjectedPath.EXACT / size;
    stretched(
        rgb,
        alpha,
        line,
        m,
        () ->
            contours.stream()
                .map(c -> new SubPath(c.segments(), c.closed()))
                .flatMap(p -> ProjectedPath.line(p, own, tolerance).stream())
                .forEach(p -> line(new Contour(p.segments(), p.closed()))));
  }

  /** Whether lines in a part of the plane are to be seen as of different widths. */
  private static boolean varies(Rect box, Projection there) {
    double middle = there.weight(box.centre());
    for (Point p : box.corners()) {
      if (Math.abs(there.weight(p) / middle - 1) > SAME_WIDTH) {
        return true;
      }
    }
    return false;
  }

  /**
   * Lines that are stretched.
   *
   * @param written writes the steps of them, before the map
   */
  private void stretched(int rgb, double alpha, LineStyle line, Affine m, Runnable written) {
    beginStroke(rgb, alpha, line);
    around *= Math.hypot(Math.hypot(m.a(), m.b()), Math.hypot(m.c(), m.d()));
    add(MAPPED, m.a(), m.b(), m.c(), m.d(), m.e(), m.f());
    Affine outer = flat;
    flat = m;
    ownUnits = true;
    steps = size;
    add(0);
    written.run();
    endInline();
    ownUnits = false;
    flat = outer;
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
    double px = flat.a() * x + flat.c() * y + flat.e();
    double py = flat.b() * x + flat.d() * y + flat.f();
    numbers[size++] = ownUnits || gathering ? x : px;
    numbers[size++] = ownUnits || gathering ? y : py;
    if (!layers.isEmpty() && !gathering) {
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

  private void add(Projection m) {
    add(m.a(), m.b(), m.c(), m.d(), m.e(), m.f(), m.g(), m.h(), m.i());
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
