/** Series: one scene, and a table whose rows give it other texts, colours, faces and pictures. */
package rovingglyph.series;
