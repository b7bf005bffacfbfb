import { useRef } from 'react';
import { Eye, EyeOff, ImagePlus, Trash2 } from 'lucide-react';
import { useEditor } from '../../state/editor';
import { addTemplate, changeTemplate, removeTemplate } from '../../state/paths';
import { IconButton } from '../../ui/IconButton';
import { NumberField } from '../../ui/NumberField';
import { FileInput } from '../../ui/FileInput';

/** Pictures to trace over: on the stage only, never exported. */
export function TemplateTools() {
  const templates = useEditor((s) => s.doc?.templates) ?? [];
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      {templates.map((t) => {
        const put = (parts: object) => changeTemplate(t.id, parts, `template.${t.id}`);
        const ratio = t.height / t.width;
        return (
          <div key={t.id} className="mb-2 rounded-lg bg-paper p-2.5" data-testid="template">
            <p className="mb-1.5 flex items-center gap-1">
              <span className="min-w-0 flex-1 truncate font-semibold" title={t.name}>
                {t.name}
              </span>
              <IconButton
                label={t.hidden ? `Show ${t.name}` : `Hide ${t.name}`}
                onClick={() => put({ hidden: !t.hidden })}
              >
                {t.hidden ? <EyeOff className="size-3.5" /> : <Eye className="size-3.5" />}
              </IconButton>
              <IconButton label={`Take ${t.name} away`} onClick={() => removeTemplate(t.id)}>
                <Trash2 className="size-3.5" />
              </IconButton>
            </p>
            <NumberField label="Left" unit="px" value={t.x} onChange={(x) => put({ x })} />
            <NumberField label="Top" unit="px" value={t.y} onChange={(y) => put({ y })} />
            <NumberField
              label="Wide"
              unit="px"
              value={t.width}
              onChange={(width) => put({ width, height: width * ratio })}
            />
            <NumberField
              label="Strength"
              unit="%"
              value={t.opacity}
              onChange={(opacity) => put({ opacity })}
            />
          </div>
        );
      })}
      <button type="button" className="btn w-full" onClick={() => input.current?.click()}>
        <ImagePlus className="size-4" /> Put a picture under the lines
      </button>
      <p className="mt-1.5 text-[12px] text-soft">
        PNG, JPEG or SVG. Dimmed, out of the way of the pointer, never exported.
      </p>
      <FileInput
        input={input}
        accept=".png,.jpg,.jpeg,.svg,image/png,image/jpeg,image/svg+xml"
        testId="template-file"
        onFile={(file) => void addTemplate(file)}
      />
    </>
  );
}
