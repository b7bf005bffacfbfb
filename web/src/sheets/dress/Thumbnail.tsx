import { useQuery } from '@tanstack/react-query';
import { api } from '../../api/client';

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
