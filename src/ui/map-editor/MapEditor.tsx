'use client';
import { useState } from 'react';
import { Button, ButtonLink } from '@/ui/kit/Button';
import { Problems } from '@/ui/kit/Problems';
import { type DrawnZone, MapCanvas } from './MapCanvas';
import { MapTools, TOOLS } from './MapTools';
import { RepeatDialog } from './RepeatDialog';
import { type MapQuilt, useMapEditor } from './use-map-editor';
import { ZoneNames } from './ZoneNames';

/** The quilt map drawn: dragged, cut, merged, drawn and repeated; it must cover the quilt once and only once. */
export function MapEditor({ quilt, zones }: { quilt: MapQuilt; zones: DrawnZone[] }) {
  const edit = useMapEditor(quilt, zones);
  const [stepIn, setStepIn] = useState(0.25);
  const [repeating, setRepeating] = useState(false);
  const { problem, said, one } = edit;
  return (
    <div className="px-5 pt-3 pb-8">
      <div className="flex flex-wrap items-center gap-3">
        <h1 className="flex-1 text-24">Map of {quilt.name}</h1>
        <ButtonLink look="quiet" href={`/quilts/${quilt.id}/take-in`}>
          Cancel
        </ButtonLink>
        <Button
          look="act"
          disabled={edit.pending || problem !== null || edit.history.past.length === 0}
          onClick={edit.save}
        >
          Save the map
        </Button>
      </div>
      <MapTools
        edit={edit}
        quilt={quilt}
        stepIn={stepIn}
        onStep={setStepIn}
        onRepeat={() => setRepeating(true)}
      />
      <p
        role="status"
        className={`min-h-7 pt-1 ${problem || said ? 'font-medium text-weld-text' : 'text-ink2'}`}
      >
        {said ?? problem ?? TOOLS.find(([id]) => id === edit.tool)![2]}
      </p>
      <Problems problems={edit.problems} />
      <div className="mt-1 grid gap-5 lg:grid-cols-[auto_minmax(300px,1fr)]">
        <MapCanvas
          zones={edit.zones}
          quilt={quilt}
          height={600}
          picked={edit.picked}
          tool={edit.tool}
          stepIn={stepIn}
          points={edit.points}
          onPick={edit.pick}
          onPoint={edit.press}
          onMove={(next, done) => (done ? edit.put(next) : edit.setMoving(next))}
        />
        <ZoneNames edit={edit} />
      </div>
      {repeating && one && (
        <RepeatDialog one={one} edit={edit} quilt={quilt} onClose={() => setRepeating(false)} />
      )}
    </div>
  );
}
