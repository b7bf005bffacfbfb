/** What helps drawing: pictures to trace over, and curves kept for use again. */
package rovingglyph.tracing;
