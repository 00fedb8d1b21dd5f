import { moneyRange } from '@/actions/offer-words';
import { ask } from '@/actions/queries';
import { hoursWords } from '@/core/quote/offer';
import { doneAt } from '@/actions/hand-back';
import { cameOutOf, washingOf } from '@/actions/client-sheet';
import { safety } from '@/core/cautions/cautions';
import { inspection } from '@/core/hand-back/inspection';
import { predicted, proven } from '@/core/source/known';
import { signs } from '@/core/tables/symptoms';
import { lengthText } from '@/core/units/length-text';
import { FaultActs } from '@/ui/faults/FaultActs';
import { HomeForm } from '@/ui/hand-back/HomeForm';
import { InspectionPath } from '@/ui/hand-back/InspectionMap';
import { KeepPhotograph } from '@/ui/hand-back/KeepPhotograph';
import { MeasureForm } from '@/ui/hand-back/MeasureForm';
import { TickAct } from '@/ui/hand-back/TickAct';
import { ButtonLink } from '@/ui/kit/Button';
import { CautionLine } from '@/ui/kit/CautionLine';
import { Parts } from '@/ui/kit/Parts';
import { Sourced } from '@/ui/kit/Sourced';
import { QuiltFrame } from '@/ui/quilt/QuiltFrame';
import { QuiltMap } from '@/ui/quilt-map/QuiltMap';
import { minutesWords, stitchesWords } from '@/ui/kit/counts';
import { readQuiltPage, type QuiltPageProps } from '../quilt-page';

export const metadata = { title: 'Hand back' };

type Loaded = Awaited<ReturnType<typeof load>>;

async function load(props: QuiltPageProps) {
  const page = await readQuiltPage(props);
  const { quilt, faults } = page.view;
  const [hand, photographs, preferences] = await Promise.all([
    ask.readHandBack(quilt.id),
    ask.readPhotographs({ quiltId: quilt.id }),
    ask.readPreferences(),
  ]);
  return {
    ...page,
    hand,
    preferences: preferences!,
    photographs: photographs.filter((p) => p.moment === 'hand-back'),
    open: faults.filter((f) => f.status === 'open'),
  };
}

/** The parts of the way home, in their order, each with whether it is done. */
const PARTS: readonly {
  id: string;
  label: string;
  done: (x: Loaded) => boolean;
  body: (x: Loaded) => React.ReactNode | Promise<React.ReactNode>;
}[] = [
  {
    id: 'off',
    label: 'Take off, trim',
    done: (x) => x.hand.offFrameAt !== null && x.hand.trimmedAt !== null,
    body: takeOff,
  },
  {
    id: 'inspect',
    label: 'Inspect',
    done: (x) => x.hand.topSeenAt !== null && x.hand.backSeenAt !== null,
    body: inspect,
  },
  { id: 'mend', label: 'Mend', done: (x) => x.hand.topSeenAt !== null && x.open.length === 0, body: mend },
  { id: 'wash', label: 'Wash', done: (x) => x.hand.washedAt !== null, body: wash },
  { id: 'measure', label: 'Measure', done: (x) => x.hand.widthsIn !== null, body: measure },
  { id: 'home', label: 'Sheet, home', done: (x) => x.view.quilt.handedBackOn !== null, body: home },
];

export default async function HandBackPage(props: QuiltPageProps) {
  const x = await load(props);
  const { part: asked } = await props.searchParams;
  const { quilt } = x.view;
  const must = PARTS.filter((p) => p.id !== 'wash' || quilt.wash !== null);
  const part = PARTS.find((p) => p.id === asked) ?? must.find((p) => !p.done(x)) ?? PARTS.at(-1)!;
  const notSewn = quilt.step !== 'hand-back';
  return (
    <QuiltFrame view={x.view} machine={x.machine} step="hand-back" zoneId={x.zone?.id} page="hand-back">
      <h2 className="text-24">
        {quilt.handedBackOn ? `${quilt.name} is home` : `${quilt.name} on its way home`}
      </h2>
      {notSewn && (
        <p className="mt-1 text-weld-text">
          Not all of its steps are logged as sewn. Log them first, or hand it back as it is.
        </p>
      )}
      <Parts
        label="The way home"
        parts={PARTS.map((p) => ({ id: p.id, label: p.done(x) ? `${p.label} ✓` : p.label }))}
        now={part.id}
        hrefOf={(id) => `/quilts/${quilt.id}/hand-back?part=${id}`}
      />
      <div className="mt-3">{await part.body(x)}</div>
    </QuiltFrame>
  );
}

