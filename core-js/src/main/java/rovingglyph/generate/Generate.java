package rovingglyph.generate;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** Writes what is said in Java alone: constants and types for TypeScript, and what docs/ tells. */
public final class Generate {
  private Generate() {}

  /**
   * Writes the files.
   *
   * @param args the folder for TypeScript; and, if docs/ is to be brought up to date, that of docs
   */
  public static void main(String[] args) throws IOException {
    Path folder = Path.of(args[0]);
    Files.createDirectories(folder);
    Files.writeString(folder.resolve("frame.ts"), FrameConstants.text());
    Files.writeString(folder.resolve("document.ts"), DocumentTypes.text());
    Files.writeString(folder.resolve("edits.ts"), EditTypes.text());
    if (args.length > 1) {
      Path docs = Path.of(args[1]);
      Path page = docs.resolve("scene-format.md");
      Files.writeString(page, FormatTables.of(Files.readString(page)));
      Files.writeString(docs.resolve("scene.schema.json"), DocumentSchema.text());
    }
  }
}
