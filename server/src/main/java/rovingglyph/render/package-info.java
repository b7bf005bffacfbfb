/** Frames painted by Skia, and encoded as PNG or by ffmpeg as video. */
package rovingglyph.render;
