'use client';
import { FileDown } from 'lucide-react';
import { useState } from 'react';
import { toast } from '@/ui/kit/toast';
import { sendFile } from '@/ui/kit/send-file';
import { EXCHANGE_KINDS, type ExchangeKind } from '@/core/exchange/columns';
import { Button } from '@/ui/kit/Button';
import { Problems } from '@/ui/kit/Problems';
import { useActionForm } from '@/ui/kit/use-action-form';
import { ImportPreview } from './ImportPreview';
import { type CsvFile, readCsv } from './read-csv';

export const KIND_LABEL: Record<ExchangeKind, string> = {
  cones: 'Cones',
  battings: 'Battings',
  fabrics: 'Fabrics',
  needles: 'Needles',
};

const sendWorkroom = sendFile<Record<string, number>>('/import/workroom');

/** What the studio owns, out to files and in from them. */
export function FilesScreen() {
  const [kind, setKind] = useState<ExchangeKind>('cones');
  const [file, setFile] = useState<CsvFile | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [over, setOver] = useState(false);
  const [roomText, setRoomText] = useState('');
  const room = useActionForm(sendWorkroom, (n: Record<string, number>) =>
    toast(`The workroom is in: ${n.cones} cones, ${n.machines} machines, ${n.needles} kinds of needle.`),
  );
  const take = async (f: File | undefined) => {
    if (!f) return;
    setFile(null);
    setProblem(null);
    const read = await readCsv(f);
    if (typeof read === 'string') setProblem(read);
    else setFile(read);
  };
  return (
    <div className="mt-4 grid gap-8">
      <section aria-label="Out" className="border-t-2 border-ink pt-2">
        <h2 className="text-20">Out to files</h2>
        <ul className="mt-2 flex flex-wrap gap-2.5">
          {[...EXCHANGE_KINDS, 'workroom' as const].map((k) => (
            <li key={k}>
              <a
                href={`/export/${k}`}
                download
                className="inline-flex min-h-11 items-center gap-2 rounded border border-rule bg-cloth px-4 font-semibold hover:bg-sunk"
              >
                <FileDown size={18} aria-hidden />
                {k === 'workroom' ? 'The whole workroom, JSON' : `${KIND_LABEL[k]}, CSV`}
              </a>
            </li>
          ))}
        </ul>
      </section>
      <section aria-label="In" className="border-t-2 border-ink pt-2">
        <h2 className="text-20">In from a file</h2>
        <div
          className="mt-1 flex flex-wrap items-center gap-x-6"
          role="radiogroup"
          aria-label="What the file holds"
        >
          {EXCHANGE_KINDS.map((k) => (
            <label key={k} className="flex min-h-11 items-center gap-2">
              <input
                type="radio"
                name="kind"
                className="size-5 accent-(--indigo)"
                checked={kind === k}
                onChange={() => {
                  setKind(k);
                  setProblem(null);
                }}
              />
              {KIND_LABEL[k]}
            </label>
          ))}
        </div>
        <label
          onDragOver={(e) => {
            e.preventDefault();
            setOver(true);
          }}
          onDragLeave={() => setOver(false)}
          onDrop={(e) => {
            e.preventDefault();
            setOver(false);
            void take(e.dataTransfer.files[0]);
          }}
          className={`mt-2 grid min-h-[110px] cursor-pointer place-items-center border-2 border-dashed px-4 text-center has-focus-visible:outline-3 has-focus-visible:outline-solid has-focus-visible:outline-indigo ${over ? 'border-indigo bg-indigo-tint' : 'border-rule'}`}
        >
          <span>
            <b className="font-semibold">Drop a CSV file here, or press to pick one.</b>
            <br />
            <span className="text-ink2">
              Commas, semicolons or tabs; any of the usual encodings; decimal comma or point. Nothing is
              stored until you have seen it.
            </span>
          </span>
          <input
            type="file"
            accept=".csv,.tsv,.txt,text/csv"
            className="sr-only"
            onChange={(e) => {
              void take(e.target.files?.[0]);
              e.target.value = '';
            }}
          />
        </label>
        {problem && (
          <p role="alert" className="mt-2 font-medium text-madder">
            {problem}
          </p>
        )}
        {file && (
          <ImportPreview key={`${file.name}${kind}`} kind={kind} file={file} onDone={() => setFile(null)} />
        )}
      </section>
      <section aria-label="A whole workroom" className="border-t-2 border-ink pt-2">
        <h2 className="text-20">A whole workroom in</h2>
        <p className="mt-1 max-w-[720px] text-ink2">
          From a file saved here. What it knows by the same id is replaced, what is new is added, nothing is
          taken away; all of it or nothing.
        </p>
        <input
          type="file"
          accept=".json,application/json"
          aria-label="Workroom file"
          className="mt-2 min-h-11"
          onChange={async (e) => {
            const f = e.target.files?.[0];
            e.target.value = '';
            if (!f) return;
            const text = await f.text();
            setRoomText(text);
            room.send({ text });
          }}
        />
        {room.problems.some((p) => p.path === 'metres') && (
          <div className="mt-2 flex flex-wrap gap-3">
            <Button
              look="act"
              disabled={room.pending}
              onClick={() => room.send({ text: roomText, metres: 'keep' })}
            >
              Keep the metres as they are here
            </Button>
            <Button disabled={room.pending} onClick={() => room.send({ text: roomText, metres: 'take' })}>
              Take the file’s metres
            </Button>
          </div>
        )}
        {room.pending && <p className="mt-1 text-ink2">Reading …</p>}
        <div className="mt-2">
          <Problems
            problems={room.problems.map((p) => ({
              path: '',
              message: p.path && p.path !== 'metres' ? `${p.path}: ${p.message}` : p.message,
            }))}
          />
        </div>
      </section>
    </div>
  );
}
