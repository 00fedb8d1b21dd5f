import { Minus, Plus } from 'lucide-react';

/** A count with one less and one more. */
export function Stepper({
  label,
  value,
  onChange,
  busy,
}: {
  label: string;
  value: number;
  onChange: (value: number) => void;
  busy?: boolean;
}) {
  const button = 'grid size-11 place-items-center border border-rule bg-cloth disabled:opacity-50';
  return (
    <span role="group" aria-label={label} className="inline-flex items-center">
      <button
        type="button"
        aria-label="One less"
        disabled={busy || value === 0}
        onClick={() => onChange(value - 1)}
        className={button}
      >
        <Minus size={16} aria-hidden />
      </button>
      <output className="w-12 text-center text-[18px] font-bold">{value}</output>
      <button
        type="button"
        aria-label="One more"
        disabled={busy}
        onClick={() => onChange(value + 1)}
        className={button}
      >
        <Plus size={16} aria-hidden />
      </button>
    </span>
  );
}
