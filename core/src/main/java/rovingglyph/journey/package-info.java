/**
 * The journey of a lettering as a chart, its poses, and the handles that stand for it on a stage.
 */
package rovingglyph.journey;
