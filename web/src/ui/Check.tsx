interface Props {
  label: string;
  value: boolean;
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
        checked={value}
        onChange={(e) => onChange(e.target.checked)}
      />
      {label}
    </label>
  );
}
