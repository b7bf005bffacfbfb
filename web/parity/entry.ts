import { allArrived as allPictures } from '../src/stage/bitmaps';
import { allFramesArrived } from '../src/stage/footage';

/** What the tests need to paint frames on a canvas without the interface. */
export { open, putRun, putScene } from '../src/core/core';
export { paintBlurred, paintFrame } from '../src/stage/painter';

/** Whether no picture and no frame that was asked for is still on its way. */
export const allArrived = () => allPictures() && allFramesArrived();
