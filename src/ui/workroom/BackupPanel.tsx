'use client';
import { format, formatDistance } from 'date-fns';
import { FileDown } from 'lucide-react';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { CopyMade } from '@/data/types';
import { isOffline } from '@/ui/kit/offline';
import { toast } from '@/ui/kit/toast';
import { unanswered } from '@/ui/kit/use-action-form';
import { Button } from '@/ui/kit/Button';

interface Told {
  words?: string;
  problem?: string;
  done?: { rows: number; photographs: number };
}

/** The lines of an answer, as they come. */
async function* linesOf(answer: Response): AsyncGenerator<Told> {
  const reader = answer.body!.pipeThrough(new TextDecoderStream()).getReader();
  let left = '';
  for (;;) {
    const { value, done } = await reader.read();
    left += value ?? '';
    const lines = left.split('\n');
    left = lines.pop()!;
    for (const line of lines) yield JSON.parse(line) as Told;
    if (done) return;
  }
}

const sizeWords = (bytes: number) =>
  bytes < 1e6 ? `${Math.max(1, Math.round(bytes / 1e3))} kB` : `${(bytes / 1e6).toFixed(1)} MB`;

/** What the newest copies tell, in one sentence, as of the moment the page was asked for. */
export function copyWords(copies: readonly CopyMade[], askedAt: number): { good: boolean; words: string } {
  const last = copies.find((c) => !c.problem);
  const verified = copies.find((c) => c.verifiedAt && !c.problem);
  const failed = copies[0]?.problem ? `The last try failed: ${copies[0].problem}` : '';
  if (!last)
    return {
      good: false,
      words: failed || 'No dated copy was made yet; the first is made soon after the start.',
    };
  const made = `The last good copy was made ${formatDistance(last.at, askedAt, { addSuffix: true })}, ${sizeWords(last.bytes)}`;
  const read = verified
    ? `; read back and found whole ${format(verified.verifiedAt!, 'd MMM, HH:mm')}.`
    : '; not read back yet.';
  return { good: !failed, words: `${made}${read} ${failed}`.trim() };
}

/** Everything saved in one file, and taken back from one, as it stood when the page was asked for. */
export function BackupPanel({
  copies,
  folder,
  askedAt,
}: {
  copies: readonly CopyMade[];
  folder: string | null;
  askedAt: number;
}) {
  const router = useRouter();
  const [file, setFile] = useState<File | null>(null);
  const [words, setWords] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const told = copyWords(copies, askedAt);
  const restore = async () => {
    if (!file || words !== null) return;
    setProblem(null);
    setWords('Sending the file …');
    try {
      const answer = await fetch('/backup', { method: 'POST', body: file });
      if (!answer.ok) throw new Error(String(answer.status));
      for await (const line of linesOf(answer)) {
        if (line.words) setWords(line.words);
        if (line.problem) setProblem(`${line.problem} Nothing was touched.`);
        if (line.done) {
          toast(`${line.done.rows} rows and ${line.done.photographs} photographs are back.`);
          setFile(null);
          router.refresh();
        }
      }
    } catch (error) {
      setProblem(
        isOffline(error)
          ? 'The studio’s computer did not answer. Look at the Rack before you try again.'
          : unanswered(error).message,
      );
    }
    setWords(null);
  };
  return (
    <section aria-label="The whole studio" className="mt-4 border-t-2 border-ink pt-2">
      <h2 className="text-20">The whole studio, saved</h2>
      <p className={`mt-1 max-w-[820px] ${told.good ? '' : 'font-medium text-weld-text'}`}>
        {folder ? told.words : 'No folder for dated copies is set; save one here yourself.'}
        {folder && (
          <span className="text-ink2">
            {' '}
            Copies lie in {folder}, one a day for a fortnight, then one a week.
          </span>
        )}
      </p>
      <div className="mt-2 flex flex-wrap items-center gap-3">
        <a
          href="/backup"
          download
          className="inline-flex min-h-11 items-center gap-2 rounded border border-rule bg-cloth px-4 font-semibold hover:bg-sunk"
        >
          <FileDown size={18} aria-hidden />
          Save everything now
        </a>
        <label className="inline-flex min-h-11 cursor-pointer items-center rounded border border-rule bg-cloth px-4 font-semibold hover:bg-sunk has-focus-visible:outline-3 has-focus-visible:outline-solid has-focus-visible:outline-indigo">
          Take a saved studio back
          <input
            type="file"
            accept=".zip,application/zip"
            className="sr-only"
            onChange={(e) => {
              setFile(e.target.files?.[0] ?? null);
              setProblem(null);
              e.target.value = '';
            }}
          />
        </label>
      </div>
      {file && (
        <div className="mt-2 max-w-[820px] border-l-4 border-weld bg-weld-tint px-3 py-2" role="alert">
          <p>
            <b>{file.name}</b> takes the place of everything here: quilts, cards, tests, shelf. The file is
            read through first, and the present studio is saved before.
          </p>
          <div className="mt-2 flex gap-3">
            <Button look="act" disabled={words !== null} onClick={() => void restore()}>
              Take it back
            </Button>
            <Button look="quiet" disabled={words !== null} onClick={() => setFile(null)}>
              Leave it
            </Button>
          </div>
        </div>
      )}
      <p aria-live="polite" className="mt-1 min-h-6 text-ink2">
        {words}
      </p>
      {problem && (
        <p role="alert" className="font-medium text-madder">
          {problem}
        </p>
      )}
    </section>
  );
}
