package rovingglyph.scene;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** The scenes of a project by id, from which those are taken that others show within them. */
public final class SceneShelf {
  /** The most insets of a scene, those in the scenes that it shows counted as often as they are. */
  public static final int MOST_INSETS = 300;

  private final Map<String, Scene> plain = new HashMap<>();
  private final Map<String, Scene> filled = new HashMap<>();
  private final Map<String, Integer> counts = new HashMap<>();

  /** Puts a scene there, or takes it away with null. */
  public void put(String id, Scene scene) {
    filled.clear();
    counts.clear();
    if (scene == null) {
      plain.remove(id);
    } else {
      plain.put(id, scene);
    }
  }

  /** Whether a scene is there. */
  public boolean has(String id) {
    return plain.containsKey(id);
  }

  /** The scene with this id; null if it is not there. */
  public Scene get(String id) {
    return plain.get(id);
  }

  /** The ids of the scenes that one shows itself, in the order of its document. */
  public static Set<String> shownBy(Scene scene) {
    Set<String> out = new LinkedHashSet<>();
    scene.insets().forEach(i -> out.add(i.scene()));
    return out;
  }

  /** The ids of the scenes that one shows, itself or within others, which are not there. */
  public Set<String> missing(Scene scene) {
    Set<String> out = new LinkedHashSet<>();
    for (String id : reached(shownBy(scene))) {
      if (!plain.containsKey(id)) {
        out.add(id);
      }
    }
    return out;
  }

  /**
   * A scene with those that it shows. Ones that are not there, or that hold each other, are left
   * out, and all where there would be more than {@link #MOST_INSETS}.
   */
  public Scene filled(Scene scene) {
    Map<String, Scene> shown = new LinkedHashMap<>();
    if (count(scene) <= MOST_INSETS) {
      for (String id : shownBy(scene)) {
        Scene there = filled(id);
        if (there != null) {
          shown.put(id, there);
        }
      }
    }
    return scene.showing(shown);
  }

  /** The same scene for as long as nothing was put here. */
  private Scene filled(String id) {
    if (!plain.containsKey(id)) {
      return null;
    }
    if (!filled.containsKey(id)) {
      Scene scene = plain.get(id);
      Map<String, Scene> shown = new LinkedHashMap<>();
      for (String inner : open(id)) {
        shown.put(inner, filled(inner));
      }
      filled.put(id, scene.showing(shown));
    }
    return filled.get(id);
  }

  /** Those that a scene shows, without the ones that are not there or that show it in turn. */
  private List<String> open(String id) {
    List<String> out = new ArrayList<>();
    for (String inner : shownBy(plain.get(id))) {
      if (plain.containsKey(inner) && !reached(Set.of(inner)).contains(id)) {
        out.add(inner);
      }
    }
    return out;
  }

  /** How many insets a scene has, those within others included; at most one more than allowed. */
  public int count(Scene scene) {
    long all = 0;
    for (Inset i : scene.insets()) {
      all += 1L + (plain.containsKey(i.scene()) ? count(i.scene()) : 0);
    }
    return (int) Math.min(all, MOST_INSETS + 1L);
  }

  private int count(String id) {
    Integer known = counts.get(id);
    if (known != null) {
      return known;
    }
    List<String> open = open(id);
    long all = 0;
    for (Inset i : plain.get(id).insets()) {
      all += open.contains(i.scene()) ? 1L + count(i.scene()) : 0;
    }
    counts.put(id, (int) Math.min(all, MOST_INSETS + 1L));
    return counts.get(id);
  }

  /**
   * The circle by which a scene would hold itself: the ids from it to it again, those between in
   * the order of their holding; empty where there is none.
   *
   * @param id of the scene
   * @param scene as it would be
   */
  public List<String> circle(String id, Scene scene) {
    Map<String, String> from = new LinkedHashMap<>();
    List<String> next = new ArrayList<>(shownBy(scene));
    next.forEach(n -> from.put(n, id));
    for (int i = 0; i < next.size(); i++) {
      String at = next.get(i);
      if (at.equals(id)) {
        List<String> out = new ArrayList<>(List.of(id));
        for (String back = from.get(id); !back.equals(id); back = from.get(back)) {
          out.add(0, back);
        }
        out.add(0, id);
        return out;
      }
      if (plain.containsKey(at)) {
        for (String inner : shownBy(plain.get(at))) {
          if (!from.containsKey(inner)) {
            from.put(inner, at);
            next.add(inner);
          }
        }
      }
    }
    return List.of();
  }

  private Set<String> reached(Set<String> from) {
    Set<String> out = new LinkedHashSet<>();
    List<String> next = new ArrayList<>(from);
    for (int i = 0; i < next.size(); i++) {
      if (out.add(next.get(i)) && plain.containsKey(next.get(i))) {
        next.addAll(shownBy(plain.get(next.get(i))));
      }
    }
    return out;
  }
}
