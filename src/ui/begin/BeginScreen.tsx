'use client';
import { Check } from 'lucide-react';
import dynamic from 'next/dynamic';
import { type ReactNode, useState } from 'react';
import { doors } from '@/actions/doors';
import { USUAL_BOBBINS, USUAL_MACHINES, USUAL_NEEDLES } from '@/core/machine/usual';
import type { Begun } from '@/data/types';
import { Button, ButtonLink } from '@/ui/kit/Button';
import { TextField } from '@/ui/kit/Field';
import { Link } from '@/ui/kit/Link';
import { patiently } from '@/ui/kit/patiently';
import { Problems } from '@/ui/kit/Problems';
import { toast } from '@/ui/kit/toast';
import { useActionForm } from '@/ui/kit/use-action-form';
import { OtherStudio } from './OtherStudio';

const PasteDialog = dynamic(() =>
  patiently(() => import('@/ui/shelf/PasteDialog')).then((m) => m.PasteDialog),
);
const many = (n: number, one: string) => `${n} ${one}${n === 1 ? '' : 's'}`;

/** An empty studio led along one thread: machine, threads, needles and bobbins, the first quilt or set-up. Each can be skipped. */
export function BeginScreen({ begun }: { begun: Begun }) {
  const isEmpty = [begun.machines, begun.cones, begun.needles, begun.bobbins, begun.quilts].every(
    (n) => n === 0,
  );
  return (
    <div className="mx-auto grid max-w-[1180px] gap-x-12 gap-y-6 px-6 pt-4 pb-10 max-sm:px-4 lg:grid-cols-[minmax(0,1fr)_360px]">
      <div>
        <h1 className="text-24">Begin your studio</h1>
        <p className="mt-1 text-ink2">
          Four short steps, in any order. Everything can be changed later, and each can be skipped.
        </p>
        <ol className="mt-3 border-t-2 border-ink">
          <MachineStep machines={begun.machines} />
          <ThreadStep cones={begun.cones} />
          <DrawerStep begun={begun} />
          <Step n={4} title="First set-up" done={begun.quilts > 0 ? many(begun.quilts, 'quilt') : null}>
            <p className="text-ink2">
              {begun.machines === 0
                ? 'A quick set-up needs nothing. To take in a quilt, say your machine first.'
                : 'A quick set-up for one fabric and one thread, or the first quilt on the Rack.'}
            </p>
            <div className="mt-2 flex flex-wrap gap-3">
              <ButtonLink look="act" href="/set-up">
                Quick set-up
              </ButtonLink>
              {begun.machines > 0 && <ButtonLink href="/take-in">Take in a quilt</ButtonLink>}
              <ButtonLink look="quiet" href="/workroom/preferences">
                How we work
              </ButtonLink>
            </div>
          </Step>
        </ol>
      </div>
      <OtherStudio isEmpty={isEmpty} isDemo={begun.isDemo} />
    </div>
  );
}

function Step({
  n,
  title,
  done,
  children,
}: {
  n: number;
  title: string;
  done: string | null;
  children: ReactNode;
}) {
  return (
    <li className="grid grid-cols-[44px_minmax(0,1fr)] border-b py-3">
      <b
        className={`grid size-8 place-items-center rounded-full border-2 font-serif text-17 ${done ? 'border-verdigris text-verdigris' : 'border-ink'}`}
      >
        {done ? <Check size={18} aria-hidden /> : n}
      </b>
      <div>
        <h2 className="text-20">
          {title}
          {done && <span className="ml-3 text-15 font-normal text-verdigris">{done}</span>}
        </h2>
        {children}
      </div>
    </li>
  );
}

