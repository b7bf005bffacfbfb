package rovingglyph.frame;

import java.util.Arrays;
import rovingglyph.geometry.Affine;
import rovingglyph.geometry.Arc;
import rovingglyph.geometry.Cubic;
import rovingglyph.geometry.Point;
import rovingglyph.geometry.Quadratic;
import rovingglyph.geometry.Segment;

/**
 * What is to be painted at one time, back to front, as numbers: for each shape {@code colour}
 * (0xRRGGBB), {@code alpha} (0 to 1), {@code n}, then n outlines. An outline is its index into the
 * prepared scene's outlines and the six numbers of its map to scene pixels, as in SVG's {@code
 * matrix()}; or, where it is of this frame alone, {@link #INLINE}, how many numbers follow, and
 * those: polygons and curves as {@link #MOVE}, {@link #LINE}, {@link #QUADRATIC}, {@link #CUBIC}
 * each with its points in scene pixels, and {@link #CLOSE}. The n outlines of a shape are one area,
 * filled once by the non-zero rule, so that overlapping letters of one lettering do not show
 * through each other. Where n is {@link #STROKE}, a line follows instead: its width, its cap (0
 * butt, 1 round, 2 square), the count of its dashes and those, how many numbers its steps have, and
 * those. Where n is {@link #PUSH}, what follows up to the {@link #POP} that belongs to it is a
 * picture of its own, put over what is there with that alpha; colour means nothing then, nor does
 * alpha for the pop.
 */
public final class Frame {
  /** Numbers before the outlines of a shape. */
  public static final int HEAD = 3;

  /** Numbers per outline of the scene. */
  public static final int STRIDE = 7;

  public static final int INLINE = -1;
  public static final int STROKE = -1;
  public static final int PUSH = -2;
  public static final int POP = -3;

  public static final int MOVE = 0;
  public static final int LINE = 1;
  public static final int QUADRATIC = 2;
  public static final int CUBIC = 3;
  public static final int CLOSE = 4;

  /** How many numbers follow a step's kind. */
  public static int numbersOf(int kind) {
    return kind == CLOSE ? 0 : kind == CUBIC ? 6 : kind == QUADRATIC ? 4 : 2;
  }

  private double[] numbers = new double[256];
  private int size;
  private int counted;
  private int own;
  private Affine map = Affine.IDENTITY;

  /** What follows is given in pixels that this map brings to those of the scene. */
  void mapped(Affine inner) {
    map = inner;
  }

  /** Begins a picture of its own; {@link #pop} ends it. */
  void push(double alpha) {
    shape(0, alpha);
    numbers[counted] = PUSH;
  }

  void pop() {
    shape(0, 0);
    numbers[counted] = POP;
  }

  /** Begins a shape. */
  void shape(int rgb, double alpha) {
    grow(HEAD);
    numbers[size++] = rgb;
    numbers[size++] = alpha;
    counted = size;
    numbers[size++] = 0;
  }

  void outline(int index, double a, double b, double c, double d, double e, double f) {
    grow(STRIDE);
    numbers[counted]++;
    numbers[size++] = index;
    numbers[size++] = map.a() * a + map.c() * b;
    numbers[size++] = map.b() * a + map.d() * b;
    numbers[size++] = map.a() * c + map.c() * d;
    numbers[size++] = map.b() * c + map.d() * d;
    point(e, f);
  }

  /** Begins an outline of this frame alone. */
  void beginInline() {
    grow(2);
    numbers[counted]++;
    numbers[size++] = INLINE;
    own = size;
    numbers[size++] = 0;
  }

  /** Begins a line; its steps follow, and {@link #endInline}. */
  void stroke(int rgb, double alpha, double width, int cap, double[] dash) {
    shape(rgb, alpha);
    numbers[counted] = STROKE;
    grow(4 + dash.length);
    double scale = Math.hypot(map.a(), map.b());
    numbers[size++] = width * scale;
    numbers[size++] = cap;
    numbers[size++] = dash.length;
    for (double d : dash) {
      numbers[size++] = d * scale;
    }
    own = size;
    numbers[size++] = 0;
  }

  /** The step along a segment from where the last one ended. */
  void segment(Segment s) {
    Point e = s.end();
    if (s instanceof Quadratic q) {
      step(QUADRATIC, q.p1().x(), q.p1().y(), e.x(), e.y());
    } else if (s instanceof Cubic c) {
      step(CUBIC, c.p1().x(), c.p1().y(), c.p2().x(), c.p2().y(), e.x(), e.y());
    } else if (s instanceof Arc a) {
      a.cubics().forEach(this::segment);
    } else {
      step(LINE, e.x(), e.y());
    }
  }

  void step(int kind, double... points) {
    grow(1 + points.length);
    numbers[size++] = kind;
    for (int i = 0; i < points.length; i += 2) {
      point(points[i], points[i + 1]);
    }
  }

  /** A closed polygon, x and y by turns, of at least one point. */
  void polygon(double[] points) {
    grow(points.length / 2 * 3 + 1);
    for (int i = 0; i < points.length; i += 2) {
      numbers[size++] = i == 0 ? MOVE : LINE;
      point(points[i], points[i + 1]);
    }
    numbers[size++] = CLOSE;
  }

  private void point(double x, double y) {
    numbers[size++] = map.a() * x + map.c() * y + map.e();
    numbers[size++] = map.b() * x + map.d() * y + map.f();
  }

  void endInline() {
    numbers[own] = size - own - 1;
  }

  private void grow(int more) {
    if (size + more > numbers.length) {
      numbers = Arrays.copyOf(numbers, Math.max(size + more, numbers.length * 2));
    }
  }

  /** The list, as long as it is filled. */
  public double[] numbers() {
    return Arrays.copyOf(numbers, size);
  }
}
