import { shown } from '../ui/arithmetic';
import { describe, expect, it } from 'vitest';
import { decimalsOf, extent, scaleOf } from './scale';
import { easingLabel, landingLabel, landings } from './words';
import type { KeyframeInfo } from '../core/core';

const samples = (...values: number[]) =>
  new Float64Array(values.flatMap((v, i) => [i, v, v - 10, v + 10]));

const chart = (
  n: Float64Array,
  length: number | null,
  width: number,
  height: number,
  seconds: number,
) => scaleOf(extent(n, length), length, width, height, seconds);

describe('scaleOf', () => {
  it('shows the whole path and the whole movement', () => {
    const s = chart(samples(-300, 0, 1400), 1000, 340, 500, 2);
    expect(s.from).toBeLessThan(-300);
    expect(s.to).toBeGreaterThan(1400);
    expect(s.x(s.from)).toBeCloseTo(s.left);
    expect(s.x(s.to)).toBeCloseTo(s.right);
  });

  it('turns pixels back into values and times', () => {
    const s = chart(samples(0, 50), null, 340, 500, 6);
    for (const v of [0, 12.5, 50]) expect(s.value(s.x(v))).toBeCloseTo(v, 9);
    for (const t of [0, 2.4, 6]) expect(s.time(s.y(t))).toBeCloseTo(t, 9);
  });

  it('has room by the unit of a value that stands still', () => {
    expect(extent(samples(1, 1), null, '')).toEqual([0.5, 1.5]);
    expect(extent(samples(400), null, '')).toEqual([200, 600]);
    expect(extent(samples(100), null, '%')).toEqual([50, 150]);
  });

  it('tells small values apart, and never turns a plot too narrow inside out', () => {
    expect([1000, 5, 0.5, 0.01].map(decimalsOf)).toEqual([0, 1, 2, 3]);
    const s = scaleOf([0, 1], null, 0, 400, 6);
    expect(s.right).toBeGreaterThan(s.left);
  });

  it('has room where nothing moves or nothing is known', () => {
    for (const s of [
      chart(samples(7, 7), null, 340, 500, 6),
      chart(new Float64Array(), null, 340, 500, 6),
      chart(samples(0, 0), 0, 0, 0, 1),
    ]) {
      expect(s.to).toBeGreaterThan(s.from);
      expect(Number.isFinite(s.x(3))).toBe(true);
      expect(Number.isFinite(s.value(3))).toBe(true);
    }
  });
});

describe('words of the chart', () => {
  const seconds = (time: number) => `${shown(time, 1)} s`;
  const key = (parts: Partial<KeyframeInfo>): KeyframeInfo => ({
    time: 0,
    value: 0,
    easing: 'linear',
    curve: [0, 0, 1, 1],
    numbers: [],
    ...parts,
  });

  it('names landings', () => {
    expect(landingLabel(key({}))).toBe('');
    expect(landingLabel(key({ landing: 'out-before' }))).toBe('Just out of frame');
    expect(landingLabel(key({ landing: 'whole-laps', laps: 1 }))).toBe('One lap');
    expect(landingLabel(key({ landing: 'whole-laps', laps: 3 }))).toBe('3 laps');
    expect(landingLabel(key({ landing: 'at-the-back' }))).toBe('At the back');
  });

  it('names easings, and a stretch without movement a hold', () => {
    const to = key({ time: 2.4, value: 5 });
    expect(easingLabel(key({ easing: 'ease-out' }), to, seconds)).toBe('Gentle stop');
    expect(easingLabel(key({ easing: 'hold' }), to, seconds)).toBe('Hold 2.4 s');
    expect(easingLabel(key({ value: 5 }), to, seconds)).toBe('Hold 2.4 s');
  });
});

describe('landings', () => {
  it('are offered at front and back where something is turned in space', () => {
    const offered = (inDepth: boolean, chosen?: 'at-the-back') =>
      landings(inDepth, chosen).map((l) => l.value);
    expect(offered(false)).not.toContain('at-the-back');
    expect(offered(true)).toContain('facing-front');
    expect(offered(false, 'at-the-back')).toContain('at-the-back');
  });
});