const tick = (x: Loaded, act: Parameters<typeof doneAt>[1], label: string, first = false) => (
  <TickAct
    quiltId={x.view.quilt.id}
    version={x.hand.version}
    act={act}
    label={label}
    at={doneAt(x.hand, act)}
    first={first}
  />
);

function takeOff(x: Loaded) {
  const { units } = x.preferences;
  return (
    <div className="max-w-[640px] space-y-4">
      <ol className="list-decimal space-y-1 pl-5 text-[17px]">
        <li>Needle up, thread cut, both rails unlocked; unroll toward you.</li>
        <li>Take out the basting and free the leaders; two people carry a heavy quilt.</li>
        <li>
          Trim batting and backing to {lengthText(0.25, units)} beyond the top for a binding put on here, or
          leave {lengthText(2, units)} if the client binds it. Save a piece of the test margin with its
          set-up.
        </li>
      </ol>
      <CautionLine caution={safety('pinch', 'note')} />
      <div className="flex flex-wrap gap-3">
        {tick(x, 'off', 'It is off the frame', true)}
        {tick(x, 'trimmed', 'It is trimmed', x.hand.offFrameAt !== null)}
      </div>
    </div>
  );
}

function inspect(x: Loaded) {
  const { quilt, zones } = x.view;
  const { widthIn, lengthIn } = quilt;
  const marked = x.open.flatMap((f) =>
    f.xIn !== null && f.yIn !== null ? [{ n: f.n, xIn: f.xIn, yIn: f.yIn }] : [],
  );
  const pins = (mirrored: boolean) =>
    x.open.map((f) => ({ ...f, xIn: mirrored && f.xIn !== null ? widthIn - f.xIn : f.xIn }));
  const side = (mirrored: boolean) => {
    const way = inspection(widthIn, lengthIn, marked, mirrored);
    const name = mirrored ? 'The back, turned over sideways' : 'The top';
    return (
      <section aria-label={name}>
        <h3 className="text-[17px]">
          {name}{' '}
          <span className="text-15 font-normal text-ink2">
            {way.lanes} lanes to and fro{way.met.length > 0 && `, by fault ${way.met.join(', ')}`}
          </span>
        </h3>
        <div className="mt-1">
          <QuiltMap
            idPrefix={mirrored ? 'back' : 'front'}
            widthIn={widthIn}
            lengthIn={lengthIn}
            zones={mirrored ? [] : zones}
            width={400}
            maxHeight={370}
            pins={pins(mirrored)}
          >
            <InspectionPath of={way} unit={lengthIn / 140} />
          </QuiltMap>
        </div>
        <div className="mt-2">
          {tick(
            x,
            mirrored ? 'back' : 'top',
            mirrored ? 'The back is looked over' : 'The top is looked over',
            !mirrored || x.hand.topSeenAt !== null,
          )}
        </div>
      </section>
    );
  };
  return (
    <>
      <p>
        Under a slanting light, lane by lane: skipped and long stitches, loops, tails, pleats, marks, holes.
        What you find, note with F: it comes on the mend list.
      </p>
      <div className="mt-3 grid gap-6 lg:grid-cols-2">
        {side(false)}
        {side(true)}
      </div>
    </>
  );
}

