import * as core from '../../core/core';
import { setValue } from '../../state/values';
import { useEditor } from '../../state/editor';
import { useRestingTime } from '../../state/restingTime';
import { NumberField } from '../../ui/NumberField';

/** Where a shadow falls, by distance and direction: degrees clockwise from the right. */
export function ShadowFields({ item, effect }: { item: string; effect: string }) {
  const time = useRestingTime();
  useEditor((s) => s.opened);
  const channel = (name: string) => `effect-${effect}-${name}`;
  const [x, y] = ['dx', 'dy'].map((n) => core.value(item, channel(n), time));
  const distance = Math.hypot(x!, y!);
  const direction = (Math.atan2(y!, x!) * 180) / Math.PI;
  const put = (length: number, degrees: number) => {
    const a = (degrees * Math.PI) / 180;
    const merge = `${item}.${effect}.falls`;
    const wrong = setValue(item, channel('dx'), round(length * Math.cos(a)), false, merge);
    return wrong.length > 0
      ? wrong
      : setValue(item, channel('dy'), round(length * Math.sin(a)), false, merge);
  };
  return (
    <>
      <p className="mt-1 text-[12px] text-soft">Or by how far and which way it falls:</p>
      <NumberField
        label="Distance"
        unit="px"
        decimals={1}
        value={distance}
        onChange={(v) => put(Math.max(v, 0), direction)}
      />
      <NumberField
        label="Direction"
        unit="°"
        decimals={1}
        value={direction}
        onChange={(v) => put(distance, v)}
      />
    </>
  );
}

const round = (v: number) => Math.round(v * 1000) / 1000;
