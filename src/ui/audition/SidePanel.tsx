'use client';
import { useMemo } from 'react';
import { LOOKS } from '@/core/audition/draw';
import type { Way } from '@/core/audition/way';
import { PATTERNED } from '@/core/pattern/lay';
import { auditioned, type Auditioned } from '@/core/audition/weighed';
import { areaOf, boundsOf } from '@/core/geometry/polygon';
import { attempt } from '@/core/notes';
import { linesSvg } from '@/core/pattern/lay';
import { hoursWords, zonePrice } from '@/core/quote/offer';
import { techniques } from '@/core/tables/techniques';
import { moneyText } from '@/core/units/money';
import { saveFile } from '@/ui/draw/save-drawing';
import { Button, ButtonLink } from '@/ui/kit/Button';
import { Slider } from '@/ui/kit/Slider';
import { Taps } from '@/ui/kit/Taps';
import { type AuditionFacts, patternedSide, usualSide } from './audition-facts';
import { AuditionView, type RoundIt } from './AuditionView';
import { useDrawn } from './use-drawn';

const TECHNIQUES = Object.keys(LOOKS);
const inch = (n: number) => `${Number(n.toFixed(2))} in`;

/** One way to quilt the zone: picked, drawn, weighed, and chosen with one tap. */
export function SidePanel({
  facts,
  name,
  side,
  onSide,
  photograph,
  distanceM,
  round,
  pending,
  onQuilt,
}: {
  facts: AuditionFacts;
  name: 'A' | 'B';
  side: Way;
  onSide: (side: Way) => void;
  photograph: React.ComponentProps<typeof AuditionView>['photograph'];
  distanceM: number;
  round: RoundIt | null;
  pending: boolean;
  onQuilt: (side: Way, told: Auditioned, radiusIn: number | null) => void;
}) {
  const { zone, quilt, base, thread } = facts;
  const { technique, look, spacingIn, seed, patternId } = side;
  const pattern = facts.patterns.find((p) => p.id === patternId) ?? null;
  const { answer, problem } = useDrawn({ ...side, shape: zone.geometry, unit: pattern?.unit });
  const drawn = answer && typeof answer !== 'string' ? answer : null;
  const told = useMemo(
    () => (drawn ? attempt(() => auditioned(base, zone.id, technique, spacingIn, drawn)) : null),
    [drawn, base, zone.id, technique, spacingIn],
  );
  const looks = LOOKS[technique] ?? [];
  const usual = pattern ? pattern.widthIn : techniques.get(technique).usualSpacingIn;
  const label = pattern ? pattern.name : techniques.get(technique).label;
  const { x0, y0, x1, y1 } = boundsOf(zone.geometry);
  const query = new URLSearchParams({
    zone: zone.id,
    technique,
    look,
    spacing: String(spacingIn),
    seed: String(seed),
    ...(pattern && { pattern: pattern.id }),
  });
  return (
    <section aria-label={`Way ${name}`} className="min-w-0">
      <div className="flex flex-wrap items-end gap-x-4 gap-y-2">
        <label className="block">
          <span className="text-13 font-medium text-ink2">Technique, way {name}</span>
          <select
            className="block min-h-11 rounded border border-rule bg-cloth px-2 font-semibold"
            value={patternId ?? technique}
            onChange={(e) => {
              const one = facts.patterns.find((p) => p.id === e.target.value);
              onSide(one ? patternedSide(one) : usualSide(e.target.value, seed));
            }}
          >
            {technique === PATTERNED && !pattern && (
              <option value={patternId ?? technique}>a pattern no longer kept</option>
            )}
            <optgroup label="Drawn by hand">
              {TECHNIQUES.map((t) => (
                <option key={t} value={t}>
                  {techniques.get(t).label}
                </option>
              ))}
            </optgroup>
            {facts.patterns.length > 0 && (
              <optgroup label="Patterns of the studio">
                {facts.patterns.map((p) => (
                  <option key={p.id} value={p.id}>
                    {p.name}
                  </option>
                ))}
              </optgroup>
            )}
          </select>
        </label>
        <Slider
          id={`spacing-${name}`}
          label={pattern ? 'One repeat, wide' : 'Spacing'}
          value={spacingIn}
          said={inch(spacingIn)}
          range={[Math.max(0.1, usual / 4), Math.min(200, usual * 3)]}
          step={0.05}
          onChange={(v) => onSide({ ...side, spacingIn: Number(v.toFixed(2)) })}
        />
        {!pattern && (
          <Button look="quiet" onClick={() => onSide({ ...side, seed: seed + 1 })}>
            Draw it anew
          </Button>
        )}
      </div>
      <div className="mt-2 min-h-11">
        {looks.length > 1 && (
          <Taps
            label={`Look of way ${name}`}
            hideLabel
            value={look}
            onChange={(v) => onSide({ ...side, look: v })}
            options={looks.map((l) => ({ value: l.id, label: l.label }))}
          />
        )}
      </div>
      <div className="mt-2 min-h-24 max-w-full overflow-x-auto">
        {!answer && !problem && <p className="appear-late text-ink2">Drawing it…</p>}
        {drawn && (
          <AuditionView
            {...{ quilt, zone, thread, photograph, distanceM, round }}
            lines={drawn.lines}
            title={`${label} ${pattern ? 'with repeats of' : 'at'} ${inch(spacingIn)} in zone ${zone.letter}, ${zone.name}`}
          />
        )}
        {typeof answer === 'string' && (
          <p role="alert" className="font-medium text-weld-text">
            {answer}
          </p>
        )}
        {problem && (
          <p role="alert" className="font-medium text-madder">
            It could not be drawn: {problem}
          </p>
        )}
      </div>
      {drawn && told && typeof told !== 'string' && (
        <>
          <Told
            told={told}
            starts={drawn.starts}
            pieces={zone.geometry.length}
            charged={facts.charged}
            priced={{ technique, areaIn2: areaOf(zone.geometry) }}
          />
          <div className="mt-2 flex flex-wrap gap-3">
            <Button look="act" disabled={pending} onClick={() => onQuilt(side, told, drawn.radiusIn)}>
              Quilt {zone.letter} so
            </Button>
            <ButtonLink look="quiet" href={`/quilts/${quilt.id}/match/audition/print?${query}`}>
              Print it at full size
            </ButtonLink>
            <Button
              look="quiet"
              onClick={() =>
                saveFile(
                  new Blob([linesSvg(drawn.lines, [x0, y0], x1 - x0, y1 - y0)], { type: 'image/svg+xml' }),
                  `${quilt.name} ${zone.name} ${label}`,
                  'svg',
                )
              }
            >
              SVG
            </Button>
          </div>
        </>
      )}
    </section>
  );
}

