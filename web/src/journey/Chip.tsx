import { useTimeWords } from '../state/timeUnit';
import { memo } from 'react';
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/react';
import type { KeyframeInfo } from '../core/core';
import type { Channel, Easing } from '../core/document';
import { applyEdit, useEditor } from '../state/editor';
import { KeptEasings } from './KeptEasings';
import { chipPlace } from './labels';
import type { Scale } from './scale';
import { EASINGS, easingLabel } from './words';

interface ChipProps {
  item: string;
  channel: Channel;
  index: number;
  a: KeyframeInfo;
  b: KeyframeInfo;
  /** The segment's extent across. */
  from: number;
  to: number;
  scale: Scale;
}

/** Names the easing of a segment; opens the list of easings. */
export const Chip = memo(function Chip(props: ChipProps) {
  const { item, channel, index, a, b, from, to, scale } = props;
  const words = useTimeWords();
  const name = easingLabel(a, b, words);
  // A menu is much to draw in every frame of a drag.
  const busy = useEditor((s) => s.previewing);
  const y = scale.y((a.time + b.time) / 2);
  const tight = scale.y(b.time) - scale.y(a.time) < 40;
  const ease = (easing: Easing) => {
    applyEdit({ op: 'ease', item, channel, index, easing });
    useEditor.setState({ keyframe: index, keys: [index] });
  };
  const look = `rounded-full border border-teal/40 bg-wash px-2 whitespace-nowrap text-teal hover:border-teal ${tight ? 'py-0 text-[10px]' : 'py-0.5 text-[11px]'}`;
  return (
    <div
      className="absolute -translate-y-1/2"
      style={{ ...chipPlace(name, [scale.x(from), scale.x(to)], scale), top: y }}
      hidden={y > scale.height || y < 0}
    >
      {busy ? (
        <span className={look}>{name}</span>
      ) : (
        <Menu>
          <MenuButton
            className={look}
            title="Easing: click to choose"
            data-testid={`chip-${index}`}
          >
            {name}
          </MenuButton>
          <MenuItems anchor="bottom" className="menu [--anchor-gap:4px]">
            {EASINGS.map((e) => (
              <MenuItem key={e.value}>
                <button
                  type="button"
                  className={`menu-item ${e.value === a.easing ? 'font-semibold text-teal' : ''}`}
                  onClick={() => ease(e.value === 'own' ? a.curve : e.value)}
                >
                  {e.label}
                </button>
              </MenuItem>
            ))}
            <KeptEasings info={a} onChoose={ease} />
          </MenuItems>
        </Menu>
      )}
    </div>
  );
});
