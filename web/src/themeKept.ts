export const THEME_KEY = 'roving-theme';

/** The theme that was chosen the last time. */
export const themeKept = (): 'day' | 'dusk' =>
  localStorage.getItem(THEME_KEY) === 'dusk' ? 'dusk' : 'day';
