import { plainBlur } from '../../core/document';
import type { Lettering } from '../../core/document';
import { useEditor } from '../../state/editor';
import { changeChosen, changeScene } from '../../state/values';
import { Check } from '../../ui/Check';
import { NumberField } from '../../ui/NumberField';

/** The shutter of the scene, and one of the lettering's own. */
export function BlurFields({ lettering }: { lettering: Lettering | undefined }) {
  const blur = useEditor((s) => s.doc?.blur) ?? plainBlur;
  const put = (parts: Partial<typeof plainBlur>) =>
    changeScene({ blur: { ...blur, ...parts } }, 'blur');
  return (
    <>
      <NumberField
        label="Shutter"
        unit="°"
        value={blur.angle}
        onChange={(angle) => put({ angle })}
      />
      <NumberField
        label="Samples"
        decimals={0}
        value={blur.samples}
        onChange={(n) => put({ samples: Math.round(n) })}
      />
      {lettering && (
        <>
          <Check
            label="Own shutter for this lettering"
            value={lettering.blur !== undefined}
            onChange={(on) =>
              changeChosen(lettering.id, { blur: on ? blur.angle || 180 : undefined })
            }
          />
          {lettering.blur !== undefined && (
            <NumberField
              label="Shutter of it"
              unit="°"
              value={lettering.blur}
              onChange={(b) => changeChosen(lettering.id, { blur: b }, 'own-blur')}
            />
          )}
        </>
      )}
      <p className="text-[12px] text-soft">
        180° is half the time of a frame. Shown while paused, and in stills and videos; the animated
        SVG is sharp.
      </p>
    </>
  );
}
