/** The scene as records: paths, letterings, pictures and how their values move. */
package rovingglyph.scene;
