package rovingglyph.frame;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.PriorityQueue;
import rovingglyph.geometry.Point3;
import rovingglyph.geometry.Rect;
import rovingglyph.geometry.Space;

/**
 * Cards in the order in which they are painted, so that near ones cover far ones: those that do not
 * meet on the picture keep their order. Cards that go through each other, or that cover each other
 * in a circle, are cut along the plane of one of them, by a binary partition of space (H. Fuchs, Z.
 * Kedem, B. Naylor, On Visible Surface Generation by A Priori Tree Structures, 1980).
 */
final class CardOrder {
  /** So far beyond a plane, in px, a card may reach without being cut by it. */
  private static final double THICK = 0.05;

  /** More cards than this are not compared each with each: they go by how far their middles are. */
  private static final int MOST = 2500;

  /** Of cards that are cut there are at most so many times as many parts. */
  private static final int MOST_PARTS = 8;

  private final Space space;
  private final List<Card> cards;
  private final List<List<Integer>> after = new ArrayList<>();
  private final int[] before;

  private CardOrder(List<Card> cards, Space space) {
    this.cards = cards;
    this.space = space;
    this.before = new int[cards.size()];
    cards.forEach(c -> after.add(new ArrayList<>()));
  }

  /** Back to front. */
  static List<Card> of(List<Card> cards, Space space) {
    return cards.size() > MOST ? byDistance(cards) : new CardOrder(cards, space).sorted();
  }

  private static List<Card> byDistance(List<Card> cards) {
    List<Card> out = new ArrayList<>(cards);
    out.sort(Comparator.comparingDouble(c -> -middle(c).z()));
    return out;
  }

  private static Point3 middle(Card c) {
    return c.at(c.box().centre().x(), c.box().centre().y());
  }

  private List<Card> sorted() {
    compare();
    List<Card> out = new ArrayList<>();
    PriorityQueue<Integer> free = new PriorityQueue<>();
    for (int i = 0; i < before.length; i++) {
      if (before[i] == 0) {
        free.add(i);
      }
    }
    boolean[] done = new boolean[before.length];
    while (!free.isEmpty()) {
      int i = free.poll();
      done[i] = true;
      out.add(cards.get(i));
      for (int next : after.get(i)) {
        if (--before[next] == 0) {
          free.add(next);
        }
      }
    }
    if (out.size() < cards.size()) {
      // What is left goes round in circles, or comes after what does.
      List<Card> rest = new ArrayList<>();
      for (int i = 0; i < done.length; i++) {
        if (!done[i]) {
          rest.add(cards.get(i));
        }
      }
      int[] left = {MOST_PARTS * rest.size()};
      out.addAll(parted(rest, left));
    }
    return out;
  }

  /** Finds for each two that meet on the picture which is to be painted first. */
  private void compare() {
    int n = cards.size();
    Rect[] boxes = new Rect[n];
    for (int i = 0; i < n; i++) {
      boxes[i] = cards.get(i).seenBox(space);
    }
    Integer[] byLeft = new Integer[n];
    Arrays.setAll(byLeft, i -> i);
    Arrays.sort(byLeft, Comparator.comparingDouble(i -> boxes[i].left()));
    for (int i = 0; i < n; i++) {
      for (int j = i + 1; j < n && boxes[byLeft[j]].left() <= boxes[byLeft[i]].right(); j++) {
        int a = Math.min(byLeft[i], byLeft[j]);
        int b = Math.max(byLeft[i], byLeft[j]);
        if (boxes[a].meets(boxes[b])) {
          compare(a, b);
        }
      }
    }
  }

  private void compare(int a, int b) {
    int order = order(cards.get(a), cards.get(b));
    if (order == CROSSING) {
      put(a, b);
      put(b, a);
    } else if (order != 0) {
      put(order > 0 ? a : b, order > 0 ? b : a);
    }
  }

  private void put(int first, int second) {
    after.get(first).add(second);
    before[second]++;
  }

  private static final int CROSSING = 2;

  /** 1 where the first is to be painted first, -1 the second, 0 where it does not matter. */
  private int order(Card a, Card b) {
    if (a.isThick() || b.isThick()) {
      return thick(a, b);
    }
    int side = side(a, b);
    if (side != 0 && side != CROSSING) {
      return side;
    }
    int other = side(b, a);
    if (other != 0 && other != CROSSING) {
      return -other;
    }
    return side == CROSSING && other == CROSSING ? CROSSING : 0;
  }

  /**
   * The same by the plane of a box round one of them that is farthest from the other: where they go
   * through each other they are not cut.
   */
  private int thick(Card a, Card b) {
    double most = Double.NEGATIVE_INFINITY;
    int out = 0;
    List<Point3> corners = a.corners();
    List<Point3> others = b.corners();
    for (Card.Cut wall : a.walls()) {
      double gap = gap(wall, others);
      if (gap > most) {
        most = gap;
        out = space.side(wall.on(), wall.normal()) > 0 ? 1 : -1;
      }
    }
    for (Card.Cut wall : b.walls()) {
      double gap = gap(wall, corners);
      if (gap > most) {
        most = gap;
        out = space.side(wall.on(), wall.normal()) > 0 ? -1 : 1;
      }
    }
    return out;
  }

  /** How far before a plane all points are, px; less than 0 where some are behind it. */
  private static double gap(Card.Cut wall, List<Point3> points) {
    double length = wall.normal().length();
    double least = Double.POSITIVE_INFINITY;
    for (Point3 p : points) {
      least = Math.min(least, wall.depth(p) / length);
    }
    return length > 0 ? least : Double.NEGATIVE_INFINITY;
  }

  /** 1 where the second lies before the plane of the first, -1 behind, 0 in it. */
  private int side(Card a, Card b) {
    Point3 normal = a.normal();
    double length = normal.length();
    if (!(length > 0)) {
      return 0;
    }
    double eye = space.side(a.origin(), normal);
    double least = 0;
    double most = 0;
    for (Point3 p : b.corners()) {
      double d = normal.dot(p.minus(a.origin())) / length;
      least = Math.min(least, d);
      most = Math.max(most, d);
    }
    if (least < -THICK && most > THICK) {
      return CROSSING;
    }
    if (least >= -THICK && most <= THICK || eye == 0) {
      return 0;
    }
    return most > THICK == eye > 0 ? 1 : -1;
  }

  /**
   * Cards by a binary partition.
   *
   * @param left how many parts may be made yet
   */
  private List<Card> parted(List<Card> rest, int[] left) {
    if (rest.size() < 2) {
      return rest;
    }
    if (rest.get(0).isThick()) {
      return byDistance(rest);
    }
    Card root = rest.get(0);
    List<Card> before = new ArrayList<>();
    List<Card> behind = new ArrayList<>();
    List<Card> in = new ArrayList<>(List.of(root));
    Card.Cut plane = root.plane();
    if (space.side(root.origin(), plane.normal()) < 0) {
      plane = plane.turned();
    }
    for (Card c : rest.subList(1, rest.size())) {
      int side = side(root, c);
      if (side == 0) {
        in.add(c);
      } else if (side != CROSSING) {
        (side > 0 ? before : behind).add(c);
      } else if (left[0]-- > 0) {
        boolean opaque = PreparedLettering.isWhole(c.ink().alpha());
        before.add(c.cut(plane));
        behind.add(c.cut(plane.turned().back(opaque ? 0.5 : 0)));
      } else {
        (plane.depth(middle(c)) > 0 ? before : behind).add(c);
      }
    }
    List<Card> out = new ArrayList<>(parted(behind, left));
    out.addAll(in);
    out.addAll(parted(before, left));
    return out;
  }
}
