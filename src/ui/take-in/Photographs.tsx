'use client';
import { ImagePlus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { doors } from '@/actions/doors';
import { sendPhotograph } from '@/ui/kit/send-photograph';
import { toast } from '@/ui/kit/toast';
import { newKey, unanswered } from '@/ui/kit/use-action-form';

/** Photographs of the bundle, made smaller here before they are kept; where they were taken is left out. */
export function Photographs({ ofId, first }: { ofId: string; first: string[] }) {
  const [ids, setIds] = useState(first);
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, setBusy] = useState(false);
  const add = async (files: readonly File[]) => {
    setProblem(null);
    setBusy(true);
    for (const file of files) {
      const r = await sendPhotograph(ofId, file);
      if (r.ok) setIds((now) => [...now, r.value.id]);
      else setProblem(r.problems[0]!.message);
    }
    setBusy(false);
  };
  const put = (id: string, removed: boolean) =>
    doors
      .removePhotograph({ key: newKey(), id, removed })
      .then((r) => {
        if (!r.ok) return setProblem(r.problems[0]!.message);
        setIds((now) => (removed ? now.filter((x) => x !== id) : [...now, id]));
        if (removed)
          toast('The photograph is taken out.', {
            action: { label: 'Undo', onClick: () => void put(id, false) },
          });
      })
      .catch((error: unknown) => setProblem(unanswered(error).message));
  const remove = (id: string) => void put(id, true);
  return (
    <fieldset className="mt-5">
      <legend className="text-[17px] font-semibold">Photographs</legend>
      <ul className="mt-1 flex flex-wrap gap-3">
        {ids.map((id, i) => (
          <li key={id} className="relative">
            {/* eslint-disable-next-line @next/next/no-img-element -- a photograph from this app's own database */}
            <img src={`/photographs/${id}`} alt={`Photograph ${i + 1}`} className="h-[110px] border" />
            <button
              type="button"
              aria-label={`Remove photograph ${i + 1}`}
              onClick={() => remove(id)}
              className="absolute right-0 bottom-0 grid size-11 place-items-center border bg-cloth"
            >
              <Trash2 size={18} aria-hidden />
            </button>
          </li>
        ))}
        <li>
          <label className="grid h-[110px] w-[130px] cursor-pointer place-items-center border-2 border-dashed border-rule text-center has-focus-visible:outline-3 has-focus-visible:outline-solid has-focus-visible:outline-indigo">
            <span>
              <ImagePlus size={24} className="mx-auto" aria-hidden />
              {busy ? 'Keeping …' : 'Add'}
            </span>
            <input
              type="file"
              accept="image/*"
              multiple
              className="sr-only"
              aria-label="Add photographs"
              onChange={(e) => {
                void add(e.target.files ? [...e.target.files] : []);
                e.target.value = '';
              }}
            />
          </label>
        </li>
      </ul>
      {problem && (
        <p role="alert" className="mt-1 font-medium text-madder">
          {problem}
        </p>
      )}
    </fieldset>
  );
}
