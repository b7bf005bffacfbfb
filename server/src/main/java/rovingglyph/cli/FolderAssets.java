package rovingglyph.cli;

import java.util.Map;
import rovingglyph.pictures.PictureFolder;
import rovingglyph.shaping.Face;
import rovingglyph.shaping.FaceCatalogue;
import rovingglyph.values.Assets;

/**
 * The typefaces and pictures that the command line has.
 *
 * @param pictures null where no folder was given
 * @param names the ids of pictures by their names in a project
 */
record FolderAssets(FaceCatalogue faces, PictureFolder pictures, Map<String, String> names)
    implements Assets {
  @Override
  public String face(String name) {
    return faces.all().stream()
        .filter(f -> f.id().equals(name) || f.name().equalsIgnoreCase(name))
        .map(Face::id)
        .findFirst()
        .orElse(null);
  }

  @Override
  public KnownPicture picture(String name) {
    String id = names.getOrDefault(name, name);
    return pictures == null
        ? null
        : pictures.file(id).map(p -> new KnownPicture(id, p.width(), p.height())).orElse(null);
  }
}
