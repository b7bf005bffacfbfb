package rovingglyph.frame;

import rovingglyph.seat.Placement;
import rovingglyph.seat.RowLayout;

/**
 * A letter of a row that is painted.
 *
 * @param place with the rotation of the lettering
 * @param alpha what it is painted with, 0 to 1
 * @param number of it among all letters of all rows that are no spaces
 */
record LetterInk(RowLayout row, Placement place, double alpha, int number) {
  LetterInk opaque() {
    return new LetterInk(row, place, 1, number);
  }

  int letter() {
    return place.letter();
  }
}
