import type postgres from 'postgres';
import { addDays, endOfWeek, format, subDays, subHours } from 'date-fns';
import { v7 as uuidv7 } from 'uuid';
import { careAndClocks } from './care';
import { makeOffers } from './offers';
import { areaOf, boundsOf, contains, type MultiPolygon, type XY } from '@/core/geometry/polygon';
import { needleLife } from '@/core/needle/life';
import { match } from '@/core/match/match';
import { thicknessMm } from '@/core/sandwich/sandwich';
import { nextTension } from '@/core/tension/next';
import { describeThread } from '@/core/thread/describe';
import { breakGf } from '@/core/thread/thread';
import { NOTHING_LOGGED } from '@/core/hours/factors';
import { basisOf } from '@/actions/log-effects';
import { planOf } from '@/actions/plan';
import { begin } from '@/actions/plan-commands';
import { stepEffect } from '@/core/log/effect';
import type { LogEntry } from '@/core/log/entry';
import { cameToOf } from '@/actions/hand-back';
import { readHandBack, writeHandBack } from '@/data/hand-back';
import { insertStep } from '@/data/steps';
import { readQuiltView } from '@/actions/quilt-view';
import { setupRow } from '@/actions/setups';
import { readMatchSources, zoneRequest } from '@/actions/match-sources';
import { sandwichOf } from '@/actions/zone-brief';
import { proofOf } from '@/core/tension/search';
import { insertStitches } from '@/data/fault-record';
import { insertFault } from '@/data/faults';
import { clientNamed, setHandedBack, updatePlan } from '@/data/quilts';
import { insertSetup, readSetup } from '@/data/setups';
import { asJson, type Sql } from '@/data/sql';
import { addToClient } from '@/data/clients';
import { insertCondition } from '@/data/conditions';
import { insertShipped } from '@/data/shipped';
import { readMachine, upsertCalibration } from '@/data/machines';
import { fitNeedle } from '@/data/needles';
import { insertRuler } from '@/data/rulers';
import { insertYarn } from '@/data/yarns';
import { takenIn } from '@/actions/patterns';
import { insertPattern } from '@/data/patterns';
import { demoPatterns } from './patterns';
import { readPreferences } from '@/data/preferences';
import { insertRound, upsertProof } from '@/data/tests';
import { readZones } from '@/data/zones';
import { faultStories, foundToBe, homeStories } from './fault-stories';
import { readEvidence, writeEvidence } from '@/data/fault-evidence';
import { type DemoQuilt, demoQuilts } from './quilts';
import { type Random, seeded } from '@/core/statistics/random';
import {
  demoBattings,
  demoBobbins,
  type DemoCone,
  demoMachine,
  demoNeedles,
  demoRulers,
  demoYarns,
  demoShelf,
  demoSpeedDial,
  demoTopDial,
} from './shelf';
import { simulateSearch } from './simulate-search';

const SEED = 1101;
const day = (d: Date) => format(d, 'yyyy-MM-dd');

/** Loads Saltmarsh Longarm Room, dated relative to `today`, when there is no studio yet. One transaction. */
export async function loadDemo(sql: postgres.Sql, today: Date, seed = SEED): Promise<boolean> {
  return sql.begin(async (tx) => {
    await tx`select pg_advisory_xact_lock(7303015)`;
    if (await readPreferences(tx)) return false;
    await tx`insert into preferences (name, town, is_demo) values ('Saltmarsh Longarm Room', 'Fennick Quay', true)`;
    const machineId = await insertWorkroom(tx);
    await insertShipped(tx);
    const fabricIds = await insertFabrics(tx);
    for (const quilt of demoQuilts) await insertQuilt(tx, quilt, machineId, fabricIds, today);
    await sewTests(tx, today, seeded(seed));
    await fixPasses(tx, today, seeded(seed + 2));
    await noteFaults(tx, today, seeded(seed + 1));
    await goHome(tx, today);
    await makeOffers(tx, today);
    await careAndClocks(tx, machineId, today);
    return true;
  }) as Promise<boolean>;
}

