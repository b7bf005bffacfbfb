/** The project that an empty database begins with. */
package rovingglyph.demo;
