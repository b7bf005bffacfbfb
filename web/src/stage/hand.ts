/** Space plays; held while the pointer drags, it moves the picture instead. */
let held = false;
let used = false;

/** What was pressed last by the pointer, which has the focus since. */
let pressed: Element | null = null;

/** Whether Space is held: the next drag on the stage moves the picture. */
export const isHandHeld = () => held;

/** The picture was moved: letting go of Space does not play then. */
export function panned(): void {
  used = true;
}

/**
 * Watches for Space. A button that was chosen with keys is pressed by it; one that was clicked keeps
 * the focus too, but there the hand means to play.
 */
export function watchSpace(play: () => void): () => void {
  const press = (e: PointerEvent) => {
    pressed = (e.target as Element).closest('button, [role=button], input, summary');
  };
  const down = (e: KeyboardEvent) => {
    if (e.key === 'Tab') pressed = null;
    if (e.key !== ' ' || e.ctrlKey || e.metaKey || e.altKey || hasOwnUse(e.target as Element))
      return;
    e.preventDefault();
    if (e.repeat) return;
    held = true;
    used = false;
  };
  const up = (e: KeyboardEvent) => {
    if (e.key !== ' ' || !held) return;
    e.preventDefault();
    held = false;
    if (!used) play();
  };
  const leave = () => {
    held = false;
  };
  window.addEventListener('pointerdown', press, { capture: true });
  window.addEventListener('keydown', down);
  window.addEventListener('keyup', up);
  window.addEventListener('blur', leave);
  return () => {
    window.removeEventListener('pointerdown', press, { capture: true });
    window.removeEventListener('keydown', down);
    window.removeEventListener('keyup', up);
    window.removeEventListener('blur', leave);
  };
}

const TYPING = 'input:not([type=range], [type=checkbox], [type=color]), textarea, select';
const LISTS = '[role=menu], [role=menuitem], [role=listbox], [role=option]';
const PRESSED = 'button, [role=button], input[type=checkbox], summary, a';

function hasOwnUse(target: Element): boolean {
  if (document.querySelector('[role=dialog]')) return true;
  if (target.matches(TYPING) || (target as HTMLElement).isContentEditable) return true;
  return target.matches(LISTS) || (target.matches(PRESSED) && target !== pressed);
}
