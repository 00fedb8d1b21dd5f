/** A few choices side by side, each one tap. */
export function Taps({
  label,
  options,
  value,
  onChange,
  hideLabel = false,
}: {
  label: string;
  options: readonly { value: string; label: string; note?: string }[];
  value: string | null;
  onChange: (value: string) => void;
  /** Where what it is about stands beside it. */
  hideLabel?: boolean;
}) {
  return (
    <div role="radiogroup" aria-label={label} className="flex flex-wrap items-center gap-y-1">
      {!hideLabel && (
        <span className="mr-2 text-13 font-medium text-ink2" aria-hidden>
          {label}
        </span>
      )}
      {options.map((o) => (
        <button
          key={o.value}
          type="button"
          role="radio"
          aria-checked={o.value === value}
          onClick={() => onChange(o.value)}
          className={`-ml-px min-h-11 border border-rule px-3 first-of-type:rounded-l last-of-type:rounded-r ${o.value === value ? 'relative bg-indigo font-semibold text-cloth' : 'bg-cloth'}`}
        >
          {o.label}
          {o.note && <span className="block text-13">{o.note}</span>}
        </button>
      ))}
    </div>
  );
}
