import type { Thread } from '../thread/thread';
import { bobbinCapacityM } from '../usage/usage';
import { Z80 } from '../statistics/normal';
import type { RunOut, ThreadPlan, WorkPlanRequest, ZonePlan } from './planned';

/** Spread of thread used about the model, as a share (judgement). */
const USE_SPREAD = 0.12;
/** The same 8 times in 10. */
export const USE_SPREAD_80 = Z80 * USE_SPREAD;

/** Metres of each thread, above and below, and the bobbins they take. */
export function threadsOf(r: WorkPlanRequest, zones: readonly ZonePlan[]): ThreadPlan[] {
  const byId = new Map<string, ThreadPlan>();
  r.zones.forEach((z, i) => {
    if (!z.setup) return;
    const add = (t: Thread & { id: string }, part: Partial<Pick<ThreadPlan, 'topM' | 'bobbinM'>>) => {
      const so = byId.get(t.id) ?? {
        id: t.id,
        topM: 0,
        bobbinM: 0,
        bobbins: 0,
        capacityM: bobbinCapacityM(r.bobbinMm, t),
      };
      byId.set(t.id, { ...so, topM: so.topM + (part.topM ?? 0), bobbinM: so.bobbinM + (part.bobbinM ?? 0) });
    };
    add(z.setup.top, { topM: zones[i]!.topM });
    add(z.setup.bobbin, { bobbinM: zones[i]!.bobbinM });
  });
  return [...byId.values()].map((t) => ({ ...t, bobbins: Math.ceil(t.bobbinM / t.capacityM - 1e-9) }));
}

/** Where each bobbin runs out when its thread is sewn pass by pass from the top, with the spread of the place. */
export function runOutsOf(
  r: WorkPlanRequest,
  zones: readonly ZonePlan[],
  passes: number,
  threads: readonly ThreadPlan[],
): RunOut[] {
  return threads.flatMap((t) => {
    const perPass = Array.from({ length: passes }, (_, p) =>
      r.zones.reduce(
        (m, z, i) => (z.setup?.bobbin.id === t.id ? m + zones[i]!.bobbinM * (zones[i]!.shares[p] ?? 0) : m),
        0,
      ),
    );
    const out: RunOut[] = [];
    let used = 0;
    perPass.forEach((m, p) => {
      while (m > 0 && used + m >= (out.length + 1) * t.capacityM && out.length + 1 < t.bobbins) {
        const n = out.length + 1;
        const share = (n * t.capacityM - used) / m;
        out.push({
          coneId: t.id,
          n,
          pass: p + 1,
          share,
          spread: (USE_SPREAD * t.capacityM * Math.sqrt(n)) / m,
        });
      }
      used += m;
    });
    return out;
  });
}
