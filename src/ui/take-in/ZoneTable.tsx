'use client';
import dynamic from 'next/dynamic';
import { patiently } from '@/ui/kit/patiently';
import { useState } from 'react';
import { areaOf } from '@/core/geometry/polygon';
import { features } from '@/core/tables/features';
import { techniques } from '@/core/tables/techniques';
import type { StudioFabric, Yarn, Zone } from '@/data/types';
import { HeadRow } from '@/ui/kit/HeadRow';
import { Button } from '@/ui/kit/Button';

const ZoneDialog = dynamic(() => patiently(() => import('./ZoneDialog')).then((m) => m.ZoneDialog));
const WISH_WORD = { sink: 'to sink', texture: 'texture', show: 'to show' } as const;

/** The zones with what is wished for each, and a way to change it. */
export function ZoneTable({
  zones,
  fabrics,
  yarns,
}: {
  zones: Zone[];
  fabrics: StudioFabric[];
  yarns: readonly Yarn[];
}) {
  const [editing, setEditing] = useState<Zone | null>(null);
  return (
    <>
      <table className="stacks w-full">
        <HeadRow names={['Zone', 'Fabric', 'Technique', 'Spacing', 'Area', 'Wish']} />
        <tbody>
          {zones.map((z) => (
            <tr key={z.id} className="border-t align-top">
              <td className="py-2.5 pr-3 font-semibold">
                {z.letter} {z.name}
              </td>
              <td className="py-2.5 pr-3">
                {z.fabrics.map((f) => f.name).join(', ')}
                {z.features.length > 0 && (
                  <span className="block text-ink2">
                    {z.features.map((f) => features.get(f).label).join(', ')}
                  </span>
                )}
              </td>
              <td className="py-2.5 pr-3">{techniques.get(z.technique).label}</td>
              <td className="py-2.5 pr-3 whitespace-nowrap">{z.spacingIn} in</td>
              <td className="py-2.5 pr-3 whitespace-nowrap">{Math.round(areaOf(z.geometry))} in²</td>
              <td className="py-2.5 pr-3">
                {WISH_WORD[z.visibility]}
                {z.softness && `, ${z.softness === 'usual' ? 'of usual softness' : z.softness}`}
                {z.retraced && z.retraced > 1 && `, each line ${z.retraced} times`}
                {z.yarn && <span className="block text-ink2">{z.yarn.name}</span>}
              </td>
              <td className="py-1 text-right">
                <Button
                  look="quiet"
                  className="!px-3 !text-15"
                  aria-label={`Change ${z.name}`}
                  onClick={() => setEditing(z)}
                >
                  Change
                </Button>
              </td>
            </tr>
          ))}
        </tbody>
      </table>
      {editing && (
        <ZoneDialog zone={editing} fabrics={fabrics} yarns={yarns} onClose={() => setEditing(null)} />
      )}
    </>
  );
}
