import type { GuidePath, Pair } from '../../core/document';

const through = (name: string, points: Pair[], closed = false): GuidePath => ({
  id: 'ready',
  name,
  kind: 'smooth',
  rule: 'through',
  closed,
  points,
});

/** Curves that people ask for; they are brought to the size of the frame. */
export const READY_CURVES: GuidePath[] = [
  through('Gentle arch', [
    [0, 60],
    [250, 12],
    [500, 0],
    [750, 12],
    [1000, 60],
  ]),
  through('Valley', [
    [0, 0],
    [260, 150],
    [500, 190],
    [740, 150],
    [1000, 0],
  ]),
  through('S-bend', [
    [0, 260],
    [180, 330],
    [420, 240],
    [580, 110],
    [820, 10],
    [1000, 70],
  ]),
  through('Rolling hills', [
    [0, 140],
    [150, 40],
    [330, 130],
    [520, 10],
    [720, 120],
    [860, 50],
    [1000, 90],
  ]),
  through('Swoop', [
    [0, 0],
    [120, 260],
    [380, 420],
    [700, 300],
    [1000, 40],
  ]),
  through(
    'Bean',
    [
      [60, 260],
      [180, 60],
      [480, 0],
      [800, 90],
      [940, 330],
      [760, 520],
      [520, 420],
      [260, 480],
    ],
    true,
  ),
  through(
    'Eight',
    [
      [500, 250],
      [730, 60],
      [960, 250],
      [730, 440],
      [500, 250],
      [270, 60],
      [40, 250],
      [270, 440],
    ],
    true,
  ),
  through('Curl', [
    [0, 420],
    [300, 400],
    [600, 250],
    [560, 60],
    [400, 90],
    [440, 280],
    [700, 400],
    [1000, 420],
  ]),
];
