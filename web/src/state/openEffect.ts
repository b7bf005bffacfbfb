import { create } from 'zustand';
import type { Effect } from '../core/document';

/** The effect whose fields are open in the sheet, and whose handles the stage shows. */
export const useOpenEffect = create<{ effect: string | null }>(() => ({ effect: null }));

/** The effects that were copied last, for use on other items, of other scenes too. */
export const useCopiedFinish = create<{ effects: Effect[] | null }>(() => ({ effects: null }));

/** Opens an effect, or closes the one that is open. */
export function toggleEffect(id: string): void {
  useOpenEffect.setState((s) => ({ effect: s.effect === id ? null : id }));
}

export function openEffect(id: string): void {
  useOpenEffect.setState({ effect: id });
}
