import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { useEditor } from './editor';
import { useResting } from './restingTime';

const rests = () => useResting.getState().time;
const go = (time: number) => useEditor.setState({ time });

beforeEach(() => {
  vi.useFakeTimers({ now: 1e6 });
  vi.advanceTimersByTime(5000);
  useEditor.setState({ playing: false });
  go(0);
  vi.advanceTimersByTime(5000);
});

afterEach(() => vi.useRealTimers());

it('follows a jump at once', () => {
  go(2);
  expect(rests()).toBe(2);
});

it('follows a scrub when it begins and when it ends, not between', () => {
  const seen: number[] = [];
  const stop = useResting.subscribe((s) => seen.push(s.time));
  for (let i = 1; i <= 20; i++) {
    go(i / 10);
    vi.advanceTimersByTime(16);
  }
  expect(seen).toEqual([0.1]);
  vi.advanceTimersByTime(200);
  expect(seen).toEqual([0.1, 2]);
  stop();
});

it('waits for the end of the playing', () => {
  const seen: number[] = [];
  const stop = useResting.subscribe((s) => seen.push(s.time));
  useEditor.setState({ playing: true });
  for (let i = 1; i <= 50; i++) {
    go(i / 25);
    vi.advanceTimersByTime(40);
  }
  expect(seen).toEqual([]);
  useEditor.setState({ playing: false });
  expect(seen).toEqual([2]);
  stop();
});
