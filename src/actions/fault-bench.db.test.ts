import { causes, checks, likelihoods } from '@/core/faults/knowledge';
import { readEvidence } from '@/data/fault-evidence';
import { readFault } from '@/data/faults';
import { type TestDatabase } from '@/data/test-database';
import { demoDatabase } from '@/demo/testing/demo-database';
import { thisContext } from './context';
import { answerFault, closeFault, readFaultBench, reopenFault } from './fault-bench';
import { logFault } from './faults';
import { readQuiltView } from './quilt-view';
import { key, paths, value } from './testing/answers';

let base: TestDatabase;
let quiltId: string;
beforeAll(async () => {
  base = await demoDatabase('fault_bench');
  const [q] = await base.sql<{ id: string }[]>`select id from quilt where name = 'Harbour Lights'`;
  quiltId = q!.id;
});
afterAll(() => base.end());

async function newFault(symptoms: string[]): Promise<string> {
  const view = (await readQuiltView(base.sql, quiltId))!;
  const { n } = value(
    await logFault(thisContext(), { key: key(), quiltId, zoneId: view.zones[0]!.id, symptoms, note: '' }),
  );
  return (await readQuiltView(base.sql, quiltId))!.faults.find((f) => f.n === n)!.id;
}
const showFault = async (id: string) =>
  (await readFaultBench(base.sql, (await readQuiltView(base.sql, quiltId))!, id))!;
const answers = (seen: string[], part: object = {}) => ({ seen, absent: [], facts: {}, done: [], ...part });

test('the set-up is filled in from the log, in the words of the fault tables', async () => {
  const { setup, diagnosis } = await showFault(await newFault(['skipped']));
  expect(setup).toMatchObject({
    topFabric: 'quilting cotton',
    battingFibre: 'cotton-polyester',
    rulerWork: true,
  });
  for (const fact of ['needleAgeStitches', 'threadEyeRatio', 'handSpeedShareOfLimit', 'spi'])
    expect([fact, typeof setup[fact]]).toEqual([fact, 'number']);
  expect(diagnosis.causes.reduce((s, c) => s + c.p, 0)).toBeCloseTo(1, 9);
  expect(diagnosis.next).not.toBeNull();
});

test('answers move the causes, are kept with their version, and contradictions are refused in words', async () => {
  const id = await newFault(['loops_all']);
  const before = await showFault(id);
  const check = before.diagnosis.next!.check;
  value(
    await answerFault(thisContext(), {
      key: key(),
      faultId: id,
      version: 0,
      ...answers(['loops_all', 'nest_start'], { facts: { onset: 'thread-change' } }),
    }),
  );
  const after = await showFault(id);
  expect(after.fault.symptoms).toEqual(['loops_all', 'nest_start']);
  expect(after.evidence.version).toBe(1);
  expect(after.diagnosis.causes[0]!.p).not.toBeCloseTo(before.diagnosis.causes[0]!.p, 3);
  const stale = { key: key(), faultId: id, version: 0, ...answers(['loops_all']) };
  expect(await answerFault(thisContext(), stale)).toMatchObject({ ok: false });
  const both = { key: key(), faultId: id, version: 1, ...answers(['loops_all'], { absent: ['loops_all'] }) };
  expect(paths(await answerFault(thisContext(), both))).toEqual(['absent']);
  const odd = {
    key: key(),
    faultId: id,
    version: 1,
    ...answers(['loops_all'], { done: [{ check, outcome: 'no such' }] }),
  };
  expect(paths(await answerFault(thisContext(), odd))).toEqual(['done.0.outcome']);
});

test('closed once, learned from, left out, opened again', async () => {
  const id = await newFault(['top_shred']);
  const { diagnosis, episodes: before } = await showFault(id);
  const { id: cause, episodes: ofCause } = diagnosis.causes[3]!;
  const close = {
    key: key(),
    faultId: id,
    version: 0,
    cause,
    ownCause: '',
    remedy: 'a net over the cone',
    helped: true,
    minutesLost: 12,
  };
  value(await answerFault(thisContext(), { key: key(), faultId: id, version: 0, ...answers(['top_shred']) }));
  // The first answer has no version before it.
  value(await closeFault(thisContext(), { ...close, version: 1 }));
  expect(await closeFault(thisContext(), { ...close, key: key(), version: 2 })).toMatchObject({ ok: false });
  expect(await readFault(base.sql, id)).toMatchObject({ status: 'mended' });
  const other = await newFault(['top_shred']);
  const learned = await showFault(other);
  expect(learned.episodes).toBe(before + 1);
  expect(learned.diagnosis.causes.find((c) => c.id === cause)!.episodes).toBe(ofCause + 1);
  expect(learned.remedies).toContainEqual({ remedy: 'a net over the cone', tried: 1, helped: 1 });
  value(await reopenFault(thisContext(), { key: key(), faultId: id, version: 2, act: 'leave out' }));
  expect((await showFault(other)).episodes).toBe(before);
  value(await reopenFault(thisContext(), { key: key(), faultId: id, version: 3, act: 'open' }));
  expect(await readFault(base.sql, id)).toMatchObject({ status: 'open' });
  expect((await readEvidence(base.sql, id)).closedAt).toBeNull();
});

test('none of the list: kept in the studio’s own words; with no words at all it is asked for', async () => {
  const id = await newFault(['noise_rough']);
  const close = { faultId: id, version: 0, cause: null, remedy: '', helped: null, minutesLost: null };
  expect(paths(await closeFault(thisContext(), { ...close, key: key(), ownCause: ' ' }))).toEqual([
    'ownCause',
  ]);
  value(await closeFault(thisContext(), { ...close, key: key(), ownCause: 'a mouse under the table' }));
  expect(await readEvidence(base.sql, id)).toMatchObject({
    cause: null,
    ownCause: 'a mouse under the table',
  });
});

test('ten things gone wrong on a machine are each found through the bench', async () => {
  // Signs are the two a cause shows most; every check answers what that cause most often shows.
  const ten = [...causes.rows]
    .sort((a, b) => b.prior - a.prior)
    .slice(0, 10)
    .map((c) => c.id);
  const made: number[] = [];
  for (const cause of ten) {
    const signs = likelihoods
      .filter((l) => l.cause === cause)
      .sort((a, b) => b.p - a.p)
      .slice(0, 2)
      .map((l) => l.symptom);
    const id = await newFault(signs);
    for (;;) {
      const { fault, evidence, diagnosis } = await showFault(id);
      if (diagnosis.resolved || !diagnosis.next || evidence.done.length === 10) {
        expect([cause, diagnosis.causes.slice(0, 2).map((c) => c.id)]).toEqual([
          cause,
          expect.arrayContaining([cause]),
        ]);
        made.push(evidence.done.length);
        break;
      }
      const check = checks.get(diagnosis.next.check);
      const own = check.likelihoods.filter((l) => l.cause === cause).sort((a, b) => b.p - a.p)[0];
      const usual = Object.entries(check.defaultOutcomeP).sort((a, b) => b[1] - a[1])[0]![0];
      const outcome = own && own.p > 0.5 ? own.outcome : usual;
      value(
        await answerFault(thisContext(), {
          key: key(),
          faultId: id,
          version: evidence.version,
          ...answers(fault.symptoms, { done: [...evidence.done, { check: check.id, outcome }] }),
        }),
      );
    }
  }
  expect(made).toHaveLength(10);
});
