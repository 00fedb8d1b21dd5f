import { format, parseISO } from 'date-fns';
import { qrPath } from '@/ui/draw/qr-path';
import { Button } from '@/ui/kit/Button';

/** A link that works once: to be read with a camera, or copied. */
export function OnceLink({
  title,
  url,
  until,
  note,
  onClose,
}: {
  title: string;
  url: string;
  until: string;
  note: string;
  onClose: () => void;
}) {
  const { d, size } = qrPath(url);
  return (
    <section aria-label={title} className="mt-3 border-2 border-indigo bg-cloth p-4">
      <h3 className="text-16">
        {title}, until {format(parseISO(until), 'd MMM HH:mm')}
      </h3>
      <div className="mt-2 flex flex-wrap gap-5">
        <svg
          viewBox={`-3 -3 ${size + 6} ${size + 6}`}
          className="size-48 bg-white"
          role="img"
          aria-label="The same as a code"
        >
          <path d={d} fill="#000" />
        </svg>
        <div className="min-w-[220px] flex-1">
          <p className="break-all">
            <code>{url}</code>
          </p>
          <p className="mt-2 text-ink2">{note}</p>
          <div className="mt-3 flex gap-3">
            <Button onClick={() => void navigator.clipboard?.writeText(url)}>Copy</Button>
            <Button look="quiet" onClick={onClose}>
              Close
            </Button>
          </div>
        </div>
      </div>
    </section>
  );
}
