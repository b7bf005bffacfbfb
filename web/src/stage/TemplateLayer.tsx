import { useEditor } from '../state/editor';

/** The pictures to trace over: dimmed and out of the pointer's way. */
export function TemplateLayer() {
  const templates = useEditor((s) => s.doc?.templates);
  const shown = useEditor((s) => s.overlays.template);
  if (!templates || !shown) return null;
  return (
    <g className="pointer-events-none">
      {templates.map(
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
    </g>
  );
}
