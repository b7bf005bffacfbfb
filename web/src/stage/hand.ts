/** Space plays; held while the pointer drags, it moves the picture instead. */
let held = false;
let used = false;

/** Whether what has the focus got it by keys: it is the one that Space presses then. */
let keyed = true;

/** When the pointer pressed last, ms; what gets the focus soon after got it by that. */
let pressedAt = -Infinity;
const SOON = 500;

/** Whether Space is held: the next drag on the stage moves the picture. */
export const isHandHeld = () => held;

/** The picture was moved: letting go of Space does not play then. */
export function panned(): void {
  used = true;
}

/**
 * Watches for Space. A button that was reached with keys is pressed by it; one that was clicked keeps
 * the focus too, but there the hand means to play.
 */
export function watchSpace(play: () => void): () => void {
  const press = () => {
    keyed = false;
    pressedAt = performance.now();
  };
  const focused = () => {
    keyed = performance.now() - pressedAt > SOON;
  };
  const down = (e: KeyboardEvent) => {
    if (e.key === 'Tab') pressedAt = -Infinity;
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
  const presses = ['pointerdown', 'pointerup'] as const;
  presses.forEach((type) => window.addEventListener(type, press, { capture: true }));
  window.addEventListener('focusin', focused);
  window.addEventListener('keydown', down);
  window.addEventListener('keyup', up);
  window.addEventListener('blur', leave);
  return () => {
    presses.forEach((type) => window.removeEventListener(type, press, { capture: true }));
    window.removeEventListener('focusin', focused);
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
  return target.matches(LISTS) || (keyed && target.matches(PRESSED));
}
