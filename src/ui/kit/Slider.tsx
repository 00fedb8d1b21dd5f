const SLIDER = 'w-full accent-(--indigo)';

/** A number set by sliding, with what it says beside it. */
export function Slider({
  id,
  label,
  value,
  said,
  range: [min, max],
  step,
  onChange,
}: {
  id: string;
  label: string;
  value: number;
  said: string;
  range: readonly [number, number];
  step: number;
  onChange: (value: number) => void;
}) {
  return (
    <label htmlFor={id} className="block min-w-[180px] flex-1">
      <span className="text-13 font-medium text-ink2">{label}</span> <b className="tabular-nums">{said}</b>
      <input
        id={id}
        type="range"
        className={SLIDER}
        min={min}
        max={max}
        step={step}
        value={value}
        aria-valuetext={said}
        onChange={(e) => onChange(Number(e.target.value))}
      />
    </label>
  );
}
