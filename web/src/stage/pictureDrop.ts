import { useEditor } from '../state/editor';
import { addFootageFiles, FOOTAGE_FILES, isFootage } from '../state/footage';
import { addInset, DRAGGED_SCENE, type Dragged } from '../state/insets';
import { notify } from '../state/notices';
import { addPictureFiles, PICTURE_FILES, picturesOf } from '../state/pictures';

/**
 * Takes in pictures, footage, and a scene of the project, dropped on the stage: on the frame where they are
 * dropped, else in its middle.
 */
export function dropOnStage(e: React.DragEvent): void {
  const scene = e.dataTransfer.getData(DRAGGED_SCENE);
  if (scene) {
    e.preventDefault();
    void addInset(JSON.parse(scene) as Dragged, placeOf(e));
    return;
  }
  const files = [...e.dataTransfer.files];
  if (files.length === 0) return;
  e.preventDefault();
  e.stopPropagation();
  void takeIn(files, placeOf(e));
}

async function takeIn(files: File[], at?: [number, number]): Promise<void> {
  const moving = await Promise.all(files.map(isFootage));
  const footage = files.filter((_, i) => moving[i]);
  const pictures = picturesOf(files).filter((f) => !footage.includes(f));
  const other = files.find((f) => !footage.includes(f) && !pictures.includes(f));
  if (other) {
    notify(
      `${other.name} is neither a picture (PNG, JPEG, WebP, AVIF, GIF, SVG) nor footage (MP4, MOV, WebM, GIF, a ZIP of stills).`,
    );
  }
  await Promise.all([addPictureFiles(pictures, at), addFootageFiles(footage, at)]);
}

/** A place on the frame, in scene pixels. */
function placeOf(e: React.DragEvent): [number, number] | undefined {
  const box = document.querySelector('[data-frame]')?.getBoundingClientRect();
  const { doc } = useEditor.getState();
  if (!box || !doc) return undefined;
  const x = ((e.clientX - box.left) / box.width) * doc.width;
  const y = ((e.clientY - box.top) / box.height) * doc.height;
  const inside = x >= 0 && x <= doc.width && y >= 0 && y <= doc.height;
  return inside ? [Math.round(x), Math.round(y)] : undefined;
}

/**
 * Takes in pictures that are pasted, and sees that a file dropped beside the stage does not take the
 * place of the page. Gives what ends it.
 */
export function takeFiles(): () => void {
  const over = (e: DragEvent) => {
    const types = e.dataTransfer?.types ?? [];
    if (types.includes('Files') || types.includes(DRAGGED_SCENE)) e.preventDefault();
  };
  const dropped = (e: DragEvent) => {
    if (!e.dataTransfer?.files.length) return;
    e.preventDefault();
    notify('Drop pictures and footage on the stage.');
  };
  const pasted = (e: ClipboardEvent) => {
    const files = [...(e.clipboardData?.files ?? [])];
    // What is copied from a text may come as words and as a picture: a field wants the words.
    const typing = e.target instanceof HTMLElement && e.target.matches('input, textarea');
    if (files.length === 0 || typing) return;
    e.preventDefault();
    void takeIn(files);
  };
  window.addEventListener('dragover', over);
  window.addEventListener('drop', dropped);
  window.addEventListener('paste', pasted);
  return () => {
    window.removeEventListener('dragover', over);
    window.removeEventListener('drop', dropped);
    window.removeEventListener('paste', pasted);
  };
}

/** Opens the browser's own dialog for picture files. */
export const choosePictures = () => choose(PICTURE_FILES);

/** The same for footage. */
export const chooseFootage = () => choose(FOOTAGE_FILES);

function choose(accept: string): void {
  const input = document.createElement('input');
  input.type = 'file';
  input.multiple = true;
  input.accept = accept;
  input.onchange = () => void takeIn([...(input.files ?? [])]);
  input.click();
}
