import { create } from 'zustand';

/** The lettering just added, until the box for its words has the keys. */
export const useNewWords = create<{ id: string | null }>(() => ({ id: null }));
