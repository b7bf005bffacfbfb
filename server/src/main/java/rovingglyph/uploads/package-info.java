/**
 * Large files on their way in, and as they are stored: in pieces, so that none is whole in memory.
 */
package rovingglyph.uploads;
