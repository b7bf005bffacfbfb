package rovingglyph.webexport;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import rovingglyph.TestScenes;

class PictureSvgTest {
  private static String document(String... pictures) {
    return """
        {"format":"roving-glyph-scene","version":2,"name":"P","width":1000,"height":600,"rate":"25",
         "length":4,"items":[%s]}"""
        .formatted(String.join(",", pictures));
  }

  private static String picture(String id, String image, String more) {
    return """
        {"kind":"picture","id":"%s","image":"%s","pixelWidth":400,"pixelHeight":200,"width":400,
         "height":200,"x":300,"y":200%s}"""
        .formatted(id, image, more);
  }

  private static String write(List<String> asked, String... pictures) {
    return AnimatedSvg.write(
        TestScenes.prepare(document(pictures)),
        (image, width) -> {
          asked.add(image + " " + Math.round(width));
          return image.equals("gone") ? null : "data:image/png;base64,QUJD";
        });
  }

  @Test
  void aBitmapIsWrittenOnceHoweverOftenItIsShown() {
    List<String> asked = new ArrayList<>();
    String svg = write(asked, picture("a", "kites", ""), picture("b", "kites", ",\"scale\":0.5"));
    assertThat(asked).containsExactly("kites 400");
    assertThat(svg.split("data:image/png", -1)).hasSize(2);
    assertThat(svg.split("<use href", -1)).hasSize(3);
  }

  @Test
  void soManyPixelsAreAskedForAsItIsEverShownWith() {
    List<String> asked = new ArrayList<>();
    String grows = ",\"scale\":{\"keyframes\":[{\"time\":0,\"value\":1},{\"time\":2,\"value\":3}]}";
    write(asked, picture("a", "kites", grows));
    assertThat(asked).containsExactly("kites 1200");
  }

  @Test
  void itIsCroppedInThePixelsOfItsBitmap() {
    String svg = write(new ArrayList<>(), picture("a", "kites", ",\"cropLeft\":25,\"cropTop\":10"));
    assertThat(svg)
        .contains("<rect x=\"100\" y=\"20\" width=\"300\" height=\"180\"></rect></clipPath>");
    assertThat(write(new ArrayList<>(), picture("a", "kites", ""))).doesNotContain("clipPath");
    String moving =
        ",\"cropLeft\":{\"keyframes\":[{\"time\":0,\"value\":0},{\"time\":4,\"value\":50}]}";
    assertThat(write(new ArrayList<>(), picture("a", "kites", moving)))
        .contains("<animate attributeName=\"x\"", "<animate attributeName=\"width\"");
  }

  @Test
  void whatIsNotThereIsLeftOut() {
    String svg = write(new ArrayList<>(), picture("a", "gone", ""), picture("b", "kites", ""));
    assertThat(svg.split("<use href", -1)).hasSize(2);
    List<String> asked = new ArrayList<>();
    write(asked, picture("a", "kites", ",\"hidden\":true"));
    assertThat(asked).isEmpty();
  }
}
