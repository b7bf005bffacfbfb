import { create } from 'zustand';
import { useKeeper } from './autosave';
import { notify } from './notices';

/** Whether a project file is asked for. */
export const useOpenProject = create<{ open: boolean }>(() => ({ open: false }));

export const showOpenProject = () => useOpenProject.setState({ open: true });

/** How long what was just done may take to be kept, ms. */
const PATIENCE = 5000;

/** Gives a project out as a file, once what was done last is kept. */
export async function saveProjectFile(project: string): Promise<void> {
  if (!(await isAllKept())) {
    notify('Not all that was done is kept yet. Save the project once it says “Kept”.', 'error');
    return;
  }
  const link = document.createElement('a');
  link.href = `/api/projects/${project}/file`;
  link.download = '';
  link.click();
}

async function isAllKept(): Promise<boolean> {
  const until = Date.now() + PATIENCE;
  while (useKeeper.getState().state !== 'kept' && Date.now() < until) {
    await new Promise((go) => setTimeout(go, 100));
  }
  return useKeeper.getState().state === 'kept';
}
