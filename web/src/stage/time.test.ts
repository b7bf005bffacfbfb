import { expect, it } from 'vitest';
import { scene } from '../testing';
import { framesPerSecond } from '../core/core';
import { clock, RATES, rateLabel } from './time';

it.each([
  ['25', 2, '00:02.00'],
  ['25', 2.32, '00:02.08'],
  ['25', 75, '01:15.00'],
  ['30000/1001', 1.001, '00:01.00'],
  ['60', 0.5, '00:00.30'],
])('at %s frames a second %d s is %s', (rate, time, text) => {
  expect(clock(scene({ rate }), time)).toBe(text);
});

it('names the usual rates and shows others as they are', () => {
  expect(rateLabel('24000/1001')).toBe('23.976');
  expect(rateLabel('12')).toBe('12');
  for (const r of RATES) expect(framesPerSecond(r.value)).toBeCloseTo(Number(r.label), 2);
});
