import { describe, expect, it } from 'vitest';
import type { SceneDoc } from '../core/document';
import { scene } from '../testing';
import { doneSince, nameStep } from './stepNames';

function step(done: string): SceneDoc {
  const doc = scene();
  nameStep(doc, done);
  return doc;
}

describe('what was done', () => {
  const [a, b, c, d, e] = ['Grouped', 'Set size', 'Set size', 'Moved a path', 'Cut a path'].map(
    step,
  ) as [SceneDoc, SceneDoc, SceneDoc, SceneDoc, SceneDoc];

  it('is told once, from what was kept to the present', () => {
    expect(doneSince(a, c, [a, b], [])).toBe('Set size');
    expect(doneSince(a, d, [a, b, c], [])).toBe('Set size, moved a path');
  });

  it('is cut short where it is much', () => {
    const f = step('Joined two paths');
    expect(doneSince(step('x'), f, [], [])).toBe('Joined two paths');
    expect(doneSince(a, step('Deleted'), [a, b, d, e, f], [])).toBe(
      'Set size, moved a path, cut a path, and 2 more',
    );
  });

  it('is what was undone, where that is what was done', () => {
    expect(doneSince(d, a, [], [b, c, d])).toBe('Undone: set size, moved a path');
  });

  it('is nothing where nobody noted it', () => {
    expect(doneSince(null, scene(), [], [])).toBe('');
  });
});
