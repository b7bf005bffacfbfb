import { useEffect, useRef } from 'react';
import { create } from 'zustand';
import type { Pair } from '../core/document';
import { useEditor } from '../state/editor';
import { letteringOf } from '../state/items';
import { TextBox } from '../sheets/words/TextBox';
import { useView } from './view';

/** The lettering whose words are written on the stage, and where the box for them is, CSS px of it. */
const useInPlace = create<{ id: string | null; at: Pair }>(() => ({ id: null, at: [0, 0] }));

/** Lets the words of a lettering be written where they were pointed at. */
export function writeInPlace(id: string, at: Pair): void {
  useInPlace.setState({ id, at });
}

const done = () => useInPlace.setState({ id: null });

/** Size of the box, px. */
const WIDTH = 280;
const HEIGHT = 110;

/** A box beside the pointer to write words in; Escape, Ctrl Enter and a click elsewhere end it. */
export function TextInPlace() {
  const { id, at } = useInPlace();
  const room = useView((s) => s.room);
  const doc = useEditor((s) => s.doc);
  const lettering = letteringOf(doc, id);
  const box = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const text = box.current?.querySelector('textarea');
    text?.focus();
    text?.select();
  }, [id]);
  if (!lettering) return null;
  const within = (v: number, size: number, most: number) =>
    Math.min(Math.max(v, 8), Math.max(8, most - size - 8));
  return (
    <div
      ref={box}
      className="absolute z-10 rounded-lg border border-teal bg-sheet p-1.5 shadow-lg"
      style={{
        width: WIDTH,
        left: within(at[0] - WIDTH / 2, WIDTH, room[0]),
        top: within(at[1] + 10, HEIGHT, room[1]),
      }}
    >
      <TextBox
        key={lettering.id}
        lettering={lettering}
        label={`Words of ${lettering.name || 'the lettering'}`}
        className="resize-none"
        rows={Math.min(4, Math.max(2, lettering.text.split('\n').length))}
        onBlur={done}
        onKeyDown={(e) => {
          if (e.key !== 'Escape' && !(e.key === 'Enter' && (e.ctrlKey || e.metaKey))) return;
          e.stopPropagation();
          done();
        }}
      />
    </div>
  );
}
