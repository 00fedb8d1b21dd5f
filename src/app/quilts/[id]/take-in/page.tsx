import { ask } from '@/actions/queries';
import { format, parseISO } from 'date-fns';
import { correctableOf, labelOf } from '@/actions/corrections';
import {
  APPROVAL_LABEL,
  CONTACT_LABEL,
  DELIVERY_LABEL,
  PHOTO_CONSENT_LABEL,
  USE_LABEL,
} from '@/core/fields/lists';
import { measure } from '@/core/plan/measure';
import { moneyText } from '@/core/units/money';
import type { Client } from '@/data/types';
import type { Correction } from '@/data/corrections';
import type { Quilt } from '@/data/types';
import { QuiltFrame } from '@/ui/quilt/QuiltFrame';
import { Explained } from '@/ui/kit/Explained';
import { ButtonLink } from '@/ui/kit/Button';
import { Conditions } from '@/ui/take-in/Conditions';
import { Corrections, type ShownCorrection } from '@/ui/take-in/Corrections';
import { LazyMachineChoice } from '@/ui/take-in/LazyMachineChoice';
import { Photographs } from '@/ui/take-in/Photographs';
import { EditClient, EditQuilt, WithdrawQuilt } from '@/ui/take-in/TakeInActs';
import { ZoneTable } from '@/ui/take-in/ZoneTable';
import { readQuiltPage, type QuiltPageProps } from '../quilt-page';

export const metadata = { title: 'Take in' };

type Fact = readonly [label: string, value: string];
const day = (iso: string) => format(parseISO(iso), 'EEE d MMM yyyy');
const given = (facts: readonly Fact[]) => facts.filter(([, v]) => v !== '');

/** What was said of the quilt itself. */
function quiltFacts(quilt: Quilt): Fact[] {
  const three = (['widthsIn', 'lengthsIn'] as const).flatMap((k): Fact[] =>
    quilt[k]
      ? [
          [
            k === 'widthsIn' ? 'Widths' : 'Lengths',
            `${quilt[k].join(', ')} in: ${measure(quilt[k], k === 'widthsIn' ? 'width' : 'length').text}`,
          ],
        ]
      : [],
  );
  return given([
    ['Use', USE_LABEL[quilt.use]],
    [
      'Size',
      `${quilt.widthIn} × ${quilt.lengthIn} in · ${Math.round(quilt.widthIn * 2.54)} × ${Math.round(quilt.lengthIn * 2.54)} cm`,
    ],
    ...three,
    ['Batting', quilt.batting],
    [
      'Backing',
      `${quilt.backing}${quilt.backingClothIn ? `, ${quilt.backingClothIn} in wide` : ''}${quilt.prewash ? ', prewashed' : ''}`,
    ],
    ['Taken in', day(quilt.takenInOn)],
    ['Promised', day(quilt.dueOn)],
    ['Wishes', quilt.wishes],
    ['Watch for', quilt.watch],
    ['Washing', quilt.care],
  ]);
}

/** What is known of the client and agreed with her. */
function clientFacts(quilt: Quilt, client: Client | null, currency: string): Fact[] {
  const on = (iso: string | null) => (iso ? `, ${day(iso)}` : '');
  return given([
    ['Client', quilt.client],
    ['Phone', client?.phone ?? ''],
    ['E-mail', client?.email ?? ''],
    ['Address', client?.address ?? ''],
    ['Reached by', client?.contactBy ? CONTACT_LABEL[client.contactBy] : ''],
    ['Photographs', client?.photosOk ? PHOTO_CONSENT_LABEL[client.photosOk] : 'not asked yet'],
    [
      'Deposit',
      quilt.depositMinor === null ? '' : `${moneyText(quilt.depositMinor, currency)}${on(quilt.depositOn)}`,
    ],
    ['Thread, design', `${APPROVAL_LABEL[quilt.approval]}${on(quilt.approvedOn)}`],
    [
      'Goes home',
      `${DELIVERY_LABEL[quilt.delivery]}${quilt.shipValueMinor === null ? '' : `, worth ${moneyText(quilt.shipValueMinor, currency)}`}${quilt.tracking ? `, parcel ${quilt.tracking}` : ''}`,
    ],
  ]);
}

/** A correction in words: each field with what it was and what it is. */
function shown(
  c: Correction,
  pick: Readonly<Record<string, readonly { value: string; label: string }[]>>,
  currency: string,
): ShownCorrection {
  const word = (field: string, v: unknown): string => {
    const named = pick[field]?.find((o) => o.value === v)?.label;
    if (named) return named;
    if (Array.isArray(v)) return v.join('; ');
    if (typeof v === 'boolean') return v ? 'yes' : 'no';
    if (typeof v === 'number') return field.endsWith('Minor') ? moneyText(v, currency) : String(v);
    return typeof v === 'string' ? (/^\d{4}-\d\d-\d\d$/.test(v) ? day(v) : v) : '';
  };
  return {
    id: c.id,
    when: format(c.at, 'd MMM'),
    changed: Object.entries(c.changed).map(([k, { from, to }]) => ({
      label: labelOf(k),
      from: word(k, from),
      to: word(k, to),
    })),
    said: c.said,
    who: c.who,
    undone: c.undoneAt !== null,
  };
}

