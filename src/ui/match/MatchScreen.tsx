'use client';
import dynamic from 'next/dynamic';
import { patiently } from '@/ui/kit/patiently';
import { useRouter } from 'next/navigation';
import { useCallback, useState } from 'react';
import { doors } from '@/actions/doors';
import type { TensionSchool } from '@/core/fields/lists';
import type { StitchMachine } from '@/core/stitch/machine';
import type { Zone } from '@/data/types';
import { CLEAR } from '@/ui/draw/colour';
import { Button, ButtonLink } from '@/ui/kit/Button';
import { CautionLine } from '@/ui/kit/CautionLine';
import { Problems } from '@/ui/kit/Problems';
import { useActionForm } from '@/ui/kit/use-action-form';
import type { CardFacts } from '@/ui/print/setting-card';
import { CandidateTable } from './CandidateTable';
import type { Candidate } from './candidate';
import type { Held } from './HoldBar';
import type { ZoneEnds } from '@/core/plan/zone-ends';
import { endsFor, endsLine } from '@/core/stitch/ends';
import { SettingCard } from './SettingCard';
import type { VaryZone } from './VaryPanel';
import { WhyTable } from './WhyTable';

// The drawings and their sliders come once the card stands; their room is kept.
const VaryPanel = dynamic(() => patiently(() => import('./VaryPanel')).then((m) => m.VaryPanel), {
  ssr: false,
  loading: () => <div className="min-h-[520px] border-b" aria-busy="true" />,
});
const CardDialog = dynamic(() => patiently(() => import('./CardDialog')).then((m) => m.CardDialog));

/** Match for one zone: the setting card on top, the drawings it rests on, and the candidates below. */
export function MatchScreen({
  quiltId,
  zone,
  about,
  candidates,
  seenVersion,
  backingHex,
  shank,
  school,
  held,
  machine,
  vary,
  ends,
  card,
}: {
  quiltId: string;
  zone: Pick<Zone, 'id' | 'name' | 'letter' | 'fabrics'>;
  about: string;
  candidates: Candidate[];
  seenVersion: number;
  backingHex: string;
  shank: string;
  /** How tensions are set in this studio. */
  school: TensionSchool;
  held: Held;
  machine: StitchMachine;
  vary: VaryZone;
  /** What decides how its lines begin and end. */
  ends: ZoneEnds;
  /** The card that stands, as it is printed. */
  card: CardFacts | null;
}) {
  const router = useRouter();
  const standing = candidates.findIndex((c) => c.standing);
  const [picked, setPicked] = useState(Math.max(0, standing));
  const [cardShown, setCardShown] = useState(false);
  const testHref = `/quilts/${quiltId}/test?zone=${zone.id}`;
  const done = useCallback(() => router.push(testHref), [router, testHref]);
  const { send, pending, problems } = useActionForm(doors.chooseSetup, done);
  const c = candidates[picked]!;
  const s = c.setup;
  const topHex = c.top.hex ?? CLEAR;
  return (
    <>
      <div className="flex flex-wrap items-center gap-x-3.5 gap-y-1">
        <h2 className="text-24">{zone.name}</h2>
        <p className="min-w-0 flex-1 text-ink2">
          zone {zone.letter} · {about}
        </p>
        {card && c.standing && <Button onClick={() => setCardShown(true)}>Card</Button>}
        {c.standing && c.proven ? (
          <ButtonLink look="act" href={testHref}>
            See its tests
          </ButtonLink>
        ) : (
          <Button
            look="act"
            disabled={pending}
            onClick={() =>
              !pending &&
              send({
                quiltId,
                zoneId: zone.id,
                topId: s.topId,
                bobbinId: s.bobbinId,
                seenVersion,
                holdNm: held.nm ?? null,
                holdSpi: held.spi ?? null,
              })
            }
          >
            Test this set-up
          </Button>
        )}
      </div>
      {card && cardShown && (
        <CardDialog
          facts={card}
          sheetHref={`/quilts/${quiltId}/sheets/cards`}
          onClose={() => setCardShown(false)}
        />
      )}
      <Problems problems={problems} />
      <SettingCard candidate={c} shank={shank} school={school} />
      <p className="border-b py-2">
        {endsLine(endsFor({ ...ends, thread: c.top, needleNm: c.setup.needle.nm }))}
      </p>
      <VaryPanel
        key={picked}
        candidate={c}
        zone={vary}
        machine={machine}
        colours={{
          top: topHex,
          bobbin: c.bobbin.hex ?? CLEAR,
          cloth: zone.fabrics[0]?.hex ?? '#ede8dc',
          backing: backingHex,
        }}
      />
      <CandidateTable candidates={candidates} value={picked} onChange={setPicked} />
      <div className="mt-4 grid gap-6 lg:grid-cols-[3fr_2fr]">
        <WhyTable rows={c.why} name={c.top.line} />
        <section aria-label="Cautions">
          <h3 className="mb-1.5 text-[17px]">Watch for</h3>
          <ul className="space-y-1.5">
            {s.cautions.map((caution) => (
              <li key={caution.code + caution.text} className="border-t pt-1.5">
                <CautionLine caution={caution} />
              </li>
            ))}
          </ul>
          <p className="mt-2 text-13 text-ink2">
            The machine’s manual comes first; these are settings to begin with.
          </p>
          {s.safety.length > 0 && (
            <details className="mt-2 border-t pt-1.5">
              <summary className="cursor-pointer text-13 font-semibold">
                Safety with this foot and this mode
              </summary>
              <ul className="mt-1.5 space-y-1.5">
                {s.safety.map((caution) => (
                  <li key={caution.code}>
                    <CautionLine caution={caution} />
                  </li>
                ))}
              </ul>
            </details>
          )}
        </section>
      </div>
    </>
  );
}
