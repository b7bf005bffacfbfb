/** The paths of SVG files: elements, shapes, units and transforms down to plain path data. */
package rovingglyph.svgimport;
