import { CircleDashed, Flag, Grid2x2X, MapPin, TestTube2 } from 'lucide-react';
import type { HandLine } from '@/core/rack/rack';
import { ButtonLink } from '@/ui/kit/Button';

const SIGN = { flag: Flag, test: TestTube2, cone: CircleDashed, fault: MapPin, zone: Grid2x2X };
const TONE = {
  flag: 'text-madder',
  test: 'text-indigo',
  cone: 'text-weld-text',
  fault: 'text-madder',
  zone: 'text-walnut',
};

/** At most six lines, each with one act. */
export function HandList({ lines }: { lines: readonly HandLine[] }) {
  if (lines.length === 0)
    return <p className="mt-2 text-ink2">Nothing waits. What needs you will stand here, one act a line.</p>;
  return (
    <ul>
      {lines.map((l) => {
        const Sign = SIGN[l.kind];
        return (
          <li key={l.title + l.detail} className="flex min-h-[66px] items-center gap-3.5 border-b py-1.5">
            <Sign size={26} strokeWidth={1.8} className={`shrink-0 ${TONE[l.kind]}`} aria-hidden />
            <span className="min-w-0 flex-1">
              <b className="block truncate text-[17px] leading-tight font-semibold">{l.title}</b>
              <span className="line-clamp-2 leading-tight text-ink2">{l.detail}</span>
            </span>
            <ButtonLink href={l.href} aria-label={`${l.act}: ${l.title}`} className="!px-3 !text-15">
              {l.act}
            </ButtonLink>
          </li>
        );
      })}
    </ul>
  );
}
