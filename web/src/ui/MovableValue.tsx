import { isColour } from '../core/core';
import type { Channel } from '../core/document';
import { MovableColour } from './MovableColour';
import { MovableField } from './MovableField';

/** A value at the playhead, a number or a colour, and its ring. */
export function MovableValue({ item, channel }: { item: string; channel: Channel }) {
  return isColour(channel) ? (
    <MovableColour item={item} channel={channel} />
  ) : (
    <MovableField item={item} channel={channel} />
  );
}
