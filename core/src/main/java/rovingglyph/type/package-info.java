/** Shaped text as the core sees it: clusters, advances and outlines in em units, y down. */
package rovingglyph.type;
