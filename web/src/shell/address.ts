/** The address of a scene within the page. */
export const addressOf = (scene: string) => `#/scenes/${scene}`;

/** The scene that an address names; null if it names none. */
export function sceneOf(hash: string): string | null {
  return /^#\/scenes\/([\w-]+)$/.exec(hash)?.[1] ?? null;
}