async function insertWorkroom(tx: Sql): Promise<string> {
  const machineId = uuidv7();
  const m = demoMachine;
  await tx`
    insert into machine (id, name, shank, max_spm, idle_min_spm, idle_max_spm, min_spi, max_spi, modes, feet,
                         bobbin_od_mm, bobbin_core_mm, bobbin_width_mm, throat_in, dead_in, frame_in, roll_in_throat,
                         couching_hole_mm)
    values (${machineId}, ${m.name}, ${m.shank}, ${m.maxSpm}, ${m.idleMinSpm}, ${m.idleMaxSpm}, ${m.minSpi}, ${m.maxSpi},
            ${m.modes}, ${m.feet}, ${m.bobbinOdMm}, ${m.bobbinCoreMm}, ${m.bobbinWidthMm}, ${m.throatIn}, ${m.deadIn},
            ${m.frameIn}, ${m.rollInThroat}, ${m.couchingHoleMm})`;
  for (const c of demoShelf) {
    const { tex, basis } = describeThread({ label: c.label, fibre: c.fibre });
    await tx`
      insert into cone (id, line, colour, hex, hexes, run_in, fibre, label, tex, tex_basis, role, remaining_m, remaining_source,
                          needle_min_nm, needle_max_nm, sheen, tare_g, full_m, place, remaining_at)
      values (${uuidv7()}, ${c.line}, ${c.colour}, ${c.hex ?? null}, ${c.hexes ?? []}, ${c.runIn ?? null}, ${c.fibre}, ${c.label}, ${tex}, ${basis}, ${c.role},
              ${c.remainingM}, 'weighed', ${c.labelNeedleNm?.[0] ?? null}, ${c.labelNeedleNm?.[1] ?? null},
              ${c.fibre === 'cotton' ? 'matt' : c.fibre === 'metallic' || c.fibre === 'rayon' ? 'bright' : 'satin'}, 38,
              ${fullMetres(c)}, ${placeOf(c)}, now())`;
  }
  for (const n of demoNeedles)
    await tx`insert into needle (id, nm, eye, point, stock) values (${uuidv7()}, ${n.nm}, ${n.eye}, ${n.point}, ${n.stock})`;
  for (const [name, kind] of demoBattings)
    await tx`insert into batting (id, kind, name) values (${uuidv7()}, ${kind}, ${name})`;
  for (const r of demoRulers) await insertRuler(tx, uuidv7(), r);
  for (const y of demoYarns) await insertYarn(tx, uuidv7(), y);
  for (const { svg, ...p } of demoPatterns)
    await insertPattern(tx, { ...p, id: uuidv7(), ...takenIn({ svg, widthIn: p.widthIn }) });
  await upsertCalibration(tx, uuidv7(), machineId, 'speed-dial', demoSpeedDial);
  await upsertCalibration(tx, uuidv7(), machineId, 'top-dial', demoTopDial);
  await fitNeedle(
    tx,
    uuidv7(),
    machineId,
    { nm: 100, eye: 'standard', point: 'sharp', coated: false },
    needleLife([]),
  );
  await tx`update needle_fitted set stitches = 196000, worn = 208000, fitted_at = now() - interval '9 days'`;
  for (const { line, colour, count, metresEach } of demoBobbins)
    await tx`
      insert into bobbin_stock (id, cone_id, kind, metres_each, count)
      select ${uuidv7()}, id, 'wound', ${metresEach}, ${count} from cone where line = ${line} and colour = ${colour}`;
  return machineId;
}

/** A full cone of the line, metres: the next round size above what is left on it. */
const fullMetres = (c: DemoCone) => [500, 1500, 3000, 5500].find((m) => m >= c.remainingM) ?? 6000;
const placeOf = (c: DemoCone) =>
  c.fibre === 'cotton' ? 'low shelf' : c.role === 'top' ? 'top shelf' : 'middle shelf';

