/** A thing a proof rests on, by what tells it from others and by its name. */
export interface Named {
  id: string;
  name: string;
}
export interface RestedThread extends Named {
  tex: number;
  fibre: string;
  batch: string;
}

/** What a balanced tension rests on. */
export interface RestsOn {
  cloths: Named[];
  features: string[];
  batting: Named;
  backing: Named;
  machine: Named;
  needle: string;
  top: RestedThread;
  bobbin: RestedThread;
  /** The last service that touched what tensions rest on, and what it touched. */
  serviced?: Named;
}

/** Sizes within this share are the same thread. */
const SAME_TEX = 0.02;

/** What of it has changed since, each in words; nothing when a proof still holds. */
export function changedSince(was: RestsOn, now: RestsOn): string[] {
  const out: string[] = [];
  const kinds = (r: RestsOn) => [...new Set(r.cloths.map((c) => c.id))].sort().join();
  if (kinds(was) !== kinds(now))
    out.push(`the fabric is ${names(now.cloths)} now; it was ${names(was.cloths)}`);
  if (was.features.join() !== now.features.join()) out.push('what else is in the zone is not the same');
  for (const [part, noun] of [
    ['batting', 'batting'],
    ['backing', 'backing'],
    ['machine', 'machine'],
  ] as const)
    if (was[part].id !== now[part].id)
      out.push(`the ${noun} is ${now[part].name} now; it was ${was[part].name}`);
  if (now.serviced && now.serviced.id !== was.serviced?.id)
    out.push(`the machine was serviced since: ${now.serviced.name}`);
  if (was.needle !== now.needle) out.push('another needle');
  for (const [part, noun] of [
    ['top', 'top'],
    ['bobbin', 'bobbin'],
  ] as const) {
    const [a, b] = [was[part], now[part]];
    if (a.id !== b.id || a.fibre !== b.fibre || Math.abs(Math.log(a.tex / b.tex)) > SAME_TEX)
      out.push(`the ${noun} thread is not the one it was tested with`);
    else if (a.batch !== b.batch) out.push(`another dye lot of ${b.name}`);
  }
  return out;
}

const names = (list: readonly Named[]) => list.map((n) => n.name).join(', ');
