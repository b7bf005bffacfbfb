/** The running server: start, who may talk to it, and how problems are told. */
package rovingglyph.server;
