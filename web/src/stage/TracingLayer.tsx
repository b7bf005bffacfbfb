import { useEditor } from '../state/editor';

/** The background and on it the pictures to trace: what is painted comes over them. */
export function TracingLayer() {
  const templates = useEditor((s) => s.doc?.templates);
  const width = useEditor((s) => s.doc?.width ?? 1);
  const height = useEditor((s) => s.doc?.height ?? 1);
  const background = useEditor((s) => s.doc?.background ?? null);
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      className={`absolute inset-0 size-full ${background ? '' : 'chequer'}`}
      aria-hidden="true"
    >
      {background && <rect width={width} height={height} fill={background} />}
      {(templates ?? []).map(
        (t) =>
          !t.hidden && (
            <image
              key={t.id}
              href={`/api/images/${t.image}`}
              x={t.x}
              y={t.y}
              width={t.width}
              height={t.height}
              opacity={t.opacity / 100}
              preserveAspectRatio="none"
              data-testid="template-image"
            />
          ),
      )}
    </svg>
  );
}