function MachineStep({ machines }: { machines: number }) {
  const [kind, setKind] = useState('long');
  const [name, setName] = useState('');
  const { send, pending, problems, problemAt } = useActionForm(doors.keepMachine, () =>
    toast(
      'The machine is there. Its figures are the usual ones: change them by its manual when you have it at hand.',
    ),
  );
  return (
    <Step n={1} title="Your machine" done={machines > 0 ? many(machines, 'machine') : null}>
      {machines > 0 ? (
        <p className="text-ink2">
          Throat, frame, feet and bobbin are the usual ones of its kind until you{' '}
          <Link className="text-indigo underline" href="/workroom/machine">
            change them
          </Link>
          .
        </p>
      ) : (
        <form
          onSubmit={(e) => {
            e.preventDefault();
            if (!pending) send({ ...USUAL_MACHINES.get(kind).values, name, version: 0 });
          }}
        >
          <p className="text-ink2">
            Needed to take in a quilt: passes, speed and tests are worked out for it.
          </p>
          <fieldset className="mt-2">
            <legend className="mb-1 text-13 font-medium text-ink2">Most like yours</legend>
            <div className="grid gap-1.5 sm:grid-cols-2">
              {USUAL_MACHINES.rows.map((m) => (
                <label
                  key={m.id}
                  className={`flex min-h-11 cursor-pointer items-center gap-2.5 rounded border px-3 py-1 ${kind === m.id ? 'border-indigo bg-indigo-tint' : 'border-rule'}`}
                >
                  <input
                    type="radio"
                    name="kind"
                    className="size-5 accent-(--indigo)"
                    checked={kind === m.id}
                    onChange={() => setKind(m.id)}
                  />
                  <span>
                    <b className="block font-semibold">{m.label}</b>
                    <span className="text-13 text-ink2">{m.about}</span>
                  </span>
                </label>
              ))}
            </div>
          </fieldset>
          <div className="mt-2 flex flex-wrap items-end gap-3">
            <div className="min-w-[220px] flex-1">
              <TextField
                id="machine-name"
                label="What you call it"
                value={name}
                onChange={(e) => setName(e.target.value)}
                error={problemAt('name')}
              />
            </div>
            <Button look="act" type="submit" disabled={pending}>
              Add the machine
            </Button>
          </div>
          <Problems problems={problems} fields={['name']} />
        </form>
      )}
    </Step>
  );
}

function ThreadStep({ cones }: { cones: number }) {
  const [open, setOpen] = useState(false);
  return (
    <Step n={2} title="Your threads" done={cones > 0 ? many(cones, 'cone') : null}>
      <p className="text-ink2">
        Needed to be told which of yours to take. Type or paste their labels, one a line: “Poly 40 white 5000
        m”.
      </p>
      <div className="mt-2 flex flex-wrap gap-3">
        <Button onClick={() => setOpen(true)}>Type or paste labels</Button>
        <ButtonLink look="quiet" href="/workroom/files">
          From a CSV file
        </ButtonLink>
      </div>
      {open && <PasteDialog onClose={() => setOpen(false)} />}
    </Step>
  );
}

function DrawerStep({ begun }: { begun: Begun }) {
  const { send, pending, problems } = useActionForm(doors.stockUsual, ({ count }) =>
    toast(`${count} put in the drawer. Count them when you come by.`),
  );
  const has = [
    begun.needles > 0 ? many(begun.needles, 'needle') : '',
    begun.bobbins > 0 ? many(begun.bobbins, 'bobbin') : '',
  ].filter(Boolean);
  return (
    <Step n={3} title="Needles and bobbins" done={has.length > 0 ? has.join(', ') : null}>
      <p className="text-ink2">Needed to be offered only needles you have, and to know when to wind.</p>
      <div className="mt-2 flex flex-wrap gap-3">
        {begun.needles === 0 && (
          <Button disabled={pending} onClick={() => send({ what: 'needles' })}>
            A usual drawer: Nm {USUAL_NEEDLES.map((n) => n.nm).join(', ')}, ten of each
          </Button>
        )}
        {begun.bobbins === 0 && begun.machines > 0 && begun.cones > 0 && (
          <Button disabled={pending} onClick={() => send({ what: 'bobbins' })}>
            {USUAL_BOBBINS} wound bobbins of each bobbin thread
          </Button>
        )}
        <ButtonLink look="quiet" href="/workroom/needles">
          Count needles
        </ButtonLink>
        <ButtonLink look="quiet" href="/workroom/bobbins">
          Count bobbins
        </ButtonLink>
      </div>
      <Problems problems={problems} />
    </Step>
  );
}
