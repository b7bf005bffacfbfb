import { create } from 'zustand';

/** Whether the list of what was kept is open. */
export const useHistory = create<{ open: boolean }>(() => ({ open: false }));

export const showHistory = () => useHistory.setState({ open: true });
