import { create } from 'zustand';

export interface Notice {
  id: number;
  text: string;
  tone: 'info' | 'error';
  action?: { label: string; run: () => void };
}

export const useNotices = create<{ notices: Notice[] }>(() => ({ notices: [] }));

let next = 1;

/** Shows a short notice; the same text is not shown twice at once. */
export function notify(text: string, tone: Notice['tone'] = 'info', action?: Notice['action']) {
  const { getState, setState } = useNotices;
  const id = next++;
  const others = getState().notices.filter((n) => n.text !== text);
  setState({ notices: [...others.slice(-2), { id, text, tone, action }] });
  setTimeout(() => dismiss(id), tone === 'error' ? 9000 : 5000);
}

export function dismiss(id: number): void {
  useNotices.setState({ notices: useNotices.getState().notices.filter((n) => n.id !== id) });
}
