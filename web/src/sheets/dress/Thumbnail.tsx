import { useQuery } from '@tanstack/react-query';
import { api, type SceneEntry } from '../../api/client';

/** Px on screen. */
const SIDE = 56;

/** A small picture of a kept one. */
export function Thumbnail({ id, name }: { id: string; name: string }) {
  const levels = useQuery({
    queryKey: ['picture levels', id],
    queryFn: () => api.pictureLevels(id),
    staleTime: Infinity,
    retry: false,
  });
  const wanted = SIDE * devicePixelRatio;
  const level = levels.data?.findLastIndex((l) => Math.max(l.width, l.height) >= wanted) ?? -1;
  return (
    <span
      className="chequer flex shrink-0 items-center justify-center overflow-hidden rounded-md border border-rule"
      style={{ width: SIDE, height: SIDE }}
    >
      {levels.data && (
        <img
          src={`/api/pictures/${id}/levels/${Math.max(level, 0)}`}
          alt={name}
          className="max-h-full max-w-full"
        />
      )}
    </span>
  );
}

/** A small picture of a scene as it is kept, a third into it. */
export function SceneThumbnail({ scene }: { scene: SceneEntry }) {
  return (
    <span className="chequer flex h-14 items-center justify-center overflow-hidden rounded-md border border-rule">
      <img
        src={`/api/scenes/${scene.id}/revisions/${scene.revision}/picture`}
        alt=""
        loading="lazy"
        className="max-h-full max-w-full"
      />
    </span>
  );
}
