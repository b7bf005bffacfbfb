package rovingglyph.exports;

import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Component;
import rovingglyph.pictures.PictureStore;
import rovingglyph.shaping.Face;
import rovingglyph.typefaces.FaceStore;
import rovingglyph.values.Assets;

/** The typefaces and pictures of projects, by their names and ids. */
@Component
class ProjectAssets {
  private final FaceStore faces;
  private final PictureStore pictures;

  ProjectAssets(FaceStore faces, PictureStore pictures) {
    this.faces = faces;
    this.pictures = pictures;
  }

  /** What a project has now. */
  Assets of(UUID project) {
    Map<String, String> faceIds = new HashMap<>();
    for (Face f : faces.of(project)) {
      faceIds.putIfAbsent(f.name().toLowerCase(Locale.ROOT), f.id());
      faceIds.put(f.id(), f.id());
    }
    Map<String, Assets.KnownPicture> known = new HashMap<>();
    for (PictureStore.Kept p : pictures.of(project)) {
      Assets.KnownPicture picture = new Assets.KnownPicture(p.id(), p.width(), p.height());
      known.putIfAbsent(p.name(), picture);
      known.put(p.id(), picture);
    }
    return new Assets() {
      @Override
      public String face(String name) {
        return faceIds.getOrDefault(name, faceIds.get(name.toLowerCase(Locale.ROOT)));
      }

      @Override
      public KnownPicture picture(String name) {
        return known.get(name);
      }
    };
  }
}