function mend(x: Loaded) {
  const later = x.view.faults.filter((f) => f.status !== 'open');
  return (
    <>
      <p className="text-[17px]">
        {x.open.length === 0
          ? 'Nothing is open: the mend list is clear.'
          : `${x.open.length === 1 ? 'One fault is' : `${x.open.length} faults are`} to be mended, or the client agrees to leave it.`}
      </p>
      <ul className="mt-2 border-t-2 border-ink">
        {[...x.open, ...later].map((f) => (
          <li key={f.id} className="flex flex-wrap items-center gap-x-4 gap-y-1 border-b py-1.5">
            <b className="w-8">{f.n}</b>
            <span className="min-w-[260px] flex-1">
              <b>{f.symptoms.map((s) => signs.find(s)?.label ?? s).join(', ')}</b>
              <span className="block text-ink2">
                {[
                  f.zoneLetter && `zone ${f.zoneLetter}`,
                  f.pass && `pass ${f.pass}`,
                  f.xIn !== null && `${f.xIn} in from the left, ${f.yIn} from the top`,
                  f.note,
                  f.status === 'mended'
                    ? 'mended'
                    : f.status === 'harmless'
                      ? 'judged harmless'
                      : f.word && `accepted: ${f.word}`,
                ]
                  .filter(Boolean)
                  .join(' · ')}
              </span>
            </span>
            <FaultActs key={f.version} fault={f} />
          </li>
        ))}
      </ul>
    </>
  );
}

function wash(x: Loaded) {
  const { quilt } = x.view;
  const w = washingOf(x.view);
  return (
    <div className="max-w-[700px]">
      <p className="text-[17px]">
        {quilt.wash === null
          ? 'No wash was agreed: it goes home as it is, and the sheet says how to wash it.'
          : `A ${quilt.wash === 'gentle' ? 'gentle' : 'usual'} wash was agreed.`}
        {quilt.care && ` The client said: ${quilt.care}`}
      </p>
      <p className="mt-2 text-20">
        <Sourced of={predicted(w.dryKg)}>
          <b>{w.dryKg.toFixed(1)} kg</b>
        </Sourced>{' '}
        dry, about{' '}
        <Sourced of={predicted(w.wetKg)}>
          <b>{w.wetKg.toFixed(1)} kg</b>
        </Sourced>{' '}
        wet from the spin
      </p>
      <ul className="mt-2 list-disc space-y-1 pl-5">
        {w.lines.map((l) => (
          <li key={l}>{l}</li>
        ))}
      </ul>
      {w.cautions.map((c) => (
        <p key={c.code} className="mt-2">
          <CautionLine caution={c} />
        </p>
      ))}
      <div className="mt-3">{tick(x, 'washed', 'It is washed and dry', quilt.wash !== null)}</div>
    </div>
  );
}

function measure(x: Loaded) {
  const { hand, preferences, view } = x;
  const { quilt } = view;
  const out = cameOutOf(view, hand);
  const inches = (n: number) => lengthText(n, preferences.units);
  const drew = (pct: number | null) =>
    pct === null
      ? 'no measure of before'
      : pct >= 0
        ? `drew in ${pct.toFixed(1)} %`
        : `grew ${(-pct).toFixed(1)} %`;
  return (
    <div className="grid gap-8 lg:grid-cols-[minmax(0,1fr)_300px]">
      <MeasureForm
        key={hand.version}
        quiltId={quilt.id}
        version={hand.version}
        widthsIn={hand.widthsIn}
        lengthsIn={hand.lengthsIn}
        word={hand.word}
      />
      <section aria-label="How it came out">
        <h3 className="text-[17px]">How it came out</h3>
        {out ? (
          <dl className="mt-1">
            {(
              [
                [
                  'Width',
                  inches(out.widthIn),
                  `${drew(out.drewInWidthPct)}; ${inches(out.widthSpreadIn)} between the three`,
                ],
                [
                  'Length',
                  inches(out.lengthIn),
                  `${drew(out.drewInLengthPct)}; ${inches(out.lengthSpreadIn)} between the three`,
                ],
              ] as const
            ).map(([k, v, about]) => (
              <div key={k} className="border-b py-1.5">
                <dt className="text-13 text-ink2">{k}</dt>
                <dd className="text-24 font-bold">
                  <Sourced of={proven(null, 'measured')}>{v}</Sourced>
                </dd>
                <dd className="text-13 text-ink2">{about}</dd>
              </div>
            ))}
            <dd className={`mt-2 font-semibold ${out.square ? 'text-verdigris' : 'text-weld-text'}`}>
              {out.square
                ? 'Square within one part in a hundred.'
                : 'Not square: more than one part in a hundred between its widths or lengths. Block it damp, or say so to the client.'}
            </dd>
          </dl>
        ) : (
          <p className="mt-1 text-ink2">
            Three widths and three lengths say whether it is square, and what quilting drew in.
          </p>
        )}
      </section>
    </div>
  );
}

