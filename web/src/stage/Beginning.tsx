import { useEditor } from '../state/editor';
import { addLettering, addReadyPiece, PIECES, type Piece } from '../state/itemActions';
import { play } from './playback';

/** The way that the words of each go. */
const WAYS: Record<Piece, string> = {
  badge: 'M36 8A16 16 0 1 1 35.99 8',
  title: 'M4 42C14 42 16 25 30 24.5S50 24 68 24',
  border: 'M14 8H58A6 6 0 0 1 64 14V34A6 6 0 0 1 58 40H14A6 6 0 0 1 8 34V14A6 6 0 0 1 14 8Z',
};

/**
 * What to do first in a scene without words: write some, or begin with a piece that is ready. Where
 * there is something beneath to take hold of, or a line is to be drawn, there is less of it.
 */
export function Beginning() {
  const empty = useEditor(
    (s) => !s.drawing && s.tab !== 'path' && !s.doc?.items.length && !s.doc?.paths.length,
  );
  return (
    <div className="pointer-events-none absolute inset-0 flex flex-col items-center justify-center p-2 text-center">
      <div
        className={`flex max-h-full max-w-96 flex-col items-center gap-3 ${
          empty
            ? 'pointer-events-auto overflow-y-auto rounded-lg border border-rule bg-sheet/95 p-4'
            : ''
        }`}
      >
        <p className={empty ? '' : 'rounded-md bg-sheet/90 px-3 py-2'}>
          Begin with words: they get a circle to travel on, and you choose the path next.
        </p>
        <button type="button" className="btn-main pointer-events-auto" onClick={addLettering}>
          Add a lettering
        </button>
        {empty && <Pieces />}
      </div>
    </div>
  );
}

function Pieces() {
  const begin = (piece: Piece) => {
    addReadyPiece(piece);
    play();
  };
  return (
    <>
      <p className="text-soft">Or with a ready piece, and change what you like:</p>
      <ul className="grid grid-cols-3 gap-2">
        {PIECES.map((c) => (
          <li key={c.piece} className="flex">
            <button
              type="button"
              className="flex flex-1 flex-col items-center gap-1 rounded-md border border-rule px-1.5 pt-1.5 pb-2 leading-tight hover:border-soft"
              onClick={() => begin(c.piece)}
            >
              <svg viewBox="0 0 72 48" className="w-18" aria-hidden>
                <path
                  d={WAYS[c.piece]}
                  fill="none"
                  className="stroke-teal"
                  strokeWidth={5}
                  strokeDasharray="4 2.5 3 2.5 5 2.5"
                />
              </svg>
              {c.label}
            </button>
          </li>
        ))}
      </ul>
    </>
  );
}
