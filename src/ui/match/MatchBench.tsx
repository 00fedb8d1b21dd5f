'use client';
import { useRouter } from 'next/navigation';
import { useCallback, useState } from 'react';
import { chooseSetupAction } from '@/app/server-actions';
import type { Zone } from '@/data/types';
import { CLEAR } from '@/ui/draw/colour';
import { DrawingSvg } from '@/ui/draw/Marks';
import { Button, ButtonLink } from '@/ui/kit/Button';
import { CautionLine } from '@/ui/kit/CautionLine';
import { Problems } from '@/ui/kit/Problems';
import { Shown } from '@/ui/kit/Shown';
import { useActionForm } from '@/ui/kit/use-action-form';
import { needleGauge, eyeWord } from '@/ui/needle-gauge/needle-gauge';
import { sectionDrawing } from '@/ui/section-drawing/section';
import { speedRuler } from '@/ui/speed-ruler/speed-ruler';
import { CandidateTable } from './CandidateTable';
import type { Candidate } from './candidate';
import { SettingCard } from './SettingCard';

/** Match for one zone: the setting card on top, the drawings it rests on, and the candidates below. */
export function MatchBench({
  quiltId,
  zone,
  about,
  candidates,
  seenVersion,
  backingHex,
  shank,
}: {
  quiltId: string;
  zone: Pick<Zone, 'id' | 'name' | 'letter' | 'fabrics'>;
  about: string;
  candidates: Candidate[];
  seenVersion: number;
  backingHex: string;
  shank: string;
}) {
  const router = useRouter();
  const standing = candidates.findIndex((c) => c.standing);
  const [picked, setPicked] = useState(Math.max(0, standing));
  const testHref = `/quilts/${quiltId}/test?zone=${zone.id}`;
  const done = useCallback(() => router.push(testHref), [router, testHref]);
  const { send, pending, problems } = useActionForm(chooseSetupAction, done);
  const c = candidates[picked]!;
  const s = c.setup;
  const topHex = c.top.hex ?? CLEAR;
  const section = sectionDrawing(c.section, {
    top: topHex,
    bobbin: c.bobbin.hex ?? CLEAR,
    cloth: zone.fabrics[0]?.hex ?? '#ede8dc',
    backing: backingHex,
  });
  const ruler = speedRuler({ idleInPerS: c.idleInPerS, handInPerS: s.handInPerS, limitInPerS: s.maxInPerS });
  const gauge = needleGauge(
    { nm: s.needle.nm, eye: s.needle.eye, threadMm: c.topMm, ratio: s.eyeRatio },
    topHex,
  );

  return (
    <>
      <div className="flex flex-wrap items-center gap-x-3.5 gap-y-1">
        <h2 className="text-24">{zone.name}</h2>
        <p className="min-w-0 flex-1 text-ink2">
          zone {zone.letter} · {about}
        </p>
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
              send({ quiltId, zoneId: zone.id, topId: s.topId, bobbinId: s.bobbinId, seenVersion })
            }
          >
            Test this set-up
          </Button>
        )}
      </div>
      <Problems problems={problems} />
      <SettingCard candidate={c} shank={shank} />
      <div className="grid gap-x-5 border-b pt-2 pb-1 min-[1180px]:grid-cols-[540px_minmax(0,1fr)]">
        <div>
          <div className="flex flex-wrap items-baseline gap-x-4">
            <h3 className="text-[17px]">Section, to scale</h3>
            <span>
              knot{' '}
              <span className="text-[18px] font-bold">
                <Shown kind={c.proven ? 'proven' : 'predicted'}>
                  {Math.round(c.section.knotDepth * 100)} %
                </Shown>
              </span>{' '}
              down, inside the batting
            </span>
          </div>
          <DrawingSvg
            drawing={section}
            className="max-w-full"
            title={`Section along the seam: five stitches of ${s.stitchMm.toFixed(1)} mm, needle ${(s.needle.nm / 100).toFixed(2)} mm, interlock ${Math.round(c.section.knotDepth * 100)} % down`}
          />
        </div>
        <div className="min-[1180px]:block flex flex-wrap gap-5">
          <div>
            <h3 className="text-[17px]">
              Speed ruler <span className="font-sans text-13 font-normal text-ink2">in/s</span>
            </h3>
            <DrawingSvg
              drawing={ruler}
              className="max-w-full"
              title={`Speed: usual hand ${s.handInPerS} in/s, limit ${s.maxInPerS.toFixed(1)} in/s`}
            />
          </div>
          <div>
            <h3 className="mt-1 text-[17px]">Needle gauge</h3>
            <DrawingSvg
              drawing={gauge}
              className="max-w-full"
              title={`Needle Nm ${s.needle.nm}: thread fills ${s.eyeRatio.toFixed(2)} of the eye, ${eyeWord(s.eyeRatio)}`}
            />
          </div>
        </div>
      </div>
      <CandidateTable candidates={candidates} value={picked} onChange={setPicked} />
      <div className="mt-4 grid gap-6 lg:grid-cols-2">
        <section aria-label="Why">
          <h3 className="mb-1.5 text-[17px]">Why {c.top.line}</h3>
          <ul className="space-y-1.5">
            {s.reasons.map((r) => (
              <li key={r.code + r.text} className="border-t pt-1.5">
                {r.text}
              </li>
            ))}
          </ul>
        </section>
        <section aria-label="Cautions">
          <h3 className="mb-1.5 text-[17px]">Mind</h3>
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
        </section>
      </div>
    </>
  );
}
