/** The scene as an animated SVG: outlines and CSS only, no script and no font. */
package rovingglyph.webexport;
