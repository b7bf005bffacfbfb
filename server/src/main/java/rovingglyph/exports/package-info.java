/** Files made from scenes in the background, shared by all nodes on one database. */
package rovingglyph.exports;
