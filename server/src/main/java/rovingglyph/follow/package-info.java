/** Follows what moves in footage, from frame to frame. Nothing here knows of the web. */
package rovingglyph.follow;
