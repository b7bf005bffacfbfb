/** From shaped clusters and a contour to places: SVG's text on a path, and what goes beyond it. */
package rovingglyph.seat;