/** How a made-up client is reached: by addresses that lead nowhere. */
const contactOf = (name: string) => ({
  phone: `+00 555 0${100 + ((name.length * 37) % 900)}`,
  email: `${name.toLowerCase().replace(/[^a-z]+/gu, '.')}@fennick-quay.example`,
  contactBy: name.length % 2 === 0 ? ('email' as const) : ('phone' as const),
  photosOk: 'private' as const,
});

/** Every cloth the demo's quilts use; ids by name. */
async function insertFabrics(tx: Sql): Promise<Map<string, string>> {
  const ids = new Map<string, string>();
  const add = async (kind: string, name: string, hex: string | null) => {
    if (ids.has(name)) return;
    const id = uuidv7();
    ids.set(name, id);
    await tx`insert into fabric (id, kind, name, hex) values (${id}, ${kind}, ${name}, ${hex})`;
  };
  for (const q of demoQuilts)
    for (const [kind, name, hex] of [q.backing, ...q.zones.flatMap((z) => z.fabrics)])
      await add(kind, name, hex);
  return ids;
}

async function insertQuilt(
  tx: Sql,
  q: DemoQuilt,
  machineId: string,
  fabricIds: Map<string, string>,
  today: Date,
) {
  const quiltId = uuidv7();
  const clientId = await clientNamed(tx, uuidv7(), q.client);
  await addToClient(tx, clientId, contactOf(q.client));
  const wanted = addDays(today, q.due.days);
  const sunday = endOfWeek(today, { weekStartsOn: 1 });
  const due = q.due.week && wanted > sunday ? sunday : wanted;
  await tx`
    insert into quilt (id, client_id, name, width_in, length_in, use, batting_id, backing_id, machine_id, taken_in_on, due_on,
                       step, passes, on_frame_since, waits_for, backing_cloth_in)
    select ${quiltId}, ${clientId}, ${q.name}, ${q.widthIn}, ${q.lengthIn}, ${q.use}, b.id,
           ${fabricIds.get(q.backing[1])!}, ${machineId}, ${day(subDays(today, q.takenInDaysAgo))}, ${day(due)}, ${q.step},
           ${q.passes ?? null},
           ${q.onFrameDaysAgo === undefined ? null : day(subDays(today, q.onFrameDaysAgo))}, ${q.waitsFor ?? ''},
           ${q.waitsFor?.startsWith('Backing') ? null : q.backing[0] === 'sateen-wide' ? 108 : 44}
    from batting b where b.name = ${q.batting}`;
  for (const c of q.found ?? [])
    await insertCondition(tx, {
      xIn: null,
      yIn: null,
      sizeIn: null,
      note: '',
      photographId: null,
      ...c,
      id: uuidv7(),
      quiltId,
    });
  for (const [i, z] of q.zones.entries()) {
    const zoneId = uuidv7();
    await tx`
      insert into zone (id, quilt_id, letter, name, geometry, technique, spacing_in, smallest_radius_in, length_in, visibility)
      values (${zoneId}, ${quiltId}, ${String.fromCharCode(65 + i)}, ${z.name}, ${asJson(tx, z.geometry)}, ${z.technique},
              ${z.spacingIn}, ${z.smallestRadiusIn ?? null}, ${z.lengthIn ?? null}, ${z.visibility})`;
    for (const [p, [, name, hex, share]] of z.fabrics.entries())
      await tx`insert into zone_fabric (zone_id, position, fabric_id, hex, share)
               values (${zoneId}, ${p}, ${fabricIds.get(name)!}, ${hex}, ${share})`;
    for (const f of z.features ?? [])
      await tx`insert into zone_feature (zone_id, feature) values (${zoneId}, ${f})`;
  }
}

const demoOf = (name: string) => demoQuilts.find((q) => q.name === name)!;
/** What has gone home comes last, so that the chances of the quilts in hand do not hang on it. */
const inTurn = <T extends { name: string }>(quilts: readonly T[]): T[] => [
  ...quilts.filter((q) => !demoOf(q.name).home),
  ...quilts.filter((q) => demoOf(q.name).home),
];

