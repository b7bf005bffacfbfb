/** Where the server has a picture of a scene, a third into it. */
export const stillOf = (scene: string) => `/api/scenes/${scene}/picture`;

/** Shows a scene where the page that came first has room for it, long before it can be edited. */
export function showStill(scene: string): void {
  const picture = document.querySelector<HTMLImageElement>('img[data-still]');
  if (!picture) return;
  picture.onload = () => (picture.hidden = false);
  picture.src = stillOf(scene);
}
