'use client';
import { RadioGroup } from 'radix-ui';
import type { Verdict } from '@/core/tension/probit';
import { Marks } from '@/ui/draw/Marks';
import { facesAt, stitchMarks, straight } from './stitch-side';
import { TONE_TEXT, VERDICT_LOOK, VERDICT_SIGN, VERDICTS, verdictTone } from './words';

/** The seven appearances, pressed for the direction being judged. */
export function VerdictTiles(p: {
  value: Verdict | undefined;
  onChange: (v: Verdict) => void;
  label: string;
  top: string;
  bobbin: string;
  cloth: string;
  backing: string;
}) {
  return (
    <RadioGroup.Root
      aria-label={p.label}
      value={p.value === undefined ? '' : String(p.value)}
      onValueChange={(v) => p.onChange(Number(v) as Verdict)}
      onKeyDown={(e) => {
        const v = VERDICTS[Number(e.key) - 1];
        if (v === undefined || e.ctrlKey || e.altKey || e.metaKey) return;
        // The same figures lead to the steps of the quilt when the focus is elsewhere.
        e.preventDefault();
        e.stopPropagation();
        p.onChange(v);
      }}
      className="mt-1.5 grid grid-cols-7 gap-[7px]"
    >
      {VERDICTS.map((v) => {
        const faces = facesAt(v);
        const side = (y: number, own: string, other: string, through: 0 | 1 | 2 | 3) =>
          stitchMarks({ along: straight(-4, y), length: 98, stitch: 24.5, own, other, thread: 6.2, through });
        return (
          <RadioGroup.Item
            key={v}
            value={String(v)}
            aria-label={VERDICT_LOOK[v]}
            className="flex flex-col overflow-hidden rounded border-[1.5px] border-rule bg-cloth text-center outline-offset-0 data-[state=checked]:outline-[3px] data-[state=checked]:outline-solid data-[state=checked]:outline-indigo"
          >
            <svg viewBox="0 0 90 64" className="block w-full" aria-hidden>
              <rect width="90" height="31" fill={p.cloth} />
              <rect y="33" width="90" height="31" fill={p.backing} />
              <Marks marks={side(15.5, p.top, p.bobbin, faces.top)} />
              <Marks marks={side(48.5, p.bobbin, p.top, faces.back)} />
            </svg>
            <span className="flex-1 px-1 pt-1 text-13 leading-[1.15]">{VERDICT_LOOK[v]}</span>
            <span className={`pb-1 text-[14px] ${TONE_TEXT[verdictTone(v)]}`}>{VERDICT_SIGN[v]}</span>
          </RadioGroup.Item>
        );
      })}
    </RadioGroup.Root>
  );
}
