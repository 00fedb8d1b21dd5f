import type { PatternLayout } from '@/core/pattern/lay';
import { Slider } from '@/ui/kit/Slider';
import { Taps } from '@/ui/kit/Taps';

const inch = (n: number) => `${Number(n.toFixed(2))} in`;

const OFFSETS = [
  ['0', 'one under another'],
  ['0.5', 'shifted by half'],
  ['0.25', 'by a quarter'],
] as const;

/** How a pattern is laid: its width, what lies between rows, how rows alternate, which way they run. */
export function LayoutFields({
  layout,
  onChange,
  heightShare,
}: {
  layout: PatternLayout;
  onChange: (layout: PatternLayout) => void;
  heightShare: number;
}) {
  const set = (part: Partial<PatternLayout>) => onChange({ ...layout, ...part });
  const heightIn = heightShare * layout.widthIn;
  return (
    <>
      <div className="flex flex-wrap gap-x-8 gap-y-2">
        <Slider
          id="pattern-width"
          label="One repeat, wide"
          value={layout.widthIn}
          said={inch(layout.widthIn)}
          range={[1, 40]}
          step={0.25}
          onChange={(widthIn) => set({ widthIn })}
        />
        <Slider
          id="pattern-gap"
          label="Between the rows"
          value={layout.rowGapIn}
          said={layout.rowGapIn < 0 ? `${inch(-layout.rowGapIn)} into one another` : inch(layout.rowGapIn)}
          range={[-Math.floor(heightIn * 4 * 0.6) / 4, 6]}
          step={0.25}
          onChange={(rowGapIn) => set({ rowGapIn })}
        />
      </div>
      <div className="mt-2 flex flex-wrap items-center gap-x-6 gap-y-2">
        <Taps
          label="Every other row"
          value={String(layout.offset)}
          onChange={(v) => set({ offset: Number(v) })}
          options={OFFSETS.map(([value, label]) => ({ value, label }))}
        />
        <Taps
          label="Rows run"
          value={layout.direction}
          onChange={(v) => set({ direction: v as PatternLayout['direction'] })}
          options={[
            { value: 'across', label: 'across' },
            { value: 'down', label: 'down the quilt' },
          ]}
        />
        <label className="flex min-h-11 items-center gap-2">
          <input
            type="checkbox"
            className="size-5 accent-(--indigo)"
            checked={layout.mirrored}
            onChange={(e) => set({ mirrored: e.target.checked })}
          />
          every other row mirrored
        </label>
      </div>
    </>
  );
}
