import { beforeEach, expect, it, vi } from 'vitest';
import * as core from '../core/core';
import { paintBlurred, paintFrame } from './painter';

/** What is drawn, in order. */
let log: string[] = [];

class FakePath {
  readonly steps: string[] = [];
  constructor(public readonly d = '') {}
  moveTo = (...n: number[]) => this.steps.push(`M${n.join(' ')}`);
  lineTo = (...n: number[]) => this.steps.push(`L${n.join(' ')}`);
  quadraticCurveTo = (...n: number[]) => this.steps.push(`Q${n.join(' ')}`);
  bezierCurveTo = (...n: number[]) => this.steps.push(`C${n.join(' ')}`);
  closePath = () => this.steps.push('Z');
  addPath = (p: FakePath, m: { n: number[] }) => this.steps.push(`${p.d}@${m.n.join(' ')}`);
}

function canvas(width: number) {
  const state: Record<string, unknown> = {};
  const g = new Proxy(state, {
    get: (_, name: string) => {
      if (name === 'fill')
        return (p: FakePath) =>
          log.push(`fill ${state.fillStyle} ${state.globalAlpha} ${p.steps.join('')}`);
      if (name === 'stroke')
        return (p: FakePath) =>
          log.push(
            `stroke ${state.strokeStyle} ${state.lineWidth} ${state.lineCap} ${p.steps.join('')}`,
          );
      if (name === 'drawImage') return () => log.push(`put ${state.globalAlpha}`);
      if (name === 'setLineDash') return (d: number[]) => log.push(`dash ${d.join(' ')}`);
      if (name === 'fillRect') return () => log.push(`ground ${state.fillStyle}`);
      if (name === 'setTransform') return (k: number) => log.push(`scale ${k}`);
      return name in state ? state[name] : () => log.push(name);
    },
    set: (_, name: string, value) => {
      state[name] = value;
      return true;
    },
  });
  return { width, height: width / 2, getContext: () => g } as unknown as HTMLCanvasElement;
}

function paint(numbers: number[], background: string | null = null) {
  vi.spyOn(core, 'frame').mockReturnValue(Float64Array.from(numbers));
  paintFrame(canvas(500), 0, 1000, background);
  return log.filter((l) => !l.startsWith('scale') && l !== 'clearRect');
}

vi.mock('../core/core', () => ({
  frame: vi.fn(),
  outlinesVersion: () => 1,
  outlineCount: () => 2,
  outline: (i: number) => `o${i}`,
  blurSamples: () => 0,
}));

beforeEach(() => {
  log = [];
  vi.stubGlobal('Path2D', FakePath);
  vi.stubGlobal(
    'DOMMatrix',
    class {
      constructor(public n: number[]) {}
    },
  );
});

it('fills the outlines of a shape as one area', () => {
  const got = paint([0x0a0b0c, 0.5, 2, 0, 1, 0, 0, 1, 5, 6, 1, 2, 0, 0, 2, 7, 8]);
  expect(got).toEqual(['fill #0a0b0c 0.5 o0@1 0 0 1 5 6o1@2 0 0 2 7 8']);
});

it('draws outlines of one frame alone from their steps', () => {
  const steps = [0, 1, 2, 1, 3, 4, 2, 5, 6, 7, 8, 3, 1, 2, 3, 4, 5, 6, 4];
  const got = paint([0xff, 1, 2, -1, steps.length, ...steps, 0, 1, 0, 0, 1, 0, 0]);
  expect(got).toEqual(['fill #0000ff 1 M1 2L3 4Q5 6 7 8C1 2 3 4 5 6Zo0@1 0 0 1 0 0']);
});

it('draws lines with their width, cap and dashes, and goes on behind them', () => {
  const got = paint([1, 1, -1, 4, 2, 2, 6, 3, 6, 0, 1, 2, 1, 3, 4, 2, 1, 1, 0, 1, 0, 0, 1, 0, 0]);
  expect(got).toEqual([
    'dash 6 3',
    'stroke #000001 4 square M1 2L3 4',
    'fill #000002 1 o0@1 0 0 1 0 0',
  ]);
});

it('puts a faded group over what is there as a picture of its own', () => {
  vi.stubGlobal('document', { createElement: () => canvas(0) });
  const shape = (c: number) => [c, 1, 1, 0, 1, 0, 0, 1, 0, 0];
  const got = paint([...shape(1), 0, 0.4, -2, ...shape(2), 0, 0, -3, ...shape(3)]);
  expect(got).toEqual([
    'fill #000001 1 o0@1 0 0 1 0 0',
    'fill #000002 1 o0@1 0 0 1 0 0',
    'put 0.4',
    'fill #000003 1 o0@1 0 0 1 0 0',
  ]);
});

it('paints the ground first, at the scale of the canvas', () => {
  expect(paint([], '#FFFFFF')).toEqual(['ground #FFFFFF']);
  expect(log).toContain('scale 0.5');
});

it('paints plainly what the scene does not blur', () => {
  vi.spyOn(core, 'frame').mockReturnValue(Float64Array.from([3, 1, 1, 0, 1, 0, 0, 1, 0, 0]));
  paintBlurred(canvas(500), 0, 1000, null, Infinity);
  expect(log.at(-1)).toBe('fill #000003 1 o0@1 0 0 1 0 0');
});