/** Hands back the quilts that went home: off the frame, looked over, measured, gone. */
async function goHome(tx: Sql, today: Date) {
  for (const { name, home } of demoQuilts) {
    if (!home) continue;
    const [row] = await tx<{ id: string }[]>`select id from quilt where name = ${name}`;
    const view = (await readQuiltView(tx, row!.id, 'its cards'))!;
    const { daysAgo, ...cameOut } = home;
    const at = (hours: number) => subHours(subDays(today, daysAgo), hours);
    const { version, ...before } = await readHandBack(tx, row!.id);
    await writeHandBack(tx, row!.id, version, {
      ...before,
      ...cameOut,
      offFrameAt: at(30),
      trimmedAt: at(29),
      topSeenAt: at(28),
      backSeenAt: at(27),
      cameTo: await cameToOf(tx, view),
    });
    await setHandedBack(tx, row!.id, view.quilt.version, day(at(0)));
  }
}

/** Chooses the best set-up of each zone that has come that far, and sews its tests. */
async function sewTests(tx: Sql, today: Date, random: Random) {
  const quilts = inTurn(
    await tx<{ id: string; name: string }[]>`select id, name from quilt order by taken_in_on, name`,
  );
  const sources = await readMatchSources(tx);
  for (const { id, name } of quilts) {
    const demo = demoOf(name);
    const { quilt, zones } = (await readQuiltView(tx, id))!;
    const machine = await readMachine(tx, quilt.machineId);
    for (const zone of zones) {
      const view = (await readQuiltView(tx, id))!;
      const { shelf } = view;
      const state = demo.zones.find((z) => z.name === zone.name)!.state;
      if (state === 'open') continue;
      const { setups } = match({
        ...zoneRequest(view, zone, machine, sources),
        limit: 1,
      });
      const setup = setups[0]!;
      const setupId = uuidv7();
      await insertSetup(tx, { ...setupRow(setup), id: setupId, zoneId: zone.id, version: 1 });
      if (state === 'chosen') continue;
      const cone = shelf.find((c) => c.id === setup.topId)!;
      const start = { topGf: setup.topGf, bobbinGf: setup.bobbinGf, ratio: setup.ratio, sd: setup.ratioSd };
      const thickness = thicknessMm(sandwichOf(zone, quilt));
      // A search still open is one whose cloth lies well off the guess, after its first test.
      const truth = state === 'searching' ? Math.log(setup.ratio) + 0.5 : undefined;
      const { tests } = simulateSearch(start, thickness, breakGf(cone), random, truth);
      const sewn = state === 'searching' ? tests.slice(0, 1) : tests;
      const firstAt = subHours(subDays(today, Math.max(1, Math.floor(demo.takenInDaysAgo / 2))), 3);
      const rounds = [];
      for (const [i, test] of sewn.entries()) {
        const round = {
          id: uuidv7(),
          setupId,
          n: i + 1,
          ...test,
          note: '',
          sewnAt: new Date(firstAt.getTime() + i * 9 * 60_000),
        };
        await insertRound(tx, round);
        rounds.push(round);
      }
      const next = nextTension({ start, thicknessMm: thickness, breakGf: breakGf(cone), tests: sewn });
      if (next.done)
        await upsertProof(tx, {
          ...proofOf({ rounds, next }),
          setupId: (await readSetup(tx, zone.id))!.id,
          roundId: rounds.at(-1)!.id,
          provenAt: rounds.at(-1)!.sewnAt,
        });
    }
  }
}

