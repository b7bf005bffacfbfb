import { describe, expect, it } from 'vitest';
import { readNumber, shown } from './arithmetic';

describe('readNumber', () => {
  it.each([
    ['12', 12, ''],
    [' -3.5 ', -3.5, ''],
    ['1280/2', 640, ''],
    ['3*25', 75, ''],
    ['2+3*4', 14, ''],
    ['(2+3)*4', 20, ''],
    ['10-4-3', 3, ''],
    ['--2', 2, ''],
    ['0,5', 0.5, ''],
    ['.5', 0.5, ''],
    ['40%', 40, '%'],
    ['40 %', 40, '%'],
    ['2 laps', 2, 'laps'],
    ['1 lap', 1, 'lap'],
    ['1/2 laps', 0.5, 'laps'],
    ['90°', 90, '°'],
    ['12 PX', 12, 'px'],
  ])('reads %s', (text, value, unit) => {
    expect(readNumber(text)).toEqual({ value, unit });
  });

  it.each(['', 'many', '1..2', '2+', '(2', '2)', '8/0', '1e308', 'NaN', '3 apples', '*', '2 3'])(
    'refuses %s',
    (text) => {
      expect(readNumber(text)).toBeNull();
    },
  );
});

describe('shown', () => {
  it.each([
    [1.5, 2, '1.5'],
    [100, 1, '100'],
    [0.04, 1, '0'],
    [-0.04, 1, '0'],
    [2387.61, 1, '2387.6'],
    [-12.345, 2, '-12.35'],
    [1000, 0, '1000'],
  ])('%d with %d decimals', (value, decimals, text) => {
    expect(shown(value, decimals)).toBe(text);
  });
});
