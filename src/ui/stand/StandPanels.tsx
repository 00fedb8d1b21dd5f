import dynamic from 'next/dynamic';
import type { ReactNode } from 'react';
import { takenBack } from '@/core/log/standing';
import { rollTo } from '@/core/stand/advance';
import { patiently } from '@/ui/kit/patiently';
import { AdvancePanel } from './AdvancePanel';
import { AirPanel } from './AirPanel';
import { AwayPanel } from './AwayPanel';
import { BobbinPanel } from './BobbinPanel';
import { FaultPanel } from './FaultPanel';
import { FramePanel } from './FramePanel';
import { KeysPanel } from './KeysPanel';
import { ListPanel } from './ListPanel';
import type { ShownStep } from './stand-facts';
import { TempoPanel } from './TempoPanel';
import type { Stand } from './use-stand';

const ChangePanel = dynamic(() => patiently(() => import('./ChangePanel')).then((m) => m.ChangePanel), {
  ssr: false,
});
const MachinePanel = dynamic(() => patiently(() => import('./MachinePanel')).then((m) => m.MachinePanel), {
  ssr: false,
});

type Shown = (stand: Stand) => ReactNode;

const fault: Shown = ({ signs, moreSigns, map, zone, key, stitchesNow, log, close }) => (
  <FaultPanel
    signs={signs}
    more={moreSigns}
    map={map}
    onClose={close}
    onFault={(part) => {
      const inZone = zone && part.xIn === undefined ? { zoneId: zone.id } : {};
      log('fault', { ...(key ?? {}), ...inZone, stitches: Math.round(stitchesNow), ...part });
      close();
    }}
  />
);

const advance: Shown = ({ roll, steps, state, raiseBefore, square, log, close }) => (
  <AdvancePanel
    roll={roll ?? rollTo(state.frameAt, nextPass(steps, state.frameAt), raiseBefore)}
    square={square}
    widths={state.widths}
    onClose={close}
    onDone={(pass, widthIn) => {
      if (widthIn !== null) log('width-measured', { pass, widthIn });
      log('advanced', { pass });
      close();
    }}
  />
);

const bobbin: Shown = ({ set, named, log, close }) =>
  set ? (
    <BobbinPanel
      thread={named.get(set.bobbinId)}
      onWound={(woundM) => {
        log('bobbin-changed', { thread: set.bobbinId, woundM });
        close();
      }}
      onPut={() => {
        log('bobbin-changed', { thread: set.bobbinId });
        close();
      }}
      onClose={close}
    />
  ) : null;

const change: Shown = ({ set, quilt, alike, feet, threads, scales, key, log, close }) =>
  set ? (
    <ChangePanel
      key={set.zone.id}
      quiltId={quilt.id}
      set={set}
      letters={alike.map((z) => z.letter)}
      feet={feet}
      threads={threads}
      scales={scales}
      onChange={(kind, setting, from, to) =>
        log(kind, { ...key!, setting, from, to, zones: alike.map((z) => z.id) })
      }
      onNote={(part) => log('note', { ...key!, zoneId: set.zone.id, ...part })}
      onClose={close}
    />
  ) : null;

const frame: Shown = ({ quilt, key, log, close }) =>
  quilt.framed ? (
    <FramePanel
      quiltId={quilt.id}
      framed={quilt.framed}
      onClose={close}
      onPut={() => key && log('step-begun', key)}
    />
  ) : null;

const list: Shown = ({ state, entries, nameOf, log, acts, close, setPanel }) => (
  <ListPanel
    entries={state.entries}
    takenBack={takenBack(entries)}
    nameOf={nameOf}
    onUndo={(id) => log('undone', { undoes: id })}
    onPutBack={(by) => by.forEach((id) => log('undone', { undoes: id }))}
    onClose={close}
    onBack={acts.back}
    onKeys={() => setPanel('keys')}
    onTempo={() => setPanel('tempo')}
    onMachine={() => setPanel('machine')}
    onAir={() => setPanel('air')}
  />
);

const machine: Shown = ({ quilt, step, longarm, map, running, key, state, log, close }) => (
  <MachinePanel
    quiltId={quilt.id}
    step={step ?? null}
    longarm={longarm}
    map={map}
    onStart={() => {
      if (!running && key) log(state.begun ? 'step-resumed' : 'step-begun', state.begun ? {} : key);
    }}
    onClose={close}
  />
);

const PANELS: Record<NonNullable<Stand['panel']>, Shown> = {
  fault,
  advance,
  bobbin,
  change,
  frame,
  list,
  machine,
  air: ({ log, close }) => (
    <AirPanel
      onNote={(part) => {
        log('air-noted', part);
        close();
      }}
      onClose={close}
    />
  ),
  tempo: ({ set, close }) => <TempoPanel setting={set ?? null} onClose={close} />,
  keys: ({ keys, setKeys, close }) => <KeysPanel keys={keys} onKeys={setKeys} onClose={close} />,
};

/** The panel that is open over the screen at the machine, and the question after an absence. */
export function StandPanels({ stand }: { stand: Stand }) {
  const { panel, away, setAway, log } = stand;
  return (
    <>
      {panel && PANELS[panel](stand)}
      {away && (
        <AwayPanel
          minutes={Math.round((away.to - away.from) / 60_000)}
          onSewing={() => setAway(null)}
          onAway={() => {
            log('step-paused', { at: new Date(away.from).toISOString(), away: true });
            log('step-resumed', { at: new Date(away.to).toISOString() });
            setAway(null);
          }}
        />
      )}
    </>
  );
}

/** The pass one would roll to when nothing asks for another. */
const nextPass = (steps: readonly ShownStep[], frameAt: number): number =>
  Math.min(frameAt + 1, Math.max(...steps.map((s) => s.pass)));