/** What the way costs the client, by what the studio charges. */
function priceRow(
  { rates, currency }: AuditionFacts['charged'],
  zone: Parameters<typeof zonePrice>[1],
): [string, string] {
  const price = attempt(() => zonePrice(rates, zone));
  const label = rates.basis === 'area' ? 'Price by its area' : 'Price by the hour';
  return [
    label,
    typeof price === 'string' ? 'no price yet: Workroom, Rates' : `about ${moneyText(price.mid, currency)}`,
  ];
}

/** What the way comes to, by what was drawn. */
function Told({
  told,
  starts,
  pieces,
  charged,
  priced,
}: {
  told: Auditioned;
  starts: number;
  pieces: number;
  charged: AuditionFacts['charged'];
  priced: { technique: string; areaIn2: number };
}) {
  const hours = { low: told.minutes.low / 60, mid: told.minutes.mid / 60, high: told.minutes.high / 60 };
  const off = told.ofTable === null ? 0 : Math.round((told.ofTable - 1) * 100);
  const rows: [string, string][] = [
    [
      'Time',
      hours.high >= 1.5
        ? hoursWords(hours)
        : `${Math.round(told.minutes.low)} to ${Math.round(told.minutes.high)} min`,
    ],
    ['Top thread', `${Math.round(told.threadM)} m`],
    ['It stays', told.softness],
    [
      'Line on a square inch',
      `${told.lambda.toFixed(1)} in${off === 0 ? '' : `, ${Math.abs(off)} % ${off > 0 ? 'more' : 'less'} than usual`}`,
    ],
    ['Starts', `${starts}${pieces > 1 ? ` in ${pieces} pieces` : ''}`],
    priceRow(charged, { ...priced, hours }),
  ];
  return (
    <dl className="mt-2 grid grid-cols-[auto_1fr] gap-x-4" aria-live="polite">
      {rows.map(([k, v]) => (
        <div key={k} className="contents">
          <dt className="border-b py-0.5 text-ink2">{k}</dt>
          <dd className="border-b py-0.5 font-semibold">{v}</dd>
        </div>
      ))}
    </dl>
  );
}
