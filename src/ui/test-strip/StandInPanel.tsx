'use client';
import { useMemo, useRef, useState } from 'react';
import type { Direction } from '@/core/fields/lists';
import { gaugeReadings, seedOf, sewTest, standIn } from '@/core/stand-in/test-machine';
import { seeded } from '@/core/statistics/random';
import type { Verdict } from '@/core/tension/probit';
import { Button } from '@/ui/kit/Button';

/** How far a knob set by eye lies from what was meant, as a share. */
const BY_EYE = 0.06;

/** No machine at hand: a stand-in with a truth of its own sews the test, and a stand-in gauge reads it. */
export function StandInPanel({
  setupId,
  ratio,
  sd,
  thicknessMm,
  topGf,
  bobbinGf,
  n,
  ways,
  onSewn,
  onRead,
}: {
  setupId: string;
  ratio: number;
  sd: number;
  thicknessMm: number;
  topGf: number | null;
  bobbinGf: number | null;
  n: number;
  ways: readonly Direction[];
  onSewn: (verdicts: Partial<Record<Direction, Verdict>>) => void;
  onRead: (topGf: number) => void;
}) {
  const machine = useMemo(
    () => standIn({ ratio, sd }, thicknessMm, seeded(seedOf(setupId))),
    [setupId, ratio, sd, thicknessMm],
  );
  const sewn = useRef(0);
  const [read, setRead] = useState<readonly number[] | null>(null);
  const ready = topGf !== null && topGf > 0 && bobbinGf !== null && bobbinGf > 0;
  return (
    <details className="mt-3 border-t pt-1">
      <summary className="min-h-11 cursor-pointer content-center text-indigo">
        No machine or gauge at hand: practise with the stand-ins
      </summary>
      <p className="text-ink2">
        The stand-in balances at a ratio of its own, which it keeps for this card. What it sews counts like
        any other test: practise on a quilt of the demo.
      </p>
      <div className="mt-1.5 flex flex-wrap items-center gap-2">
        <Button
          look="quiet"
          disabled={!ready}
          onClick={() => {
            const random = seeded(seedOf(`${setupId} gauge ${n} ${topGf}`));
            const readings = gaugeReadings(topGf! * (1 + BY_EYE * random.normal()), random);
            setRead(readings);
            onRead([...readings].sort((a, b) => a - b)[1]!);
          }}
        >
          Read the gauge
        </Button>
        <Button
          look="quiet"
          disabled={!ready}
          onClick={() => {
            const random = seeded(seedOf(`${setupId} test ${n} ${sewn.current++}`));
            onSewn(sewTest(machine, { topGf: topGf!, bobbinGf: bobbinGf! }, ways, random));
          }}
        >
          Sew it on the stand-in
        </Button>
        {read && <p role="status">The gauge reads {read.join(', ')} g: its middle stands in the field.</p>}
      </div>
      <p className="mt-1.5 text-ink2">
        Without a gauge for the bobbin: hold the case by its thread over your palm. It should hang; a small
        jerk lets it slip a hand’s breadth and stop. Falls by itself: tighten an eighth of a turn. Does not
        move: loosen. That is about 20 to 25 g.
      </p>
    </details>
  );
}
