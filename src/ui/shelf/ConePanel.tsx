'use client';
import { sizeKnown, remainingKnown } from '@/core/shelf/known';
import { format } from 'date-fns';
import { useEffect, useState } from 'react';
import { toast } from '@/ui/kit/toast';
import { doors, looks } from '@/actions/doors';
import { fibres } from '@/core/tables/fibres';
import { soundness, soundnessWords } from '@/core/thread/age';
import { inEveryCount } from '@/core/thread/describe';
import type { Cone, ConeUse } from '@/data/types';
import { Explained } from '@/ui/kit/Explained';
import { Button } from '@/ui/kit/Button';
import { Modal } from '@/ui/kit/Modal';
import { RecordForm } from '@/ui/kit/RecordForm';
import { Sourced } from '@/ui/kit/Sourced';
import { ThreadSwatch } from '@/ui/kit/Swatch';
import { useActionForm } from '@/ui/kit/use-action-form';
import { CONE_ROLE_LABEL } from '@/core/fields/lists';
import { SnapTest } from './SnapTest';

const WHY_WORD = { winding: 'wound', pass: 'sewn', weighed: 'weighed', set: 'set' } as const;

/** One cone: what is known of it, what is left and why, and counting it again. */
export function ConePanel({
  cone,
  onEdit,
  onClose,
}: {
  cone: Cone;
  onEdit: () => void;
  onClose: () => void;
}) {
  const [uses, setUses] = useState<ConeUse[] | null>(null);
  const [how, setHow] = useState<'weighed' | 'set'>('weighed');
  useEffect(() => {
    let here = true;
    looks.coneUses(cone.id).then(
      (u) => here && setUses(u),
      () => here && setUses([]),
    );
    return () => {
      here = false;
    };
  }, [cone.id, cone.version]);
  const away = cone.archivedAt !== null;
  const put = useActionForm(doors.editMany, () => {
    toast(away ? 'It is back on the shelf.' : 'It is put away. What used it keeps it.');
    onClose();
  });
  const left = remainingKnown(cone);
  // By the day the panel was opened.
  const [today] = useState(() => Date.now());
  const sound = soundness(cone, today);
  const f = inEveryCount(cone);
  const facts: readonly (readonly [string, React.ReactNode])[] = [
    ['Fibre', fibres.find(cone.fibre)?.label],
    ['Label', cone.label || 'none'],
    [
      'Size',
      <Sourced key="s" of={sizeKnown(cone)}>
        tex {Number(cone.tex.toFixed(1))}
      </Sourced>,
    ],
    ['Thickness', `${f.diameterMm.toFixed(3)} mm`],
    ['Breaks at', `${Math.round(f.breakGf)} g`],
    ['Sewn', CONE_ROLE_LABEL[cone.role]],
    [
      'Maker’s needle',
      cone.needleMinNm === null ? 'none given' : `Nm ${cone.needleMinNm} to ${cone.needleMaxNm}`,
    ],
    ['Age', sound ? soundnessWords(sound) : 'not known: give the day it was bought, or pull it'],
    ['Place', cone.place || 'not said'],
    ['Price', cone.price === null ? 'not said' : cone.price.toFixed(2)],
  ];
  return (
    <Modal
      open
      onOpenChange={(open) => !open && onClose()}
      title={`${cone.line} ${cone.colour}`}
      about={cone.notes || (away ? 'Put away.' : 'On the shelf.')}
      wide
    >
      <div className="mt-4 grid gap-x-8 gap-y-4 md:grid-cols-2">
        <div>
          <div className="flex gap-4">
            <ThreadSwatch hex={cone.hex} width={72} height={96} />
            <div>
              <p className="text-13 text-ink2">Left on the cone</p>
              <p className="mt-0.5 text-32 leading-none font-bold">
                {!left ? (
                  'not counted'
                ) : (
                  <Sourced of={left}>
                    {Math.round(left.value)} <small className="text-16 font-medium">m</small>
                  </Sourced>
                )}
              </p>
              <p className="mt-2 text-ink2">
                {left?.basis}
                {cone.remainingAt && `, ${format(cone.remainingAt, 'd MMM')}`}
              </p>
            </div>
          </div>
          <dl className="mt-3 border-t">
            {facts.map(([k, v]) => (
              <div key={k} className="flex gap-3 border-b py-1.5">
                <dt className="w-32 shrink-0 text-ink2">
                  <Explained word={k} />
                </dt>
                <dd>{v}</dd>
              </div>
            ))}
          </dl>
          <div className="mt-4 flex flex-wrap gap-2">
            <Button onClick={onEdit}>Change</Button>
            <Button
              look="quiet"
              disabled={put.pending}
              onClick={() => put.send({ ids: [cone.id], archive: away ? 'back' : 'away' })}
            >
              {away ? 'Take out again' : 'Put away'}
            </Button>
          </div>
        </div>
        <div>
          <SnapTest cone={cone} />
          <h3 className="mt-4 text-[17px]">Count it again</h3>
          <div role="radiogroup" aria-label="How it is counted" className="mt-1 flex gap-4">
            {(['weighed', 'set'] as const).map((h) => (
              <label key={h} className="flex min-h-11 items-center gap-2">
                <input
                  type="radio"
                  name="how"
                  className="size-5 accent-(--indigo)"
                  checked={how === h}
                  onChange={() => setHow(h)}
                />
                {h === 'weighed' ? 'on the scale' : 'by hand'}
              </label>
            ))}
          </div>
          <RecordForm
            key={how + cone.version}
            specs={
              how === 'weighed'
                ? [
                    { name: 'grossG', label: 'On the scale, grams', kind: 'number' },
                    { name: 'tareG', label: 'Empty cone, grams', kind: 'number' },
                  ]
                : [
                    {
                      name: 'remainingM',
                      label: 'Metres left',
                      hint: 'or yards: 800 yd',
                      kind: 'metres',
                      wide: true,
                    },
                  ]
            }
            initial={how === 'weighed' ? { tareG: cone.tareG } : {}}
            fixed={{ id: cone.id, how }}
            act={doors.countCone}
            onDone={({ remainingM }) => {
              toast(`${Math.round(remainingM)} m left on ${cone.line} ${cone.colour}.`);
              onClose();
            }}
            submit="Keep this count"
          />
          <h3 className="mt-5 text-[17px]">Came and went</h3>
          {uses === null ? (
            <p className="mt-1 text-ink2">…</p>
          ) : uses.length === 0 ? (
            <p className="mt-1 text-ink2">Nothing yet. Winding bobbins and sewn passes are taken off here.</p>
          ) : (
            <ul className="mt-1 max-h-[180px] overflow-auto" tabIndex={0} aria-label="Ledger">
              {uses.map((u) => (
                <li key={u.id} className="flex gap-3 border-b py-1">
                  <span className="w-14 text-ink2">{format(u.at, 'd MMM')}</span>
                  <span className="flex-1">
                    {WHY_WORD[u.why]}
                    {u.note && `: ${u.note}`}
                  </span>
                  <span>{u.leftM === null ? '' : `${Math.round(u.leftM)} m`}</span>
                </li>
              ))}
            </ul>
          )}
        </div>
      </div>
    </Modal>
  );
}
