/**
 * Points, segments and contours measured by arc length; SVG path data in and out. Pixels, y down.
 */
package rovingglyph.geometry;
