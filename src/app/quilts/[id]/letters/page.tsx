import { ask } from '@/actions/queries';
import { letter, LETTER_LABEL, LETTERS } from '@/core/letters/letters';
import { ButtonLink } from '@/ui/kit/Button';
import { Link } from '@/ui/kit/Link';
import { QuiltFrame } from '@/ui/quilt/QuiltFrame';
import { readQuiltPage, type QuiltPageProps } from '../quilt-page';

export const metadata = { title: 'Letters' };

/** Letters to the client, written from what stands; each opens in a mail program or prints. */
export default async function LettersPage(props: QuiltPageProps) {
  const { view, machine, zone } = await readQuiltPage(props);
  const { quilt } = view;
  const wanted = (await props.searchParams).letter;
  const kind = LETTERS.find((k) => k === wanted) ?? 'agreed';
  const [facts, client] = await Promise.all([
    ask.letterFacts(view, new Date()),
    ask.readClient(quilt.clientId),
  ]);
  const written = letter(kind, facts);
  return (
    <QuiltFrame view={view} machine={machine} step="take-in" zoneId={zone?.id} page="take-in">
      <div className="flex flex-wrap items-center gap-3 print:hidden">
        <h2 className="flex-1 text-24">Letters</h2>
        <ButtonLink look="quiet" href={`/quilts/${quilt.id}/take-in`}>
          Back
        </ButtonLink>
      </div>
      <div className="mt-2 grid gap-6 border-t-2 border-ink lg:grid-cols-[230px_minmax(0,1fr)]">
        <ul className="print:hidden">
          {LETTERS.map((k) => (
            <li key={k} className="border-b">
              <Link
                href={`/quilts/${quilt.id}/letters?letter=${k}`}
                aria-current={k === kind ? 'page' : undefined}
                className={`flex min-h-11 items-center px-2 hover:bg-sunk ${k === kind ? 'bg-indigo-tint font-semibold' : ''}`}
              >
                {LETTER_LABEL[k]}
              </Link>
            </li>
          ))}
        </ul>
        <article aria-label={LETTER_LABEL[kind]} className="max-w-[620px] py-2">
          {written.missing && (
            <p className="mb-2 border-l-4 border-weld bg-weld-tint px-3 py-2 font-medium">
              {written.missing}
            </p>
          )}
          <p className="text-ink2">
            To {quilt.client}
            {client?.email
              ? `, ${client.email}`
              : ' (no e-mail address yet: print it, or add one under Edit client)'}
          </p>
          <h3 className="mt-2 text-20">{written.subject}</h3>
          {written.paragraphs.map((p, i) => (
            <p key={i} className="mt-3 whitespace-pre-line">
              {p}
            </p>
          ))}
          <div className="mt-4 flex flex-wrap gap-3 print:hidden">
            <a
              download
              href={`/quilts/${quilt.id}/letters/${kind}`}
              className="inline-flex min-h-11 items-center rounded border-[1.5px] border-indigo bg-indigo px-4 font-semibold text-on-act"
            >
              Download as e-mail (.eml)
            </a>
          </div>
        </article>
      </div>
    </QuiltFrame>
  );
}
