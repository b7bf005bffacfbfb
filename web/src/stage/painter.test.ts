import { beforeEach, expect, it, vi } from 'vitest';
import * as core from '../core/core';
import { BLEND_MODES, EffectKind, Op, PaintKind } from '../core/generated/frame';
import { paintBlurred, paintFrame } from './painter';

/** What is drawn, in order. */
let log: string[] = [];

class FakePath {
  readonly steps: string[] = [];
  moveTo = (...n: number[]) => this.steps.push(`M${n.join(' ')}`);
  lineTo = (...n: number[]) => this.steps.push(`L${n.join(' ')}`);
  quadraticCurveTo = (...n: number[]) => this.steps.push(`Q${n.join(' ')}`);
  bezierCurveTo = (...n: number[]) => this.steps.push(`C${n.join(' ')}`);
  closePath = () => this.steps.push('Z');
  addPath = (p: FakePath, m: Record<string, number>) =>
    this.steps.push(`${p.steps.join('')}@${[...'abcdef'].map((k) => m[k]).join(' ')}`);
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
            `stroke ${state.strokeStyle} ${state.lineWidth} ${state.lineCap} ${state.lineJoin} ${p.steps.join('')}`,
          );
      if (name === 'drawImage')
        return (_: unknown, x: number, y: number) =>
          log.push(
            `put ${state.globalAlpha} ${state.globalCompositeOperation} ${x} ${y} ${state.filter ?? ''}`.trim(),
          );
      if (name === 'canvas') return made;
      if (name === 'setLineDash') return (d: number[]) => log.push(`dash ${d.join(' ')}`);
      if (name === 'transform') return (...m: number[]) => log.push(`transform ${m.join(' ')}`);
      if (name === 'clip') return (p: FakePath) => log.push(`clip ${p.steps.join('')}`);
      if (name === 'fillRect') return () => log.push(`ground ${state.fillStyle}`);
      if (name === 'setTransform') return (k: number) => log.push(`scale ${k}`);
      return name in state ? state[name] : () => log.push(name);
    },
    set: (_, name: string, value) => {
      state[name] = value;
      return true;
    },
  });
  const made = { width, height: width / 2, getContext: () => g } as unknown as HTMLCanvasElement;
  return made;
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
  // Each a line of its own.
  outline: (i: number) => Float64Array.from([1, i, i]),
  blurSamples: () => 0,
}));

beforeEach(() => {
  log = [];
  vi.stubGlobal('Path2D', FakePath);
});

const entry = (op: number, ...payload: number[]) => [op, payload.length, ...payload];
const fill = (rgb: number, alpha: number, ...outlines: number[]) =>
  entry(Op.FILL, PaintKind.PLAIN, alpha, rgb, ...outlines);
const ONE = [0, 1, 0, 0, 1, 0, 0];
const push = (alpha: number, blend: number, box: number[], reach = 0, ...effect: number[]) =>
  entry(Op.PUSH, alpha, blend, ...box, reach, effect.length > 0 ? 1 : 0, ...effect);

it('fills the outlines of a shape as one area', () => {
  const got = paint(fill(0x0a0b0c, 0.5, 0, 1, 0, 0, 1, 5, 6, 1, 2, 0, 0, 2, 7, 8));
  expect(got).toEqual(['fill #0a0b0c 0.5 L0 0@1 0 0 1 5 6L1 1@2 0 0 2 7 8']);
});

it('draws outlines of one frame alone from their steps', () => {
  const steps = [0, 1, 2, 1, 3, 4, 2, 5, 6, 7, 8, 3, 1, 2, 3, 4, 5, 6, 4];
  const got = paint(fill(0xff, 1, -1, steps.length, ...steps, ...ONE));
  expect(got).toEqual(['fill #0000ff 1 M1 2L3 4Q5 6 7 8C1 2 3 4 5 6ZL0 0@1 0 0 1 0 0']);
});

