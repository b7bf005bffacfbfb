import { lazy, type ComponentType, type LazyExoticComponent } from 'react';

const RETRY = 1500;

/** What the page waits for before it loads what is not shown yet, ms. */
const AFTER_START = 400;

/** Tried again until the server answers: a part that failed once must not be missing for good. */
async function untilThere<T>(load: () => Promise<T>): Promise<T> {
  for (;;) {
    try {
      return await load();
    } catch {
      await new Promise((done) => setTimeout(done, RETRY));
    }
  }
}

/** A part of the page that is loaded after the page has begun, or as soon as it is shown. */
export function later<Props>(
  load: () => Promise<ComponentType<Props>>,
): LazyExoticComponent<ComponentType<Props>> {
  let part: Promise<ComponentType<Props>> | undefined;
  const once = () => (part ??= untilThere(load));
  setTimeout(() => void once(), AFTER_START);
  return lazy(() => once().then((component) => ({ default: component })));
}
