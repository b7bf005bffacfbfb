import { useState } from 'react';
import { useTimeWords } from '../state/timeUnit';
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/react';
import { ChevronDown } from 'lucide-react';
import type { SceneDoc } from '../core/document';
import { useEditor } from '../state/editor';
import { changeScene } from '../state/values';
import { RATES, rateLabel } from '../stage/time';
import { reframe, type Contents } from '../state/frames';
import { Choice, Segments } from '../ui/Choice';
import { ColourField } from '../ui/ColourField';
import { FramePictures } from './FramePictures';
import { NumberField } from '../ui/NumberField';
import { TimeField } from '../ui/TimeField';

/** Frame size, frame rate, length and background of the scene. */
export function SceneSettings() {
  const doc = useEditor((s) => s.doc);
  const words = useTimeWords();
  const [contents, setContents] = useState<Contents>('scaled');
  if (!doc) return null;
  const put = (parts: Partial<SceneDoc>) => changeScene(parts, 'settings');
  return (
    <Popover>
      <PopoverButton className="flex min-w-0 items-center gap-1 truncate rounded-md px-1 py-0.5 hover:text-ink">
        {doc.width} × {doc.height} · {rateLabel(doc.rate)} fps · {words(doc.length, 3)}
        <ChevronDown className="size-3.5" />
      </PopoverButton>
      <PopoverPanel
        anchor="bottom start"
        className="menu w-76 p-3.5 [--anchor-gap:4px]"
        aria-label="Scene settings"
      >
        <h2 className="section-title">Frame</h2>
        <FramePictures
          size={[doc.width, doc.height]}
          onChoose={(size) => reframe(size, contents)}
        />
        <NumberField
          label="Width"
          unit="px"
          decimals={0}
          value={doc.width}
          onChange={(width) => reframe([width, doc.height], contents)}
        />
        <NumberField
          label="Height"
          unit="px"
          decimals={0}
          value={doc.height}
          onChange={(height) => reframe([doc.width, height], contents)}
        />
        {doc.items.length > 0 && (
          <Segments
            label="What is in it"
            value={contents}
            options={[
              {
                value: 'scaled',
                label: 'Fits it',
                detail: 'Made larger or smaller with the frame',
              },
              { value: 'centred', label: 'Centred', detail: 'As large as it is, round the middle' },
              {
                value: 'left',
                label: 'Left',
                detail: 'Left where it is, from the upper left corner on',
              },
            ]}
            onChange={(c) => {
              setContents(c);
              // Of a change just made it is told afterwards, too.
              reframe([doc.width, doc.height], c);
            }}
          />
        )}
        <Choice
          label="Frame rate"
          value={doc.rate}
          options={RATES.map((r) => ({ value: r.value, label: `${r.label} fps` }))}
          onChange={(rate) => put({ rate })}
        />
        <TimeField
          label="Length"
          decimals={3}
          step={0.5}
          value={doc.length}
          onChange={(length) => put({ length })}
        />
        <label className="mt-3 mb-2 flex items-center gap-2">
          <input
            type="checkbox"
            className="size-4 accent-(--teal)"
            checked={doc.background !== null}
            onChange={(e) => put({ background: e.target.checked ? '#F3E9D2' : null })}
          />
          Background colour
        </label>
        {doc.background !== null && (
          <ColourField
            label="Background"
            value={doc.background}
            onChange={(background) => put({ background })}
          />
        )}
      </PopoverPanel>
    </Popover>
  );
}
