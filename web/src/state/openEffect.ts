import { create } from 'zustand';

/** The effect whose fields are open in the sheet, and whose handles the stage shows. */
export const useOpenEffect = create<{ effect: string | null }>(() => ({ effect: null }));

/** Opens an effect, or closes the one that is open. */
export function toggleEffect(id: string): void {
  useOpenEffect.setState((s) => ({ effect: s.effect === id ? null : id }));
}

export function openEffect(id: string): void {
  useOpenEffect.setState({ effect: id });
}
