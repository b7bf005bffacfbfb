import { shown } from '../ui/arithmetic';
import { beforeEach, expect, it } from 'vitest';
import type { KeyframeInfo } from '../core/core';
import { scrollBy, toggleLane, useView, zoomAt } from './view';
import { easingLabel, landingLabel } from './words';

const view = () => useView.getState();
const seconds = (time: number) => `${shown(time, 1)} s`;

const key = (parts: Partial<KeyframeInfo> = {}): KeyframeInfo => ({
  time: 0,
  value: 0,
  easing: 'linear',
  curve: [0, 0, 1, 1],
  numbers: [],
  ...parts,
});

beforeEach(() => useView.setState({ zoom: 1, start: 0, lanes: [], speed: false, table: false }));

it('zooms about the time under the pointer', () => {
  zoomAt(3, 2, 6);
  expect(view()).toMatchObject({ zoom: 2, start: 1.5 });
  // 3 s stands in the middle of the view before and after.
  zoomAt(3, 2, 6);
  expect(view().start + 6 / view().zoom / 2).toBeCloseTo(3, 9);
});

it('never shows what is before the start or after the end', () => {
  zoomAt(0, 4, 6);
  scrollBy(-9, 6);
  expect(view().start).toBe(0);
  scrollBy(99, 6);
  expect(view().start).toBe(4.5);
  zoomAt(6, 0.1, 6);
  expect(view()).toMatchObject({ zoom: 1, start: 0 });
  zoomAt(1, 1e6, 6);
  expect(view().zoom).toBe(40);
});

it('keeps the last three lanes that were asked for', () => {
  for (const c of ['size', 'opacity', 'rotation', 'fill'] as const) toggleLane(c);
  expect(view().lanes).toEqual(['opacity', 'rotation', 'fill']);
  toggleLane('rotation');
  expect(view().lanes).toEqual(['opacity', 'fill']);
});

it('calls landings and the ways between keyframes by their names', () => {
  expect(landingLabel(key({ landing: 'out-after' }))).toBe('Just out of frame');
  expect(landingLabel(key({ landing: 'whole-laps', laps: 1 }))).toBe('One lap');
  expect(landingLabel(key({ landing: 'whole-laps', laps: -2 }))).toBe('-2 laps');
  expect(landingLabel(key())).toBe('');
  expect(easingLabel(key(), key({ time: 1.6 }), seconds)).toBe('Hold 1.6 s');
  expect(easingLabel(key({ easing: 'spring' }), key({ time: 1, value: 9 }), seconds)).toBe(
    'Spring',
  );
});
