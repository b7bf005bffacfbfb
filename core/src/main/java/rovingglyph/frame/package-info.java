/** The prepared scene, and the frame it gives for a time: a flat list that painters only paint. */
package rovingglyph.frame;
