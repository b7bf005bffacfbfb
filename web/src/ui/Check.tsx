interface Props {
  label: string;
  /** Null where those that are chosen differ. */
  value: boolean | null;
  detail?: string;
  onChange: (value: boolean) => void;
}

/** A box to tick. */
export function Check({ label, value, detail, onChange }: Props) {
  return (
    <label className="mb-1.5 flex cursor-pointer items-center gap-2" title={detail}>
      <input
        type="checkbox"
        className="size-4 shrink-0 accent-teal"
        checked={value === true}
        ref={(box) => {
          if (box) box.indeterminate = value === null;
        }}
        onChange={(e) => onChange(e.target.checked)}
      />
      {label}
    </label>
  );
}
