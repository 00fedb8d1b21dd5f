import type { TableAdvice } from '@/core/machine/table';
import { TABLE_ORDER } from '@/core/machine/table';
import { CautionLine } from '@/ui/kit/CautionLine';

const WORD = { good: 'fits well', tight: 'is tight', 'too-much': 'is too large for it' } as const;
const minutes = (m: number) => (m < 60 ? `${Math.round(m)} min` : `${(m / 60).toFixed(1)} h`);

/** A quilt on a table: whether it fits the throat, what bears its weight, how it is basted, where to begin. */
export function TablePart({ advice, name }: { advice: TableAdvice; name: string }) {
  const { fit, pullN, supportedN, measured } = advice;
  const facts: [string, string][] = [
    [
      'In the throat',
      `half of it rolled is ${fit.bundleIn.toFixed(1)} in thick: ${Math.max(0, fit.clearIn).toFixed(1)} in stay clear, it ${WORD[fit.word]}`,
    ],
    [
      'It pulls with',
      measured
        ? `${pullN.toFixed(0)} N, as measured`
        : `about ${pullN.toFixed(0)} N; with tables left and behind about ${supportedN.toFixed(0)} N`,
    ],
  ];
  return (
    <div className="mt-3 grid gap-x-10 gap-y-5 lg:grid-cols-2">
      <section aria-label={`${name} on the table`}>
        <dl className="grid grid-cols-[auto_1fr] gap-x-4">
          {facts.map(([k, v]) => (
            <div key={k} className="contents">
              <dt className="border-b py-1.5 text-ink2">{k}</dt>
              <dd className="border-b py-1.5 font-semibold">{v}</dd>
            </div>
          ))}
        </dl>
        <ul className="mt-2">
          {advice.cautions.map((c) => (
            <li key={c.code} className="py-1">
              <CautionLine caution={c} />
            </li>
          ))}
        </ul>
        <h3 className="mt-3 text-16">Where to begin</h3>
        <ol className="list-decimal pl-5">
          {TABLE_ORDER.map((t) => (
            <li key={t} className="py-0.5">
              {t}
            </li>
          ))}
        </ol>
      </section>
      <section aria-label="Ways to baste it">
        <h3 className="text-16">Ways to baste it</h3>
        <p className="text-ink2">Tape the backing flat to the table first, wrong side up.</p>
        <table className="mt-1 w-full text-left">
          <tbody>
            {advice.bastings.map((b) => (
              <tr key={b.id} className="border-b align-top">
                <th scope="row" className="py-1.5 pr-4 font-semibold">
                  {b.label}
                  <span className="block font-normal text-ink2">{b.note}</span>
                  {b.caution && <CautionLine caution={b.caution} />}
                </th>
                <td className="py-1.5 pr-4 whitespace-nowrap">{minutes(b.minutes)}</td>
                <td className="py-1.5">{b.takes}</td>
              </tr>
            ))}
          </tbody>
        </table>
      </section>
    </div>
  );
}
