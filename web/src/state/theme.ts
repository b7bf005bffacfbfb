import { create } from 'zustand';
import { THEME_KEY, themeKept } from '../themeKept';

export const useTheme = create<{ dusk: boolean }>(() => ({ dusk: themeKept() === 'dusk' }));

/** Shows the theme that was chosen the last time, and every change of it. */
export function startTheme(): void {
  const apply = ({ dusk }: { dusk: boolean }) => {
    document.documentElement.dataset.theme = dusk ? 'dusk' : 'day';
  };
  apply(useTheme.getState());
  useTheme.subscribe((s) => {
    localStorage.setItem(THEME_KEY, s.dusk ? 'dusk' : 'day');
    apply(s);
  });
}

export const toggleDusk = () => useTheme.setState((s) => ({ dusk: !s.dusk }));
