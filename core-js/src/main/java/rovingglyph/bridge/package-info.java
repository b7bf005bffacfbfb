/** The few functions of the core that the browser calls, compiled by TeaVM to an ES module. */
package rovingglyph.bridge;