it('draws lines each alone, mapped before or after, with width, cap, join and dashes, and goes on', () => {
  const steps = [0, 1, 2, 1, 3, 4];
  const along = [-1, 6, ...steps, 1, 2, 0, 0, 3, 7, 8, -2, 2, 0, 0, 2, 0, 0, 6, ...steps];
  const line = entry(Op.STROKE, PaintKind.PLAIN, 1, 1, 4, 2, 1, 2, 6, 3, ...along);
  const drawn = (d: string, map: string) => [
    'dash 6 3',
    `transform ${map}`,
    `stroke #000001 4 square miter ${d}`,
  ];
  expect(paint([...line, ...fill(2, 1, ...ONE)])).toEqual([
    ...drawn('M1 2L3 4', '1 0 0 1 0 0'),
    ...drawn('L1 1@2 0 0 3 7 8', '1 0 0 1 0 0'),
    ...drawn('M1 2L3 4', '2 0 0 2 0 0'),
    'fill #000002 1 L0 0@1 0 0 1 0 0',
  ]);
});

it('clips to an area and no longer', () => {
  const got = paint([...entry(Op.CLIP, ...ONE), ...fill(2, 1, ...ONE), ...entry(Op.UNCLIP)]);
  expect(got).toEqual([
    'save',
    'clip L0 0@1 0 0 1 0 0',
    'fill #000002 1 L0 0@1 0 0 1 0 0',
    'restore',
  ]);
});

it('puts a faded group over what is there as a picture of its own, of the size of its box', () => {
  vi.stubGlobal('document', { createElement: () => canvas(0) });
  const got = paint([
    ...fill(1, 1, ...ONE),
    ...push(0.4, 0, [100, 40, 300, 80]),
    ...fill(2, 1, ...ONE),
    ...entry(Op.POP),
    ...fill(3, 1, ...ONE),
  ]);
  expect(got).toEqual([
    'fill #000001 1 L0 0@1 0 0 1 0 0',
    'fill #000002 1 L0 0@1 0 0 1 0 0',
    'put 0.4 source-over 49 19',
    'fill #000003 1 L0 0@1 0 0 1 0 0',
  ]);
});

it('blends, blurs and clips layers, and what is blurred may come from outside', () => {
  vi.stubGlobal('document', { createElement: () => canvas(0) });
  const multiply = BLEND_MODES.indexOf('multiply');
  const got = paint([
    ...push(1, multiply, [-500, 0, 300, 80]),
    ...push(1, 0, [-500, 0, 300, 80], 24, EffectKind.BLUR, 1, 8),
    ...fill(1, 1, ...ONE),
    ...entry(Op.POP),
    ...entry(Op.MATTE, 1),
    ...fill(2, 1, ...ONE),
    ...entry(Op.POP),
  ]);
  expect(got).toEqual([
    'fill #000001 1 L0 0@1 0 0 1 0 0',
    // Of half the size: a deviation of four, so twelve px beyond the edge of the canvas count.
    // It is blurred on a canvas of its own size, so that it costs by its area.
    'put 1 source-over -12 -1 blur(4px)',
    'put 1 source-over -12 -12',
    'fill #000002 1 L0 0@1 0 0 1 0 0',
    'put 1 destination-out 0 0',
    'put 1 multiply 0 0',
  ]);
});

it('does not take an op that it does not know for another', () => {
  expect(() => paint(entry(99, 1, 2))).toThrow('There is no op 99');
});

it('paints the ground first, at the scale of the canvas', () => {
  expect(paint([], '#FFFFFF')).toEqual(['ground #FFFFFF']);
  expect(log).toContain('scale 0.5');
});

it('paints plainly what the scene does not blur', () => {
  vi.spyOn(core, 'frame').mockReturnValue(Float64Array.from(fill(3, 1, ...ONE)));
  paintBlurred(canvas(500), 0, 1000, null, Infinity);
  expect(log.at(-1)).toBe('fill #000003 1 L0 0@1 0 0 1 0 0');
});