/** What was agreed on the counter: the bundle, its layers, and the wish for each zone; all of it to be corrected. */
export default async function TakeInPage(props: QuiltPageProps) {
  const { view, machine, zone } = await readQuiltPage(props);
  const { quilt, zones, conditions } = view;
  const [yarns, fabrics, machines, photographs, preferences, client, corrections, pick, clients] =
    await Promise.all([
      ask.readYarns(),
      ask.readFabrics(),
      ask.readMachines(),
      ask.readPhotographs({ quiltId: quilt.id }),
      ask.readPreferences(),
      ask.readClient(quilt.clientId),
      ask.readCorrections(quilt.id),
      ask.readChoices(),
      ask.readClientNames(),
    ]);
  const { currency } = preferences!;
  return (
    <QuiltFrame view={view} machine={machine} step="take-in" zoneId={zone?.id} page="take-in">
      <div className="flex flex-wrap items-center gap-3">
        <h2 className="flex-1 text-24">What came over the counter</h2>
        <ButtonLink look="quiet" href={`/quilts/${quilt.id}/slip`}>
          Print the slip
        </ButtonLink>
        <ButtonLink look="quiet" href={`/quilts/${quilt.id}/offer`}>
          Offer
        </ButtonLink>
        <ButtonLink look="quiet" href={`/quilts/${quilt.id}/letters`}>
          Letters
        </ButtonLink>
        <ButtonLink look="quiet" href={`/quilts/${quilt.id}/prepare`}>
          Backing and binding
        </ButtonLink>
        <ButtonLink look="act" href={`/quilts/${quilt.id}/map`}>
          Draw the map
        </ButtonLink>
      </div>
      <div className="mt-2 grid gap-x-8 gap-y-4 lg:grid-cols-2">
        <section aria-label="The quilt">
          <Facts facts={quiltFacts(quilt)} />
          <div className="mt-2 flex flex-wrap gap-3">
            <EditQuilt
              quilt={{
                id: quilt.id,
                name: quilt.name,
                version: quilt.version,
                values: {
                  ...correctableOf(quilt),
                  widthsIn: quilt.widthsIn ?? [quilt.widthIn, quilt.widthIn, quilt.widthIn],
                  lengthsIn: quilt.lengthsIn ?? [quilt.lengthIn, quilt.lengthIn, quilt.lengthIn],
                },
              }}
              pick={pick}
              clients={clients}
              currency={currency}
            />
            {!quilt.withdrawnOn && !quilt.handedBackOn && (
              <WithdrawQuilt quilt={{ id: quilt.id, name: quilt.name, version: quilt.version }} />
            )}
          </div>
          {machines.length > 1 ? (
            <div className="mt-3 max-w-[320px]">
              <LazyMachineChoice quiltId={quilt.id} machineId={quilt.machineId} machines={machines} />
            </div>
          ) : (
            <p className="mt-2 text-ink2">Sewn on {machine.name}.</p>
          )}
        </section>
        <div>
          <section aria-label="The client">
            <Facts facts={clientFacts(quilt, client, currency)} />
            <div className="mt-2">{client && <EditClient client={client} />}</div>
          </section>
          <section aria-label="Found on arrival" className="mt-4">
            <h3 className="mb-1 text-20">Found on arrival</h3>
            <Conditions
              quilt={{ id: quilt.id, name: quilt.name, widthIn: quilt.widthIn, lengthIn: quilt.lengthIn }}
              zones={zones}
              list={conditions}
            />
          </section>
        </div>
      </div>
      <h3 className="mt-5 mb-1 text-20">Zones and wishes</h3>
      <ZoneTable zones={zones} fabrics={fabrics} yarns={yarns} />
      <Photographs
        ofId={quilt.id}
        first={photographs.filter((p) => p.moment === 'take-in').map((p) => p.id)}
      />
      {corrections.length > 0 && (
        <section aria-label="Changes since intake" className="mt-5">
          <h3 className="mb-1 text-20">Changes since intake</h3>
          <Corrections list={corrections.map((c) => shown(c, pick, currency))} />
        </section>
      )}
    </QuiltFrame>
  );
}

function Facts({ facts }: { facts: readonly Fact[] }) {
  return (
    <dl className="border-t-2 border-ink">
      {facts.map(([k, v]) => (
        <div key={k} className="flex gap-4 border-b py-1.5">
          <dt className="w-28 shrink-0 text-ink2">
            <Explained word={k} />
          </dt>
          <dd className="font-semibold whitespace-pre-line">{v}</dd>
        </div>
      ))}
    </dl>
  );
}
