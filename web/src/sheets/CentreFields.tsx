import { applyEdit, useEditor } from '../state/editor';
import { NumberField } from '../ui/NumberField';

interface Props {
  item: string;
  /** In the pixels of what it holds. */
  centre: [number, number];
}

/** What an item turns and is scaled about; nothing moves when it is set. */
export function CentreFields({ item, centre: [x, y] }: Props) {
  const about = (centre: { x?: number; y?: number }) =>
    applyEdit({ op: 'centre', item, time: useEditor.getState().time, ...centre }, `${item}.centre`);
  return (
    <>
      <NumberField label="Turns about x" unit="px" value={x} onChange={(v) => about({ x: v })} />
      <NumberField label="Turns about y" unit="px" value={y} onChange={(v) => about({ y: v })} />
    </>
  );
}
