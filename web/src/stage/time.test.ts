import { expect, it } from 'vitest';
import { scene } from '../testing';
import { framesPerSecond } from '../core/core';
import { clock, RATES, rateLabel, readTime, timeWords } from './time';

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

it.each([
  ['1.2', 25, false, 1.2],
  ['1,2', 25, false, 1.2],
  ['1.2s', 25, true, 1.2],
  ['30f', 25, false, 1.2],
  ['30', 25, true, 1.2],
  ['60/2 f', 25, false, 1.2],
  ['00:01.05', 25, false, 1.2],
  ['0:01:05', 25, true, 1.2],
  ['1:00', 24, false, 60],
  ['-00:01.05', 25, false, -1.2],
  ['00:01.00', 30000 / 1001, false, 1.001],
])('“%s” at %d frames a second, in frames: %s, is %d s', (text, fps, inFrames, time) => {
  expect(readTime(text, fps, inFrames)).toBeCloseTo(time, 12);
});

it.each(['soon', '', '1:2:3:4', '00:61.00', '00:01.25', '12 px', '1..2'])(
  'says why “%s” is no time',
  (text) => {
    expect(readTime(text, 25, false)).toContain('the old');
  },
);

it('understands every time that it tells, in either unit and as the clock has it', () => {
  for (const rate of ['24000/1001', '25', '60']) {
    const fps = framesPerSecond(rate);
    for (let frame = 0; frame < 4000; frame += 7) {
      const time = frame / fps;
      for (const inFrames of [true, false]) {
        expect(readTime(timeWords(time, fps, inFrames, 6), fps, inFrames)).toBeCloseTo(time, 5);
        expect(readTime(timeWords(time, fps, inFrames, 6), fps, !inFrames)).toBeCloseTo(time, 5);
        expect(readTime(clock(scene({ rate }), time), fps, inFrames)).toBeCloseTo(time, 9);
      }
    }
  }
});
