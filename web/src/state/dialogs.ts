import { create } from 'zustand';

/** The dialogs that are about the workbench itself: one at a time. */
export const useDialogs = create<{ open: 'help' | 'find' | null }>(() => ({ open: null }));

export const showHelp = () => useDialogs.setState({ open: 'help' });
export const showFind = () => useDialogs.setState({ open: 'find' });
export const closeDialog = () => useDialogs.setState({ open: null });
