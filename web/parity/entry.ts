/** What the tests need to paint frames on a canvas without the interface. */
export { open, putRun, putScene } from '../src/core/core';
export { paintBlurred, paintFrame } from '../src/stage/painter';
export { allArrived } from '../src/stage/bitmaps';
