'use client';
import { RadioGroup } from 'radix-ui';
import { HeadRow } from '@/ui/kit/HeadRow';
import { ThreadSwatch } from '@/ui/kit/Swatch';
import { CautionLine } from '@/ui/kit/CautionLine';
import type { Candidate } from './candidate';

/** The best set-up and its runners-up; picking one changes the card and the drawings above at once. */
export function CandidateTable({
  candidates,
  value,
  onChange,
}: {
  candidates: readonly Candidate[];
  value: number;
  onChange: (index: number) => void;
}) {
  const shared = inAll(candidates, (c) => c.setup.cautions);
  const sharedWhy = inAll(candidates, (c) => c.setup.reasons);
  return (
    <RadioGroup.Root
      asChild
      value={String(value)}
      onValueChange={(v) => onChange(Number(v))}
      aria-label="Set-ups, best first"
    >
      <table className="mt-2 w-full border-t-2 border-ink text-[14px] max-sm:[&_:is(th,td):nth-child(n+7)]:hidden">
        <HeadRow
          names={['Pick', 'Top thread', 'Bobbin', 'Needle', 'spi', 'Start g', 'Why', 'Caution']}
          act={false}
        />
        <tbody>
          {candidates.map(({ setup: s, top, bobbin, standing }, i) => {
            const name = `${top.line} ${top.colour}`;
            // What all of them share stands once below; here is what tells them apart.
            const own = s.cautions.filter((c) => !shared.has(c.text));
            const caution = own.find((c) => c.severity !== 'note') ?? own[0];
            const why = s.reasons.find((r) => !sharedWhy.has(r.text)) ?? s.reasons[0];
            return (
              <tr
                key={s.topId + s.bobbinId}
                onClick={() => onChange(i)}
                className={`h-11 cursor-pointer border-t align-middle ${i === value ? 'bg-indigo-tint' : 'hover:bg-sunk'}`}
              >
                <td className="pl-1.5">
                  <RadioGroup.Item
                    value={String(i)}
                    aria-label={`${name}${i === 0 ? ', best' : ''}`}
                    className="grid size-6 place-items-center rounded-full"
                  >
                    <span className="grid size-[18px] place-items-center rounded-full border-2 border-indigo bg-cloth">
                      {i === value && <span className="size-2 rounded-full bg-indigo" />}
                    </span>
                  </RadioGroup.Item>
                </td>
                <td className="py-1 pr-3">
                  <span className="flex items-center gap-2.5">
                    <ThreadSwatch hex={top.hex} />
                    <span className="leading-tight">
                      <b className="font-semibold">{top.line}</b>
                      {standing && <span className="text-ink2"> (on the card)</span>}
                      <br />
                      {top.colour}
                    </span>
                  </span>
                </td>
                <td className="py-1 pr-3 leading-tight sm:whitespace-nowrap">
                  {bobbin.line}
                  <br />
                  {bobbin.colour}
                </td>
                <td className="pr-3 whitespace-nowrap">Nm {s.needle.nm}</td>
                <td className="pr-3 font-semibold">{s.spi}</td>
                <td className="pr-3 whitespace-nowrap">
                  {Math.round(s.topGf)} / {Math.round(s.bobbinGf)}
                </td>
                <td className="max-w-[250px] pr-3 leading-tight">{why?.text}</td>
                <td className="max-w-[260px] leading-tight">
                  {caution && <CautionLine caution={caution} />}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
    </RadioGroup.Root>
  );
}

/** Sentences that stand for every candidate, when there are several. */
function inAll(
  candidates: readonly Candidate[],
  of: (c: Candidate) => readonly { text: string }[],
): Set<string> {
  const [first, ...rest] = candidates;
  if (!first || rest.length === 0) return new Set();
  const others = rest.map((c) => new Set(of(c).map((x) => x.text)));
  return new Set(
    of(first)
      .map((x) => x.text)
      .filter((text) => others.every((o) => o.has(text))),
  );
}
