/** The scene document (JSON, version 1) and its way to and from records. */
package rovingglyph.document;