async function home(x: Loaded) {
  const { quilt } = x.view;
  // What it came to stands as it was on the day it went home.
  const c = (quilt.handedBackOn && x.hand.cameTo) || (await ask.cameToOf(x.view));
  const agreed = (await ask.readOffers(quilt.id)).find((o) => o.state === 'agreed');
  const hours = (min: number) => `${(min / 60).toFixed(1)} h`;
  return (
    <div className="grid gap-8 lg:grid-cols-[minmax(0,1fr)_360px]">
      <div>
        <h3 className="text-[17px]">Against the plan</h3>
        <dl className="mt-1 border-t-2 border-ink">
          {(
            [
              [
                'Hours',
                c.minutes === null
                  ? 'no step was timed'
                  : `${hours(c.minutes)} for ${c.timedSteps} timed of ${c.steps} steps; ${hours(c.predictedMin!)} were predicted`,
              ],
              [
                'Top thread',
                c.plannedM > 0
                  ? `${c.usedM > 0 ? `${Math.round(c.usedM)} m drawn by logged steps` : 'none drawn step by step'}; ${Math.round(c.plannedM)} m by the plan`
                  : 'no card chosen',
              ],
              ...(agreed
                ? [
                    [
                      'Offered',
                      `${moneyRange(agreed.lowMinor, agreed.highMinor, agreed.currency)}, for ${hoursWords(agreed.reckoned.frameHours)} at the frame`,
                    ] as const,
                  ]
                : []),
              [
                'Faults',
                `${c.faults} in ${stitchesWords(c.stitches)} stitches${c.minutesLost > 0 ? `, ${minutesWords(c.minutesLost)} lost` : ''}`,
              ],
            ] as const
          ).map(([k, v]) => (
            <div key={k} className="flex gap-4 border-b py-1.5">
              <dt className="w-28 shrink-0 text-ink2">{k}</dt>
              <dd className="font-semibold">{v}</dd>
            </div>
          ))}
        </dl>
        <h3 className="mt-4 text-[17px]">Photographs</h3>
        <div className="mt-1 flex flex-wrap items-center gap-3">
          {x.photographs.map((p, i) => (
            // eslint-disable-next-line @next/next/no-img-element -- a photograph from this app's own database
            <img
              key={p.id}
              src={`/photographs/${p.id}`}
              alt={`${quilt.name}, finished, ${i + 1}`}
              className="h-[110px] border"
            />
          ))}
          <KeepPhotograph quiltId={quilt.id} />
        </div>
      </div>
      <div>
        <h3 className="text-[17px]">For the client</h3>
        <div className="mt-2 flex flex-wrap gap-3">
          <ButtonLink href={`/quilts/${quilt.id}/sheets/client`}>The client’s sheet</ButtonLink>
          <a
            download
            href={`/quilts/${quilt.id}/hand-back/letter`}
            className="inline-flex min-h-11 items-center rounded border-[1.5px] border-rule px-4 font-semibold"
          >
            As a letter (.eml)
          </a>
        </div>
        <div className="mt-5 border-t pt-3">
          {x.hand.waivedBy && quilt.handedBackOn && (
            <p className="mb-2">
              Handed back with open faults, decided by {x.hand.waivedBy}: {x.hand.waivedWhy}
            </p>
          )}
          <HomeForm
            key={quilt.version}
            quiltId={quilt.id}
            version={quilt.version}
            home={quilt.handedBackOn !== null}
            open={x.open.length}
          />
        </div>
      </div>
    </div>
  );
}
