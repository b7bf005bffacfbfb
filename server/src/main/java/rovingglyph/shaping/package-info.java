/** Typefaces and HarfBuzz: text in, shaped clusters with outlines in em units out. */
package rovingglyph.shaping;
