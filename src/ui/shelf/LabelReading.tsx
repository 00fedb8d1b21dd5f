import { sizeKnown } from '@/core/shelf/known';
import { describeThread, type ThreadFacts } from '@/core/thread/describe';
import { checkTex } from '@/core/shelf/cone';
import { attempt } from '@/core/notes';
import { Sourced } from '@/ui/kit/Sourced';

const BASIS_WORD = {
  measured: 'by weight and length, the best source',
  tex: 'by tex',
  den: 'by denier',
  ne: 'by cotton count (Ne)',
  nm: 'by metric count (Nm)',
  ticket: 'by ticket number',
  wt: 'by weight number, ±25 %',
} as const;

/** What a label was understood to say, as it is typed: every count, diameter, strength, and where systems disagree. */
export function LabelReading({
  label,
  fibre,
  fullG,
  fullM,
}: {
  label: string;
  fibre: string;
  fullG: number | null;
  fullM: number | null;
}) {
  if (!label.trim() && (fullG === null || fullM === null))
    return (
      <p className="text-ink2">
        Type the size as it is printed: Tex 27, 40 wt, 120/2, Ne 50/3, 240 den … It is read as you type.
      </p>
    );
  const f = read(label, fibre, fullG, fullM);
  if (typeof f === 'string') return <p className="font-medium text-weld-text">{f}</p>;
  const counts: readonly (readonly [string, string])[] = [
    ['dtex', f.dtex.toFixed(0)],
    ['den', f.den.toFixed(0)],
    ['Ne', f.ne.toFixed(1)],
    ['Nm', f.nm.toFixed(1)],
    ['wt', f.wt.toFixed(0)],
    ['ticket', f.ticket.toFixed(0)],
  ];
  return (
    <div aria-live="polite">
      <p className="text-20 font-bold">
        <Sourced of={sizeKnown({ tex: f.tex, texBasis: f.basis })}>tex {Number(f.tex.toFixed(1))}</Sourced>{' '}
        <span className="text-15 font-normal text-ink2">read {BASIS_WORD[f.basis]}</span>
      </p>
      <p className="mt-1">
        {f.diameterMm.toFixed(3)} mm thick, breaks at about {Math.round(f.breakGf)} g.
      </p>
      <p className="mt-1 text-13 text-ink2">{counts.map(([k, v]) => `${k} ${v}`).join(' · ')}</p>
      {f.reasons.map((r) => (
        <p key={r.code + r.text} className="mt-1 font-medium text-weld-text">
          {r.text}
        </p>
      ))}
    </div>
  );
}

/** The facts of a label, or in words why it cannot be read. */
function read(
  label: string,
  fibre: string,
  fullG: number | null,
  fullM: number | null,
): ThreadFacts | string {
  return attempt(() => {
    const facts = describeThread({
      label: label.trim() || undefined,
      fibre,
      ...(fullG !== null && fullM !== null ? { netG: fullG, lengthM: fullM } : {}),
    });
    checkTex(facts.tex, fibre, 'label');
    return facts;
  });
}
