/** Values over time: easing, keyframes, and landings solved against the real outlines. */
package rovingglyph.motion;