/** Fixes the passes of the quilts that have come so far, and logs those sewn with the minutes they took. */
async function fixPasses(tx: Sql, today: Date, random: Random) {
  const quilts = inTurn(
    await tx<{ id: string; name: string; passes: number; machineId: string }[]>`
      select id, name, passes, machine_id from quilt where passes is not null order by taken_in_on`,
  );
  for (const { id, name, passes: told, machineId } of quilts) {
    const view = (await readQuiltView(tx, id))!;
    const machine = await readMachine(tx, machineId);
    const preferences = (await readPreferences(tx))!;
    const read = planOf(view, machine, preferences, NOTHING_LOGGED);
    if (!read.plan.passes) continue;
    const { depthsIn, turned } = read.plan.passes;
    const { home, passesSewn = 0 } = demoOf(name);
    // What went home was sewn before that day.
    const until = home ? subDays(today, home.daysAgo + 2) : today;
    const begun = begin(read, subDays(until, 5));
    await updatePlan(tx, id, view.quilt.version, { depthsIn, turned, turnRule: view.quilt.turnRule, begun });
    const now = (await readQuiltView(tx, id))!;
    const fixed = planOf(now, machine, preferences, NOTHING_LOGGED);
    const share = passesSewn / told;
    const sewn = share === 1 ? fixed.steps.length : Math.round(fixed.steps.length * share);
    for (const [i, step] of fixed.steps.slice(0, sewn).entries()) {
      const at = subHours(until, 9 * (sewn - i) + 6);
      const stepId = uuidv7();
      const minutes = Math.max(1, Math.round(step.minutes * Math.exp(0.14 + 0.2 * random.normal())));
      // Sewn as the cards say, with nothing set otherwise at the machine.
      const entry: LogEntry = { id: stepId, quiltId: id, kind: 'step-done', at: at.toISOString(), minutes };
      const effect = stepEffect(basisOf(now, fixed, step), { entry, settings: new Map(), needle: null });
      await insertStep(tx, {
        id: stepId,
        quiltId: id,
        pass: step.pass,
        coneId: step.thread,
        stabilise: step.stabilise,
        minutes,
        parts: effect.parts,
        stitches: effect.stitches,
        needleFittedId: null,
        at,
      });
      await insertStitches(
        tx,
        effect.zones.map((z) => ({ ...z, pass: step.pass, at, stepId })),
      );
    }
  }
}

/** A point inside a shape, found by throwing darts at its bounds. */
function pointIn(shape: MultiPolygon, random: Random): XY {
  const { x0, y0, x1, y1 } = boundsOf(shape);
  if (areaOf(shape) === 0) return [x0, y0];
  for (;;) {
    const at: XY = [x0 + random.uniform() * (x1 - x0), y0 + random.uniform() * (y1 - y0)];
    if (contains(shape, at)) return at;
  }
}

async function noteFaults(tx: Sql, today: Date, random: Random) {
  const quilts = await tx<
    { id: string; name: string; lengthIn: number }[]
  >`select id, name, length_in from quilt`;
  for (const [i, f] of [...faultStories, ...homeStories].entries()) {
    const quilt = quilts.find((q) => q.name === f.quilt)!;
    const zone = (await readZones(tx, quilt.id)).find((z) => z.name === f.zone)!;
    const [x, y] = pointIn(zone.geometry, random);
    const id = uuidv7();
    const noticedAt = subHours(
      subDays(today, f.daysAgo ?? 1 + Math.floor((faultStories.length - i) / 4)),
      1 + Math.floor(6 * random.uniform()),
    );
    await insertFault(tx, {
      id,
      quiltId: quilt.id,
      zoneId: zone.id,
      xIn: Number(x.toFixed(1)),
      yIn: Number(y.toFixed(1)),
      pass: f.pass ?? null,
      direction: f.direction ?? null,
      note: f.note,
      status: f.status,
      ...(f.status === 'left' ? { word: f.note } : {}),
      noticedAt,
      symptoms: [...f.symptoms],
    });
    const found = foundToBe[f.note];
    if (found)
      await writeEvidence(tx, id, 0, {
        ...(await readEvidence(tx, id)),
        cause: found.cause,
        remedy: found.remedy,
        helped: found.helped,
        minutesLost: found.minutes,
        closedAt: noticedAt,
      });
  }
}
