import { useMemo } from 'react';
import { create } from 'zustand';
import * as core from '../core/core';
import type { SceneDoc } from '../core/document';
import { useEditor } from '../state/editor';
import { useFootage } from '../state/footage';

/** Whether what plays is heard. */
export const useSound = create<{ on: boolean }>(() => ({ on: true }));

/** How far sound may be from the picture before it is brought back to it, seconds. */
const DRIFT = 0.06;

/** The sounds of footage as addresses within the page; null while on its way or where there is none. */
const addresses = new Map<string, string | null>();

/** What plays, by the number of its piece. */
const players = new Map<number, HTMLAudioElement>();

let pieces: core.Sound[] = [];
let of: SceneDoc | null = null;

/** What is heard of the opened scene, as far as its footage has sound at all. */
export function useSounds(): core.Sound[] {
  const shown = useEditor((s) => s.shown);
  const kept = useFootage().data;
  return useMemo(() => {
    const silent = new Set(kept?.filter((f) => !f.sound).map((f) => f.id));
    return shown < 1 ? [] : core.sounds().filter((p) => !silent.has(p.image));
  }, [shown, kept]);
}

/** Lets be heard what the opened scene has at a time, while it plays. */
export function hear(time: number): void {
  const { doc } = useEditor.getState();
  if (doc !== of) {
    hush();
    pieces = core.sounds();
    of = doc;
  }
  if (!useSound.getState().on) {
    if (players.size > 0) hush();
    return;
  }
  pieces.forEach((p, i) => {
    if (time < p.at || time >= p.at + p.seconds) {
      players.get(i)?.pause();
      return;
    }
    const player = players.get(i) ?? begun(i, p);
    if (!player) return;
    const wanted = p.from + (time - p.at) * p.speed;
    if (player.paused || Math.abs(player.currentTime - wanted) > DRIFT * Math.max(1, p.speed)) {
      player.currentTime = wanted;
    }
    player.volume = Math.min(1, core.soundGain(i, time));
    if (player.paused) void player.play().catch(() => undefined);
  });
}

/** Ends all sound. */
export function hush(): void {
  players.forEach((p) => p.pause());
  players.clear();
  of = null;
}

function begun(number: number, piece: core.Sound): HTMLAudioElement | undefined {
  const address = addresses.get(piece.image);
  if (address === undefined) void ask(piece.image);
  if (!address) return undefined;
  const player = new Audio(address);
  player.playbackRate = Math.min(Math.max(piece.speed, 0.0625), 16);
  players.set(number, player);
  return player;
}

/** All of it at once, so that it can be heard from anywhere. */
async function ask(image: string): Promise<void> {
  addresses.set(image, null);
  try {
    const answer = await fetch(`/api/footage/${image}/sound`);
    if (answer.ok) addresses.set(image, URL.createObjectURL(await answer.blob()));
    else if (answer.status !== 404) throw new Error(`The sound came with status ${answer.status}`);
  } catch {
    setTimeout(() => addresses.delete(image), 3000);
  }
}
